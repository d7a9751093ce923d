# frozen_string_literal: true

# Block is how the work on one closure is divided: into blocks, that a session puts in order, and into turns, that are
# done again from their beginning when something goes wrong.
#
#   Work.turn("sew")   # => "hole"

module NimbleEyelet
  module Work
    # Blocks of the work on one closure, in their order; the last one is the machine's.
    BLOCKS = { "stay" => "Interfacing and cord", "row" => "Test and holes", "seal" => "Thread ends and fray sealant",
               "open" => "Open, and mark for buttons",
               "buttons" => "Sew on buttons", "end" => "Put the machine back" }.freeze

    # What is done in one go, by the names of its steps.
    TURNS = { "test" => %w[test-sew watch test-open accept reset-test stored], "button" => %w[test-button button],
              "hole" => %w[reset place lever sew look cord punch open] }.freeze

    # @param name [String, nil] of a step, without its hole
    # @return [String, nil] "test", "hole" or "button": what is done again together when it goes wrong
    def self.turn(name) = TURNS.find { |_, names| names.include?(name) }&.first
  end
end
