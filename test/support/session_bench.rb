# frozen_string_literal: true

# SessionBench measures the order of sessions: how many are proven within half a second, what is gained against the two
# plain orders, and whether trying everything finds better ones. Then how soon a listening screen is told, and what
# listening holds.

require "socket"
require_relative "sessions"

module NimbleEyelet
  module Support
    module SessionBench
      SESSIONS = 200
      SMALL = 3000
      LISTENERS = 300

      def self.run(world = nil)
        orders
        everything
        live(world) if world
        world&.reset
      end

      def self.orders(random = Random.new(7))
        told = Array.new(SESSIONS) do
          chains = Sessions.chains(random, random.rand(2..6))
          start = cpu
          found = Schedule::SessionOrder.of(chains, costs: Sewing::Changeover::USUAL)
          { spent: cpu - start, found: found, work: chains.sum(&:seconds) }
        end
        proven = told.count { |one| one[:found].proven? && one[:spent] < 0.5 }
        spent = told.map { |one| one[:spent] }.sort
        puts format("sessions of 2 to 6 closures: %d of %d proven within 0.5 s CPU (aim 95 %%), the middle one in %.3f s, " \
                    "19 in 20 in %.2f s", proven, SESSIONS, spent[SESSIONS / 2], spent[(SESSIONS * 0.95).to_i])
        gains(told)
      end

      # What is not work: changing the machine, and waiting.
      def self.gains(told)
        lost = ->(one, seconds) { [seconds - one[:work], 1].max.to_f }
        one_by_one, by_stages = %i[one_by_one by_stages].map do |plain|
          told.sum { |one| lost[one, one[:found].seconds] / lost[one, one[:found].public_send(plain)] } / told.size
        end
        worse = told.count { |one| one[:found].seconds > [one[:found].one_by_one, one[:found].by_stages].min }
        puts format("changing and waiting: %.2f of one closure after the other, %.2f of stage by stage (aim 0.6), " \
                    "worse than either: %d", one_by_one, by_stages, worse)
      end

      def self.everything(random = Random.new(20_261_128))
        wrong = SMALL.times.count do
          chains, from = Sessions.small(random)
          found = Schedule::SessionOrder.of(chains, costs: Sewing::Changeover::USUAL, from: from)
          found.seconds != Sessions::Everything.new(chains, from).best
        end
        puts "small sessions in which trying everything finds another end: #{wrong} of #{SMALL}"
      end

      def self.live(world)
        before = Thread.list.size
        live = Http::Live.new(world.db.uri)
        workroom = world.db[:workrooms].get(:id)
        lines = Array.new(LISTENERS) do
          Socket.pair(:UNIX, :STREAM).tap do |_, theirs|
            live.add(theirs, workroom)
          end.first
        end
        threads = Thread.list.size - before
        lines.each { |line| read(line, "again") }
        start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        world.db[:sittings].insert(workroom_id: workroom, machine_id: world.db[:machines].get(:id))
        lines.each { |line| read(line, "change") }
        puts format("%d screens that listen hold %d thread, and all are told within %.1f ms", LISTENERS, threads,
                    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000)
      ensure
        live&.close
      end

      def self.read(line, word)
        found = +""
        found << line.readpartial(1000) until found.include?(word)
      end

      def self.cpu = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
      private_class_method :orders, :gains, :everything, :live, :read, :cpu
    end
  end
end
