# frozen_string_literal: true

# Conflict says which demands no row can meet together, a set as small as could be found, and the
# least change of each that would free it. It finds out by leaving demands out.
#
#   conflict = Spacing::Conflict.of(demands, given: [:pin, :count])
#   conflict.demands        # [[:pin, 0], [:blocked, 2]]
#   conflict.remedies       # [Remedy(name: :pin, to: 204 mm, change: 8 mm), …]

require_relative "../value"
require_relative "demands"
require_relative "lattice"
require_relative "feasibility"
require_relative "search_budget"

module NimbleEyelet
  module Spacing
    # One demand said otherwise, so that a row exists.
    #
    # name - Symbol, the demand; to - Length, or Integer for a count; change - Length, how much that is;
    # a hole more or fewer counts as half a gap; index - Integer or nil, which of several
    Remedy = Value.of(:name, :to, :change, index: nil)

    # demands - Array of [Symbol, Integer or nil], such as [:least_gap, nil], [:pin, 0], [:blocked, 2]
    # foremost - Symbol, the demand most likely to give way; remedies - Array<Remedy>, the least change first
    # smallest - Boolean, whether none of the demands can be left out; otherwise the budget of work was spent
    class Conflict < Value.of(:demands, :foremost, :remedies, smallest: true)
      # What can be asked for by a person.
      GIVEN = %i[pin blocked first last count least_gap most_gap].freeze

      # @param demands [Demands] that no row meets
      # @param given [Array<Symbol>] what a person said and can say otherwise; the rest is how things are
      # @return [Conflict]
      def self.of(demands, given: GIVEN) = ConflictSearch.new(demands, given).conflict
    end

    # Looks for what collides.
    class ConflictSearch
      # Up to so many demands, every one, every pair and every three of them are tried; beyond, the set found is one
      # that no demand can be left out of.
      FEW = 14
      # Stretches looked at before an answer is given with what is known.
      PATIENCE = 50_000
      # A pin or an end is moved at most so many marks in search of a remedy.
      MARKS = 150
      # Which of those that collide is most likely the one to give way.
      ORDER = %i[pin first last least_gap most_gap count blocked].freeze

      # @param demands [Demands]
      # @param given [Array<Symbol>]
      # @param patience [Integer]
      def initialize(demands, given, patience = PATIENCE)
        @demands = demands
        @given = given
        @lattice = Lattice.new(demands)
        @track = @lattice.track
        @pins = demands.pins.map { |pin| @lattice.count(pin) }
        @gaps = @lattice.gaps
        @work = SearchBudget.new(patience)
        @kept = {}
      end

      # @return [Conflict]
      def conflict
        set = smallest
        known = @work.left?
        foremost = (ORDER & @given).find { |other| set.any? { |name, _| name == other } } || :count
        remedies = set.filter_map { |name, index| remedy(name, index) if @given.include?(name) }.sort_by(&:change)
        Conflict.new(demands: set, foremost: foremost, remedies: remedies, smallest: known)
      end

      # Whether some row meets these demands, all others left out. Where the budget is spent, they are taken to be
      # possible.
      def holds?(left)
        return true unless @work.left?

        numbers = left.group_by(&:first).transform_values { |demands| demands.map(&:last) }
        reach = reach(first: (@track.first if numbers.key?(:first)), last: (@track.last if numbers.key?(:last)),
                      least: numbers.key?(:least_gap) ? @track.least : @track.span + 1,
                      most: (@track.most if numbers.key?(:most_gap)),
                      **pinned(numbers.fetch(:pin, [])), **blocked(numbers.fetch(:blocked, [])))
        numbers.key?(:count) ? reach.possible?(@gaps) : reach.gaps.positive?
      end

      private

      def reach(**changes) = Feasibility.new(@track.with(**changes), work: @work, kept: @kept)
      def pinned(indices) = { pins: (@pins.values_at(*indices) + @track.sewn).uniq.sort }

      def blocked(indices)
        own = @track.blocked.values_at(*indices)
        { blocked: own, blocked_last: own,
          blocked_first: @demands.blocked_first ? @track.blocked_first.values_at(*indices) : own }
      end

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
        return left if left.one? || all.size > FEW

        (1...left.size).each { |size| all.combination(size).each { |some| return some unless holds?(some) } }
        left
      end

      def remedy(name, index)
        case name
        when :pin then pin_moved(index)
        when :first then first_moved
        when :last then last_moved
        when :least_gap then nearer
        when :most_gap then wider
        when :count then another_count
        end
      end

      def pin_moved(index)
        others = reach(**pinned(@pins.each_index.to_a - [index]))
        moved(:pin, @demands.pins[index]) do |place|
          @lattice.heads_at(place).any? { |head| others.through?(head, @gaps) }
        end&.with(index: index)
      end

      def first_moved
        free = reach(first: nil)
        moved(:first, @demands.first.at) do |head|
          @track.fits_first?(head) && @track.pins.none? { |pin| pin < head } && free.mirrored.to(-head)[@gaps] == 1
        end
      end

      def last_moved
        free = reach(last: nil)
        moved(:last, @demands.last.at) do |place|
          head = place - @track.span
          @track.fits_last?(head) && @track.pins.none? { |pin| pin > place } && free.to(head)[@gaps] == 1
        end
      end

      # The nearest mark that frees it, above or below.
      def moved(name, place)
        grid = @demands.grid
        middle = (place / grid).round
        (1..MARKS).each do |marks|
          [middle - marks, middle + marks].each do |mark|
            to = grid * mark
            next unless to.between?(@demands.from, @demands.to)
            return Remedy.new(name: name, to: to, change: (to - place).abs) if @work.left? && yield(mark * @track.step)
          end
        end
        nil
      end

      def nearer
        most = (@demands.least_gap / @demands.grid).ceil
        gap = (1..most).bsearch { |marks| !reach(least: (marks * @track.step) + @track.span).possible?(@gaps) }
        return if gap.nil? || gap == 1

        gap = @demands.grid * (gap - 1)
        Remedy.new(name: :least_gap, to: gap, change: @demands.least_gap - gap)
      end

      def wider
        least = (@demands.most_gap / @demands.grid).ceil
        most = ((@demands.to - @demands.from) / @demands.grid).ceil
        gap = (least..most).bsearch do |marks|
          reach(most: (marks * @track.step) + @track.span).possible?(@gaps)
        end or return
        gap = @demands.grid * gap
        Remedy.new(name: :most_gap, to: gap, change: gap - @demands.most_gap)
      end

      def another_count
        possible = reach.gaps
        others = (1..MOST_HOLES).select { |heads| possible[heads - 1] == 1 }
        heads = others.min_by { |number| [(number - @gaps - 1).abs, number] } or return
        mean = (@demands.last.at - @demands.first.at) / [@demands.count - 1, 1].max
        count = heads * @demands.together
        Remedy.new(name: :count, to: count, change: mean * (count - @demands.count).abs / 2)
      end
    end
  end
end
