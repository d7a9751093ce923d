# frozen_string_literal: true

# Look is one question about a test hole, with its answers in order from badly one way over right to
# badly the other: whoever does not know the words can go by the drawings. LOOKS are in the order in
# which to look.
#
#   LOOKS.fetch("bead_away").grades.map(&:name)   # => ["bare fabric between the stitches", …]

require_relative "../value"

module NimbleEyelet
  module Swatches
    # key - String; name - String, what is seen
    LookGrade = Value.of(:key, :name)

    # axis - Symbol, what it tells about; name, question - String; grades - Array<LookGrade>, five of them
    # right - Range of places among them; satin - Boolean, only where there are beads of satin; hole - Boolean, not on a
    #   bar tack
    class Look < Value.of(:key, :axis, :name, :question, :grades, right: 2..2, satin: false, hole: false)
      # @param grade [String] key of a grade
      # @return [Range<Integer>]
      # @raise [KeyError]
      def place(grade)
        found = grades.index { |one| one.key == grade } or raise KeyError, grade
        found..found
      end

      def grade_at(place) = grades.fetch(place)
    end

    module LookTable
      BEAD = { "bare" => "bare fabric between the stitches", "thin" => "a little fabric shows through", "full" => "full",
               "crowded" => "a little crowded", "piled_up" => "piled up, a ridge" }.freeze

      EDGE = { "loops" => "loose loops below", "slack" => "a soft, wide edge of top thread below",
               "even" => "a neat edge of top thread below", "dots" => "dots of bobbin thread on top",
               "bobbin" => "bobbin thread lies on top" }.freeze
      ROOM = { "touching" => "none: the sides touch", "close" => "hardly room for the blade", "room" => "room to cut",
               "wide" => "a little wide", "gaping" => "gapes" }.freeze

      def self.grades(table) = table.map { |key, name| LookGrade.new(key: key, name: name) }

      LOOK_ROWS = [
        Look.new(key: "fit", axis: :fit, name: "fit", question: "How does the button go through?", right: 2..3, grades: grades(
          "will_not_pass" => "will not pass", "tight" => "tight: it has to be forced", "passes" => "passes as it should",
          "easy" => "easily, and holds", "slips_out" => "slips out by itself"
        )),
        Look.new(key: "bead_away", axis: :cover, name: "side sewn away", question: "Look at the side it sewed away from you.",
                 satin: true, grades: grades(BEAD)),
        Look.new(key: "bead_back", axis: :cover, name: "side sewn back", question: "Look at the side it sewed towards you.", satin: true,
                 hole: true,
                 grades: grades(BEAD)),
        Look.new(key: "tension", axis: :tension, name: "edge", satin: true, grades: grades(EDGE),
                 question: "Look at the edges, above and below."),
        Look.new(key: "space", axis: :space, name: "between the sides", satin: true, hole: true, grades: grades(ROOM),
                 question: "Look between the two sides.")
      ].freeze
    end

    LOOKS = LookTable::LOOK_ROWS.to_h { |look| [look.key, look] }.freeze

    # How long a bar tack came out, in the grades of the fit.
    TACK_FIT = { "will_not_pass" => "much too short", "tight" => "a little short",
                 "passes" => "as long as it should be",
                 "easy" => "a little long, and does no harm", "slips_out" => "much too long: it went on" }.freeze
    TACK_QUESTIONS = { "fit" => "How long did it come out?", "bead_away" => "The zigzag of the tack",
                       "tension" => "The edge of the tack, above and below" }.freeze

    # @param stitched [Symbol] :satin, :open or :straight
    # @param opens [Boolean] a hole; of a bar tack less is asked, in words of its own
    # @return [Array<Look>] that are asked of it
    def self.looks_of(stitched, opens: true)
      asked = LOOKS.values.reject { |look| look.satin && stitched == :straight }
      return asked if opens

      asked.reject(&:hole).map do |look|
        look.with(question: TACK_QUESTIONS.fetch(look.key),
                  grades: look.key == "fit" ? LookTable.grades(TACK_FIT) : look.grades)
      end
    end
  end
end
