# frozen_string_literal: true

# FirstSheet is the first answer to a plan of which some was guessed: on an edge that is long enough where nobody has
# measured it, and with the range of lengths that a guessed thickness leaves open.
#
#   FirstSheet.of(plan, house, guessed: ["button.thickness", "placket.run_length"]).range   # => [14 mm, 15.5 mm]

require_relative "../answer/refusal"
require_relative "../length/length"
require_relative "../memory"
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
    # @param memory [#of] of the parts of a sheet
    # @return [FirstSheet]
    # @raise [Refusal] for what no plan can have
    def self.of(plan, house, guessed:, memory: NO_MEMORY)
      sheet_of = ->(one) { Sheet.of(one.in(house).validate, memory: memory) }
      tried = guessed.include?(GUESSED_EDGE) ? long_enough(plan, sheet_of) : [plan, sheet_of.call(plan)]
      range = guessed.include?(GUESSED_THICKNESS) ? range(tried.first, sheet_of) : nil
      new(plan: tried.first, sheet: tried.last, range: range)
    end

    # The shortest on which it fits, as what fits on one edge fits on every longer one. What fits on none is answered on
    # the one it began with.
    #
    # @return [Array(Plan, Sheet)]
    def self.long_enough(plan, sheet_of)
      begun = [plan, sheet_of.call(plan)]
      return begun if begun.last.layout

      tried = Hash.new do |known, edge|
        long = plan.changed(GUESSED_EDGE => edge)
        known[edge] = [long, sheet_of.call(long)]
      end
      longer = LENGTHS_TRIED.select { |edge| edge > plan.placket.run_length }
      found = longer.bsearch { |edge| !tried[edge].last.layout.nil? }
      found ? tried[found] : begun
    end

    # @return [Array(Length, Length), nil] nothing where no button goes through, or a ball, whose height is its diameter
    def self.range(plan, sheet_of)
      return unless plan.button.opens? && plan.button.form.measured?(:thickness)

      thick = plan.button.thickness
      found = [thick * (1 - THICKNESS_OFF), thick * (1 + THICKNESS_OFF)].filter_map do |one|
        opening(plan, one.round_to(HALF_MILLIMETRE), sheet_of)
      end
      found.minmax unless found.empty?
    end

    # @return [Length, nil] nothing where there is no such button
    def self.opening(plan, thick, sheet_of)
      sheet_of.call(plan.changed(GUESSED_THICKNESS => thick)).opening
    rescue Refusal
      nil
    end
    private_class_method :long_enough, :range, :opening
  end
end
