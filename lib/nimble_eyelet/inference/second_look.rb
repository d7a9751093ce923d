# frozen_string_literal: true

# SecondLook puts what was looked at twice together: readings that agree are averaged and surely careful, else
# the second counts; of words the second counts, and surely where both are the same.
#
#   SecondLook.fit(first, second).fit.reading   # => 22.6

require_relative "../belief/answers"

module NimbleEyelet
  module Inference
    module SecondLook
      # Readings agree within so many of their deviations.
      AGREE = 3
      # Careless twice over.
      TWICE = Belief::CARELESS**2
      # What was seen of an axis.
      LOOKED_AT = { cover: %i[away back], tension: %i[edge], space: %i[space] }.freeze

      # What was not looked at again stands as it was.
      #
      # @param first [HoleSeen]
      # @param second [HoleSeen]
      # @return [HoleSeen]
      def self.fit(first, second)
        one, other = [first, second].map(&:fit)
        return first unless other
        return first.with(fit: other) unless one

        words = { seen: other.seen || one.seen, careless: one.seen == other.seen ? TWICE : Belief::CARELESS }
        first.with(fit: one.with(**words, **reading(one, other)), careless: first.careless.merge(fit: nil))
      end

      def self.reading(one, other)
        return { reading: other.reading || one.reading } unless one.reading && other.reading
        return { reading: other.reading } if (one.reading - other.reading).abs > AGREE * one.reading_spread

        { reading: (one.reading + other.reading) / 2, reading_spread: one.reading_spread / Math.sqrt(2),
          misread: TWICE }
      end

      # @param axis [Symbol]
      # @return [HoleSeen]
      def self.looks(first, second, axis)
        told = LOOKED_AT.fetch(axis).select { |member| second[member] }
        return first if told.empty?

        same = told.all? { |member| first[member] == second[member] }
        first.with(**told.to_h { |member| [member, second[member]] },
                   careless: first.careless.merge(axis => same ? TWICE : Belief::CARELESS))
      end
      private_class_method :reading
    end
  end
end
