# frozen_string_literal: true

# NewAccount makes an account in the terminal: the first one, which has everything there is, before others are let in.
#
#   ruby app/server/new_account.rb   # what bin/account does

require "io/console"
require "rack/mock"
require_relative "../http/rights"
require_relative "../http/sign_in"
require_relative "../store/accounts"
require_relative "../store/database"
require_relative "../store/person"
require_relative "backup"
require_relative "cluster"
require_relative "entrance"

module NimbleEyelet
  module Server
    class NewAccount
      # There is no account, and nobody to ask for one.
      class None < StandardError; end

      NOBODY = "Nobody can sign in yet. Make the first account with bin/account, or start without sharing and tap “Share” at the top."

      # Asks for the first account where there is none.
      #
      # @param db [Sequel::Database]
      # @param access [Http::Access]
      # @raise [None]
      def self.first(db, access)
        return if Store::Accounts.new(db).any?
        raise None, NOBODY unless $stdin.tty?

        puts "Others sign in here. First make your own account."
        new(db, access).ask
      end

      def initialize(db, access, input: $stdin, output: $stdout)
        @db = db
        @access = access
        @input = input
        @output = output
      end

      # Asks until it is made.
      #
      # @return [void]
      def ask
        faults = make(name: answer("Your name: "), email: answer("Your email: "), password: secret("A password: "))
        return @output.puts("You have an account now.") if faults.empty?

        faults.each { |fault| @output.puts fault }
        raise None, "No account was made." unless @input.tty?

        ask
      end

      # @return [Array<String>] what is wrong; nothing when it is made
      def make(name:, email:, password:)
        typed = JSON.generate({ name: name, email: email, password: password })
        sent = Rack::MockRequest.env_for("#{Http::SignIn::PREFIX}/create", :method => "POST", :input => typed,
                                                                           "CONTENT_TYPE" => "application/json", "rack.session" => {})
        nobody = ->(_) { [404, {}, []] }
        status, _, body = Http::SignIn.of(@db, @access.with(asked: false)).new(nobody).call(sent)
        return [] if status == 200

        said = JSON.parse(body.each.to_a.join)
        said.fetch("faults", [{ "allowed" => said["detail"] }]).map { |fault| fault["allowed"] }
      end

      private

      def answer(question)
        @output.print question
        @input.gets.to_s.strip
      end

      def secret(question)
        @output.print question
        return @input.gets.to_s.chomp unless @input.tty?

        @input.noecho(&:gets).to_s.chomp.tap { @output.puts }
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  module NimbleEyelet
    begin
      Server::Backup.with_database(ENV) do |url|
        db = Store::Database.connect(url)
        Store::Database.migrate(db)
        if Store::Accounts.new(db).any?
          abort "There is an account already. Whoever owns a workroom invites others under “People”."
        end
        var = ENV.fetch("NIMBLE_EYELET_VAR", File.expand_path("../../var", __dir__))
        Server::NewAccount.new(db, Server::Entrance.new(ENV, var: var).access(0)).ask
      end
    rescue Server::NewAccount::None, Server::Cluster::Failed, ArgumentError => e
      abort e.message
    end
  end
end
