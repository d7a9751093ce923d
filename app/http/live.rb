# frozen_string_literal: true

# Live tells listening screens what happens, as server-sent events. One thread a process hears it from the database and
# tells it on; a screen that listens holds none. Only what kind of thing it was and of which closure is said: what it
# came to is asked for by whoever wants to know.
#
#   live = Http::Live.new(url)
#   use Http::Live::Door, live, db
#   live.close

require "json"
require "pg"
require_relative "../problem"
require_relative "../store/database"
require_relative "../store/errors"
require_relative "../store/workrooms"
require_relative "guards"

module NimbleEyelet
  module Http
    class Live
      # Seconds after which a quiet line is told that it is still there, and before the database is tried again.
      BEAT = 15
      AGAIN = 1
      # A line ends by itself after so long, and is opened again: whoever may not hear any more does not. Seconds
      LASTS = 600
      # Screens that one process tells; more of them ask by themselves.
      MOST = 1000

      # @param url [String] of the database
      def initialize(url)
        @url = url
        @lock = Mutex.new
        @listeners = {}
      end

      # @return [Integer] screens that listen
      def count = @lock.synchronize { @listeners.size }

      # @param socket [IO] that nobody else reads or writes any more
      # @param workroom [Integer]
      def add(socket, workroom)
        @lock.synchronize { @listeners[socket] = [workroom, now] }
        send_to(socket, ": here\nretry: 1000\n\n")
        hear
      end

      def full? = count >= MOST

      # Nobody is told anything any more; every line ends.
      def close
        @thread&.kill
        @thread = nil
        sockets = @lock.synchronize { @listeners.keys.tap { @listeners.clear } }
        sockets.each { |socket| shut(socket) }
      end

      private

      # Begun with the first who listens, and so after the processes were forked.
      def hear
        @lock.synchronize { @thread = Thread.new { listen } unless @thread&.alive? }
      end

      def listen
        loop do
          connection = PG.connect(@url)
          connection.exec("LISTEN nimble_eyelet")
          tell_all("event: again\ndata: {}\n\n")
          loop { beat unless connection.wait_for_notify(BEAT) { |_, _, said| told(said) } }
        rescue PG::Error
          sleep AGAIN
        ensure
          connection&.close
        end
      end

      def told(said)
        change = JSON.parse(said)
        here = @lock.synchronize { @listeners.select { |_, (workroom, _)| workroom == change["workroom"] }.keys }
        here.each { |socket| send_to(socket, "event: change\ndata: #{JSON.generate(change.except('workroom'))}\n\n") }
      end

      def beat
        old = @lock.synchronize { @listeners.select { |_, (_, since)| now - since > LASTS }.keys }
        old.each { |socket| drop(socket) }
        tell_all(": \n\n")
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      def tell_all(text) = @lock.synchronize { @listeners.keys }.each { |socket| send_to(socket, text) }

      # Whoever does not read, or is gone, is let go.
      def send_to(socket, text)
        sent = socket.write_nonblock(text, exception: false)
        drop(socket) unless sent == text.bytesize
      rescue SystemCallError, IOError
        drop(socket)
      end

      def drop(socket)
        @lock.synchronize { @listeners.delete(socket) }
        shut(socket)
      end

      def shut(socket)
        socket.close
      rescue SystemCallError, IOError
        nil
      end

      # The address where screens listen, in front of everything that answers at once.
      class Door
        ADDRESS = %r{\A/api/workrooms/([a-z0-9-]{1,80})/live\z}
        HEADERS = { "content-type" => "text/event-stream", "cache-control" => "no-store",
                    "x-accel-buffering" => "no" }.freeze

        def initialize(app, live, db)
          @app = app
          @live = live
          @db = db
        end

        def call(env)
          slug = env["REQUEST_METHOD"] == "GET" && env["PATH_INFO"][ADDRESS, 1]
          return @app.call(env) unless slug
          return later unless @live && env["rack.hijack?"] && !@live.full?

          id = Store::Workrooms.new(@db).find(slug).id
          [200, HEADERS.merge("rack.hijack" => ->(socket) { @live.add(socket, id) }), []]
        rescue Store::Missing
          Problem.new(404, "There is no such workroom.").render
        rescue *Store::Database::AWAY
          later
        end

        private

        def later = Problem.new(503, "Nobody can listen here just now: ask every now and then instead.").render
      end
    end
  end
end
