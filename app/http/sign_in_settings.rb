# frozen_string_literal: true

# SignInSettings is what Rodauth is told: its tables, how long things last, and every sentence in our own words.

require "sequel"
require_relative "../store/accounts"
require_relative "../store/members"
require_relative "browser_name"
require_relative "guessable"
require_relative "rights"
require_relative "sign_in_words"

module NimbleEyelet
  module Http
    module SignInSettings
      FEATURES = %i[login logout create_account active_sessions remember reset_password change_password lockout argon2
                    webauthn_login webauthn_autofill audit_logging close_account json].freeze

      # Of Argon2id, more than OWASP asks for at least: passes, and memory as a power of two, KiB.
      COST = { t_cost: 2, m_cost: 15 }.freeze
      # After so many wrong passwords an account opens to nobody for an hour.
      MOST_WRONG = 20

      # @param rodauth [Rodauth::Configuration]
      # @param db [Sequel::Database]
      # @param access [Access]
      # @param now [#call]
      def self.apply(rodauth, db, access, now)
        rodauth.enable(*FEATURES)
        tables(rodauth, db)
        emails(rodauth)
        keys(rodauth, access)
        passwords(rodauth)
        sessions(rodauth, access)
        locking(rodauth)
        letters(rodauth, access)
        passkeys(rodauth)
        coming(rodauth, db, access, now)
        leaving(rodauth, db)
      end

      def self.tables(rodauth, db)
        rodauth.instance_exec do
          db db
          prefix SignIn::PREFIX
          accounts_table :accounts
          login_column :email
          login_param "email"
          password_param "password"
          set_deadline_values? true
          use_database_authentication_functions? false
          only_json? true
          json_response_success_key "done"
          json_response_body { |hash| SignIn.answer(self, hash) }
          require_login_confirmation? false
          require_password_confirmation? false
          # Whether there is such an account would be told by asking for its password.
          use_multi_phase_login? false
          require_login_error_flash Rights::SIGN_IN
          already_logged_in { nil }
        end
      end

      def self.emails(rodauth)
        rodauth.instance_exec do
          normalize_login { |text| text.to_s.strip.downcase }
          already_an_account_with_this_login_message SignInWords::ALREADY
          login_does_not_meet_requirements_message do
            @login_requirement_message == SignInWords::ALREADY ? SignInWords::ALREADY : SignInWords::NO_EMAIL
          end
        end
      end

      def self.keys(rodauth, access)
        rodauth.instance_exec do
          hmac_secret access.key("rodauth")
          argon2_secret access.key("passwords")
          require_bcrypt? false
          password_hash_cost COST unless ENV["RACK_ENV"] == "test"
          domain { request.host }
          base_url { access.address || request.base_url }
        end
      end

      def self.passwords(rodauth)
        rodauth.instance_exec do
          password_minimum_length SignInWords::SHORTEST
          password_maximum_length SignInWords::LONGEST
          password_meets_requirements? do |password|
            super(password) && !Guessable.password?(password, account ? [account[:email], account[:name]] : [])
          end
          password_does_not_meet_requirements_message do
            SignInWords.wrong_with(param_or_nil(new_password_param) || param(password_param))
          end
          invalid_password_message SignInWords::NOT_YOURS
          invalid_previous_password_message SignInWords::NOT_YOURS
          same_as_existing_password_message SignInWords::SAME
        end
      end

      def self.sessions(rodauth, access)
        rodauth.instance_exec do
          session_inactivity_deadline Store::Accounts::IDLE
          session_lifetime_deadline Store::Accounts::LASTS
          active_sessions_insert_hash { super().merge(name: BrowserName.of(request.user_agent)) }
          remember_cookie_key SignIn::REMEMBER_COOKIE
          remember_cookie_options(path: "/", same_site: :lax, secure: access.secure, http_only: true)
          remember_deadline_interval(days: 30)
          remember_period(days: 30)
          remember_route nil
          after_login do
            super()
            remember_login if param_or_nil("stay") == "true"
          end
        end
      end

      def self.locking(rodauth)
        rodauth.instance_exec do
          max_invalid_logins MOST_WRONG
          account_lockouts_deadline_interval(hours: 1)
          unlock_account_route nil
          unlock_account_request_route nil
          # Taking longer over one email than over another tells which of them is known.
          after_no_matching_login { password_hash("of nobody") }
        end
      end

      def self.letters(rodauth, access)
        rodauth.instance_exec do
          reset_password_deadline_interval(hours: 1)
          reset_password_email_link { "#{base_url}/new-password##{token_param_value(reset_password_key_value)}" }
          send_reset_password_email do
            SignInWords.send_letter(access.post, account[:email], reset_password_email_link)
          end
          after_reset_password do
            super()
            clear_invalid_login_attempts
          end
          no_matching_reset_password_key_error_flash SignInWords::NO_LONGER
        end
      end

      # In the place of a password, not beside it.
      def self.passkeys(rodauth)
        rodauth.instance_exec do
          webauthn_origin { request.env["HTTP_ORIGIN"] || request.base_url }
          webauthn_rp_name "Nimble Eyelet"
          webauthn_user_name { account[:email] }
          webauthn_auth_route nil
          two_factor_modifications_require_password? true
          auth_class_eval do
            def two_factor_authentication_setup? = false
            def uses_two_factor_authentication? = false
          end
        end
      end

      def self.coming(rodauth, db, access, now)
        rodauth.instance_exec do
          create_account_route "create"
          create_account_autologin? access.asked
          before_create_account { SignIn.before_create(self, db, now) }
          after_create_account do
            super()
            first = Store::Accounts.new(db).first(account_id)
            token = param_or_nil("invitation")
            Store::Members.accept(db, token, account_id, now: now.call) if token && !first
          end
        end
      end

      def self.leaving(rodauth, db)
        rodauth.instance_exec do
          before_close_account { @closing = account_id }
          after_close_account do
            super()
            Store::Accounts.new(db).close(@closing)
          end
          # What happened with it goes with it.
          audit_log_message_for :close_account, nil
        end
      end
      private_class_method :tables, :emails, :keys, :passwords, :sessions, :locking, :letters, :passkeys, :coming, :leaving
    end
  end
end
