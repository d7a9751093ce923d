# frozen_string_literal: true

# Strip is the marking strip of a closure at true size: the run from its datum, every hole at its
# true place and length, the buttons, pins and keep-outs, and a check line. It only says what is
# drawn where, in millimetres from the datum and the finished edge; a pen puts it on paper.
#
#   Document::Strip.new(sheet, say, garment: "linen field smock").draw(pen)

require_relative "../../lib/nimble_eyelet"

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
      # Half a tack mark, across the hole.
      TACK = 2.5

      # @return [Float] mm
      attr_reader :length

      # @param sheet [Sheet] with a layout
      # @param say [Api::Say]
      # @param garment [String]
      def initialize(sheet, say, garment:)
        @layout = sheet.layout
        @cut = sheet.cut
        @button = sheet.plan.button
        @name = sheet.plan.name
        @garment = garment
        @say = say
        @length = @layout.run.length.to_f
        @extension = @layout.run.extension.to_f
      end

      # @return [Float] mm of cloth, from the first thing shown to the last
      def cloth_width = @extension + inner - left

      # @return [Float] mm with the figures
      def width = cloth_width + FIGURES

      # @return [Array<String>] lines of heading
      def heading
        ["#{@garment}: #{@name}",
         "#{@layout.holes.size} holes, slit #{text(@cut.length)}, overall #{text(@cut.overall)} with both ends",
         "Print at 100 %. The check line is 50 mm: measure it first."]
      end

      # @param pen [#line, #rectangle, #circle, #text]
      # @return [void]
      def draw(pen)
        draw_cloth(pen)
        @layout.run.keep_outs.each { |keep_out| draw_keep_out(pen, keep_out) }
        @layout.holes.each { |hole| draw_hole(pen, hole) }
      end

      # @return [void]
      def draw_check_line(pen, x, y)
        pen.line(x, y, x + CHECK_LINE, y, :check)
        [x, x + CHECK_LINE].each { |end_x| pen.line(end_x, y - 2, end_x, y + 2, :check) }
        pen.text(x + CHECK_LINE + 2, y + 1, "50 mm", 3)
      end

      private

      def inner = @inner ||= [INNER_LEAST, INNER - @layout.holes.map { |hole| hole.out_inner.to_f }.min].max

      # Where the paper begins, from the finished edge.
      def left = @left ||= [0, @extension + inner + FIGURES - WIDEST].max

      def across(from_edge) = from_edge - left
      def centre = across(@extension)

      def text(length) = @say.words(length)

      def draw_cloth(pen)
        pen.rectangle(0, 0, cloth_width, @length, left.zero? ? :edge : :ghost)
        pen.line(centre, 0, centre, @length, :centre)
        pen.text(cloth_width + 2, 3, "datum: top finished edge", 2.6)
        pen.text(cloth_width + 2, @length - 1, "end of the run, #{text(@layout.run.length)}", 2.6)
      end

      def draw_keep_out(pen, keep_out)
        from = keep_out.from.to_f
        to = keep_out.to.to_f
        pen.rectangle(0, from, cloth_width, to - from, :ghost)
        ((from / 2).ceil..(to / 2).floor).each { |step| pen.line(0, step * 2.0, cloth_width, step * 2.0, :hatch) }
        label = keep_out.label.empty? ? "keep-out" : keep_out.label
        pen.text(2, from - 1, "#{label}, #{text(keep_out.from)} to #{text(keep_out.to)}", 2.4)
      end

      def draw_hole(pen, hole)
        hole.vertical? ? draw_vertical(pen, hole) : draw_horizontal(pen, hole)
        pen.circle(centre, hole.button.to_f, @button.across.to_f / 2, :ghost)
        pen.text(cloth_width + 2, hole.at.to_f + 1, hole.number.to_s, 4)
        pen.text(cloth_width + 9, hole.at.to_f + 1, [text(hole.at), hole.pinned].compact.reject(&:empty?).join(", "), 3)
      end

      def draw_vertical(pen, hole)
        pen.line(centre, hole.open_from.to_f, centre, hole.open_to.to_f, :slit)
        [hole.from, hole.open_from, hole.open_to, hole.to].each do |end_of|
          pen.line(centre - TACK, end_of.to_f, centre + TACK, end_of.to_f, :tack)
        end
        pen.line(centre + TACK + 1, hole.at.to_f, cloth_width, hole.at.to_f, :lead)
      end

      def draw_horizontal(pen, hole)
        outer = across(@extension - hole.out_outer.to_f)
        inside = across(@extension - hole.out_inner.to_f)
        y = hole.at.to_f
        pen.line(outer, y, inside, y, :slit)
        [outer - @cut.ends.near.to_f, outer, inside, inside + @cut.ends.far.to_f].each do |end_of|
          pen.line(end_of, y - TACK, end_of, y + TACK, :tack)
        end
        pen.line(inside + @cut.ends.far.to_f + 1, y, cloth_width, y, :lead)
      end
    end

    # How lines are drawn: width in mm, dashes in mm. Black only, so that any printer will do.
    LINES = {
      edge: [0.35, nil], centre: [0.2, [4, 1.5, 0.8, 1.5]], slit: [0.5, nil], tack: [0.3, nil], check: [0.3, nil],
      ghost: [0.12, [1.2, 1.2]], hatch: [0.08, nil], lead: [0.08, [0.6, 1.2]], join: [0.2, [3, 2]]
    }.freeze
  end
end
