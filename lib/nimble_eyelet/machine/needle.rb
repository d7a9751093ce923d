# frozen_string_literal: true

# Needle is a needle by its size and point.
#
#   Needle.new(size: 90, point: "universal").across   # 0.9 mm
#   Needle.called("universal 90")                       # "universal 90/14"

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  # size - Integer, hundredths of a millimetre; point - String
  class Needle < Value.of(:size, :point)
    # The older numbers for the same sizes.
    OLD_NUMBERS = { 60 => 8, 65 => 9, 70 => 10, 75 => 11, 80 => 12, 85 => 13, 90 => 14, 100 => 16, 110 => 18,
                    120 => 19 }.freeze

    # @return [Length]
    def across = Length.mm(Rational(size, 100))

    # @return [Integer, nil] the older number for the same size
    def number = OLD_NUMBERS[size]

    # @return [String] as it is kept and compared
    def key = "#{point} #{size}"

    # @return [String] as people call it
    def to_s = "#{point} #{[size, number].compact.join('/')}"

    # @param kept [String] a key
    # @return [String] as people call it; as it is kept where it is no key
    def self.called(kept)
      found = kept.match(/\A(?<point>.+) (?<size>\d+)\z/)
      found ? new(size: found[:size].to_i, point: found[:point]).to_s : kept
    end
  end
end
