# frozen_string_literal: true

# Habits of the house as a workroom keeps them: answers by the path of the field they stand in for.
#
#   Store::Habits.load({ "placket.seat" => "centre" })["placket.seat"]   # => "centre"

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"

module NimbleEyelet
  module Store
    module Habits
      # Beside the habits: which stabilisers lie in the drawer.
      DRAWER = "stabilisers"

      # @param kept [Hash] as in the database; questions that came later begin as the table says
      # @return [Hash{String => Object}] a value for every habit, and what lies in the drawer
      def self.load(kept)
        HABITS.to_h { |path, habit| [path, kept.key?(path) ? FIELDS.fetch(path).load(kept[path]) : habit.begins] }
              .merge(DRAWER => kept.key?(DRAWER) ? kept[DRAWER].to_a : STABILISER_KINDS.keys)
      end

      # @param typed [Hash{String => String, nil}] by path, as typed; empty goes back to the first school
      # @param kept [Hash]
      # @param unit [Symbol] the person's unit
      # @return [Hash] to be kept
      # @raise [Refusal]
      def self.change(kept, typed, unit:)
        typed.each_with_object(kept.to_h.dup) do |(path, text), changed|
          raise Refusal.field("habits", path, "There is no such habit.") unless HABITS.key?(path)

          field = FIELDS.fetch(path)
          value = field.read(text, unit: unit)
          check(path, value)
          value.nil? ? changed.delete(path) : changed[path] = field.dump(value)
        end
      end

      def self.check(path, value)
        Refusal.unless_valid { |check| Typing::Limits.check(check, path, value) } if value.is_a?(Length)
      end
      private_class_method :check
    end
  end
end
