# frozen_string_literal: true

# StripCloth draws the fabric of a strip: its edge, its centre line and grain, and what is kept clear of holes.
#
#   Document::StripCloth.new(strip, run).draw(pen)

module NimbleEyelet
  module Document
    class StripCloth
      # How far the words of the edge, and those of the centre line, reach on the paper, mm.
      EDGE_WORDS = 25.0
      CENTRE_WORDS = 13.0

      # @param strip [Strip]
      # @param run [Placket::Run]
      def initialize(strip, run)
        @strip = strip
        @run = run
        @width = strip.cloth_width
      end

      # @param pen [#line, #rectangle, #text]
      # @return [void]
      def draw(pen)
        pen.rectangle(0, 0, @width, @strip.length, @strip.from_the_edge? ? :edge : :ghost)
        pen.line(@strip.centre, 0, @strip.centre, @strip.length, :centre)
        grain(pen)
        words(pen)
        @run.keep_outs.each { |keep_out| kept_clear(pen, keep_out) }
      end

      private

      def grain(pen)
        at = @strip.turned? ? 6 : @width - 6
        pen.line(at, @strip.length * 0.35, at, @strip.length * 0.65, :check)
        pen.text(@strip.turned? ? at + 1 : at - 7.5, @strip.length * 0.5, "grain", 2.4)
      end

      def words(pen)
        edge = @strip.turned? ? @width - EDGE_WORDS : 1
        centre = @strip.turned? ? @strip.centre - CENTRE_WORDS : @strip.centre + 1
        pen.text([edge, 1].max, @strip.length - 1, "fold or finished edge", 2.4)
        pen.text([centre, 1].max, @strip.length - 4.5, "centre line", 2.4)
      end

      def kept_clear(pen, keep_out)
        from = keep_out.upper.to_f
        to = keep_out.lower.to_f
        pen.rectangle(0, from, @width, to - from, :ghost)
        ((from / 2).ceil..(to / 2).floor).each { |step| pen.line(0, step * 2.0, @width, step * 2.0, :hatch) }
        # Above it, but never on the heading.
        pen.text(2, from < 9 ? to + 3 : from - 1, name(keep_out), 2.4)
      end

      def name(keep_out)
        label = keep_out.label.empty? ? Placket::OBSTACLES.fetch(keep_out.kind) : keep_out.label
        from = @strip.text(keep_out.from)
        "#{label}, #{keep_out.to ? "#{from} to #{@strip.text(keep_out.to)}" : "seam at #{from}"}"
      end
    end
  end
end
