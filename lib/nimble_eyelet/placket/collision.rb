# frozen_string_literal: true

# Collision says why no row meets all demands: a smallest set of them that cannot hold together, in
# words, and the least changes that would free it.
#
#   collision = Placket::Collision.of(demands)
#   collision.says.in(:mm)       # "The pin at 212 mm lies within the pocket's keep-out, 205 mm to 268 mm."
#   collision.ways.first         # "Move the pin to 204 mm."

require_relative "reach"
require_relative "../said"

module NimbleEyelet
  module Placket
    # demands - Array<Symbol or Array>, such as :least_gap, [:pin, 0], [:shut, 2]; field - String
    # says - Said; ways - Array<Said>, the least change first
    Collision = Value.define(:demands, :field, :says, :ways) do
      # @param demands [Demands] that no row meets
      # @param given [Array<Symbol>] what a person said and can say otherwise; the rest is how things are
      # @return [Collision]
      def self.of(demands, given: Finder::FIELDS.keys) = Finder.new(demands, given).collision
    end

    # Looks for what collides by leaving demands out.
    class Finder
      # Up to so many demands, every pair and every three of them are tried; beyond, the set found is one
      # that no demand can be left out of.
      FEW = 14
      # Places looked at, over all layers of all rows tried, before an answer is given with what is known:
      # about a second's work. A set that could not be made smaller in that time is still one that collides.
      PATIENCE = 1_500_000
      # A pin or an end is moved at most so many marks in search of a way out.
      MARKS = 150

      FIELDS = { pin: "placket.pins", shut: "placket.keep_outs", first: "placket.first", last: "placket.last", count: "placket.count",
                 least_gap: "placket.least_gap", most_gap: "placket.most_gap" }.freeze
      PLACES = %i[pin first last].freeze
      # Which of those that collide is most likely the one to give way.
      ORDER = %i[pin first last least_gap most_gap count shut].freeze

      def initialize(demands, given)
        @demands = demands
        @given = given
        @looked_at = 0
      end

      # @return [Collision]
      def collision
        @set = smallest
        kind = (ORDER & @given).find { |other| @set.any? { |name, _| name == other } } || :count
        Collision.new(demands: @set, field: FIELDS.fetch(kind), says: words, ways: ways)
      end

      private

      def all
        d = @demands
        [([:first, nil] if d.first.fixed), ([:last, nil] if d.last.fixed), *d.pins.each_index.map { |index| [:pin, index] },
         *d.shut.each_index.map { |index| [:shut, index] }, [:least_gap, nil], ([:most_gap, nil] if d.most_gap), [:count, nil]].compact
      end

      # @return [Array<Array(Symbol, Integer)>]
      def smallest
        kept = all
        kept.dup.each { |demand| kept -= [demand] unless holds?(kept - [demand]) }
        return kept if kept.size < 3 || all.size > FEW

        (2...kept.size).each { |size| all.combination(size).each { |some| return some unless holds?(some) } }
        kept
      end

      # Whether some row meets these demands, all others left out.
      def holds?(kept)
        numbers = kept.group_by(&:first).transform_values { |demands| demands.map(&:last) }
        some = @demands.with(
          first: @demands.first.with(fixed: numbers.key?(:first)), last: @demands.last.with(fixed: numbers.key?(:last)),
          pins: @demands.pins.values_at(*numbers.fetch(:pin, [])), shut: @demands.shut.values_at(*numbers.fetch(:shut, [])),
          shut_first: @demands.shut_first&.values_at(*numbers.fetch(:shut, [])),
          least_gap: numbers.key?(:least_gap) ? @demands.least_gap : @demands.grid / 1000,
          most_gap: numbers.key?(:most_gap) ? @demands.most_gap : nil
        )
        patient? ? possible?(some, any_count: !numbers.key?(:count)) : true
      end

      def patient? = @looked_at < PATIENCE

      def possible?(some, any_count: false)
        @looked_at += ((some.to - some.from) / some.grid).to_i * (any_count ? MOST_HOLES : some.heads)
        Reach.possible?(some, any_count: any_count)
      end

      def words
        names = @set.map(&:first)
        return within if names.size == 2 && names.include?(:shut) && PLACES.intersect?(names)
        return crowded if names.include?(:least_gap) && names.include?(:count) && offered < needed

        together
      end

      def together
        parts = @set.map { |demand| part(*demand) }
        parts.size == 1 ? parts.first : Said["These cannot all hold: #{(['%s'] * parts.size).join('; ')}.", *parts]
      end

      def within
        shut = @demands.shut[@set.find { |name, _| name == :shut }.last]
        name, index = @set.find { |other, _| other != :shut }
        place = { first: @demands.first.at, last: @demands.last.at }.fetch(name) { @demands.pins[index] }
        what = { first: "first hole", last: "last hole" }.fetch(name, "pin")
        Said["The #{what} at %s lies within the keep-out of #{named(shut)}: no hole from %s to %s.", place, shut.from, shut.to]
      end

      def offered = @demands.last.at - @demands.first.at
      def needed = (@demands.least_gap * (@demands.heads - 1)) + (@demands.span * @demands.heads)

      def crowded
        Said["#{@demands.count} holes at least %s apart need %s; from first to last there are %s.", @demands.least_gap, needed,
             offered]
      end

      def named(shut) = shut.label.empty? ? "a stretch kept clear" : shut.label

      def part(name, index)
        case name
        when :pin then Said["the pin at %s", @demands.pins[index]]
        when :shut then @demands.shut[index].then { |shut| Said["#{named(shut)}, no hole from %s to %s", shut.from, shut.to] }
        when :first then Said["the first hole at %s", @demands.first.at]
        when :last then Said["the last hole at %s", @demands.last.at]
        when :least_gap then Said["gaps of at least %s#{', which button and hole need' unless @given.include?(:least_gap)}",
                                  @demands.least_gap]
        when :most_gap then Said["gaps of at most %s", @demands.most_gap]
        else Said["#{@demands.count} holes"]
        end
      end

      # What one change at a time would free, the least first; a hole more or fewer counts as half a gap.
      def ways
        found = @set.filter_map { |name, index| way(name, index) if @given.include?(name) }
        found.sort_by { |change, _| change }.map(&:last)
      end

      def way(name, index)
        case name
        when :pin then moved("Move the pin to %s.", @demands.pins[index]) { |at| { pins: moved_pin(index, at) } }
        when :first then moved("Let the first hole be at %s.", @demands.first.at) { |at| { first: @demands.first.with(at: at) } }
        when :last then moved("Let the last hole be at %s.", @demands.last.at) { |at| { last: @demands.last.with(at: at) } }
        when :least_gap then nearer
        when :most_gap then wider
        when :count then another_count
        end
      end

      def moved_pin(index, at) = @demands.pins.each_with_index.map { |pin, other| other == index ? at : pin }

      # The nearest mark that frees it, above or below.
      def moved(words, place)
        grid = @demands.grid
        (1..MARKS).each do |marks|
          break unless patient?

          [-marks, marks].each do |way|
            to = grid * ((place / grid).round + way)
            next unless to.between?(@demands.from, @demands.to)
            return [(to - place).abs, Said[words, to]] if possible?(@demands.with(**yield(to)))
          end
        end
        nil
      end

      def nearer
        most = (@demands.least_gap / @demands.grid).ceil
        gap = (1..most).bsearch { |marks| !possible?(@demands.with(least_gap: @demands.grid * marks)) }
        return if gap.nil? || gap == 1

        gap = @demands.grid * (gap - 1)
        [@demands.least_gap - gap, Said["Let gaps be as small as %s.", gap]]
      end

      def wider
        least = (@demands.most_gap / @demands.grid).ceil
        most = ((@demands.to - @demands.from) / @demands.grid).ceil
        gap = (least..most).bsearch { |marks| possible?(@demands.with(most_gap: @demands.grid * marks)) } or return
        gap = @demands.grid * gap
        [gap - @demands.most_gap, Said["Let gaps be as wide as %s.", gap]]
      end

      def another_count
        step = @demands.together
        count = (1..12).flat_map { |times| [@demands.count - (times * step), @demands.count + (times * step)] }
                       .find { |number| number.positive? && patient? && possible?(@demands.with(count: number)) } or return
        mean = (@demands.last.at - @demands.first.at) / [@demands.count - 1, 1].max
        [mean * (count - @demands.count).abs / 2, Said["Take #{count} #{count == 1 ? 'hole' : 'holes'}."]]
      end
    end
  end
end
