# frozen_string_literal: true

# World is a throwaway database with the sample workroom, and the application over it.
#
#   World.open { |world| world.serve }   # => "http://127.0.0.1:40123"

require "net/http"
require "puma"
require "puma/server"
require "tmpdir"
require "nokogiri" # before libvips, which brings a libxml of its own
require_relative "../../app/server/cluster"
require_relative "../../app/http/web"
require_relative "../../app/store/sample"
require_relative "../../app/device/stand_in_caliper"
require_relative "first_day"

module NimbleEyelet
  module Support
    class World
      # @return [Sequel::Database]
      attr_reader :db

      # @return [Server::Cluster]
      attr_reader :cluster

      # @return [Proc(Hash, #call), nil] who stands between a browser and the server: a proxy, a fault
      attr_accessor :between

      # @param story [Boolean] whether the sample lies in the middle of the work
      # @yieldparam world [World]
      def self.open(story: false)
        world = new(story: story)
        yield world
      ensure
        world&.close
      end

      NAME = "nimble_eyelet_test"

      def initialize(story: false)
        @folder = Dir.mktmpdir("nimble-eyelet-")
        File.chmod(0o755, @folder)
        @cluster = Server::Cluster.new(File.join(@folder, "postgres"), throwaway: true).start
        @db = Store::Database.connect(@cluster.database(NAME))
        Store::Database.migrate(@db)
        Store::Sample.new(@db, story: story, album: album).first
        @first = FirstDay.new(@cluster, NAME)
      end

      # Back to the sample workroom, with the ids it began with.
      def reset = @first.again

      def app(**options)
        Http::Web.application(db: @db, log: ENV.fetch("NIMBLE_EYELET_LOG", nil) && $stderr,
                              album: album, **options)
      end

      def album = @album ||= Store::Album.in(File.join(@folder, "photos"))

      # @return [String] address of a real server in this process
      def serve(port: 0)
        @live = Http::Live.new(@db.uri)
        served = app(caliper: caliper, live: @live)
        @server = Puma::Server.new(->(env) { between ? between.call(env, served) : served.call(env) }, nil,
                                   { min_threads: 1, max_threads: 6, log_writer: Puma::LogWriter.null })
        bound = @server.add_tcp_listener("127.0.0.1", port).addr[1]
        @server.run
        "http://127.0.0.1:#{bound}"
      end

      # @return [Device::Gauge] a stand-in caliper in this process
      def caliper
        @caliper ||= Device::StandInCaliper.new(random: Random.new(7)).tap { |caliper| Thread.new { caliper.run } }
        Device::Gauge.at("stand-in:#{@caliper.port}")
      end

      def serving? = !@server.nil?

      # Stops the server as a crash would look from outside.
      def stop_serving
        @live&.close
        @server&.stop(true)
        @server = nil
      end

      def close
        stop_serving
        @caliper&.close
        @first&.close
        @db&.disconnect
        @cluster&.stop
        FileUtils.rm_rf(@folder)
      end
    end
  end
end
