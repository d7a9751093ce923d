# frozen_string_literal: true

# School is the table of ways people size a buttonhole. They disagree; all are kept side by side,
# and each says what it assumes and where it fails.
#
#   school = Opening::School.fetch("passing_geometry")
#   school.length(button, cloth, allowance: Length.mm(3))   # 22.35 mm

require_relative "verdict"
require_relative "../reason"

module NimbleEyelet
  module Opening
    # Added to H so that a hand can push the button through: less in thin cloth.
    EASE_THIN = Length.mm(1r / 2)
    EASE_OTHER = Length.mm(1)
    # One layer up to this thickness counts as thin.
    THIN_LAYER = Length.mm(3r / 10)
    # Nap and fluff hold the button back.
    NAP_EASE = Length.mm(1r / 2)
    # The fixed allowance people add when they do not measure thickness.
    USUAL_ALLOWANCE = Length.mm(3)

    # key, name, assumes, fails - String; rule - Proc(button, cloth, allowance) -> [Length, Array<Reason>]
    School = Value.define(:key, :name, :assumes, :fails, :rule) do
      # @return [Length] the cut length by this school, before rounding
      def length(button, cloth, allowance:) = rule.call(button, cloth, allowance).first

      # @return [Array<Reason>] how it came about
      def because(button, cloth, allowance:) = rule.call(button, cloth, allowance).last

      # @raise [KeyError] for a school not in the table
      def self.fetch(key) = SCHOOLS.fetch(key)
    end

    # H + ease + nap + fold, shared out over the cloth's give.
    def self.by_passing(button, cloth, _allowance)
      needed = button.half_perimeter
      reasons = [Reason.new(rule: "passing section", source: button.form.formula,
                            says: Said["The button passes #{button.form.passes}; half its outline, H, is %s.", needed])]
      passing_additions(cloth).each do |length, reason|
        needed += length
        reasons << reason
      end
      return [needed, reasons] if cloth.stretch.zero?

      [needed / cloth.give, reasons << Reason.new(
        rule: "stretch", source: "opening acts as L × (1 + 0.3 × stretch)",
        says: Said["The cloth gives #{cloth.stretch} %%, so the slit is cut %s shorter.", needed - (needed / cloth.give)]
      )]
    end

    def self.passing_additions(cloth)
      thin = cloth.thickness <= THIN_LAYER
      ease = thin ? EASE_THIN : EASE_OTHER
      additions = [
        [ease, "ease", Said["Ease of %s lets a hand push it through#{' thin cloth' if thin}.", ease]],
        [cloth.fold, "fold", Said["The cloth's own fold eats %s: half of the %s stack.", cloth.fold, cloth.stack]]
      ]
      additions << [NAP_EASE, "nap", Said["Nap holds the button back: %s more.", NAP_EASE]] if cloth.type.nap
      additions.map { |length, rule, says| [length, Reason.new(rule: rule, says: says)] }
    end
    private_class_method :passing_additions

    def self.by_thickness(button, _cloth, _allowance)
      [button.across + button.height,
       [Reason.new(rule: "diameter + thickness", says: Said["%s across and %s thick.", button.across, button.height])]]
    end

    def self.by_allowance(button, _cloth, allowance)
      [button.across + allowance,
       [Reason.new(rule: "diameter + allowance", says: Said["%s across and %s for luck.", button.across, allowance])]]
    end

    SCHOOLS = [
      School.new(key: "passing_geometry", name: "passing geometry + ease",
                 assumes: "The slit opens to a loop of twice its length; the button's outline has to fit through it.",
                 fails: "Only when the button is not measured as it is, or the cloth's stretch is guessed.",
                 rule: method(:by_passing)),
      School.new(key: "diameter_thickness", name: "diameter + thickness",
                 assumes: "The button is a flat disc with a square edge in thin cloth that gives nothing.",
                 fails: "Leaves no ease in a thick stack, and asks too much for domes and balls.",
                 rule: method(:by_thickness)),
      School.new(key: "diameter_allowance", name: "diameter + fixed allowance",
                 assumes: "All buttons are about as thick as a shirt button.",
                 fails: "Too short for anything thick: a ball needs more than half its diameter again.",
                 rule: method(:by_allowance))
    ].to_h { |school| [school.key, school] }.freeze
  end
end
