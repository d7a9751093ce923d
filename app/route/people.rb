# frozen_string_literal: true

# people: who belongs to a workroom and as what, who is there, links by which a plan is read, and a class.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../form/workroom_form"
require_relative "../store/class_copies"
require_relative "../store/errors"
require_relative "../store/members"
require_relative "../store/presences"
require_relative "../store/shared_plans"
require_relative "../store/workrooms"
require_relative "../view/closure"
require_relative "../view/people"

module NimbleEyelet
  module Route
    module PeopleRoutes
      AT = "/api/workrooms/:slug"

      def self.registered(app)
        app.helpers Helpers
        inviting(app)
        members(app)
        presence(app)
        links(app)
        reading(app)
        classes(app)
      end

      def self.inviting(app)
        app.post("#{AT}/invitations") do
          name = Field.clean(body_hash["name"].to_s)[0, Field::LONGEST_TEXT].to_s
          token = people.invite(role: body_hash.fetch("role"), name: name, by: person.account)
          json({ address: "#{outside}/join##{token}" }, status: 201)
        end
        app.delete("#{AT}/invitations/:id") do
          people.take_back(number(params["id"]))
          show_people
        end
      end

      def self.members(app)
        app.get("#{AT}/people") { show_people }
        app.delete("#{AT}/people/own") do
          people.remove(person.account || raise(Store::Missing))
          halt 204
        end
        app.patch("#{AT}/people/:id") do
          people.change(number(params["id"]), body_hash.fetch("role"))
          show_people
        end
        app.delete("#{AT}/people/:id") do
          people.remove(number(params["id"]))
          show_people
        end
      end

      def self.presence(app)
        app.get("#{AT}/here") { json(View::PeopleView.here(presences.all, params["screen"])) }
        app.put("#{AT}/here") { be_here }
      end

      def self.links(app)
        at = "#{AT}/closures/:id/links"
        app.get(at) { show_links(number(params["id"])) }
        app.post(at) do
          token = shared.share(number(params["id"]), by: person.account)
          json({ address: "#{outside}/shared##{token}" }, status: 201)
        end
        app.delete("#{at}/:link") do
          shared.finish(number(params["id"]), number(params["link"]))
          show_links(number(params["id"]))
        end
      end

      def self.reading(app)
        app.get("/api/shared/:token") { show_shared }
      end

      def self.classes(app)
        app.get("#{AT}/class") { json(View::PeopleView.class_of(copies.progress)) }
        app.post("#{AT}/class") { give_out }
      end
      private_class_method :inviting, :members, :presence, :links, :reading, :classes

      module Helpers
        def people = @people ||= Store::Members.new(workroom.scope, db, now: settings.now)
        def presences = Store::Presences.new(workroom.scope)
        def shared = Store::SharedPlans.new(workroom.scope, now: settings.now)
        def copies = Store::ClassCopies.new(db, workroom, now: settings.now)
        def outside = settings.access.address || request.base_url

        # Who looks on sees who belongs to it; who is invited is the owner's to see.
        def show_people
          json(View::PeopleView.people(people.all, person.may?("own", role) ? people.invited : []))
        end

        def be_here
          screen = body_hash.fetch("screen")
          if person.account
            presences.here(screen: screen, account: person.account, place: body_hash.fetch("place")) do
              db.notify("nimble_eyelet", payload: JSON.generate({ workroom: workroom.id, kind: "here" }))
            end
          end
          json(View::PeopleView.here(presences.all, screen))
        end

        def show_links(closure)
          raise Store::Missing if workroom.scope.standing(:closures).where(id: closure).empty?

          json(shared.of(closure).map { |row| { id: row[:id], since: row[:made_at].utc.iso8601 } })
        end

        # Read by whoever has the link, in the name of that workroom alone.
        def show_shared
          found = Store::SharedPlans.find(db, params["token"])
          db.as("w#{found[:workroom_id]}") do
            workroom_at(found[:slug])
            closure = closures.find(found[:closure_id])
            in_its_unit(closure)
            shown = View::ClosureView.of(closure, present, sheet: closure.sheet)
            json({ garment: closure.garment_name, closure: shown })
          end
        end

        def give_out
          names = body_hash.fetch("pupils").map { |text| Form::WorkroomForm.name(text, field: "class.pupils") }.uniq
          given = copies.give(names, teacher: person.account || raise(Store::Missing))
          json(given.map { |one| { pupil: one[:pupil], slug: one[:slug], address: "#{outside}/join##{one[:token]}" } }, status: 201)
        end
      end
    end
  end
end
