# frozen_string_literal: true

# Recipe is what to set and fit for the holes of one closure: style, foot, needle, stabiliser,
# width, stitch length and tension, each with its reasons and only with values the machine has.
#
#   recipe = Recipes::Recipe.of(situation, Recipes::Overrides.none)
#   recipe.stitch_length.value      # 0.4 mm
#   recipe.stitch_length.because    # [Reason ...]

require_relative "../answer/reason"
require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../cloth/stabiliser"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../machine/foot"
require_relative "../style/style"
require_relative "../thread/sewing_thread"
require_relative "../typing/limit"
require_relative "../value"
require_relative "rules"

module NimbleEyelet
  module Recipes
    # A bead grows from the first to the second over these weights (g/m²).
    BEAD = [Length.mm(16r / 10), Length.mm(26r / 10)].freeze
    BEAD_WEIGHTS = [60, 400].freeze
    # Cutting space grows from the first to the second over these thicknesses of one layer.
    SPACE = [Length.mm(1r / 2), Length.mm(12r / 10)].freeze
    SPACE_LAYERS = [Length.mm(1r / 10), Length.mm(12r / 10)].freeze
    # By hand with zigzag, a bead is this share of the tacks' width.
    MANUAL_BEAD = 4r / 10
    # Straight-stitch box: distance of the two rows, and stitch length.
    BOX_WIDTH = Length.mm(3)
    BOX_STITCH = Length.mm(5r / 2)
    # Open zigzag on knits covers less, so that it can stretch.
    OPEN_AIM = 0.33
    # Top tension below neutral, in units of the dial.
    TENSION_DROP = 1r
    # A dial is never turned lower than this.
    LEAST_TENSION = 0r

    # What a person set by hand; nil where the rules decide.
    class Overrides < Value.of(style: nil, foot: nil, stitch_width: nil, stitch_length: nil, tension: nil,
                               stabiliser: nil, needle_size: nil)
      LIMITS = {
        stitch_width: Typing::Limit.length(0, 12, open: true), stitch_length: Typing::Limit.length(0.1r, 5),
        tension: Typing::Limit.number(0..20), needle_size: Typing::Limit.whole(60..120)
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
    # overrule; decision - Decision
    RecipeLine = Value.of(:key, :label, field: nil, decision: nil)

    # Every part is a Decision. manual_width is nil unless the hole is made by hand with zigzag.
    # coverage - Float, index at the stitch length set
    # scores - Array<StyleScore>, every style with what speaks for and against it
    class Recipe < Value.of(:scores, :style, :foot, :needle, :stabiliser, :stitch_width, :manual_width, :bead,
                            :space, :stitch_length, :coverage, :tension, :cord)
      LINES = [
        RecipeLine.new(key: :style, label: "Style", field: "recipe.style"),
        RecipeLine.new(key: :foot, label: "Foot", field: "recipe.foot"),
        RecipeLine.new(key: :stitch_width, label: "Stitch width", field: "recipe.stitch_width"),
        RecipeLine.new(key: :stitch_length, label: "Stitch length", field: "recipe.stitch_length"),
        RecipeLine.new(key: :tension, label: "Top tension", field: "recipe.tension"),
        RecipeLine.new(key: :stabiliser, label: "Stabiliser", field: "recipe.stabiliser"),
        RecipeLine.new(key: :needle, label: "Needle", field: "recipe.needle_size"),
        RecipeLine.new(key: :cord, label: "Cord"), RecipeLine.new(key: :manual_width, label: "Bead by hand")
      ].freeze

      # @return [Ends]
      def ends = style.value.ends(width: stitch_width.value)

      # @return [Array<RecipeLine>] what is set and fitted, in the order in which a person goes about it
      def lines = LINES.filter_map { |line| self[line.key] && line.with(decision: self[line.key], label: label(line)) }

      # @return [Array<Caution>] of all parts
      def cautions
        [style, foot, needle, stabiliser, stitch_width, stitch_length, tension].flat_map(&:cautions)
      end

      private

      # A straight-stitch box has no swing of the needle, only a distance of its rows.
      def label(line) = line.key == :stitch_width && style.value.stitched == :straight ? "Between the rows" : line.label
    end

    # Reads the recipe off the rules.
    class Chooser
      # @param situation [Situation]
      # @param overrides [Overrides]
      def initialize(situation, overrides)
        @situation = situation
        @overrides = overrides
        @cloth = situation.cloth
        @machine = situation.machine
        @thread = situation.thread
      end

      # @return [Recipe]
      def recipe
        width = stitch_width
        length = stitch_length
        Recipe.new(scores: scores, style: style, foot: foot, needle: needle, stabiliser: stabiliser, stitch_width: width,
                   manual_width: manual_width(width.value), bead: bead, space: space, stitch_length: length,
                   coverage: @thread.coverage(length.value), tension: tension, cord: cord)
      end

      private

      def style
        @style ||= @overrides.style ? own_style : ruled_style
      end

      def own_style
        wanted = Style.fetch(@overrides.style)
        choice = Decision.of(wanted, "your choice", "You chose it.", kind: :yours)
        score = scores.find { |other| other.style == wanted }
        return choice.with(cautions: against(score)) if score.possible

        best = best_score
        choice.with(value: best.style, cautions: [lacking(wanted)] + against(best))
      end

      def ruled_style
        best = best_score
        wanted = scores.first
        reasons = best.speaks_for.sort_by { |rule| -rule.votes.fetch(best.style.key) }
                      .map { |rule| Reason.new(rule: rule.name, says: rule.says) }
        reasons = [Reason.new(rule: "what is left", says: "The best of what #{@machine.name} can sew.")] if reasons.empty?
        Decision.new(value: best.style, because: reasons,
                     cautions: (wanted.possible ? [] : [lacking(wanted.style)]) + conflicts(best))
      end

      def scores = @scores ||= Recipes.ranked(@situation)
      def best_score = scores.find(&:possible)

      # What speaks against a style that was chosen all the same.
      def against(score)
        instead = best_score.style == score.style ? nil : "The rules would take: #{best_score.style.name}."
        score.against.map { |rule| Caution.new(rule: rule.name, says: rule.says, instead: instead) }
      end

      def conflicts(score)
        Recipes.conflicts(score).map do |one, other|
          Caution.new(rule: "conflict", says: "Two rules disagree here. #{one.says} But: #{other.says}",
                      instead: "Let a test hole decide.")
        end
      end

      def lacking(wanted)
        Caution.new(rule: "machine", says: "#{@machine.name} has no programme for: #{wanted.name}.",
                    instead: "The nearest it can do is chosen instead.")
      end

      def foot
        owned = @overrides.foot && @machine.foot(@overrides.foot)
        return Decision.of(owned, "your choice", "You chose it.", kind: :yours) if owned

        rule = FOOT_RULES.find do |candidate|
          @machine.foot(candidate.gives) && candidate.applies.call(@situation, style.value)
        end
        return no_foot unless rule

        Decision.of(@machine.foot(rule.gives), rule.name, rule.says, cautions: foot_cautions(rule))
      end

      def no_foot
        Decision.of(Foot.new(kind: "general_zigzag_foot"), "whatever is there", "The foot every zigzag machine has.",
                    cautions: [Caution.new(rule: "foot", says: "#{@machine.name} has no foot on record that suits this.",
                                           instead: "Note its feet, or use its general foot and sew slowly.")])
      end

      def foot_cautions(rule)
        return [] if FOOT_KINDS.fetch(rule.gives).clamps || !@machine.type.senses || style.value.stitched == :straight

        [Caution.new(rule: "carriage", says: "The carriage foot cannot hold this button.",
                     instead: "Use the sliding scale foot and watch its marks, or clamp a flat stand-in as long as H.")]
      end

      def needle
        needle, says = NEEDLES.fetch(@cloth.kind)
        if @overrides.needle_size
          Decision.of(needle.with(size: @overrides.needle_size), "your choice", "You chose it.", kind: :yours)
        elsif @thread.tex >= THICK_TEX && needle.size < THICK_THREAD_NEEDLE
          Decision.of(needle.with(size: THICK_THREAD_NEEDLE), "thick thread", "Tex #{@thread.tex} needs a larger eye.")
        else
          Decision.of(needle, "cloth", says)
        end
      end

      def stabiliser
        own = @overrides.stabiliser.to_s
        return Decision.of(own, "your choice", "You chose it.", kind: :yours) unless own.empty?

        best = STABILISERS.fetch(@cloth.kind).first
        found = Stabiliser.for(@cloth.kind, @situation.stabilisers)
        Decision.of(found.says, "cloth", found.why, cautions: found == best ? [] : [not_owned(best)])
      end

      def not_owned(best)
        Caution.new(rule: "stabiliser", says: "Better for this cloth: #{best.says}.",
                    instead: "There is none in the drawer of: #{best.names}. Get some, or test twice.")
      end

      def bead = @bead ||= between(BEAD, (@cloth.weight - BEAD_WEIGHTS[0]).to_r / (BEAD_WEIGHTS[1] - BEAD_WEIGHTS[0]))

      def space
        @space ||= between(SPACE, (@cloth.thickness - SPACE_LAYERS[0]) / (SPACE_LAYERS[1] - SPACE_LAYERS[0]))
      end

      def between((least, most), share) = least + ((most - least) * share.clamp(0, 1))

      def stitch_width
        return own_width if @overrides.stitch_width
        return box_width if style.value.stitched == :straight

        wanted = (bead * 2) + space
        set = @machine.width_settable(wanted)
        Decision.of(set, "beads and space",
                    Sentence["Two beads of %s for cloth of #{@cloth.weight} g/m² and %s to cut in make %s; " \
                             "#{@machine.name} can set %s.", bead, space, wanted, set],
                    source: "width = 2 × bead + cutting space", cautions: narrow_cautions(set, wanted))
      end

      def box_width
        Decision.of(BOX_WIDTH, "box", "Two rows, far enough apart to cut between.", source: "custom of the craft")
      end

      def own_width
        wanted = @overrides.stitch_width
        return Decision.of(wanted, "your choice", "You set it.", kind: :yours) if style.value.stitched == :straight

        set = @machine.width_settable(wanted)
        choice = Decision.of(set, "your choice", Sentence["You set %s; #{@machine.name} can set %s.", wanted, set], kind: :yours)
        choice.with(cautions: narrow_cautions(set, (bead * 2) + space))
      end

      def narrow_cautions(set, wanted)
        left = set - (bead * 2)
        return [] if set >= wanted || left >= SPACE[0]

        [Caution.new(rule: "cutting space", says: Sentence["Only %s is left to cut in: the beads may meet.",
                                                           [left, Length.zero].max],
                     instead: "Sew narrower beads, or cut with care from the middle.")]
      end

      def manual_width(width)
        return unless style.value.by_hand

        Decision.of(@machine.width_settable(width * MANUAL_BEAD), "by hand",
                    Sentence["The beads at two fifths of the tacks' %s.", width], source: "bead ≈ 0.4 × width")
      end

      def stitch_length
        return own_length if @overrides.stitch_length
        return box_length if style.value.stitched == :straight

        aim = style.value.stitched == :open ? OPEN_AIM : SewingThread::COVERAGE_AIM
        wanted = @thread.stitch_length(aim)
        set = @machine.length_settable(wanted)
        Decision.of(set, "cover", Sentence["Tex #{plain(@thread.tex)} #{@thread.fibre} is %s thick; for a coverage index of #{aim} " \
                                           "that is %s, and the dial has %s.", @thread.diameter, wanted, set],
                    source: "coverage index = thread diameter / stitch length", cautions: cover_cautions(set))
      end

      def box_length
        Decision.of(@machine.length_settable(BOX_STITCH), "perforation", "Long stitches leave fewer holes.")
      end

      def own_length
        set = @machine.length_settable(@overrides.stitch_length)
        Decision.of(set, "your choice", Sentence["You set %s; the dial has %s.", @overrides.stitch_length, set],
                    kind: :yours, cautions: cover_cautions(set))
      end

      def cover_cautions(set)
        return [] unless style.value.stitched == :satin

        index = @thread.coverage(set)
        return [cover_caution(index, "below", "the cloth shows through", "Shorten one step, or sew a second pass.")] if
          index < SewingThread::COVERAGE_LEAST
        return [] if index <= SewingThread::COVERAGE_MOST

        [cover_caution(index, "above", "stitches pile up", "Lengthen one step, or use the grooved satin foot.")]
      end

      def cover_caution(index, side, what, instead)
        Caution.new(rule: "cover", instead: instead,
                    says: "The coverage index is #{index.round(2)}, #{side} the band from #{SewingThread::COVERAGE_LEAST} " \
                          "to #{SewingThread::COVERAGE_MOST}: #{what}.")
      end

      def tension
        own = @overrides.tension
        return Decision.of(own, "your choice", "You set it.", kind: :yours) if own

        neutral = @machine.neutral_tension
        return Decision.of(neutral, "straight stitch", "Straight stitch wants the usual tension.") if
          style.value.stitched == :straight

        says = "#{plain(TENSION_DROP)} below your usual #{plain(neutral)}, so that the top thread rolls to the back."
        says += " Threading the bobbin finger instead would do; never both." if @machine.bobbin_finger
        Decision.of([neutral - TENSION_DROP, LEAST_TENSION].max, "top tension", says)
      end

      def plain(number) = Wording.decimal(number.to_r, 2)

      def cord
        corded = style.value.corded
        says = corded ? "A cord under both beads keeps the hole from growing." : "This cloth keeps its length without a cord."
        Decision.of(corded, "cord", says)
      end
    end

    # @return [Recipe]
    def Recipe.of(situation, overrides) = Chooser.new(situation, overrides).recipe
  end
end
