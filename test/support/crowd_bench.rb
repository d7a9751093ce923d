# frozen_string_literal: true

# Fifty workrooms of four people each, signed in, with live lines open, on two server processes: what a save takes then,
# beside what it takes one person alone on the same servers. People save every so often; whoever is in the same workroom
# is told and reads again.

require "argon2"
require "net/http"
require "socket"
require "uri"
require_relative "household"
require_relative "world"
require_relative "../../app/server/entrance"
require_relative "../../app/store/workroom_copy"

module NimbleEyelet
  module Support
    class CrowdBench
      PEOPLE = 4
      PROCESSES = 2
      # Each of them saves about every so many seconds.
      PAUSE = 30
      LASTS = 45
      ALONE = 60
      AIM = 2
      # Seconds until somebody asks again.
      AGAIN = 0.5
      PASSWORD = Visitor::PASSWORD
      START = File.expand_path("../../app/server/start.rb", __dir__)

      # One of them: what they look at, and the cookie they came with.
      Guest = Struct.new(:slug, :closure, :cookie, :version, :number)

      # @param rooms [Integer]
      def self.run(world, rooms = 50) = new(world, rooms).run

      def initialize(world, rooms)
        @world = world
        @count = rooms
        @db = world.db
        @lock = Mutex.new
        @told = 0
        @turned_away = 0
      end

      def run
        rooms = Array.new(@count) { |number| room(number) }
        serve do
          guests = rooms.flat_map { |slug, closure| Array.new(PEOPLE) { |n| guest(slug, closure, n) } }
          alone = Array.new(ALONE) { save(guests.first) }
          crowded = with_lines(guests) { crowd(guests) }
          say(alone, crowded)
        end
      end

      private

      def room(number)
        sample = Store::Workrooms.new(@db).find("marsh-walk")
        room = Store::Workrooms.new(@db).begin(name: "Bench #{number}")
        Store::WorkroomCopy.new(@db, sample).into(room)
        PEOPLE.times { |n| member(room, number, n) }
        [room.slug, room.scope[:closures].order(:id).get(:id)]
      end

      # All of them have one password, worked out once.
      def member(room, number, place)
        id = @db[:accounts].insert(email: email(room.slug, place), name: "Person #{number} #{place}")
        @db[:account_password_hashes].insert(id: id, password_hash: password)
        @db[:members].insert(workroom_id: room.id, account_id: id, role: place.zero? ? "owner" : "sews")
      end

      def access = @access ||= Http::Access.new(asked: true, secret: Household::SECRET)

      def password
        @password ||= Argon2::Password.new(**Http::SignInSettings::COST,
secret: access.key("passwords")).create(PASSWORD)
      end

      def email(slug, place) = "#{slug}-#{place}@marsh.example"

      def serve
        @port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
        around = { "DATABASE_URL" => @db.uri, "PORT" => @port.to_s, "WEB_CONCURRENCY" => PROCESSES.to_s,
                   "TRUST_PROXY" => "on", "NIMBLE_EYELET_SECRET" => Household::SECRET, "NIMBLE_EYELET_CALIPER" => "none" }
        io = IO.popen(around, [RbConfig.ruby, "--yjit", START], err: File::NULL)
        io.each_line { |line| break if line.include?("http://") }
        Thread.new { drained(io) }
        yield
      ensure
        Process.kill("TERM", io.pid)
        io.close
      end

      def drained(io)
        io.each_line { nil }
      rescue IOError
        nil
      end

      def guest(slug, closure, place)
        found = Guest.new(slug, closure, nil, nil, place)
        answer = ask(found, Net::HTTP::Post, "/api/account/login", { email: email(slug, place), password: PASSWORD })
        found.cookie = answer.get_fields("set-cookie").map { |line| line.split(";").first }.join("; ")
        read(found)
        found
      end

      def ask(guest, verb, path, body = nil)
        address = "198.51.#{guest.slug[/\d+/].to_i}.#{guest.number + 1}"
        sent = { "X-Nimble-Eyelet" => "1", "Cookie" => guest.cookie, "X-Forwarded-For" => address,
                 "Accept-Encoding" => "gzip", "If-Match" => guest.version && "\"#{guest.version}\"", "Content-Type" => body && "application/json" }.compact
        request = verb.new(path, sent)
        request.body = body && JSON.generate(body)
        let_in { Net::HTTP.start("127.0.0.1", @port) { |http| http.request(request) } }
      end

      # Who is turned away because too many ask at once asks again, as a page does.
      def let_in
        answer = yield
        while answer.code == "503"
          @lock.synchronize { @turned_away += 1 }
          sleep(AGAIN)
          answer = yield
        end
        answer
      end

      def read(guest)
        answer = ask(guest, Net::HTTP::Get, "/api/workrooms/#{guest.slug}/closures/#{guest.closure}?station=button")
        raise answer.body unless answer.code == "200"

        guest.version = JSON.parse(text(answer))["version"]
      end

      def text(answer) = answer["content-encoding"] == "gzip" ? Zlib.gunzip(answer.body) : answer.body

      # @return [Float, nil] milliseconds; nil when somebody else was quicker, and it has to be looked at first
      def save(guest)
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        body = { "button.diameter" => (15 + rand(80).fdiv(10)).to_s }
        answer = ask(guest, Net::HTTP::Patch, "/api/workrooms/#{guest.slug}/closures/#{guest.closure}/plan?station=button", body)
        spent = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
        return read(guest) && nil if answer.code == "412"
        raise "#{answer.code} #{answer.body}" unless answer.code == "200"

        guest.version = JSON.parse(text(answer))["version"]
        spent
      end

      # Each has a live line open, and reads again when it is told of a change.
      def with_lines(guests)
        threads = guests.map { |guest| Thread.new { listen(guest) } }
        yield
      ensure
        threads.each(&:kill)
      end

      def listen(guest)
        Socket.tcp("127.0.0.1", @port) do |line|
          line.write("GET /api/workrooms/#{guest.slug}/live HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: #{guest.cookie}\r\n" \
                     "X-Forwarded-For: 198.51.#{guest.slug[/\d+/].to_i}.#{guest.number + 1}\r\n\r\n")
          line.each_line do |text|
            next unless text.start_with?("data: {\"") && text.include?("closure")

            @lock.synchronize { @told += 1 }
            read(guest)
          end
        end
      end

      def crowd(guests)
        ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + LASTS
        threads = guests.map do |guest|
          Thread.new do
            spent = []
            sleep rand * PAUSE
            while Process.clock_gettime(Process::CLOCK_MONOTONIC) < ends
              spent << save(guest)
              sleep PAUSE * (0.5 + rand)
            end
            spent
          end
        end
        threads.flat_map(&:value)
      end

      def say(alone, crowded)
        (median, slow), (crowded_median, crowded_slow) = [alone, crowded].map do |list|
          middle_and_slow(list.compact.sort)
        end
        puts format("a save, one person alone: median %.0f, p95 %.0f ms", median, slow)
        puts format("%d people in %d workrooms on %d processes, each saving every %d s, live lines open: median %.0f, p95 %.0f ms, " \
                    "%.1f times alone (aim %d)", @count * PEOPLE, @count, PROCESSES, PAUSE, crowded_median, crowded_slow,
                    crowded_slow / slow, AIM)
        puts format("  %d saves, told %d times; turned away %d times", crowded.compact.size, @told, @turned_away)
      end

      def middle_and_slow(sorted) = [sorted[sorted.size / 2], sorted[sorted.size * 95 / 100]]
    end
  end
end
