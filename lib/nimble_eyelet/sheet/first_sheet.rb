# frozen_string_literal: true

# FirstSheet is the first answer to a plan of which some was guessed: on an edge that is long enough, and far enough
# from the centre line for its buttons, where nobody has measured it.
#
#   FirstSheet.of(plan, house, guessed: ["placket.run_length"]).plan.placket.run_length   # => 900 mm

require_relative "../length/length"
require_relative "../memory"
require_relative "../value"
require_relative "sheet"

module NimbleEyelet
  # plan - Plan, as it would be kept; sheet - Sheet
  class FirstSheet < Value.of(:plan, :sheet)
    GUESSED_EDGE = "placket.run_length"
    GUESSED_EXTENSION = "placket.extension"
    GUESSES = [GUESSED_EDGE, GUESSED_EXTENSION].freeze
    # Edges that are tried where nobody has said how long it is.
    LENGTHS_TRIED = [60, 90, 120, 160, 220, 300, 420, 600, 900, 1200].map { |mm| Length.mm(mm) }.freeze

    # @param plan [Plan]
    # @param house [House]
    # @param guessed [Array<String>] of GUESSES, what nobody has said anything of
    # @param memory [#of] of the parts of a sheet
    # @return [FirstSheet]
    # @raise [Refusal] for what no plan can have
    def self.of(plan, house, guessed:, memory: NO_MEMORY)
      sheet_of = ->(one) { Sheet.of(one.in(house).validate, memory: memory) }
      tried = guessed.include?(GUESSED_EDGE) ? long_enough(plan, sheet_of) : [plan, sheet_of.call(plan)]
      tried = wide_enough(*tried, sheet_of) if guessed.include?(GUESSED_EXTENSION)
      new(plan: tried.first, sheet: tried.last)
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

    # As far to the finished edge as such buttons want, and never less than is usual there.
    #
    # @return [Array(Plan, Sheet)]
    def self.wide_enough(plan, sheet, sheet_of)
      wanted = sheet.layout&.edge&.extension_needed
      return [plan, sheet] if wanted.nil? || wanted <= plan.placket.extension

      wide = plan.changed(GUESSED_EXTENSION => wanted.round_up_to(MARKED_BY.fetch(plan.unit, Length.mm(1))))
      [wide, sheet_of.call(wide)]
    end
    # Between two marks of the tape, where it is not a millimetre.
    MARKED_BY = { "in" => Length.inches(1r / 8) }.freeze
    private_constant :MARKED_BY
    private_class_method :long_enough, :wide_enough
  end
end
