# frozen_string_literal: true

# Gauge reads a digital caliper that answers a request with one line of text, as a serial gauge
# does: "?\n" out, "+018.03 mm\r\n" back. A real one is named by its device, a stand-in by its port.
#
#   Device::Gauge.at("/dev/ttyUSB0").read    # => Length of 18.03 mm
#   Device::Gauge.at("stand-in:4571").read

require "socket"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Device
    class Gauge
      # It answers at once or not at all, seconds.
      PATIENCE = 2
      ASK = "?"

      # The caliper does not answer, or not with a length.
      class Silent < StandardError; end

      # @param address [String, nil] "stand-in:PORT", "tcp:HOST:PORT" or a device; nil or "none" for no caliper
      # @return [Gauge, nil]
      def self.at(address)
        return if address.nil? || address == "none"

        address.start_with?("stand-in:") ? simulated(address[/\d+/]) : new(address)
      end

      # @param port [Integer, String] of the simulated caliper on this machine
      # @return [Gauge]
      def self.simulated(port) = StandInGauge.new("tcp:127.0.0.1:#{port}")

      def initialize(address)
        @address = address
      end

      def stand_in? = false

      # @return [Array(Length, String)] the reading, and its figure and unit as the gauge wrote them
      # @raise [Silent]
      def read
        line = ask(ASK)
        text = line.strip.sub(/\A\+?\s*(-?)0+(?=\d)/, '\1').delete_prefix("+")
        [Typing::Notation.read(text, unit: :mm, field: "caliper"), text]
      rescue Refusal
        raise Silent, "The caliper sent something that is no length: #{line.strip[0, 30].inspect}."
      end

      private

      # @return [String] one line
      def ask(command)
        open_line do |line|
          line.write("#{command}\n")
          line.flush
          raise Silent, "The caliper does not answer: is it switched on?" unless line.wait_readable(PATIENCE)

          line.gets("\n", 200).to_s.scrub
        end
      rescue SystemCallError, IOError
        raise Silent, "The caliper is not connected."
      end

      def open_line(&)
        return File.open(@address, "r+b", &) unless @address.start_with?("tcp:")

        _, host, port = @address.split(":")
        Socket.tcp(host, port.to_i, connect_timeout: PATIENCE, &)
      end
    end

    # The stand-in has keys that a program can press, and jaws it can open.
    class StandInGauge < Gauge
      KEYS = %w[unit zero].freeze

      def stand_in? = true

      # @return [Hash] jaws and zero in mm, unit "mm" or "in"
      # @raise [Silent]
      def state = parse(ask("state"))

      # @param key [String] one of KEYS
      # @return [Hash] state after it
      def press(key) = parse(ask(key))

      # @param length [Length] what lies between the jaws
      # @return [Hash] state after it
      def open_jaws(length) = parse(ask("jaws #{length.to_f}"))

      private

      def parse(line)
        jaws, zero, unit = line.split
        { jaws: Length.mm(jaws.to_r), zero: Length.mm(zero.to_r), unit: unit.to_s }
      end
    end
  end
end
