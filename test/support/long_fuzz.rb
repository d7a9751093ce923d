# frozen_string_literal: true

# The long run behind bin/fuzz: as somebody alone on their own machine, and as everybody there is where people sign in.

require "tmpdir"
require_relative "world"
require_relative "fuzz"
require_relative "household"

module NimbleEyelet
  module Support
    class LongFuzz
      include Household

      # So many before everything is put back, or it would be gone.
      AT_ONCE = 500
      # By what a browser kept is signed out by itself, and everybody's account stays.
      ENDS = %r{/(logout|close-account|sessions/[^/]+|devices/\d+|pairings/own|people/(own|\d+))\z}

      attr_reader :world

      def initialize(world, seed)
        @world = world
        @random = Random.new(seed)
      end

      # @return [Array<String>] what was wrong
      def run(times)
        who = %i[own ana bo cy di tablet nobody]
        who.flat_map { |name| (1..(times / who.size)).each_slice(AT_ONCE).flat_map { |some| once(name, some.size) } }
      end

      private

      def db = world.db
      def version = "#{db[:identity].get(:id)}.#{db[:closures].where(id: 1).get(:version)}"

      def once(name, times)
        world.reset
        asked = name == :own ? world.app : as(household.fetch(name))
        Fuzz.new(asked, @random, version: method(:version)).run(times).map { |wrong| "#{name}: #{wrong}" }
      end

      def as(visitor)
        lambda do |env|
          next [204, {}, []] if env["PATH_INFO"].match?(ENDS)

          Http::Tries::GATE.cache.store.clear
          shared_app.call(env.merge("HTTP_COOKIE" => visitor.cookies.map { |pair| pair.join("=") }.join("; ")))
        end
      end
    end
  end
end

times = Integer(ARGV[0] || "20000")
seed = Integer(ARGV[1] || Random.rand(1_000_000).to_s)
NimbleEyelet::Support::World.open do |world|
  bad = NimbleEyelet::Support::LongFuzz.new(world, seed).run(times)
  puts bad
  puts "#{times} requests from seed #{seed}, by everybody: #{bad.size} answers that should not be"
  exit(bad.empty? ? 0 : 1)
end
