# frozen_string_literal: true

# Learned is what earlier closures teach the next one: what machine and foot add to what is set, over all
# that were sewn with them; and how dense, how tight and how wide, from the most alike one.
#
#   learned = Learned.new(earlier)
#   learned.offset(machine: "3", foot: "sliding_scale_foot", structure: "knit", set: 22.5)   # => Offset
#   learned.alike(machine: "3", fibre: "polyester", tex: "27", structure: "knit")            # => Alike or nil

require_relative "../cloth/cloth_kind"
require_relative "../length/length"
require_relative "../machine/offset"
require_relative "../style/style"
require_relative "../value"
require_relative "symptom"

module NimbleEyelet
  module Swatches
    # A test hole of another closure, or of this one when it was sewn on something else. closure - Integer
    EarlierSwatch = Value.of(:closure, :swatch)

    # The most alike of the earlier closures. swatches - Array<Swatch>, oldest first
    # shared - Array<Symbol> of :machine, :thread, :cloth
    Alike = Value.of(:swatches, :shared)

    class Learned
      # What makes a closure's test holes one group.
      GROUP = %w[machine.id recipe.foot thread.fibre thread.tex cloth.kind recipe.style].freeze
      # The last holes of a closure say what it came to.
      MOST_OF_GROUP = 6
      # Millimetres a ruler is read to, and a caliper.
      RULER_SPREAD = 0.25
      CALIPER_SPREAD = 0.1
      # A photo that does not say.
      PHOTO_SPREAD = 0.15

      # @return [Array<EarlierSwatch>]
      attr_reader :earlier

      # @param earlier [Array<EarlierSwatch>] newest first
      def initialize(earlier)
        @earlier = earlier
      end

      def self.nothing = new([])

      # What machine and foot add.
      #
      # @param own [Array<Swatch>] of this closure that count as well
      # @param by [String] key of SETTING_METHODS: how a bar tack's programme stops says nothing of holes, nor they of
      #   it
      # @param known [Float, nil] mm beyond the usual, as the owner says: it counts as a hole that was measured
      # @return [Offset]
      def offset(machine:, foot:, structure:, set:, by: "scale", own: [], known: nil)
        return Offset.drawn if BY_LINES.include?(by)

        found = groups.select { |group| taught_by?(group.first.sewn_with, machine, foot, by) }
        said = known && OffsetEvidence.new(structure: structure, set: set, added: [known], spread: RULER_SPREAD)
        Offset.of([said, *[own, *found].map { |group| evidence(group) }].compact, structure: structure, set: set)
      end

      # How a bar tack's length is set by its programme, and how a hole is drawn.
      TACKS = %w[press own].freeze
      BY_LINES = %w[lines round].freeze
      private_constant :TACKS, :BY_LINES

      # Test holes whose length was measured on that machine, foot by foot.
      #
      # @return [Hash{String => Array<EarlierSwatch>}]
      def measured_on(machine)
        earlier.select { |one| one.swatch.measured && one.swatch.sewn_with["machine.id"] == machine }
               .group_by { |one| one.swatch.sewn_with["recipe.foot"] }
      end

      # The most alike: machine, then thread, then cloth; the newest of those.
      #
      # @param stitched [Symbol]
      # @return [Alike, nil]
      def alike(machine:, fibre:, tex:, structure:, stitched: :satin)
        found = groups.filter_map do |group|
          with = group.first.sewn_with
          next unless Learned.stitched(group.first) == stitched

          shared = { machine: with["machine.id"] == machine, thread: with.values_at("thread.fibre", "thread.tex") == [fibre, tex],
                     cloth: with["cloth.kind"] == structure }.select { |_, same| same }.keys
          Alike.new(swatches: group.last(MOST_OF_GROUP), shared: shared) if (shared - %i[cloth]).any?
        end
        found.max_by.with_index { |alike, index| [rank(alike.shared), -index] }
      end

      # Layers under the last hole that was right, where fewer of the same stabiliser had held too little.
      #
      # @param stabiliser [String] a key of STABILISERS, or a person's own words
      # @return [Integer, nil]
      def layers(stabiliser, stitched: :satin, **found)
        alike = alike(stitched: stitched, **found) or return
        return unless (alike.shared & %i[machine cloth]).size == 2

        stayed = alike.swatches.select { |swatch| swatch.sewn_with["recipe.stabiliser"] == stabiliser }
        last = stayed.rindex(&:clean?) or return
        layers = stayed[last].stay_layers
        layers if stayed.first(last).any? { |swatch| swatch.stay_layers < layers && Learned.held_too_little?(swatch) }
      end

      # @param swatch [Swatch]
      # @return [Boolean] whether it puckered or waved: what lay under it held too little
      def self.held_too_little?(swatch) = swatch.shown.any? { |key| SYMPTOMS[key]&.axis == "stay" }

      # @param swatch [Swatch]
      # @param by [String] how it was set, where that was not kept
      # @return [Float] mm, what the hands set and what is usually added
      def self.set(swatch, by: "lines")
        kept = swatch.sewn_with["setting.by"] || (swatch.sewn_with["setting.clamped"] ? "clamp" : by)
        swatch.hands.to_f + Offset::USUALLY_ADDED.fetch(kept)
      end

      # @param swatch [Swatch]
      # @return [Symbol, nil] how its sides were stitched, as far as its style and fabric tell
      def self.stitched(swatch)
        style, cloth = swatch.sewn_with.values_at("recipe.style", "cloth.kind")
        STYLES[style]&.stitched_on(CLOTH_KINDS[cloth]&.knitted)
      end

      # A ruler is read to its marks as well. Source: the deviation of a step is step/√12.
      #
      # @param swatch [Swatch]
      # @param step [Length] of the ruler's marks
      # @return [Float] mm, of what it was measured with
      def self.spread(swatch, step: Length.zero)
        with = swatch.sewn_with["measured.with"]
        return CALIPER_SPREAD if with == "caliper"
        # A photo says itself how far it may be off.
        return [swatch.sewn_with.fetch("measured.off", PHOTO_SPREAD).to_f, CALIPER_SPREAD].max if with == "photo"

        Math.sqrt((RULER_SPREAD**2) + ((step.to_f**2) / 12))
      end

      private

      # What was drawn says nothing of the foot it was sewn with.
      def taught_by?(with, machine, foot, by)
        with.values_at("machine.id", "recipe.foot") == [machine, foot] && !BY_LINES.include?(with["setting.by"]) &&
          TACKS.include?(with["setting.by"]) == TACKS.include?(by)
      end

      # Newest first; the holes of one closure, oldest first.
      def groups
        @groups ||= earlier.group_by { |one| [one.closure, one.swatch.sewn_with.values_at(*GROUP)] }.values
                           .map { |group| group.map(&:swatch).reverse }
      end

      def evidence(group)
        added = group.filter_map { |swatch| swatch.measured && (swatch.measured.to_f - Learned.set(swatch)) }
        return if added.empty?

        set = group.sum { |swatch| Learned.set(swatch) } / group.size
        OffsetEvidence.new(structure: group.first.sewn_with["cloth.kind"], set: set, added: added, spread: Learned.spread(group.first))
      end

      def rank(shared) = %i[machine thread cloth].map { |part| shared.include?(part) ? 1 : 0 }
    end
  end
end
