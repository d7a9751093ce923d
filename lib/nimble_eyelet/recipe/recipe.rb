# frozen_string_literal: true

# Recipe is what to set and fit for the holes of one closure: style, foot, needle, stabiliser,
# width, stitch length and tension, each with its reasons and only with values the machine has.
#
#   recipe = Recipes::Recipe.of(situation, Recipes::Overrides.none)
#   recipe.stitch_length.value      # 0.4 mm
#   recipe.stitch_length.because    # [Reason ...]

require_relative "../answer/reason"
require_relative "../answer/refusal"
require_relative "../cloth/stabiliser"
require_relative "../length/wording"
require_relative "../machine/ledger"
require_relative "../typing/limit"
require_relative "../value"
require_relative "density_choice"
require_relative "equipment_choice"
require_relative "style_choice"
require_relative "width_choice"

module NimbleEyelet
  module Recipes
    # How the size of a row's first hole is trusted.
    FIRST_HOLES = { "test" => "sew a test first, always", "stored" => "use settings from a recent test" }.freeze

    # What a person set by hand; nil where the rules decide.
    # stabiliser - String, in a person's own words; stay_layers - Integer of it, one over the other
    # balance - Integer, notches from the middle; pace - String, key of Swatches::PACES, or nil for the house
    # tension_by, tails, stay_by, first_hole, thin_cover - String, keys of TENSION_MOVES, THREAD_TAILS, STAY_SCHOOLS,
    #   FIRST_HOLES and THIN_COVERS, or nil for the house; second_pass - String, "yes" or "no", or nil for the rules
    # way - String, key of Otherways::WAYS, or nil for a hole sewn by machine
    class Overrides < Value.of(style: nil, foot: nil, stitch_width: nil, stitch_length: nil, tension: nil,
                               stabiliser: nil, stay_layers: nil, needle_size: nil, balance: nil, pace: nil,
                               tension_by: nil, tails: nil, stay_by: nil, first_hole: nil, thin_cover: nil,
                               second_pass: nil, way: nil)
      LIMITS = {
        stitch_width: Typing::Limit.length(0, 12, open: true), stitch_length: Typing::Limit.length(0.1r, 5),
        tension: Typing::Limit.number(0..20), needle_size: Typing::Limit.whole(60..120),
        balance: Typing::Limit.whole(-9..9), stay_layers: Typing::Limit.whole(1..3)
      }.freeze

      def self.none = new

      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limit.check_all(check, "recipe", self, LIMITS)
        end
        self
      end
    end

    # One thing to set or fit. key - Symbol, member of Recipe; field - String or nil, path of what a person can
    # overrule; decision - Decision; scores - Array<Score>, what else there is and why not
    RecipeLine = Value.of(:key, :label, field: nil, decision: nil, scores: [])

    # Every part is a Decision. manual_width is nil unless the hole is made by hand with zigzag.
    # stitched - Symbol, :satin, :open or :straight; bead, space - Length, as they lie at the width set
    # coverage - Float, index at the stitch length set; second_pass - Boolean, both beads are sewn twice
    # stay - Stabiliser or nil where a person wrote their own; stay_layers - Decision of an Integer; tension_move -
    #   TensionMove
    # balance - Decision of an Integer, or nil where the machine has none; width_wanted - Length, by the rules
    # filler - Cord or nil, for the length of a hole still to come; scores - Hash of line key to Array<Score>
    class Recipe < Value.of(:style, :stitched, :foot, :needle, :stabiliser, :stay, :stay_layers, :stitch_width,
                            :manual_width, :bead, :space,
                            :stitch_length, :coverage, :second_pass, :tension, :tension_move, :cord, :scores,
                            :width_wanted, balance: nil, cover: nil)
      LINES = [
        RecipeLine.new(key: :style, label: "Style", field: "recipe.style"),
        RecipeLine.new(key: :foot, label: "Foot", field: "recipe.foot"),
        RecipeLine.new(key: :stitch_width, label: "Stitch width", field: "recipe.stitch_width"),
        RecipeLine.new(key: :stitch_length, label: "Stitch length", field: "recipe.stitch_length"),
        RecipeLine.new(key: :tension, label: "Top tension", field: "recipe.tension"),
        RecipeLine.new(key: :balance, label: "Balance", field: "recipe.balance"),
        RecipeLine.new(key: :stabiliser, label: "Stabiliser", field: "recipe.stabiliser"),
        RecipeLine.new(key: :stay_layers, label: "Stabiliser layers", field: "recipe.stay_layers"),
        RecipeLine.new(key: :needle, label: "Needle", field: "recipe.needle_size"),
        RecipeLine.new(key: :cord, label: "Cord"), RecipeLine.new(key: :manual_width, label: "Side by hand")
      ].freeze

      # @return [Ends]
      def ends = style.value.ends(width: stitch_width.value)

      # @return [Hash{String => Length, String}] what a hole is sewn with, by the paths of its figures
      def sewn_with
        { "recipe.stitch_width" => stitch_width.value, "recipe.stitch_length" => stitch_length.value,
          "recipe.tension" => Wording.decimal(tension.value.to_r, 4), **laid_under,
          "recipe.style" => style.value.key, "recipe.foot" => foot.value.kind, "recipe.needle" => needle.value.key,
          "recipe.tension_move" => tension_move.key, "recipe.balance" => balance && balance.value.to_s,
          "recipe.width_wanted" => width_wanted, "recipe.space" => space,
          "recipe.second_pass" => passes }.compact
      end

      # @return [Hash{String => String}] by the paths of its figures
      def laid_under = { "recipe.stabiliser" => laid, "recipe.stay_layers" => stay_layers.value.to_s }

      # @return [String] a key of STABILISERS, or a person's own words
      def laid = stay&.key || stabiliser.value.to_s

      # @return [String] the stabiliser, and its layers
      def stay_words = Stabiliser.layered(stabiliser.value, stay_layers.value)

      # @return [String] "yes" or "no", as it is asked for and kept
      def passes = second_pass ? "yes" : "no"

      # A programme sews all its parts, whoever wants some of them.
      #
      # @param kind [MachineKind] of its machine
      # @return [String, nil] nothing where one pass is enough
      def again_words(kind)
        return unless second_pass
        if whole_again?(kind)
          return "Back to the start, then sew the whole #{style.value.opens ? 'hole' : 'tack'} again on top."
        end

        return "Sew over it a second time." unless style.value.opens

        style.value.round? ? "Then go round once more, on top." : "Sew both sides twice, the ends once."
      end

      # The same within the headline of a test hole.
      #
      # @param kind [MachineKind] of its machine
      # @return [String, nil] nothing where one pass is enough
      def twice_words(kind)
        return unless second_pass

        return "then again on top" if whole_again?(kind)

        style.value.round? ? "then once more round" : "both sides twice"
      end

      # A programme that goes by itself sews all its parts.
      def whole_again?(kind)
        kind.programmed && !kind.partwise && stitched != :straight && !style.value.by_hand && !style.value.round?
      end

      # @return [String, nil] nothing in its middle, or where there is none
      def balance_words = MachinePart.notches(notches)

      # @return [String] where the balance stands, in words
      def balance_told = balance_words || "in the middle"

      # @param line [RecipeLine] of this recipe
      # @return [Object] what it is set to, as a hand is told it: a balance in notches from its middle
      def told(line) = line.key == :balance ? balance_told : line.decision.value

      # @return [Integer] notches of the balance from its middle
      def notches = balance ? balance.value : 0

      # @param opening [Length]
      # @return [Length] how wide the hole is across its slit
      def width(opening) = style.value.round? ? opening + ends.both : stitch_width.value

      # @return [Rational] share of the cloth's stretch that the slit still has: none with a cord
      def stretch_left = cord.value ? 0r : (stay&.stretch_left || 1r)

      # @return [Array<RecipeLine>] what is set and fitted, in the order in which a person goes about it
      def lines
        LINES.filter_map do |line|
          next if line.key == :cord && !style.value.opens
          next if line.key == :stitch_width && stitch_width.value.zero?

          self[line.key] && line.with(decision: self[line.key], label: label(line), scores: scores.fetch(line.key, []))
        end
      end

      # @return [Array<Caution>] of all parts
      def cautions
        [style, foot, needle, stabiliser, stitch_width, stitch_length, tension].flat_map(&:cautions)
      end

      # @return [Recipe]
      def self.of(situation, overrides) = Chooser.new(situation, overrides).recipe

      private

      # A straight-stitch box has no swing of the needle, only a distance of its rows.
      def label(line) = line.key == :stitch_width && stitched == :straight ? "Between the rows" : line.label
    end

    # Puts the choices together, each worked out from those before it.
    class Chooser
      # @param situation [Situation]
      # @param overrides [Overrides]
      def initialize(situation, overrides)
        @situation = situation
        @overrides = overrides
      end

      # @return [Recipe]
      def recipe
        style = StyleChoice.new(@situation, @overrides)
        @style = style.decision
        equipment = EquipmentChoice.new(@situation, @overrides, @style.value, stitched)
        width = WidthChoice.new(@situation, @overrides, @style.value, stitched)
        density = DensityChoice.new(@situation, @overrides, @style.value, stitched)
        Recipe.new(style: @style, stitched: stitched, **equipment.lines, stitch_width: width.decision, manual_width: width.by_hand,
                   bead: width.bead, space: width.space, width_wanted: width.wanted, **density.lines, cord: cord,
                   scores: { style: style.scores, **equipment.scores })
      end

      private

      def stitched = @style.value.stitched_on(@situation.stretchy?)

      def cord
        return Decision.of(false, "cord", "A tack takes none.") unless @style.value.opens
        return Decision.of(true, "cord", "A cord under both sides keeps the hole from growing.") if @style.value.corded

        Decision.of(false, "cord",
                    @situation.stretchy? ? "No cord in this style: what is laid inside has to hold the length." : "This fabric keeps " \
                      "its length without a cord.")
      end
    end
  end
end
