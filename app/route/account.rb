# frozen_string_literal: true

# account: who is signed in, on what, and the pairing of a tablet. Signing in itself, passwords and passkeys are
# answered by Http::SignIn before anything comes here.

require "rqrcode"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../store/accounts"
require_relative "../store/devices"
require_relative "../store/errors"
require_relative "../store/members"
require_relative "../store/workrooms"
require_relative "../view/people"

module NimbleEyelet
  module Route
    module AccountRoutes
      # What a device is called is at most so long.
      LONGEST_NAME = 40

      def self.registered(app)
        app.helpers Helpers
        account(app)
        pairing(app)
        invitations(app)
      end

      def self.account(app)
        app.get("/api/account") do
          json(View::PeopleView.account(person, asked: settings.access.asked, any: accounts.any?,
                                                letters: settings.access.post&.folder))
        end
        app.get("/api/account/security") { own_account && json(View::PeopleView.security(accounts.security(person), person)) }
        app.delete("/api/account/sessions/:session") do
          own_account && accounts.end_session(person, params["session"])
          halt 204
        end
      end

      def self.pairing(app)
        app.post("/api/pairings") { offer_pairing }
        app.post("/api/pairings/taken") { pair }
        app.delete("/api/pairings/own") { unpair }
        app.delete("/api/account/devices/:id") do
          devices.finish(own_account, number(params["id"]))
          accounts.note(own_account, "device_ended")
          halt 204
        end
      end

      def self.invitations(app)
        app.get("/api/invitations/:token") do
          found = Store::Members.invitation(db, params["token"], now: settings.now)
          json({ workroom: found.workroom, role: found.role, by: found.by, name: found.name })
        end
        app.post("/api/invitations/:token/accepted") do
          found = Store::Members.accept(db, params["token"], own_account, now: settings.now)
          json({ slug: found.slug })
        end
      end
      private_class_method :account, :pairing, :invitations

      module Helpers
        # @raise [Store::Missing] where nobody signs in
        def own_account = person.account || raise(Store::Missing)

        def accounts = Store::Accounts.new(db)
        def devices = Store::Devices.new(db, key: settings.access.key("pairing"), now: settings.now)

        def offer_pairing
          offer = devices.offer(account: own_account)
          address = "#{settings.access.address || request.base_url}/pair"
          code = RQRCode::QRCode.new("#{address}##{offer.secret}", level: :m)
          svg = code.as_svg(module_size: 4, use_path: true, viewbox: true, offset: 8, fill: "ffffff")
          json({ figures: offer.figures, address: address, until: offer.deadline.utc.iso8601,
                 picture: "data:image/svg+xml;base64,#{[svg].pack('m0')}" }, status: 201)
        end

        def pair
          token = devices.take(body_hash.fetch("code"), name: device_name)
          found = accounts.on_device(token)
          accounts.note(found.account, "device")
          keep_on_device(token)
          json({ name: found.name, slug: first_room(found) }, status: 201)
        end

        def device_name
          name = Field.clean(body_hash["name"].to_s)[0, LONGEST_NAME].to_s
          name.empty? ? settings.named.of(request.user_agent) : name
        end

        def keep_on_device(token)
          response.set_cookie(settings.device_cookie, value: token, path: "/", httponly: true, same_site: :strict,
                                                      secure: settings.access.secure, max_age: Store::Accounts::LASTS)
        end

        def first_room(found)
          db.as(found.who) { Store::Workrooms.new(db, now: settings.now, account: found.account).all.first&.slug.to_s }
        end

        def unpair
          devices.leave(person.device) if person.device?
          response.delete_cookie(settings.device_cookie, path: "/")
          halt 204
        end
      end
    end
  end
end
