# frozen_string_literal: true

# School is the table of ways people size a buttonhole. They disagree; all are kept side by side,
# and each says what it assumes and where it fails.
#
#   question = Opening::Question.new(button: button, cloth: cloth, sizing: sizing, foot: nil)
#   Opening::School.fetch("passing_geometry").answer(question)   # [22.45 mm, [Reason, …]]

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../machine/foot"
require_relative "../style/ends"
require_relative "../value"

module NimbleEyelet
  module Opening
    # Added to H so that a hand can push the button through: less in thin fabric.
    EASE_THIN = Length.mm(1r / 2)
    EASE_OTHER = Length.mm(1)
    # One layer up to this thickness counts as thin.
    THIN_LAYER = Length.mm(3r / 10)
    # One click of a foot whose clicks nobody has measured.
    USUAL_CLICK = Length.mm(1r / 2)
    # What a round eyelet has over what is drawn through it.
    EYELET_EASE = Length.mm(1)
    # A knit grows while it is sewn: where nobody said how far, and nothing holds it.
    KNIT_GROWS = Length.mm(1)
    # Nap and fluff hold the button back.
    NAP_EASE = Length.mm(1r / 2)

    # What a school is question: sizing - OpeningChoice; foot - Foot that clamps buttons, or nil
    # passing - Passing, what the cloth gives and takes; round - Boolean, an eyelet instead of a slit
    # held - Rational, share of the stretch that stay and cord leave
    class Question < Value.of(:button, :cloth, :sizing, :foot, :passing, round: false, held: 1r)
      # @return [Length] the person's own ease, else that of what is no button, else that for this cloth: less where it
      #   is thin
      def ease = sizing.ease || button.form.ease || (thin? ? EASE_THIN : EASE_OTHER)
      def thin? = cloth.thickness <= THIN_LAYER

      # @return [Boolean] a knit of which no stretch was given, with nothing to hold it
      def grows? = cloth.type.knitted && cloth.stretch.zero? && held == 1

      # @return [Length] what the carriage foot is opened to
      def clamp_gap = Opening.clamp_gap(button)
      def stand_in? = Opening.stand_in?(button)
    end

    # A flat foot cannot hold a ball; a piece of stiff card as long as H is clamped instead.
    #
    # @param button [Button]
    # @return [Length] what a carriage foot is opened to
    def self.clamp_gap(button) = stand_in?(button) ? button.half_perimeter.round_up_to(CARD) : button.across
    # To so much a piece of card is cut.
    CARD = Length.mm(1r / 2)
    def self.stand_in?(button) = !button.form.clampable

    # key, name, assumes, fails - String; asks - String or nil, the further field it goes by
    # any_thing - Boolean, also sizes what is no button
    # rule - Proc(Question) -> [Length, Array<Reason>]
    class School < Value.of(:key, :name, :assumes, :fails, :rule, asks: nil, any_thing: false)
      # @param question [Question]
      # @return [Array(Length, Array<Reason>)] the cut length before rounding, and how it came about
      def answer(question) = rule.call(question)

      # @raise [KeyError] for a school not in the table
      def self.fetch(key) = SCHOOLS.fetch(key)
    end

    # H + ease + nap + fold, less what a keyhole's eye opens, shared out over the cloth's give.
    def self.by_passing(question)
      return by_round(question) if question.round

      needed, reasons = passing_section(question.button)
      passing_additions(question).each do |length, reason|
        needed += length
        reasons << reason
      end
      shorter, reason = stretch_reason(needed, question)
      [shorter || needed, [*reasons, reason].compact]
    end

    def self.passing_section(button)
      noun = button.form.noun
      tip = button.tip && button.tip == button.half_perimeter
      says = "The #{noun} passes #{button.form.passes}; half its outline, H, is %s."
      says = "What is at its end has to pass too: half the way round it is %s." if tip
      [button.half_perimeter, [Reason.new(rule: "passing section", source: tip ? "the largest of what passes" : button.form.formula,
                                          says: Sentence[says, button.half_perimeter])]]
    end

    # Where the cloth gives, or where a stay keeps it from giving.
    def self.stretch_reason(needed, question)
      cloth = question.cloth
      give = question.passing.give
      return if cloth.stretch.zero?
      if give == 1
        return [nil, Reason.new(rule: "stretch", says: "The fabric stretches, but what stays the hole keeps it from giving.")]
      end

      [needed / give, Reason.new(rule: "stretch", source: "opening acts as L × (1 + 0.3 × stretch left by the stay)",
                                 says: Sentence["The fabric gives there, so the slit is cut %s shorter.", needed - (needed / give)])]
    end

    # A round eyelet is open without being pushed apart.
    def self.by_round(question)
      across = [question.button.across, question.button.tip && (question.button.tip * 2 / 3)].compact.max
      [across + EYELET_EASE, [Reason.new(rule: "round", source: "d + 1 mm",
                                         says: Sentence["A round eyelet is open already: %s and %s to spare.", across, EYELET_EASE])]]
    end

    def self.passing_additions(question)
      cloth = question.cloth
      additions = [ease_addition(question),
                   [cloth.fold, "fold", Sentence["The fabric's own fold eats %s: half of the %s stack.", cloth.fold, cloth.stack]]]
      additions << [NAP_EASE, "nap", Sentence["Nap holds the #{question.button.form.noun} back: %s more.", NAP_EASE]] if cloth.type.nap
      additions << [-KNIT_GROWS, "knit", Sentence["A knit grows while you sew it: %s less.", KNIT_GROWS]] if question.grows?
      eye = question.passing.eye
      additions << [-eye, "eye", Sentence["The eye of the keyhole is open too: %s less.", eye]] if eye.positive?
      additions.map { |length, rule, says| [length, Reason.new(rule: rule, says: says)] }
    end

    def self.ease_addition(question)
      says = "Ease of %s lets a hand push it through#{' thin fabric' if question.thin?}."
      says = "Your own ease of %s." if question.sizing.ease
      [question.ease, "ease", Sentence[says, question.ease]]
    end
    private_class_method :passing_section, :stretch_reason, :by_round, :passing_additions, :ease_addition

    def self.by_thickness(question)
      across = question.button.across
      height = question.button.height
      [across + height, [Reason.new(rule: "diameter + thickness", says: Sentence["%s across and %s thick.", across, height])]]
    end

    def self.by_allowance(question)
      across = question.button.across
      allowance = question.sizing.allowance
      [across + allowance, [Reason.new(rule: "diameter + allowance", says: Sentence["%s across and %s for luck.", across, allowance])]]
    end

    def self.by_tacks(question)
      across = question.button.across
      [across + (TACK * 2),
       [Reason.new(rule: "diameter + ends", says: Sentence["%s across and %s at each end.", across, TACK])]]
    end

    def self.by_clamp(question)
      gap = question.clamp_gap
      says = "The foot is clamped on %s."
      says = "A piece of stiff card %s long goes in place of the ball." if question.stand_in?
      reasons = [Reason.new(rule: "clamp", says: Sentence[says, gap])]
      added = question.foot&.allowance
      if added
        says = Sentence["The foot itself adds %s.", added]
        return [gap + added, reasons << Reason.new(rule: "foot", source: "this foot", says: says)]
      end

      added = USUAL_ALLOWANCE.sum(Length.zero) / USUAL_ALLOWANCE.size
      says = Sentence["What the foot adds is not measured yet: mostly %s to %s, reckoned here with %s.", *USUAL_ALLOWANCE, added]
      [gap + added, reasons << Reason.new(rule: "foot", says: says)]
    end

    def self.by_clicks(question)
      length, reasons = by_clamp(question)
      click = question.foot&.click || USUAL_CLICK
      added = click * question.sizing.clicks
      [length + added, reasons + [Reason.new(rule: "clicks", says: Sentence["Opened by #{question.sizing.clicks} × %s.", click])]]
    end

    def self.by_strip(question)
      wrapped = question.sizing.wrapped || (question.button.half_perimeter * 2)
      says = question.sizing.wrapped ? "The strip measured %s round the button" : "A strip round this button would measure %s"
      [(wrapped / 2) + question.ease,
       [Reason.new(rule: "strip", says: Sentence["#{says}; half of it, and %s of ease.", wrapped, question.ease])]]
    end

    # Lengths that are usual: belt loops, pocket corners, flies.
    USUAL_TACKS = [8, 10, 6, 8, 10, 15].map { |long| Length.mm(long) }.freeze

    def self.by_place(question)
      [question.button.across,
       [Reason.new(rule: "place", source: "custom of the craft",
                   says: Sentence["You want it %s long. Mostly: belt loops %s to %s, pocket corners %s to %s, a fly %s to %s.",
                                  question.button.across, *USUAL_TACKS])]]
    end

    # Of a bar tack there is one school.
    TACK_SCHOOL = School.new(key: "tack", name: "as long as its place wants",
                             assumes: "It holds what lies under it from edge to edge.",
                             fails: "Too short it tears out; too long it is stiff.", rule: method(:by_place))

    SCHOOLS = [
      School.new(key: "passing_geometry", name: "passing geometry + ease",
                 assumes: "The slit opens to a loop of twice its length; the button's outline has to fit through it.",
                 fails: "Fails only when the button is not measured as it is, or the fabric's stretch is guessed.",
                 any_thing: true, rule: method(:by_passing)),
      School.new(key: "diameter_thickness", name: "diameter + thickness",
                 assumes: "The button is a flat disc with a square edge in thin fabric that gives nothing.",
                 fails: "Leaves no ease in a thick stack, and asks too much for domes and balls.",
                 rule: method(:by_thickness)),
      School.new(key: "diameter_allowance", name: "diameter + fixed allowance",
                 assumes: "All buttons are about as thick as a shirt button.",
                 fails: "Too short for anything thick: a ball needs more than half its diameter again.",
                 asks: "allowance", rule: method(:by_allowance)),
      School.new(key: "diameter_tacks", name: "diameter + both ends",
                 assumes: "What the two ends take is all that has to be added to the diameter.",
                 fails: "The slit stays too short for buttons thicker than both ends together.", rule: method(:by_tacks)),
      School.new(key: "clamp", name: "clamp the button, trust the foot",
                 assumes: "The buttonhole foot turns the clamped button into the right length by itself.",
                 fails: "The foot feels the diameter, never the thickness or the fabric.", rule: method(:by_clamp)),
      School.new(key: "clamp_clicks", name: "clamp, then open a click or more",
                 assumes: "A click or two beyond the button makes up for thickness and fabric.",
                 fails: "How many clicks is a guess until a test hole has said so.", asks: "clicks", rule: method(:by_clicks)),
      School.new(key: "strip", name: "wrap a strip round the button",
                 assumes: "Half the way round the button, where the strip lies, is what the slit has to let through.",
                 fails: "Takes no account of a thick stack, and a loose strip reads too long.", asks: "wrapped",
                 any_thing: true, rule: method(:by_strip))
    ].to_h { |school| [school.key, school] }.freeze
  end
end
