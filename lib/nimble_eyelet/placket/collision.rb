# frozen_string_literal: true

# Collision puts into words why no row meets all demands: a smallest set of them that cannot hold
# together, and the least changes that would free it.
#
#   collision = Placket::Collision.of(demands)
#   collision.says.in(:mm)            # "The pin at 212 mm lies within the pocket's keep-out, 205 mm to 268 mm."
#   collision.remedies.first.in(:mm)  # "Move the pin to 204 mm."

require_relative "../answer/sentence"
require_relative "../spacing/conflict"
require_relative "../value"

module NimbleEyelet
  module Placket
    # conflict - Spacing::Conflict; field - String, path of what should most likely give way
    # says - Sentence; remedies - Array<Sentence>, the least change first
    class Collision < Value.of(:conflict, :field, :says, :remedies)
      FIELDS = { pin: "placket.pins", blocked: "placket.keep_outs", first: "placket.first", last: "placket.last",
                 count: "placket.count", least_gap: "placket.least_gap", most_gap: "placket.most_gap" }.freeze

      # @param demands [Spacing::Demands] that no row meets
      # @param given [Array<Symbol>] what a person said and can say otherwise
      # @param pinned [Array<Length>] where the pins stand; their holes may lie elsewhere
      # @return [Collision]
      def self.of(demands, given: Spacing::Conflict::GIVEN, pinned: demands.pins)
        conflict = Spacing::Conflict.of(demands, given: given)
        words = CollisionWords.new(demands, given, pinned)
        says = words.says(conflict.demands)
        says = Sentence["%s; fewer of them may collide by themselves already", says] unless conflict.smallest
        new(conflict: conflict, field: FIELDS.fetch(conflict.foremost), says: says,
            remedies: conflict.remedies.map { |remedy| words.remedy(remedy) })
      end
    end

    # What collides, in words.
    class CollisionWords
      ENDS_AND_PINS = %i[pin first last].freeze
      REMEDIES = { pin: "Move the pin to %s.", first: "Let the first hole be at %s.", last: "Let the last hole be at %s.",
                   least_gap: "Let gaps be as small as %s.", most_gap: "Let gaps be as wide as %s." }.freeze

      # @param demands [Spacing::Demands]
      # @param given [Array<Symbol>]
      # @param pinned [Array<Length>]
      def initialize(demands, given, pinned)
        @demands = demands
        @given = given
        @pinned = pinned
      end

      # @param set [Array<Array(Symbol, Integer)>] demands that collide
      # @return [Sentence]
      def says(set)
        names = set.map(&:first)
        return within(set) if names.size == 2 && names.include?(:blocked) && ENDS_AND_PINS.intersect?(names)
        return crowded if names.include?(:least_gap) && names.include?(:count) && offered < needed

        together(set)
      end

      # @param remedy [Spacing::Remedy]
      # @return [Sentence]
      def remedy(remedy)
        return Sentence["Take #{remedy.to} #{remedy.to == 1 ? 'hole' : 'holes'}."] if remedy.name == :count

        Sentence[REMEDIES.fetch(remedy.name), remedy.index ? remedy.to - off(remedy.index) : remedy.to]
      end

      private

      # How far the hole of a pin lies from where the pin stands.
      def off(index) = @demands.pins[index] - @pinned[index]

      def together(set)
        parts = set.map { |demand| part(*demand) }
        if parts.size == 1
          Sentence["This cannot hold: %s",
                   parts.first]
        else
          Sentence["These cannot all hold: #{(['%s'] * parts.size).join('; ')}", *parts]
        end
      end

      def within(set)
        stretch = @demands.blocked[set.find { |name, _| name == :blocked }.last]
        name, index = set.find { |other, _| other != :blocked }
        place = { first: @demands.first.at, last: @demands.last.at }.fetch(name) { @pinned[index] }
        what = "hole of the button pinned" if name == :pin && !off(index).zero?
        what ||= { first: "first hole", last: "last hole" }.fetch(name, "pin")
        Sentence["The #{what} at %s lies within the keep-out of #{named(stretch)}: no hole from %s to %s", place, stretch.from,
                 stretch.to]
      end

      def offered = @demands.last.at - @demands.first.at
      def needed = (@demands.least_gap * (@demands.heads - 1)) + (@demands.span * @demands.heads)

      def crowded
        Sentence["#{@demands.count} holes at least %s apart need %s; from first to last there are %s", @demands.least_gap, needed,
                 offered]
      end

      def named(stretch) = stretch.label.empty? ? "a stretch kept clear" : stretch.label

      def part(name, index)
        case name
        when :pin then Sentence["the pin at %s", @pinned[index]]
        when :blocked then blocked(@demands.blocked[index])
        when :first then Sentence["the first hole at %s", @demands.first.at]
        when :last then Sentence["the last hole at %s", @demands.last.at]
        when :least_gap then least_gap
        when :most_gap then Sentence["gaps of at most %s", @demands.most_gap]
        else Sentence["#{@demands.count} holes"]
        end
      end

      def blocked(stretch) = Sentence["#{named(stretch)}, no hole from %s to %s", stretch.from, stretch.to]

      def least_gap
        Sentence["gaps of at least %s#{', which the holes need' unless @given.include?(:least_gap)}", @demands.least_gap]
      end
    end
  end
end
