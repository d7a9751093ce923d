# frozen_string_literal: true

# Strip is the marking strip of a closure at true size: the run from its datum, every hole at its
# true place and length, the buttons, pins and keep-outs, and a check line. It only says what is
# drawn where, in millimetres from the datum and the finished edge; a pen puts it on paper.
#
#   Document::Strip.new(sheet, present, garment: "linen field smock").draw(pen)

require_relative "../../lib/nimble_eyelet"
require_relative "strip_cloth"
require_relative "strip_hole"
require_relative "strip_labels"

module NimbleEyelet
  module Document
    class Strip
      # Cloth shown beyond the inner end of anything drawn.
      INNER = 15.0
      # Least cloth shown on the inner side of the centre line.
      INNER_LEAST = 30.0
      # Room for the figures beside the cloth.
      FIGURES = 62.0
      # The paper's printable width: a wider strip begins nearer the centre line.
      WIDEST = 180.0
      CHECK_LINE = 50.0
      TWO_INCHES = 50.8
      # Half an arm of a cross where a button goes.
      CROSS = 4.0
      SIDES = { overlap: "buttonhole side", underlap: "button side" }.freeze

      # @return [Float] mm
      attr_reader :length

      # @param sheet [Sheet] with a layout
      # @param present [Presenter]
      # @param garment [String]
      # @param date [String] of the plan, as a person writes it
      # @param side [Symbol] :overlap with the holes, or :underlap with the crosses for the buttons
      # @param crosses [String, nil] "sewn" through the holes as they lie, "plan" from the plan; nil: as buttons are
      #   marked here
      def initialize(sheet, present, garment:, date: "", side: :overlap, crosses: nil)
        @side = side
        @crosses = crosses || (sheet.plan.attach.from_plan? ? "plan" : "sewn")
        @date = date
        @sheet = sheet
        @layout = sheet.layout
        @cut = sheet.cut
        @button = sheet.plan.button
        @garment = garment
        @present = present
        @length = @layout.run.run_length.to_f
        @extension = @layout.run.extension.to_f
      end

      # @return [Float] mm of cloth, from the first thing shown to the last
      def cloth_width = @extension + inner - left

      # @return [Float] mm with the figures
      def width = cloth_width + FIGURES

      # @return [Array<String>] lines of heading
      def heading
        side = @button.opens? ? SIDES.fetch(@side) : "edge, with the ends"
        drawn = @date.empty? ? "" : ", plan of #{@date}"
        ["#{@garment}: #{@sheet.plan.name}", "#{side}, right side up, #{Placket::OVERLAPS.fetch(@layout.run.overlap)}#{drawn}", says,
         "Print at 100 %. The check lines are 50 mm and 2 in: measure them first."]
      end

      # @param pen [#line, #rectangle, #circle, #text]
      # @return [void]
      def draw(pen)
        @labels = StripLabels.new(cloth_width)
        StripCloth.new(self, @layout.run).draw(pen)
        @layout.holes.each { |hole| @side == :overlap ? draw_hole(pen, hole) : draw_cross(pen, hole) }
        beside(9, 3, "measured from the #{measured_from}", 2.6)
        beside(9, @length - 1, "end of the edge, #{text(@layout.run.run_length)}", 2.6)
        @labels.draw(pen)
      end

      # Once it is drawn: where words stand beside its labels and not on them.
      # @param y, size [Float] mm
      # @return [Float]
      def clear_of_labels(y, size) = @labels.clear(y, size)

      # One hole alone, and its mark.
      # @param above, below [Float] mm of cloth shown
      # @return [void]
      def draw_one(pen, hole, above:, below:)
        at = hole.at.to_f
        pen.line(across(left), at - above, across(left), at + below, from_the_edge? ? :edge : :ghost)
        pen.line(centre, at - above, centre, at + below, :centre)
        pen.line(-6, at, cloth_width, at, :join)
        pen.text(cloth_width + 2, at + 1, "the mark", 3)
        draw_stitches(pen, hole)
      end

      def holes = @layout.holes
      def fastens? = @button.fastens?

      # @return [String] what is sewn: a hole or a tack
      def sewn = @button.sewn

      # @return [String] the end that every place is measured from
      def measured_from = @layout.run.measured_from

      # @return [Array<Strip>] this, and the other side where something is buttoned to it
      def sides = fastens? ? [self, underlap] : [self]

      # The same strip for the other side.
      # @return [Strip]
      def underlap = Strip.new(@sheet, @present, garment: @garment, date: @date, side: :underlap, crosses: @crosses)

      # @return [void]
      def draw_check_line(pen, x, y)
        pen.line(x, y, x + CHECK_LINE, y, :check)
        [x, x + CHECK_LINE].each { |end_x| pen.line(end_x, y - 2, end_x, y + 2, :check) }
        pen.text(x + CHECK_LINE + 2, y + 1, "50 mm", 3)
        inches = x + CHECK_LINE + 22
        pen.line(inches, y, inches + TWO_INCHES, y, :check)
        [inches, inches + TWO_INCHES].each { |end_x| pen.line(end_x, y - 2, end_x, y + 2, :check) }
        pen.text(inches + TWO_INCHES + 2, y + 1, "2 in", 3)
      end

      # @return [Float] mm on the paper of a place from the finished edge
      def across(from_edge) = turned? ? cloth_width - (from_edge - left) : from_edge - left

      # It is laid on the right side of the fabric with its top away, so its edge is where that of the fabric is.
      # @return [Boolean] whether the finished edge is at its right
      def turned? = Placket.edge_at_right?(@layout.run.overlap) == (@side == :overlap)

      # @return [Integer] 1 or -1, the way on the paper from the finished edge into the garment
      def inward = turned? ? -1 : 1

      # @return [Float] mm on the paper
      def centre = across(@extension)

      # @return [Boolean] whether the paper begins at the finished edge
      def from_the_edge? = left.zero?

      # @param length [Length] from the centre line, toward the finished edge
      # @return [Float] mm on the paper
      def out(length) = across(@extension - length.to_f)

      # @return [String] the length in the unit of the closure
      def text(length) = @present.words(length)

      private

      def beside(...) = @labels.add(...)

      # The row of buttons on the far side is only drawn where it is marked.
      def inner
        far = @side == :underlap && @layout.run.double? ? rows.first + (@button.across.to_f / 2) : 0
        @inner ||= [INNER_LEAST, INNER - @layout.holes.map { |hole| hole.out_inner.to_f }.min, far + 3].max
      end

      # Where the paper begins, from the finished edge: never beyond the outermost mark.
      def left
        outermost = @layout.holes.map(&:out_outer).max.to_f + @cut.ends.near.to_f + (@button.across.to_f / 2) + 3
        @left ||= (@extension + inner + FIGURES - WIDEST).clamp(0, [@extension - outermost, 0].max)
      end

      def says
        return other_side if @side == :underlap
        return "#{Placket::LayoutWords.so_many(holes.size, @sheet.sewn)}, #{by_hand}" if way
        return "#{Placket::LayoutWords.so_many(holes.size, @button.sewn)}, each #{text(@sheet.opening)} long" unless @button.opens?

        cut = "#{Placket::LayoutWords.so_many(holes.size)}, cut length #{text(@sheet.opening)}"
        "#{cut}, overall length #{text(@sheet.overall)}#{from_edge}"
      end

      def other_side
        return "the other halves of #{Placket::LayoutWords.so_many(holes.size, @sheet.sewn)}" unless buttoned?

        "buttons: #{@layout.holes.size}, #{text(@button.across)} across#{from}"
      end

      # @return [Otherways::Way, nil] where no machine sews what it closes by
      def way = @sheet.way

      def buttoned? = way.nil? || way.buttons

      # @return [String]
      def by_hand
        return "a mark for each#{from_edge}" unless way.opens

        "cut length #{text(@sheet.opening)}, #{way.name}#{from_edge}"
      end

      # Where it matters, from what the crosses come.
      def from
        return "" unless button_places&.differ?

        @crosses == "plan" ? ", from the plan" : ", through the holes as they were sewn"
      end

      def button_places
        return @button_places if defined?(@button_places)

        @button_places = ButtonPlaces.of(@sheet)
      end

      # @return [Length] where a button goes
      def button_at(hole)
        row = @crosses == "plan" && button_places&.rows&.find { |one| one.number == hole.number }
        row ? row.planned : hole.button
      end

      # Holes across the run are measured from the finished edge, too.
      def from_edge
        flat = @layout.holes.reject(&:vertical?)
        flat.empty? ? "" : "; outer end of the stitches #{text(flat.first.marked_edge)} from the finished edge"
      end

      # Rows lie on the centre line, or two of them at one distance on either side of it.
      def rows = @layout.run.double? ? [@layout.run.offset.to_f, -@layout.run.offset.to_f] : [0.0]

      def draw_hole(pen, hole)
        draw_stitches(pen, hole)
        number(hole)
      end

      def draw_stitches(pen, hole)
        drawn = StripHole.new(self, @cut.ends, @sheet.recipe.style.value)
        way.nil? || way.opens ? drawn.draw(pen, hole) : drawn.mark(pen, hole)
        pen.circle(out(rows.first), hole.button.to_f, @button.across.to_f / 2, :ghost) if @button.fastens? && buttoned?
        hole.starts.each { |start| draw_start(pen, start) }
      end

      # Where the needle goes in first: a small open triangle's tip, marked only where it is known.
      def draw_start(pen, start)
        return unless @sheet.beginning.known?

        x = across(start.from_edge.to_f)
        y = start.along.to_f
        pen.line(x - (1.2 * inward), y - 1.2, x, y, :tack)
        pen.line(x - (1.2 * inward), y + 1.2, x, y, :tack)
      end

      # Where the button is sewn on, in each row.
      def draw_cross(pen, hole)
        at = button_at(hole)
        y = at.to_f
        rows.each do |row|
          x = across(@extension - row)
          pen.line(x - CROSS, y, x + CROSS, y, :slit)
          pen.line(x, y - CROSS, x, y + CROSS, :slit)
          pen.circle(x, y, @button.across.to_f / 2, :ghost)
        end
        beside(2, y + 1, hole.number.to_s, 4)
        beside(9, y + 1, text(at), 3)
      end

      def number(hole)
        beside(2, hole.at.to_f + 1, hole.number.to_s, 4)
        beside(9, hole.at.to_f + 1, [text(hole.at), hole.pinned, ("sewn" if hole.sewn)].compact.reject(&:empty?).join(", "), 3)
        return unless @sheet.beginning.known? && hole.starts.one?

        beside(9, hole.at.to_f + 4.5, "needle #{text(hole.starts.first.along)}, edge #{text(hole.starts.first.from_edge)}", 2.4)
      end
    end

    # How lines are drawn: width in mm, dashes in mm. Black only, so that any printer will do.
    LINES = {
      edge: [0.35, nil], centre: [0.2, [4, 1.5, 0.8, 1.5]], slit: [0.5, nil], tack: [0.3, nil], check: [0.3, nil],
      ghost: [0.12, [1.2, 1.2]], hatch: [0.08, nil], lead: [0.08, [0.6, 1.2]], join: [0.2, [3, 2]]
    }.freeze
  end
end
