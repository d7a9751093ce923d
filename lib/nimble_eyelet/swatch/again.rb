# frozen_string_literal: true

# Again puts what was looked at twice together: readings that agree are averaged and surely careful, else
# the second counts; of words the second counts, and surely where both are the same.
#
#   Again.fit(first, second).fit.reading   # => 22.6

require_relative "../belief/answers"

module NimbleEyelet
  module Swatches
    module Again
      # Readings agree within so many of their deviations.
      AGREE = 3
      # Careless twice over.
      TWICE = Belief::CARELESS**2
      # What was seen of an axis.
      LOOKED_AT = { cover: %i[away back], tension: %i[edge], space: %i[space] }.freeze

      # @param first [HoleSeen]
      # @param second [HoleSeen]
      # @return [HoleSeen]
      def self.fit(first, second)
        one, other = [first, second].map(&:fit)
        words = { seen: other.seen || one.seen, careless: one.seen == other.seen ? TWICE : Belief::CARELESS }
        first.with(fit: one.with(**words, **reading(one, other)), careless: first.careless.merge(fit: nil))
      end

      def self.reading(one, other)
        return { reading: other.reading || one.reading } unless one.reading && other.reading
        return { reading: other.reading } if (one.reading - other.reading).abs > AGREE * one.reading_spread

        { reading: (one.reading + other.reading) / 2, reading_spread: one.reading_spread / Math.sqrt(2), misread: TWICE }
      end

      # @param axis [Symbol]
      # @return [HoleSeen]
      def self.looks(first, second, axis)
        members = LOOKED_AT.fetch(axis)
        seen = members.to_h { |member| [member, second[member] || first[member]] }
        same = members.all? { |member| first[member] == seen[member] }
        first.with(**seen, careless: first.careless.merge(axis => same ? TWICE : Belief::CARELESS))
      end
      private_class_method :reading
    end
  end
end
