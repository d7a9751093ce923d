# frozen_string_literal: true

# School is the table of ways people size a buttonhole. They disagree; all are kept side by side,
# and each says what it assumes and where it fails.
#
#   asked = Opening::Asked.new(button: button, cloth: cloth, wish: wish, foot: nil)
#   Opening::School.fetch("passing_geometry").answer(asked)   # [22.45 mm, [Reason, …]]

require_relative "verdict"
require_relative "wish"
require_relative "../reason"
require_relative "../sewing/machine"

module NimbleEyelet
  module Opening
    # Added to H so that a hand can push the button through: less in thin cloth.
    EASE_THIN = Length.mm(1r / 2)
    EASE_OTHER = Length.mm(1)
    # One layer up to this thickness counts as thin.
    THIN_LAYER = Length.mm(3r / 10)
    # Nap and fluff hold the button back.
    NAP_EASE = Length.mm(1r / 2)

    # Length of one stitched bar tack, along the hole: 1 to 1.5.
    TACK = Length.mm(5r / 4)

    # What a school is asked: wish - Wish; foot - Foot that clamps buttons, or nil
    Asked = Value.define(:button, :cloth, :wish, :foot) do
      # @return [Length] the person's own ease, else that for this cloth: less where it is thin
      def ease = wish.ease || (thin? ? EASE_THIN : EASE_OTHER)
      def thin? = cloth.thickness <= THIN_LAYER

      # @return [Length] what the carriage foot is opened to
      def clamp_gap = Opening.clamp_gap(button)
      def stand_in? = Opening.stand_in?(button)
    end

    # A flat foot cannot hold a ball; a flat stand-in as long as H is clamped instead.
    #
    # @param button [Button]
    # @return [Length] what a carriage foot is opened to
    def self.clamp_gap(button) = stand_in?(button) ? button.half_perimeter : button.across
    def self.stand_in?(button) = %w[ball half_ball].include?(button.shape)

    # key, name, assumes, fails - String; asks - String or nil, the further field it goes by
    # rule - Proc(Asked) -> [Length, Array<Reason>]
    School = Value.define(:key, :name, :assumes, :fails, :asks, :rule, asks: nil) do
      # @param asked [Asked]
      # @return [Array(Length, Array<Reason>)] the cut length before rounding, and how it came about
      def answer(asked) = rule.call(asked)

      # @raise [KeyError] for a school not in the table
      def self.fetch(key) = SCHOOLS.fetch(key)
    end

    # H + ease + nap + fold, shared out over the cloth's give.
    def self.by_passing(asked)
      button = asked.button
      cloth = asked.cloth
      needed = button.half_perimeter
      reasons = [Reason.new(rule: "passing section", source: button.form.formula,
                            says: Said["The button passes #{button.form.passes}; half its outline, H, is %s.", needed])]
      passing_additions(asked).each do |length, reason|
        needed += length
        reasons << reason
      end
      return [needed, reasons] if cloth.stretch.zero?

      [needed / cloth.give, reasons << Reason.new(
        rule: "stretch", source: "opening acts as L × (1 + 0.3 × stretch)",
        says: Said["The cloth gives #{cloth.stretch} %%, so the slit is cut %s shorter.", needed - (needed / cloth.give)]
      )]
    end

    def self.passing_additions(asked)
      cloth = asked.cloth
      additions = [ease_addition(asked),
                   [cloth.fold, "fold", Said["The cloth's own fold eats %s: half of the %s stack.", cloth.fold, cloth.stack]]]
      additions << [NAP_EASE, "nap", Said["Nap holds the button back: %s more.", NAP_EASE]] if cloth.type.nap
      additions.map { |length, rule, says| [length, Reason.new(rule: rule, says: says)] }
    end

    def self.ease_addition(asked)
      says = asked.wish.ease ? "Your own ease of %s." : "Ease of %s lets a hand push it through#{' thin cloth' if asked.thin?}."
      [asked.ease, "ease", Said[says, asked.ease]]
    end
    private_class_method :passing_additions, :ease_addition

    def self.by_thickness(asked)
      across = asked.button.across
      height = asked.button.height
      [across + height, [Reason.new(rule: "diameter + thickness", says: Said["%s across and %s thick.", across, height])]]
    end

    def self.by_allowance(asked)
      across = asked.button.across
      allowance = asked.wish.allowance
      [across + allowance, [Reason.new(rule: "diameter + allowance", says: Said["%s across and %s for luck.", across, allowance])]]
    end

    def self.by_tacks(asked)
      across = asked.button.across
      [across + (TACK * 2),
       [Reason.new(rule: "diameter + tacks", says: Said["%s across and a tack of %s at each end.", across, TACK])]]
    end

    def self.by_clamp(asked)
      gap = asked.clamp_gap
      says = asked.stand_in? ? "A flat stand-in of %s, as long as H, is clamped in place of the ball." : "The foot is clamped on %s."
      reasons = [Reason.new(rule: "clamp", says: Said[says, gap])]
      return [gap, reasons] unless asked.foot && !asked.foot.allowance.zero?

      added = asked.foot.allowance
      [gap + added, reasons << Reason.new(rule: "foot", source: "this foot", says: Said["The foot itself adds %s.", added])]
    end

    def self.by_clicks(asked)
      length, reasons = by_clamp(asked)
      click = asked.foot&.click || FOOT_CLICK
      added = click * asked.wish.clicks
      [length + added, reasons + [Reason.new(rule: "clicks", says: Said["Opened by #{asked.wish.clicks} × %s.", click])]]
    end

    def self.by_strip(asked)
      wrapped = asked.wish.wrapped || (asked.button.half_perimeter * 2)
      says = asked.wish.wrapped ? "The strip measured %s round the button" : "A strip round this button would measure %s"
      [(wrapped / 2) + asked.ease,
       [Reason.new(rule: "strip", says: Said["#{says}; half of it, and %s of ease.", wrapped, asked.ease])]]
    end

    SCHOOLS = [
      School.new(key: "passing_geometry", name: "passing geometry + ease",
                 assumes: "The slit opens to a loop of twice its length; the button's outline has to fit through it.",
                 fails: "Fails only when the button is not measured as it is, or the cloth's stretch is guessed.",
                 rule: method(:by_passing)),
      School.new(key: "diameter_thickness", name: "diameter + thickness",
                 assumes: "The button is a flat disc with a square edge in thin cloth that gives nothing.",
                 fails: "Leaves no ease in a thick stack, and asks too much for domes and balls.",
                 rule: method(:by_thickness)),
      School.new(key: "diameter_allowance", name: "diameter + fixed allowance",
                 assumes: "All buttons are about as thick as a shirt button.",
                 fails: "Too short for anything thick: a ball needs more than half its diameter again.",
                 asks: "allowance", rule: method(:by_allowance)),
      School.new(key: "diameter_tacks", name: "diameter + a tack at each end",
                 assumes: "What the two tacks take is all that has to be added to the diameter.",
                 fails: "The slit stays too short for buttons thicker than two tacks together.", rule: method(:by_tacks)),
      School.new(key: "clamp", name: "clamp the button, trust the foot",
                 assumes: "The carriage foot turns the clamped button into the right length by itself.",
                 fails: "The foot feels the diameter, never the thickness or the cloth.", rule: method(:by_clamp)),
      School.new(key: "clamp_clicks", name: "clamp, then open a click or more",
                 assumes: "A click or two beyond the button makes up for thickness and cloth.",
                 fails: "How many clicks is a guess until a test hole has said so.", asks: "clicks", rule: method(:by_clicks)),
      School.new(key: "strip", name: "wrap a strip round the button",
                 assumes: "Half the way round the button, where the strip lies, is what the slit has to let through.",
                 fails: "Takes no account of a thick stack, and a loose strip reads too long.", asks: "wrapped",
                 rule: method(:by_strip))
    ].to_h { |school| [school.key, school] }.freeze
  end
end
