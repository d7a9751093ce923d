# frozen_string_literal: true

# Steps writes down the whole row in order, for one machine and one closure: stabilise, mark, set
# the machine, test, sew every hole with its resets, seal and open, sew the buttons, put the
# machine back, note it.
#
#   steps = Sewing::Steps.of(order)
#   steps.map(&:key)     # => ["stabilise", "try-on", "mark", ...]
#
# Whatever a step moves away from neutral, a later step puts back: the last ones are read off the
# ledger, so none can be forgotten.

require_relative "../answer/sentence"
require_relative "../length/wording"
require_relative "../machine/ledger"
require_relative "../machine/machine"
require_relative "../placket/sewn_hole"
require_relative "../value"
require_relative "step"

module NimbleEyelet
  module Sewing
    # What is to be sewn.
    SewingOrder = Value.of(:cloth, :machine, :recipe, :cut, :layout, :attaching)

    # Steps by heading.
    class Steps
      SET_UP = "Set the machine"

      # How a hole is sewn, by machine kind: what to do and how; symbols stand for figures of the order.
      SEW = {
        "sensing" => ["Sew the hole.", ["Near tack, one bead away, far tack, other bead back. Even speed; guide, do not pull."]],
        "memory" => ["Sew the hole.", ["First hole: press the reverse key %s from the start. After that the length repeats by itself.",
                                       :length]],
        "stepped" => ["Sew the hole in its four parts.",
                      ["Side, tack, side, tack, to the marks %s apart. Needle up before each turn of the selector; " \
                       "five to seven stitches a tack.", :overall]],
        "plain" => ["Sew the hole with zigzag.",
                    ["Tack at %s wide, bead at %s, needle down in the outer edge and pivot half a turn, tack, bead.",
                     :stitch_width, :manual_width]],
        "straight" => ["Sew the box, twice round.", ["Along the lines, %s apart; needle down at every corner.", :stitch_width]]
      }.freeze

      # @param order [SewingOrder]
      # @return [Array<Step>]
      def self.of(order) = new(order).all

      def initialize(order)
        @order = order
        @machine = order.machine
        @recipe = order.recipe
      end

      # @return [Array<Step>]
      def all
        work = prepare + set_up + test + row + open_up + buttons
        ledger = work.reduce(Ledger.empty) { |state, step| state.changed(step.moves) }
        (work + put_back(ledger)) << Step.new(key: "note", part: "Put the machine back",
                                              does: "Note what worked: accept the swatch it was sewn with.")
      end

      private

      def prepare
        part = "Prepare"
        [Step.new(key: "stabilise", part: part, does: "Stabilise: #{@recipe.stabiliser.value}.",
                  how: @recipe.stabiliser.because.first.says, figures: { "recipe.stabiliser" => @recipe.stabiliser.value.to_s },
                  symptom: "Left out, the row tunnels and the holes grow.",
                  caution: (@order.cloth.iron? ? nil : "No hot iron on this cloth.")),
         Step.new(key: "try-on", part: part, does: "Try the garment on, and check the pinned points.",
                  how: "Before anything is marked."),
         mark_step(part)]
      end

      def mark_step(part)
        holes = count == 1 ? "the hole" : "#{count} holes"
        Step.new(key: "mark", part: part, does: Sentence["Mark #{holes}, each from the top edge; the slit is %s.", @order.cut.length],
                 figures: slit.merge(marks),
                 how: "With #{@order.cloth.type.marking}. Never measure one hole from the one before.")
      end

      def set_up
        steps = [needle_step, foot_step, set_step]
        steps << clamp_step << lever_step if clamped?
        steps << chalk_step if by_hand?
        steps
      end

      def needle_step
        Step.new(key: "needle", part: SET_UP, figures: { "recipe.needle" => @recipe.needle.value.to_s }, does: "Fit the needle: #{@recipe.needle.value}.",
                 how: @recipe.needle.because.first.says, caution: "Machine off while your hands are at the needle.")
      end

      def foot_step
        foot = @recipe.foot.value
        name = foot.nickname.empty? ? foot.name : "#{foot.name} (#{foot.nickname})"
        away = foot.type.neutral ? {} : { "foot" => foot.name }
        Step.new(key: "foot", part: SET_UP, figures: { "recipe.foot" => foot.name }, does: "Fit the #{name}.",
                 how: @recipe.foot.because.first.says, moves: away)
      end

      def set_step
        says = "Set stitch length %s and top tension #{Wording.decimal(@recipe.tension.value.to_r, 2)}."
        figures = [@recipe.stitch_length.value]
        moves = { "length" => @recipe.stitch_length.value, "tension" => tension_away }
        unless straight?
          says = "Set stitch width %s, #{says[0].downcase}#{says[1..]}"
          figures.unshift(@recipe.stitch_width.value)
          moves["width"] = @recipe.stitch_width.value
        end
        Step.new(key: "settings", part: SET_UP, does: Sentence[says, *figures], moves: moves.compact, figures: set,
                 how: "Select #{by_hand? ? 'zigzag' : @recipe.style.value.name}, needle up and out of the cloth.")
      end

      # What the dials are set to.
      def set
        { "recipe.style" => @recipe.style.value.name, "recipe.stitch_width" => straight? ? nil : @recipe.stitch_width.value, "recipe.stitch_length" => @recipe.stitch_length.value,
          "recipe.tension" => Wording.decimal(@recipe.tension.value.to_r, 2) }.compact
      end

      def tension_away
        tension = @recipe.tension.value
        tension == @machine.neutral_tension ? nil : Wording.decimal(tension.to_r, 2)
      end

      def clamp_step
        Step.new(key: "clamp", part: SET_UP, does: "Put the button into the carriage foot and clamp it.",
                 how: Sentence["The foot should give a slit of %s. Look at the test hole before trusting it.", @order.cut.length],
                 moves: { "button_in_foot" => "clamped" }, figures: slit)
      end

      def lever_step
        Step.new(key: "lever", part: SET_UP, does: "Pull the sensing lever down, between its two stops.",
                 moves: { "lever" => "down" },
                 symptom: "Left up, the machine beeps and stops, or runs on past the tack.")
      end

      def chalk_step
        how = straight? ? "Both long lines and both ends." : "Both ends of every slit: they are where the tacks begin."
        Step.new(key: "chalk", part: SET_UP, does: Sentence["Chalk the lines of the holes: %s overall.", @order.cut.overall], how: how,
                 figures: slit.merge(overall))
      end

      def test
        part = "Test"
        [Step.new(key: "test-sew", part: part, does: "Sew a test hole on a scrap of the same layers and stabiliser.",
                  how: Sentence["Slit %s, overall %s. Same grain, same thread.", @order.cut.length, @order.cut.overall],
                  figures: slit.merge(overall, set)),
         Step.new(key: "test-open", part: part, does: "Cut it open, put the button through, and log what you see.",
                  symptom: "Skipped, the first hole cut into the garment is the test.",
                  caution: "Ripper away from the holding hand, on a mat.")]
      end

      def row
        @order.layout.holes.flat_map { |hole| hole_steps(hole) } << tails_step
      end

      def hole_steps(hole)
        part = "Hole #{hole.number} of #{count}"
        steps = []
        steps << reset_step(hole, part) if hole.number > 1 && reset?
        steps << place_step(hole, part)
        steps << sew_step(hole, part)
      end

      def reset? = !by_hand? && @machine.reset_words

      def reset_step(hole, part)
        Step.new(key: "reset-#{hole.number}", part: part, does: "Reset: #{@machine.reset_words}.",
                 symptom: "Forgotten, the next hole starts in the middle of the cycle.")
      end

      def place_step(hole, part)
        start = hole.vertical? ? hole.to : hole.at
        lever = clamped? ? " Lever down?" : ""
        Step.new(key: "place-#{hole.number}", part: part, figures: { "hole.at" => hole.at, "hole.start" => start },
                 does: Sentence["Needle onto the start mark, by hand: %s from the top edge.", start],
                 how: "Hold the thread tails under the foot.#{lever}", caution: "Hand wheel only toward you.")
      end

      def sew_step(hole, part)
        does, how = SEW.fetch(straight? ? "straight" : @machine.kind)
        how = Sentence[*how.map { |piece| figure(piece) }]
        how = Sentence["%s %s", how, "Stop it yourself when the second bead meets the tack."] if
          @machine.stops == "operator" && @machine.type.senses && !straight?
        stored = hole.number == 1 && @machine.type.stores && !straight?
        Step.new(key: "sew-#{hole.number}", part: part, figures: { "hole.at" => hole.at }.merge(slit, overall, set),
                 hole: Placket::SewnHole.new(at: hole.at, opening: @order.cut.length), does: does, how: how, symptom: interrupted(hole),
                 moves: stored ? { "memory" => @order.cut.length } : {})
      end

      # Sentence once, at the first hole.
      def interrupted(hole)
        return unless hole.number == 1 && @machine.lift_resets && !by_hand?

        "Lifting the foot half way loses the place: unpick, reset, and sew this hole again from its start."
      end

      def figure(piece)
        case piece
        when :length then @order.cut.length
        when :overall then @order.cut.overall
        when :stitch_width then @recipe.stitch_width.value
        when :manual_width then @recipe.manual_width&.value || @recipe.stitch_width.value
        else piece
        end
      end

      def tails_step
        Step.new(key: "tails", part: "Open the holes", does: "Take the thread tails to the back, knot and trim them.",
                 moves: clamped? ? { "lever" => nil, "button_in_foot" => nil } : {},
                 how: clamped? ? "Lever up and the button out of the foot: the holes are done." : nil)
      end

      def open_up
        part = "Open the holes"
        seal = Step.new(key: "seal", part: part, does: "Seal the cut line sparingly with fray liquid, and let it dry.",
                        how: "Minutes, as its label says. Try it on the scrap for stains.", caution: "Fresh air, no flame.")
        openings = @order.layout.holes.map do |hole|
          Step.new(key: "open-#{hole.number}", part: part, figures: { "hole.at" => hole.at }.merge(slit),
                   does: "Open hole #{hole.number} from both ends to the middle, and put the button through.",
                   how: straight? ? "Stop short of the stitching." : "A pin across inside each tack stops the blade.",
                   symptom: hole.number == 1 ? "Untried, a hole that is too short is found out after the whole row." : nil,
                   caution: hole.number == 1 ? "Ripper away from the holding hand, on a mat." : nil)
        end
        (@order.cloth.frays? ? [seal] : []) + openings
      end

      def buttons
        part = "Sew the buttons"
        marks = Step.new(key: "mark-buttons", part: part, does: "Mark the buttons through the finished holes.",
                         how: "Closure flat, hems level; compare with the plan.")
        return [marks, hand_step(part)] unless @order.attaching.by_machine

        [marks, *prepare_for_buttons(part), *sew_buttons(part)]
      end

      def hand_step(part)
        Step.new(key: "buttons-by-hand", part: part, does: "Sew #{count == 1 ? 'the button' : "the #{count} buttons"} on by hand.",
                 how: @order.attaching.instead, figures: { "placket.count" => count.to_s })
      end

      def prepare_for_buttons(part)
        attaching = @order.attaching
        button_foot = @machine.foot("button_foot")
        foot = if button_foot
                 Step.new(key: "button-foot", part: part, does: "Fit the button foot.", moves: { "foot" => "button foot" },
                          caution: "Machine off while your hands are at the needle.")
               else
                 Step.new(key: "button-foot", part: part, does: "Take the foot off and hold the button under the bare shank.",
                          moves: { "foot" => "none" }, caution: "Fingers well away; hand wheel first.")
               end
        [foot,
         Step.new(key: "feed-off", part: part, does: "#{FEED_STOPS.fetch(@machine.feed_stop).capitalize}.", moves: feed_off,
                  symptom: "Forgotten, the cloth creeps and the needle hits the button."),
         Step.new(key: "button-width", part: part, does: Sentence["Select zigzag, width %s; tension back to your usual.", attaching.width],
                  figures: { "attach.width" => attaching.width }, moves: { "width" => attaching.width, "tension" => nil })]
      end

      def feed_off
        return { "length" => "0" } if @machine.feed_stop == "length_zero"

        { "feed_dogs" => @machine.feed_stop == "cover_plate" ? "covered" : "dropped" }
      end

      def sew_buttons(part)
        attaching = @order.attaching
        shank = attaching.shank.zero? ? "" : " over a pin, for a thread shank of %s"
        turns = attaching.pattern.turned ? " #{attaching.pattern.how}" : ""
        how = Sentence["#{attaching.stitches} stitches a pair#{shank}.#{turns}", *(attaching.shank unless attaching.shank.zero?)]
        way = { "attach.pattern" => attaching.pattern.name, "attach.shank" => attaching.shank }
        sewn = @order.layout.holes.map do |hole|
          Step.new(key: "button-#{hole.number}", part: part, how: how, figures: { "hole.button" => hole.button, **way },
                   does: "Turn the needle by hand through both holes, then sew button #{hole.number}.",
                   caution: hole.number == 1 ? "Eyes protected, slow: a struck needle flies." : nil)
        end
        sewn << Step.new(key: "secure", part: part, does: "Tails to the back, knot and trim.")
      end

      def put_back(ledger)
        ledger.entries.map do |entry|
          Step.new(key: "back-#{entry.part.key}", part: "Put the machine back", does: entry.part.back,
                   moves: { entry.part.key => nil }, symptom: "Left as it is, next week's seam is ruined.")
        end
      end

      def slit = { "opening.length" => @order.cut.length }
      def overall = { "opening.overall" => @order.cut.overall }

      # Where the chalk is, and how often.
      def marks
        @order.layout.holes.to_h { |hole| ["mark.#{hole.number}", hole.at] }.merge("placket.count" => count.to_s)
      end

      def count = @order.layout.holes.size
      def straight? = @recipe.style.value.stitched == :straight
      def by_hand? = straight? || @recipe.style.value.by_hand
      def clamped? = @recipe.foot.value.type.clamps
    end
  end
end
