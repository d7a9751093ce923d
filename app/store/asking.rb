# frozen_string_literal: true

# Asking tells the database who asks, so that its row-level security gives out only what belongs to them: the lock
# beneath {Scope}. Told whenever a thread takes a connection on which somebody else asked before.
#
#   db.as(7) { db[:closures].all }       # what account 7 belongs to
#   db.as("w3") { db[:closures].all }    # workroom 3 alone
#   db[:closures].all                    # the application itself: everything
#   db.as("") { db[:closures].all }      # nobody: => []

require "sequel"

module NimbleEyelet
  module Store
    module Asking
      # The application itself: starting, migrating, emptying out, and one person's own machine.
      ALL = "all"
      FORM = /\A(all|w?\d{1,9}|)\z/
      THREAD = :nimble_eyelet_who
      private_constant :FORM, :THREAD

      # @param who [Integer, String] id of an account; "w" and the id of a workroom; {ALL}; or "" for nobody
      def as(who)
        raise ArgumentError, "nobody is called #{who.inspect}" unless who.to_s.match?(FORM)

        before = Thread.current.thread_variable_get(THREAD)
        Thread.current.thread_variable_set(THREAD, who.to_s)
        yield
      ensure
        Thread.current.thread_variable_set(THREAD, before)
      end

      # @return [String]
      def who = Thread.current.thread_variable_get(THREAD) || ALL

      # Sequel takes every connection through here.
      def synchronize(server = nil)
        super do |connection|
          tell(connection) unless connection.instance_variable_get(:@nimble_who) == who
          yield connection
        end
      end

      private

      # A transaction that is rolled back takes this back with it: then it is told anew.
      def tell(connection)
        check_database_errors { connection.execute("SET nimble.who = '#{who}'") }
        idle = connection.transaction_status == PG::PQTRANS_IDLE
        connection.instance_variable_set(:@nimble_who, idle ? who : nil)
      end
    end
  end
end
