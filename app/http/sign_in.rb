# frozen_string_literal: true

# SignIn is who is there: signing in and out, passwords, passkeys and new accounts by Rodauth, and for every request the
# person who asks. Rodauth answers in JSON alone, in our one shape of problems and in our words; the pages are the front
# end's. It stands before the application, and behind everything that looks at a request whoever sends it.
#
#   use SignIn.of(db, access, now: -> { Time.now })

require "roda"
require "roda/session_middleware"
require "rodauth"
require_relative "../../lib/nimble_eyelet"
require_relative "../problem"
require_relative "../store/accounts"
require_relative "../store/errors"
require_relative "../store/members"
require_relative "../store/person"
require_relative "access"
require_relative "rights"
require_relative "sign_in_settings"

module NimbleEyelet
  module Http
    module SignIn
      PREFIX = "/api/account"
      DEVICE_COOKIE = "nimble_eyelet_device"
      SESSION_COOKIE = "nimble_eyelet_session"
      REMEMBER_COOKIE = "nimble_eyelet_stay"

      WRONG = "Email and password do not match. After many tries, wait an hour or ask for a new password."
      PASSKEY_WRONG = "This passkey opens no account here. Sign in with your password."
      NOT_INVITED = "You need a new invitation: ask for one."

      # @param db [Sequel::Database]
      # @param access [Access]
      # @param now [#call]
      # @return [Class] Rack middleware
      def self.of(db, access, now: -> { Time.now })
        Class.new(Roda) do
          plugin :middleware, forward_response_headers: true
          plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
          plugin :rodauth, json: :only do
            SignInSettings.apply(self, db, access, now)
          end
          route { |request| SignIn.enter(self, request, db, access) }
        end
      end

      # @param access [Access]
      # @return [Hash] for the cookie of a session, which is sealed and ends with the browser
      def self.session(access)
        { secret: access.session_key, key: SESSION_COOKIE, max_seconds: Store::Accounts::LASTS, max_idle_seconds: Store::Accounts::IDLE,
          cookie_options: { path: "/", same_site: :lax, http_only: true, secure: access.secure } }
      end

      # @param roda [Roda] of this request
      def self.enter(roda, request, db, access)
        return unless request.path_info.start_with?("/api/")

        env = request.env
        env[Rights::PERSON] = access.asked ? person(roda, request, db) : Store::Person::OWN
        request.on("api/account") { request.rodauth } if request.post?
        nil
      end

      # Who signed in with a password or a passkey comes before whom the device was paired for.
      def self.person(roda, request, db)
        accounts = Store::Accounts.new(db)
        rodauth = roda.rodauth
        rodauth.load_memory unless rodauth.logged_in?
        found = rodauth.logged_in? && signed_in(rodauth, accounts)
        found ||= request.cookies[DEVICE_COOKIE]&.then { |token| accounts.on_device(token) }
        found || Store::Person::NOBODY
      end

      def self.signed_in(rodauth, accounts)
        session = rodauth.session[rodauth.session_id_session_key]
        found = session && accounts.signed_in(rodauth.session_value.to_i, rodauth.compute_hmac(session))
        # Rodauth believes what is in it. Elsewhere it stays: what was asked before somebody signed in again, and is
        # answered after, would take the new one away.
        rodauth.clear_session if found.nil? && rodauth.request.post? && rodauth.request.path_info.start_with?(PREFIX)
        found
      end
      private_class_method :person, :signed_in

      # Nobody makes themself an account: there is an invitation, or it is the first one and made on this machine.
      def self.before_create(rodauth, db, now)
        name = rodauth.param("name").gsub(/[[:space:]]+/, " ").strip
        unless name.length.between?(1, 80)
          rodauth.send(:throw_error_status, 422, "name", "What should others call you? At most 80 characters.")
        end
        rodauth.account[:name] = name
        token = rodauth.param_or_nil("invitation")
        if token
          Store::Members.invitation(db, token, now: now.call)
        elsif !rodauth.request.env[Rights::PERSON].own? || Store::Accounts.new(db).any?
          raise Store::Missing
        end
      rescue Store::Missing
        rodauth.send(:throw_error_status, 422, "invitation", NOT_INVITED)
      end

      # What a browser needs to make or to find a passkey.
      OPTIONS = %w[webauthn_setup webauthn_setup_challenge webauthn_setup_challenge_hmac
                   webauthn_auth webauthn_auth_challenge webauthn_auth_challenge_hmac].freeze

      # The same answer for every failure there: another one would tell whether there is such an account.
      ALWAYS = { "login" => ["password", WRONG], "webauthn-login" => [nil, PASSKEY_WRONG] }.freeze
      # Answered alike whether there is such an account or not.
      SILENT = "reset-password-request"

      # @param hash [Hash] as Rodauth answers
      # @return [String] JSON in our own shape
      def self.answer(rodauth, hash)
        response = rodauth.response
        response.headers["cache-control"] = "no-store"
        options = hash.slice(*OPTIONS)
        at = rodauth.request.path_info.delete_prefix("#{PREFIX}/")
        response.status = 200 if options.any? || at == SILENT
        return JSON.generate(options) if options.any?
        return JSON.generate({ done: "yes" }) if hash["error"].nil? || at == SILENT

        field, said = ALWAYS[at] || hash["field-error"]
        problem(response, field, said || in_our_words(hash["error"]))
      end

      def self.in_our_words(error) = error.end_with?(".") ? error : "#{error}."

      # 401 is kept for whoever is not signed in, 422 is what was typed.
      def self.problem(response, field, said)
        status = response.status.to_i
        status = 422 if field || status < 400 || (status == 401 && said == PASSKEY_WRONG)
        response.status = status
        response.headers["content-type"] = Problem::TYPE
        faults = field ? { faults: [{ field: field, given: "", allowed: said }] } : {}
        Problem.new(status, said, **faults).body
      end
      private_class_method :in_our_words, :problem
    end
  end
end
