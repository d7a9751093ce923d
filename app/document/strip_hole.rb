# frozen_string_literal: true

# StripHole draws one hole of a strip at true size: its slit and its end finishes, along or across, or the two
# circles of an eyelet.
#
#   Document::StripHole.new(strip, ends, style).draw(pen, hole)

module NimbleEyelet
  module Document
    class StripHole
      # Half a tack mark, across the hole.
      TACK = 2.5

      # @param strip [Strip]
      # @param ends [Ends]
      # @param style [Style]
      def initialize(strip, ends, style)
        @strip = strip
        @ends = ends
        @style = style
      end

      # @param pen [#line, #circle]
      # @param hole [Placket::Hole]
      # @return [void]
      def draw(pen, hole)
        return round(pen, hole) if @style.round?

        hole.vertical? ? vertical(pen, hole) : horizontal(pen, hole)
      end

      # A place where nothing is cut: a loop, a press stud, a hook.
      #
      # @param pen [#line]
      # @param hole [Placket::Hole]
      # @return [void]
      def mark(pen, hole)
        x = @strip.out(hole.out_outer)
        pen.line(x - TACK, hole.at.to_f, x + TACK, hole.at.to_f, :tack)
        pen.line(x, hole.at.to_f - TACK, x, hole.at.to_f + TACK, :tack)
      end

      private

      def vertical(pen, hole)
        x = @strip.out(hole.out_outer)
        pen.line(x, hole.open_from.to_f, x, hole.open_to.to_f, :slit)
        [hole.from, hole.open_from, hole.open_to, hole.to].each do |end_of|
          pen.line(x - TACK, end_of.to_f, x + TACK, end_of.to_f, :tack)
        end
        lead(pen, x + TACK + 1, hole)
      end

      def horizontal(pen, hole)
        outer = @strip.out(hole.out_outer)
        inside = @strip.out(hole.out_inner)
        y = hole.at.to_f
        pen.line(outer, y, inside, y, :slit)
        into = @strip.inward
        across = [outer - (into * @ends.near.to_f), outer, inside, inside + (into * @ends.far.to_f)]
        across.each { |end_of| pen.line(end_of, y - TACK, end_of, y + TACK, :tack) }
        lead(pen, across.max + 1, hole)
      end

      # What is open, and the ring that is sewn round it.
      def round(pen, hole)
        x = (@strip.out(hole.out_outer) + @strip.out(hole.out_inner)) / 2
        x = @strip.out(hole.out_outer) if hole.vertical?
        radius = hole.opening.to_f / 2
        pen.circle(x, hole.middle.to_f, radius, :slit)
        pen.circle(x, hole.middle.to_f, radius + @ends.near.to_f, :tack)
        lead(pen, x + radius + @ends.near.to_f + 1, hole)
      end

      def lead(pen, x, hole) = pen.line(x, hole.at.to_f, @strip.cloth_width, hole.at.to_f, :lead)
    end
  end
end
