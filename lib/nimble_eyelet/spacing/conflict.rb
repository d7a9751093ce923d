# frozen_string_literal: true

# Conflict says which demands no row can meet together, a set as small as could be found, and the
# least change of each that would free it. It finds out by leaving demands out.
#
#   conflict = Spacing::Conflict.of(demands, given: [:pin, :count])
#   conflict.demands        # [[:pin, 0], [:blocked, 2]]
#   conflict.remedies       # [Remedy(name: :pin, to: 204 mm, change: 8 mm), …]

require_relative "../value"
require_relative "demands"
require_relative "feasibility"

module NimbleEyelet
  module Spacing
    # One demand said otherwise, so that a row exists.
    #
    # name - Symbol, the demand; to - Length, or Integer for a count; change - Length, how much that is;
    # a hole more or fewer counts as half a gap; index - Integer or nil, which of several
    Remedy = Value.of(:name, :to, :change, index: nil)

    # demands - Array of [Symbol, Integer or nil], such as [:least_gap, nil], [:pin, 0], [:blocked, 2]
    # foremost - Symbol, the demand most likely to give way; remedies - Array<Remedy>, the least change first
    class Conflict < Value.of(:demands, :foremost, :remedies)
      # What can be asked for by a person.
      GIVEN = %i[pin blocked first last count least_gap most_gap].freeze

      # @param demands [Demands] that no row meets
      # @param given [Array<Symbol>] what a person said and can say otherwise; the rest is how things are
      # @return [Conflict]
      def self.of(demands, given: GIVEN) = ConflictSearch.new(demands, given).conflict
    end

    # Looks for what collides.
    class ConflictSearch
      # Up to so many demands, every pair and every three of them are tried; beyond, the set found is one
      # that no demand can be left out of.
      FEW = 14
      # Places looked at, over all layers of all rows tried, before an answer is given with what is known:
      # about a second's work. A set that could not be made smaller in that time is still one that collides.
      PATIENCE = 1_500_000
      # A pin or an end is moved at most so many marks in search of a remedy.
      MARKS = 150
      # Which of those that collide is most likely the one to give way.
      ORDER = %i[pin first last least_gap most_gap count blocked].freeze

      def initialize(demands, given)
        @demands = demands
        @given = given
        @looked_at = 0
      end

      # @return [Conflict]
      def conflict
        set = smallest
        foremost = (ORDER & @given).find { |other| set.any? { |name, _| name == other } } || :count
        remedies = set.filter_map { |name, index| remedy(name, index) if @given.include?(name) }.sort_by(&:change)
        Conflict.new(demands: set, foremost: foremost, remedies: remedies)
      end

      private

      def all
        d = @demands
        [([:first, nil] if d.first.fixed), ([:last, nil] if d.last.fixed), *d.pins.each_index.map { |index| [:pin, index] },
         *d.blocked.each_index.map { |index| [:blocked, index] }, [:least_gap, nil], ([:most_gap, nil] if d.most_gap),
         [:count, nil]].compact
      end

      # @return [Array<Array(Symbol, Integer)>]
      def smallest
        left = all
        left.dup.each { |demand| left -= [demand] unless holds?(left - [demand]) }
        return left if left.size < 3 || all.size > FEW

        (2...left.size).each { |size| all.combination(size).each { |some| return some unless holds?(some) } }
        left
      end

      # Whether some row meets these demands, all others left out.
      def holds?(left)
        numbers = left.group_by(&:first).transform_values { |demands| demands.map(&:last) }
        some = @demands.with(
          first: @demands.first.with(fixed: numbers.key?(:first)), last: @demands.last.with(fixed: numbers.key?(:last)),
          pins: @demands.pins.values_at(*numbers.fetch(:pin, [])), blocked: @demands.blocked.values_at(*numbers.fetch(:blocked, [])),
          blocked_first: @demands.blocked_first&.values_at(*numbers.fetch(:blocked, [])),
          least_gap: numbers.key?(:least_gap) ? @demands.least_gap : @demands.grid / 1000,
          most_gap: numbers.key?(:most_gap) ? @demands.most_gap : nil
        )
        patient? ? possible?(some, any_count: !numbers.key?(:count)) : true
      end

      def patient? = @looked_at < PATIENCE

      def possible?(some, any_count: false)
        @looked_at += ((some.to - some.from) / some.grid).to_i * (any_count ? MOST_HOLES : some.heads)
        Feasibility.possible?(some, any_count: any_count)
      end

      def remedy(name, index)
        case name
        when :pin then moved(:pin, @demands.pins[index]) { |at| { pins: moved_pin(index, at) } }&.with(index: index)
        when :first then moved(:first, @demands.first.at) { |at| { first: @demands.first.with(at: at) } }
        when :last then moved(:last, @demands.last.at) { |at| { last: @demands.last.with(at: at) } }
        when :least_gap then nearer
        when :most_gap then wider
        when :count then another_count
        end
      end

      def moved_pin(index, at) = @demands.pins.each_with_index.map { |pin, other| other == index ? at : pin }

      # The nearest mark that frees it, above or below.
      def moved(name, place)
        grid = @demands.grid
        (1..MARKS).each do |marks|
          break unless patient?

          [-marks, marks].each do |away|
            to = grid * ((place / grid).round + away)
            next unless to.between?(@demands.from, @demands.to)
            return Remedy.new(name: name, to: to, change: (to - place).abs) if possible?(@demands.with(**yield(to)))
          end
        end
        nil
      end

      def nearer
        most = (@demands.least_gap / @demands.grid).ceil
        gap = (1..most).bsearch { |marks| !possible?(@demands.with(least_gap: @demands.grid * marks)) }
        return if gap.nil? || gap == 1

        gap = @demands.grid * (gap - 1)
        Remedy.new(name: :least_gap, to: gap, change: @demands.least_gap - gap)
      end

      def wider
        least = (@demands.most_gap / @demands.grid).ceil
        most = ((@demands.to - @demands.from) / @demands.grid).ceil
        gap = (least..most).bsearch { |marks| possible?(@demands.with(most_gap: @demands.grid * marks)) } or return
        gap = @demands.grid * gap
        Remedy.new(name: :most_gap, to: gap, change: gap - @demands.most_gap)
      end

      def another_count
        step = @demands.together
        count = (1..12).flat_map { |times| [@demands.count - (times * step), @demands.count + (times * step)] }
                       .find { |number| number.positive? && patient? && possible?(@demands.with(count: number)) } or return
        mean = (@demands.last.at - @demands.first.at) / [@demands.count - 1, 1].max
        Remedy.new(name: :count, to: count, change: mean * (count - @demands.count).abs / 2)
      end
    end
  end
end
