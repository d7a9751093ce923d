# frozen_string_literal: true

# A stand-in for a digital caliper on a serial line, as a small process of its own: it answers
# "?" with a reading that jitters as a hand does, in the unit its key was last pressed to, less the
# place where it was zeroed. Its jaws are set by "jaws 18".
#
#   ruby app/device/stand_in_caliper.rb 4571      # prints the port, serves until its input closes

require "socket"

module NimbleEyelet
  module Device
    class StandInCaliper
      HOST = "127.0.0.1"
      # A careful hand is within this of the truth, mm.
      JITTER = 0.03
      # What the display shows: decimals, and millimetres in one.
      UNITS = { "mm" => [2, 1.0], "in" => [4, 25.4] }.freeze
      WIDEST = 150.0

      # @return [Integer]
      attr_reader :port

      # @param port [Integer] 0 for any that is free
      # @param random [Random]
      def initialize(port: 0, random: Random.new)
        @server = TCPServer.new(HOST, port)
        @port = @server.addr[1]
        @random = random
        @jaws = 18.0
        @zero = 0.0
        @unit = "mm"
      end

      # Serves one question after the other.
      def run
        loop { answer(@server.accept) }
      rescue IOError
        nil # closed
      end

      def close = @server.close

      # @param command [String]
      # @return [String] the line it answers
      def reply(command)
        case command
        when "?" then return reading
        when "unit" then @unit = @unit == "mm" ? "in" : "mm"
        when "zero" then @zero = @zero.zero? ? @jaws : 0.0
        when /\Ajaws (\d{1,3}(?:\.\d+)?)\z/ then @jaws = Regexp.last_match(1).to_f.clamp(0.0, WIDEST)
        end
        "#{@jaws} #{@zero} #{@unit}"
      end

      private

      def reading
        places, scale = UNITS.fetch(@unit)
        figure = (@jaws - @zero + @random.rand(-JITTER..JITTER)) / scale
        format("%+0#{places + 5}.#{places}f %s", figure, @unit)
      end

      def answer(client)
        command = client.gets("\n", 80).to_s.strip
        client.write("#{reply(command)}\r\n")
      rescue SystemCallError
        nil # went away without waiting
      ensure
        client&.close
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  caliper = NimbleEyelet::Device::StandInCaliper.new(port: ARGV.fetch(0, 0).to_i)
  $stdout.puts caliper.port
  $stdout.flush
  %w[INT TERM].each { |signal| trap(signal) { exit } }
  # Whoever started it holds the other end: when that goes, so does this.
  Thread.new { $stdin.read && exit }
  caliper.run
end
