# frozen_string_literal: true

# People: who is signed in, who belongs to a workroom, who is there, and how far a class is.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module PeopleView
      # What happened with an account, as its owner reads it.
      HAPPENED = { "login" => "Signed in", "login_failure" => "Wrong password", "logout" => "Signed out",
                   "create_account" => "Account made", "change_password" => "Password changed",
                   "reset_password_request" => "New password asked for", "reset_password" => "New password",
                   "webauthn_setup" => "Passkey added", "webauthn_remove" => "Passkey deleted",
                   "load_memory" => "Signed in again by itself", "account_lockout" => "Locked for an hour after many wrong passwords",
                   "device" => "Device paired", "device_ended" => "Device ended" }.freeze

      # @param person [Store::Person]
      # @param asked [Boolean] whether people sign in here
      # @param any [Boolean] whether there is an account
      # @param letters [String, nil] the folder where letters lie that nobody carries
      # @return [Hash]
      def self.account(person, asked:, any:, letters:)
        { asks: asked, kind: person.kind.to_s, account: person.account, name: person.name, email: person.email,
          keeper: person.keeper || person.own?,
          any: any, letters: person.may?("keeper", nil) ? letters : nil }
      end

      # @param security [Hash] of Store::Accounts
      # @param person [Store::Person]
      # @return [Hash]
      def self.security(security, person)
        sessions, devices, passkeys, log = security.values_at(:sessions, :devices, :passkeys, :log)
        { sessions: sessions.map { |row| signed_in(row, row[:session_id], row[:created_at], row[:last_use], person) },
          devices: devices.map { |row| signed_in(row, row[:id], row[:made_at], row[:seen_at], person) },
          passkeys: passkeys.map { |row| { id: row[:webauthn_id], last: time(row[:last_use]) } },
          log: log.map { |row| { at: time(row[:at]), says: HAPPENED.fetch(row[:message], row[:message]) } } }
      end

      def self.signed_in(row, id, since, last, person)
        { id: id, name: row[:name], since: time(since), last: time(last), this: id == person.session }
      end

      # @param person [Store::Person]
      # @param role [String, nil]
      # @return [Hash] as what somebody is in a workroom
      def self.you(person, role)
        { kind: person.kind.to_s, account: person.account, name: person.name, role: person.own? ? "owner" : role.to_s,
          may: person.rights(role) }
      end

      # @param members [Array<Hash>]
      # @param invited [Array<Hash>]
      # @return [Hash]
      def self.people(members, invited)
        { people: members.map do |row|
          { account: row[:account_id], name: row[:name], role: row[:role], since: time(row[:since]) }
        end,
          invited: invited.map do |row|
            { id: row[:id], name: row[:name], role: row[:role], until: time(row[:deadline]) }
          end }
      end

      # @param rows [Array<Hash>] of Store::Presences
      # @param screen [String, nil] the one that asks
      # @return [Array<Hash>]
      def self.here(rows, screen)
        rows.reject { |row| row[:screen] == screen }.map do |row|
          { account: row[:account_id], name: row[:name], place: row[:place], machine: row[:machine] }
        end.uniq
      end

      # @param progress [Array<Store::ClassCopies::Progress>]
      # @return [Array<Hash>]
      def self.class_of(progress)
        progress.map { |one| { **one.to_h, last: one.last && time(one.last) } }
      end

      def self.time(time) = time.utc.iso8601
      private_class_method :signed_in, :time
    end
  end
end
