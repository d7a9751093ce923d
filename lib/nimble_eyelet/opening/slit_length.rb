# frozen_string_literal: true

# SlitLength is the opening wanted: the chosen school's length, rounded up to what the person can measure,
# with the overall length beside it. It follows from button and cloth alone; that a machine sews
# shorter or longer changes what is set, never this.
#
#   cut = Opening::SlitLength.of(button, cloth, sizing, ends, foot: nil)
#   cut.length    # 23 mm: the slit
#   cut.overall   # 25.5 mm: with both end finishes

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/ruler"
require_relative "../style/extent"
require_relative "../value"
require_relative "passing"
require_relative "school"

module NimbleEyelet
  module Opening
    # How far "what if it gives more" goes: this many steps of this many percent.
    GIVE_STEPS = 10
    GIVE_STEP = 5

    # A bar this many times as long as the slit does not slip back.
    BAR_LENGTHS = 3r / 2

    # One school's answer for this button in this cloth.
    #
    # exact - Length before rounding; length - Length rounded up; overall - Length
    Answer = Value.of(:school, :exact, :length, :overall, :verdict, :because)

    # held - Rational, share of the stretch that stay and cord leave; round - Boolean, an eyelet
    # passing - Passing; ease - Length, that is added to H
    class SlitLength < Value.of(:answers, :chosen, :ends, :ruler, :passing, :ease, :cautions, held: 1r,
                                round: false)
      # @return [Length] the slit
      def length = chosen.length

      # @return [Boolean] whether ease makes it longer
      def eased? = chosen.school.key == "passing_geometry"

      # @return [Length] the slit and both end finishes
      def overall = chosen.overall

      def verdict = chosen.verdict

      # @param opening [Length] that comes of the setting
      # @return [Extent] what the slit and its ends take up on the run
      def extent(opening = length) = Extent.new(opening: opening, ends: ends)

      # What this very slit would do if the cloth gave more than was said: stretch is easily guessed
      # too low.
      #
      # @param button [Button]
      # @param cloth [Cloth]
      # @param opening [Length] as it comes of the setting
      # @return [Array<Array(Integer, Verdict)>] percent of stretch, from what was said on
      def if_it_gives(button, cloth, opening: length)
        (0..GIVE_STEPS).map do |step|
          stretch = cloth.stretch + (step * GIVE_STEP)
          [stretch, Passing.of(button, cloth.with(stretch: stretch), held: held, ends: ends, round: round).verdict(opening)]
        end
      end

      # @return [Length] what rounding up added
      def rounding = chosen.length - chosen.exact

      # @param button [Button]
      # @param cloth [Cloth]
      # @param sizing [OpeningChoice]
      # @param ends [Ends]
      # @param foot [Foot, nil] the one that clamps buttons
      # @param held [Rational] share of the cloth's stretch that stay and cord leave
      # @param round [Boolean] an eyelet instead of a slit
      # @return [SlitLength]
      def self.of(button, cloth, sizing, ends, foot: nil, held: 1r, round: false)
        ruler = Ruler.fetch(sizing.ruler)
        passing = Passing.of(button, cloth, held: held, ends: ends, round: round)
        question = Question.new(button: button, cloth: cloth, sizing: sizing, foot: foot, passing: passing,
                                round: round, held: held)
        answers = schools(button).map { |school| answer(school, question, ruler, ends) }
        chosen = answers.find { |answer| answer.school.key == sizing.school } || answers.first
        new(answers: answers, chosen: chosen, ends: ends, ruler: ruler, passing: passing,
            ease: question.ease, cautions: cautions(chosen, button), held: held, round: round)
      end

      def self.schools(button)
        return [TACK_SCHOOL] unless button.opens?

        SCHOOLS.values.select { |school| button.fastens? || school.any_thing }
      end

      def self.answer(school, question, ruler, ends)
        exact, because = school.answer(question)
        length = ruler.up([exact, ruler.step].max)
        Answer.new(school: school, exact: exact, length: length, overall: length + ends.both,
                   verdict: question.passing.verdict(length),
                   because: because + [rounding_reason(length - exact, ruler)])
      end

      def self.rounding_reason(added, ruler)
        says = added.zero? ? Sentence["Already on a mark of #{ruler.name}."] : Sentence["Rounded up by %s, to #{ruler.name}.", added]
        Reason.new(rule: "rounding", says: says, source: "your ruler")
      end

      def self.cautions(chosen, button)
        return [tack_caution(chosen.length)].compact unless button.opens?

        [fit_caution(chosen, button), bar_caution(chosen, button)].compact
      end

      # Shorter or longer than anybody sews one.
      USUAL_SIZES = (Length.mm(4)..Length.mm(25))
      SHORT_TACK = "short for a tack: it tears out"
      LONG_TACK = "long for one tack: it is stiff, and catches"

      def self.tack_caution(length)
        return if USUAL_SIZES.cover?(length)

        short = length < USUAL_SIZES.begin
        Caution.new(rule: "tack", instead: short ? "Make it longer." : "Sew two, one at each end of what it holds.",
                    says: Sentence["%s is #{short ? SHORT_TACK : LONG_TACK}.", length])
      end

      # A bar goes through end on; it stays out because it is so much longer than the slit.
      def self.bar_caution(chosen, button)
        wanted = chosen.length * BAR_LENGTHS
        return unless button.fastens? && button.form.end_on && button.across < wanted

        Caution.new(rule: "bar",
                    says: Sentence["A bar %s long may slip back: it wants to be %s for this slit.", button.across, wanted],
                    instead: "Choose a longer or a thinner bar.")
      end

      def self.fit_caution(chosen, button)
        case chosen.verdict.key
        when "will_not_pass"
          Caution.new(rule: "too short", says: Sentence["This button will not pass: %s are missing.", chosen.verdict.slack.abs],
                      instead: "Choose passing geometry, or a thinner button.")
        when "slips_out"
          return unless button.fastens?

          Caution.new(rule: "too long", says: Sentence["A button %s wide slips out of this by itself.", button.across],
                      instead: "Choose a shorter opening, or cord the hole.")
        end
      end
      private_class_method :answer, :schools, :rounding_reason, :cautions, :tack_caution, :bar_caution, :fit_caution
    end
  end
end
