# frozen_string_literal: true

# FirstSheet is the first answer to a plan of which some was guessed: on an edge that is long enough where nobody has
# measured it, and with the range of lengths that a guessed thickness leaves open.
#
#   FirstSheet.of(plan, house, guessed: ["button.thickness", "placket.run_length"]).range   # => [14 mm, 15.5 mm]

require_relative "../answer/refusal"
require_relative "../length/length"
require_relative "../value"
require_relative "sheet"

module NimbleEyelet
  # plan - Plan, as it would be kept; sheet - Sheet; range - Array(Length, Length) of the opening, or nil where the
  #   thickness is known
  class FirstSheet < Value.of(:plan, :sheet, :range)
    GUESSED_THICKNESS = "button.thickness"
    GUESSED_EDGE = "placket.run_length"
    # Edges that are tried where nobody has said how long it is.
    LENGTHS_TRIED = [60, 90, 120, 160, 220, 300, 420, 600, 900, 1200].map { |mm| Length.mm(mm) }.freeze
    # A guessed button may be a third thinner or thicker than it is taken to be.
    THICKNESS_OFF = 1r / 3
    HALF_MILLIMETRE = Length.mm(1r / 2)

    # @param plan [Plan]
    # @param house [House]
    # @param guessed [Array<String>] paths that nobody has said anything of
    # @return [FirstSheet]
    # @raise [Refusal] for what no plan can have
    def self.of(plan, house, guessed:)
      plan = long_enough(plan, house) if guessed.include?(GUESSED_EDGE)
      sheet = sheet_of(plan, house)
      new(plan: plan, sheet: sheet, range: guessed.include?(GUESSED_THICKNESS) ? range(plan, house) : nil)
    end

    def self.sheet_of(plan, house) = Sheet.of(plan.in(house).validate)

    # What fits on no edge is answered on the one it began with.
    def self.long_enough(plan, house)
      longer = LENGTHS_TRIED.select do |edge|
        edge > plan.placket.run_length
      end.map { |edge| plan.changed(GUESSED_EDGE => edge) }
      [plan, *longer].find { |one| sheet_of(one, house).layout } || plan
    end

    # @return [Array(Length, Length), nil] nothing where no button goes through, or a ball, whose height is its diameter
    def self.range(plan, house)
      return unless plan.button.opens? && plan.button.form.measured?(:thickness)

      thick = plan.button.thickness
      found = [thick * (1 - THICKNESS_OFF), thick * (1 + THICKNESS_OFF)].filter_map do |one|
        opening(plan, one.round_to(HALF_MILLIMETRE), house)
      end
      found.minmax unless found.empty?
    end

    # @return [Length, nil] nothing where there is no such button
    def self.opening(plan, thick, house)
      sheet_of(plan.changed(GUESSED_THICKNESS => thick), house).opening
    rescue Refusal
      nil
    end
    private_class_method :sheet_of, :long_enough, :range, :opening
  end
end
