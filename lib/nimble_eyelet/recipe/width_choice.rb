# frozen_string_literal: true

# WidthChoice sets the stitch width: two beads by the weight of the cloth and room to cut by its
# thickness. It rounds up rather than eat the room to cut in, and on a narrow machine the beads narrow.
#
#   choice.decision.value   # 4.5 mm
#   choice.bead             # 1.85 mm, as it will lie

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../style/ends"
require_relative "../thread/cord"

module NimbleEyelet
  module Recipes
    # A bead by the weight of the cloth, g/m²: lawn, shirt and coat; between these it grows evenly.
    BEADS = { 60 => Length.mm(13r / 10), 130 => Length.mm(18r / 10), 400 => Length.mm(25r / 10) }.freeze
    # Cutting space grows from the first to the second over these thicknesses of one layer.
    SPACE = [Length.mm(1r / 2), Length.mm(12r / 10)].freeze
    SPACE_LAYERS = [Length.mm(1r / 10), Length.mm(12r / 10)].freeze
    # A bead over a cord is wider than the cord by this much on each side.
    CORD_COVER = Length.mm(1r / 2)
    # By hand with zigzag, a bead is this share of the tacks' width.
    MANUAL_BEAD = 4r / 10
    # A bar tack on its own, by the weight of the cloth, g/m²: it grows evenly between.
    TACK_WIDTHS = { 60 => Length.mm(3r / 2), 400 => Length.mm(5r / 2) }.freeze
    # Narrower beads fray out.
    LEAST_BEAD = Length.mm(1)

    class WidthChoice
      # @param situation [Situation]
      # @param overrides [Overrides]
      # @param style [Style]
      # @param stitched [Symbol]
      def initialize(situation, overrides, style, stitched)
        @cloth = situation.cloth
        @machine = situation.machine
        @thread = situation.thread
        @experience = situation.experience
        @own = overrides.stitch_width
        @style = style
        @stitched = stitched
      end

      # @return [Decision] of a Length
      def decision
        @decision ||= { straight: @style.opens ? :box : :rows }.fetch(@stitched, :set).then { |way| send(way) }
      end

      # @return [Length] by the rules, whatever a person sets
      def wanted
        @stitched == :straight || one_bead? ? decision.value : @machine.width_from((wanted_bead * 2) + wanted_space)
      end

      # @return [Decision, nil] of a Length, the bead where it is set on its own
      def by_hand
        return unless @style.by_hand && @style.opens

        Decision.of(manual, "by hand", "The sides at two fifths of the ends' #{@machine.width_mark(decision.value)}.",
                    source: "side ≈ 0.4 × width")
      end

      # @return [Length] of one bead as it lies
      def bead
        return decision.value if one_bead?
        return manual if @style.by_hand

        [wanted_bead, (decision.value - wanted_space) / 2].min.then { |bead| [bead, Length.zero].max }
      end

      # @return [Length] between the beads as they lie
      def space = one_bead? ? Length.zero : [decision.value - (bead * 2), Length.zero].max

      private

      # An eyelet's ring and a bar tack are one bead each.
      def one_bead? = @style.round? || !@style.opens

      def manual
        @manual ||= [(decision.value * MANUAL_BEAD).round_down_to(@machine.width_step), @machine.width_step].max
      end

      def wanted_bead
        @wanted_bead ||= [Recipes.bead(@cloth.weight),
                          @style.corded ? Cord.thickness_of(@thread) + (CORD_COVER * 2) : Length.zero].max
      end

      def wanted_space
        share = (@cloth.thickness - SPACE_LAYERS[0]) / (SPACE_LAYERS[1] - SPACE_LAYERS[0])
        @wanted_space ||= SPACE[0] + ((SPACE[1] - SPACE[0]) * share.clamp(0, 1))
      end

      def box
        return Decision.of(@own, "your choice", "You set it.", kind: :yours) if @own

        Decision.of(BOX_WIDTH, "box", "Two rows, far enough apart to cut between.", source: "custom of the craft")
      end

      # A tack without a swing: its rows lie on each other.
      def rows = Decision.of(Length.zero, "straight stitch", "The needle does not swing: the rows lie on each other.")

      def set
        return round if @style.round?
        return tack unless @style.opens

        wanted = (wanted_bead * 2) + wanted_space
        return own(wanted) if @own

        found = @machine.width_from(wanted + Length.mm(@experience.width.round(1).rationalize(1r / 100)))
        Decision.of(found, "sides and space", words(wanted, found), source: "width = 2 × bead + cutting space",
                                                                    cautions: cautions(found))
      end

      def words(wanted, found)
        says = Sentence["Two sides of %s for fabric of #{@cloth.weight} g/m² and %s to cut in make %s; #{@machine.name} is set to " \
                        "#{@machine.width_mark(found)}.", wanted_bead, wanted_space, wanted]
        return says unless found < wanted
        return Sentence["%s Test holes with the same #{@experience.shared} wanted less.", says] if @experience.width.negative?

        Sentence["%s It goes no wider, so the sides narrow to %s.", says, (found - wanted_space) / 2]
      end

      def round
        found = @machine.width_settable(@own || RING_BEAD)
        return Decision.of(found, "your choice", "You set it.", kind: :yours) if @own

        Decision.of(found, "ring", "One narrow side all round the eyelet.")
      end

      def tack
        found = @machine.width_settable(@own || Recipes.by_weight(TACK_WIDTHS, @cloth.weight))
        return Decision.of(found, "your choice", "You set it.", kind: :yours) if @own

        Decision.of(found, "tack", "A bar for fabric of #{@cloth.weight} g/m²: #{@machine.width_mark(found)} wide.",
                    source: "1.5 to 2.5 mm by weight")
      end

      def own(wanted)
        found = @machine.width_settable(@own)
        says = "You set #{Wording.decimal(@own.millimetres, 2)}; #{@machine.name} can set #{@machine.width_mark(found)}."
        Decision.of(found, "your choice", says, kind: :yours, cautions: found < wanted ? cautions(found) : [])
      end

      # Only where not even narrow beads leave room.
      def cautions(found)
        return [] if @style.by_hand || found >= wanted_space + (LEAST_BEAD * 2)

        [Caution.new(rule: "cutting space", says: Sentence["Sides of %s leave %s to cut in: they may meet.", LEAST_BEAD,
                                                           [found - (LEAST_BEAD * 2), Length.zero].max],
                     instead: "Set it wider, or separate the sides with a needle and cut with care from the middle.")]
      end
    end

    # @param weight [Integer] g/m²
    # @return [Length]
    def self.bead(weight) = by_weight(BEADS, weight)

    # @param table [Hash{Integer => Length}] by g/m²
    # @param weight [Integer]
    # @return [Length] evenly between two rows, as at the ends beyond them
    def self.by_weight(table, weight)
      below, above = table.each_cons(2).find { |_, (upper, _)| weight <= upper } || table.to_a.last(2)
      share = Rational(weight - below[0], above[0] - below[0]).clamp(0, 1)
      below[1] + ((above[1] - below[1]) * share)
    end
  end
end
