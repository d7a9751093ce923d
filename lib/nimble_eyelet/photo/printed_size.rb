# frozen_string_literal: true

# PrintedSize tells from the edges of the paper whether the card was printed at its size: a page folded twice has
# quarters of a known size, however large the print on it is.
#
#   PrintedSize.of(sight)   # => 0.97, or nil where the edges are not seen

require_relative "measuring_card"

module NimbleEyelet
  module PhotoReading
    class PrintedSize
      # From the frame of the print outward, mm.
      BEGIN_AT = 0.8
      END_AT = 21.0
      PAPER_STEP = 0.2
      # Grey values from paper to table, over a millimetre.
      LEAST_EDGE = 14
      # Places along a side, and how many of them have to show the edge.
      PAPER_PLACES = 9
      PAPER_LEAST_SEEN = 6
      # What the places of a side may be apart, mm: a fold is straight.
      PAPER_STRAIGHT = 0.7
      # How far the two ways may be apart.
      PAPER_AGREE = 0.012
      private_constant :PAPER_AGREE, :BEGIN_AT, :END_AT, :PAPER_STEP, :LEAST_EDGE, :PAPER_PLACES, :PAPER_LEAST_SEEN, :PAPER_STRAIGHT

      # @param sight [CardSight]
      # @return [Float, nil] 1 for a print as it was meant
      def self.of(sight) = new(sight).share

      def initialize(sight)
        @sight = sight
        @full = sight.picture.full
      end

      # @return [Float, nil]
      def share
        wide, tall = MeasuringCard::QUARTERS.fetch(@sight.paper)
        seen = [along(MeasuringCard::HEIGHT, MeasuringCard::WIDTH) { |across, out| [out, across] },
                along(MeasuringCard::WIDTH, MeasuringCard::HEIGHT) { |across, out| [across, out] }]
        shares = seen.zip([wide, tall]).filter_map { |size, meant| size && (meant / size) }
        # Where the two do not agree, something else was taken for an edge of the paper.
        shares.sum / shares.size if shares.any? && shares.max - shares.min < PAPER_AGREE
      end

      private

      # How far the paper reaches from one side of the card to the other, in millimetres of the print.
      def along(long, deep, &block)
        sides = [-1, 1].map { |way| side(long, deep, way, &block) }
        sides.sum + deep if sides.all?
      end

      def side(long, deep, way)
        from = way.positive? ? deep : 0.0
        found = (1..PAPER_PLACES).filter_map do |number|
          edge { |out| yield(long * number / (PAPER_PLACES + 1), from + (way * out)) }
        end.sort
        return if found.size < PAPER_LEAST_SEEN

        middle = found[found.size / 2]
        middle if found[found.size * 5 / 6] - found[found.size / 6] < PAPER_STRAIGHT
      end

      def seen?(x, y) = x.between?(0, @full.width - 1) && y.between?(0, @full.height - 1)

      # Where it changes most.
      def edge
        greys = BEGIN_AT.step(END_AT, PAPER_STEP).map do |out|
          [out, *@sight.project(*yield(out))]
        end.take_while { |_, x, y| seen?(x, y) }
        changes = greys.map { |out, x, y| [out, @full.at(x, y)] }.each_cons(5).map do |five|
          [five[2][0], (five[4][1] - five[0][1]).abs]
        end
        at, change = changes.max_by(&:last)
        at if change && change > LEAST_EDGE
      end
    end
  end
end
