# frozen_string_literal: true

# MoveWords say what to set otherwise, in the machine's own marks, and what of the plan that changes. That
# a machine sews shorter than it is set changes the setting; that the button wants more changes the
# opening wanted.
#
#   MoveWords.new(current, options).change(move, axis, beliefs).says   # => "Shorten the stitch from 0.45 to 0.4."

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../opening/school"
require_relative "../opening/setting"
require_relative "../swatch/change"
require_relative "troubleshooter"

module NimbleEyelet
  module Inference
    class MoveWords
      SOURCE = "your test holes"
      # In so many: nobody is surer than that.
      TWENTY = 20

      # @param current [Swatches::CurrentSettings]
      # @param options [Options]
      def initialize(current, options)
        @current = current
        @options = options
      end

      # @param move [Move]
      # @param axis [Axis] it is on
      # @param beliefs [Beliefs]
      # @param look [String, Sentence, nil] what to look at before
      # @param hole [Swatches::Swatch, nil] that lies on the table
      # @return [Swatches::Change]
      def change(move, axis, beliefs, look: nil, hole: nil)
        sets = sets(move.axis, move.to, beliefs)
        says = says(move, axis, beliefs, sets, hole)
        Swatches::Change.new(axis: axis.key.to_s, sets: sets, says: look ? Sentence["%s But first: %s", says, look] : says,
                             because: [Reason.new(rule: axis.key.to_s, says: likelier(move), source: SOURCE)])
      end

      # Where no mark is worth another hole.
      #
      # @param by_hand [Swatches::Change, nil] what is left of the row
      # @return [Swatches::Change]
      def between(axis, by_hand)
        best = axis.likeliest
        says = "It lies between two that were tried, or the measuring is off: #{BETWEEN_MARKS.fetch(axis.key)}"
        says += " The likeliest mark is #{mark(axis.key, best)}." if best && axis.key != :fit
        Swatches::Change.new(axis: axis.key.to_s, says: by_hand ? Sentence["%s %s", says, by_hand.says] : says, because: [NO_MARK])
      end
      NO_MARK = Reason.new(rule: "between", says: "No mark of this machine is worth another test hole here.", source: SOURCE)
      BETWEEN_MARKS = { fit: "measure both again, and keep the better one.", cover: "stop turning the dials.",
                        tension: "stop turning the dial.", space: "stop turning the dial." }.freeze
      private_constant :BETWEEN_MARKS, :NO_MARK

      # @param path [String]
      # @return [Length, Rational, Integer, nil] what is set there now
      def now(path)
        { "opening.correction" => @current.correction, "opening.ease" => @current.ease,
          "recipe.stitch_length" => @current.stitch_length,
          "recipe.stitch_width" => @current.stitch_width, "recipe.tension" => @current.tension, "recipe.balance" => @current.balance,
          "recipe.stabiliser" => @current.stabiliser, "recipe.second_pass" => @current.second_pass,
          "recipe.stay_layers" => @current.stay_layers }[path]
      end

      # @return [Float] mm, how far the slit will be from the opening wanted
      def away(option, beliefs) = (length(option, beliefs) - @current.wanted.to_f).abs

      # @return [Float] mm, that is to be expected of a setting
      def length(option, beliefs) = option.at.first + @options.usual + beliefs.fit.added.first

      private

      def sets(axis, option, beliefs)
        case axis
        when :fit then fit_sets(option, beliefs)
        when :cover then cover_sets(*option.value)
        when :tension then { "recipe.tension" => option.value }
        else { "recipe.stitch_width" => option.value }
        end
      end

      # What is more than a mark beside the opening wanted is wanted otherwise.
      def fit_sets(option, beliefs)
        by = wished(option, beliefs)
        return { "opening.correction" => option.value } if by.zero?

        { "opening.ease" => [@current.ease + by, Length.zero].max, "opening.correction" => option.value - by }
      end

      # How much longer than now the opening is wanted: what comes of the setting is what is wanted.
      def wished(option, beliefs)
        return Length.zero unless @current.eased
        return option.value - @current.correction if Opening::SETTING_METHODS.fetch(@current.by).drawn

        step = @current.ruler.step
        by = (Length.mm(length(option, beliefs).rationalize(1r / 1000)) - @current.wanted).round_to(step)
        by.abs < step ? Length.zero : by
      end

      def cover_sets(length, notches)
        { "recipe.stitch_length" => length, "recipe.balance" => notches }.reject { |path, value| now(path) == value }
      end

      def says(move, axis, beliefs, sets, hole)
        return fit_says(move.to, axis, beliefs, sets, hole) if axis.key == :fit
        return TurnWords.of(:tension, axis.current.value, move.to.value) if axis.key == :tension
        return TurnWords.of(:stitch_width, axis.current.value, move.to.value) if axis.key == :space

        cover_says(axis.current, move.to)
      end

      def cover_says(from, to)
        (length, notches), (new_length, new_notches) = [from, to].map(&:value)
        said = []
        said << TurnWords.of(:stitch_length, length, new_length) if length != new_length
        said << balance_says(new_notches - notches, new_notches) if notches != new_notches
        said.join(" ")
      end

      def balance_says(by, now)
        bead = by.positive? ? "sewn towards you" : "sewn away from you"
        count = by.abs == 1 ? "one notch" : "#{by.abs} notches"
        "Turn the balance #{count} so that the side #{bead} gets denser and the other opens#{': that is the middle' if now.zero?}."
      end

      # It begins with the hole on the table: how far that is off, what the hands do then, and what it makes.
      def fit_says(option, axis, beliefs, sets, hole)
        by = sets["opening.ease"] && wished(option, beliefs)
        off = off_by(option, axis, beliefs, hole)
        said = [off_says(off, hole), Sentence["%s; that makes about %s.", hands_say(hands_of(option), hands_of(axis.current)),
                                              about(length(option, beliefs))]]
        # Where more was wanted all along and the hole is long all the same, the one says nothing of the other.
        said << why(by, beliefs) if by && by.negative? == off.negative?
        Sentence[said.map { "%s" }.join(" "), *said]
      end

      # A hole that is right, or not sewn yet, is not too short: another one would be surer.
      def off_says(off, hole)
        much = about(off.abs)
        if hole.nil? || hole.right?("fit")
          longer = off.negative? ? "shorter" : "longer"
          return much.zero? ? "Make it a little #{longer}." : Sentence["Make it %s #{longer}.", much]
        end

        too = off.negative? ? "long" : "short"
        much.zero? ? "A little too #{too}." : Sentence["%s too #{too}.", much]
      end

      # How much longer than the hole on the table it is to become, mm: as that was measured where it was sewn so, and
      # the hands go the same way; else as it was to be expected.
      def off_by(option, axis, beliefs, hole)
        becomes = length(option, beliefs)
        off = becomes - length(axis.current, beliefs)
        return off unless hole&.measured && hole.hands == hands_of(axis.current)

        seen = becomes - hole.measured.to_f
        seen.negative? == off.negative? ? seen : off
      end

      # Whether the button wants it, or only a whole row.
      def why(by, beliefs)
        wants = beliefs.fit.wanted.first
        if wants.abs < WANTS || wants.negative? != by.negative?
          return Sentence["A little #{by.negative? ? 'shorter' : 'longer'} than %s is surer for a whole row.", @current.wanted]
        end

        "The #{@current.button.form.noun} wants #{by.negative? ? 'less' : 'more'} than was reckoned."
      end
      # From so much on it is the button, mm.
      WANTS = 0.25
      private_constant :WANTS

      # A foot that holds the button is opened further than it is; what it holds else is as long as it is to be.
      def hands_say(to, from)
        return Sentence["#{HANDS.fetch(@current.by)} %s instead of %s", to, from] unless @current.by == "clamp"

        beyond = [to, from].map { |one| beyond(one) }
        return Sentence["Put in a card of %s instead of %s", to, beyond.last ? held : from] unless beyond.first
        return Sentence["Clamp #{held} and open the foot %s further", beyond.first] unless beyond.last

        click = @current.foot.click
        return Sentence["Open the foot %s beyond #{held} instead of %s", *beyond] unless click

        Sentence["Open the foot by %s instead of %s clicks", *beyond.map { |one| (one / click).round.to_s }]
      end

      def held = "the #{@current.button.form.noun}"

      # How far the foot is opened, or nil where it is not the button that is clamped.
      def beyond(hands)
        opened = hands - Opening.clamp_gap(@current.button)
        opened if @current.button.form.clampable && opened.between?(Length.zero, Opening::MOST_OPENED)
      end

      # What is done to set a length.
      HANDS = { "scale" => "Aim at a slit of", "key" => "Press the key at",
                "lines" => "Draw the lines for", "round" => "Draw a circle of", "press" => "Press the key for a tack of",
                "own" => "Let it sew" }.freeze
      private_constant :HANDS

      def hands_of(option) = Length.mm(option.at.first.rationalize(1r / 1000))
      def about(length) = Length.mm((length * 4).round/4r)

      # Of what is turned alone: how likely the whole row is stands elsewhere, once.
      def likelier(move)
        before, after = [move.before, move.after].map { |chance| (chance * TWENTY).round.clamp(0, TWENTY - 1) }
        alone = "#{ALONE.fetch(move.axis)} alone then comes right in #{after} of #{TWENTY} rows"
        before == after ? "#{alone}, as far as can be told." : "#{alone} instead of #{before}."
      end
      ALONE = { fit: "The length", cover: "The stitch coverage", tension: "The tension",
                space: "The room to cut" }.freeze
      private_constant :ALONE

      def mark(axis, option)
        case axis
        when :cover then @current.machine.length_mark(option.value.first)
        when :space then @current.machine.width_mark(option.value)
        else Wording.decimal(option.value.to_r, 2)
        end
      end
    end
  end
end
