# frozen_string_literal: true

# StripSvg draws both sides of a strip beside each other, in one piece and in real units: one unit of
# the picture is a millimetre.
#
#   Document::StripSvg.new(strip, "front placket").render   # => String, an SVG file

require "cgi"
require_relative "../dialect"
require_relative "strip"

module NimbleEyelet
  module Document
    class StripSvg
      MARGIN = 8
      HEAD = 26
      WIDTH = 140.0

      # @param strip [Strip]
      # @param title [String]
      def initialize(strip, title)
        @strip = strip
        @title = title
        @parts = []
        @right = 0
        @offset = 0
      end

      # @param dialect [Dialect] of whoever reads it
      # @return [String]
      def render(dialect = Dialect::USUAL)
        @dialect = dialect
        @strip.sides.each_with_index do |strip, index|
          @right = index * (wide + MARGIN)
          draw_head(strip)
          @offset = HEAD
          strip.draw(self)
        end
        width = figure((@strip.sides.size * (wide + MARGIN)) + MARGIN)
        height = figure(@strip.length + HEAD + (2 * MARGIN))
        <<~SVG
          <?xml version="1.0" encoding="UTF-8"?>
          <svg xmlns="http://www.w3.org/2000/svg" width="#{width}mm" height="#{height}mm" viewBox="0 0 #{width} #{height}">
          <title>#{CGI.escapeHTML(@title)}</title>
          <rect width="100%" height="100%" fill="white"/>
          <g transform="translate(#{MARGIN} #{MARGIN})" fill="none" stroke="black">
          #{@parts.join("\n")}
          </g>
          </svg>
        SVG
      end

      def line(from_x, from_y, to_x, to_y, kind)
        add tag("line", kind, x1: beside(from_x), y1: down(from_y), x2: beside(to_x), y2: down(to_y))
      end

      def rectangle(x, y, width, height, kind)
        add tag("rect", kind, x: beside(x), y: down(y), width: figure(width), height: figure(height))
      end

      def circle(x, y, radius, kind)
        add tag("circle", kind, cx: beside(x), cy: down(y), r: figure(radius))
      end

      def text(x, y, words, size)
        add "<text x=\"#{beside(x)}\" y=\"#{down(y)}\" font-size=\"#{size}\" " \
            "font-family=\"sans-serif\" fill=\"black\" stroke=\"none\">#{CGI.escapeHTML(@dialect.say(words))}</text>"
      end

      private

      def draw_head(strip)
        @offset = 0
        strip.heading.each_with_index { |words, index| text(0, 4 + (index * 4.4), words, index.zero? ? 4.5 : 3) }
        strip.draw_check_line(self, 0, 22)
      end

      # Heading and check lines want some width too.
      def wide = [@strip.width, WIDTH].max

      def add(part) = @parts << part
      def tag(name, kind, **at) = "<#{name} #{at.map { |key, value| "#{key}=\"#{value}\"" }.join(' ')}#{style(kind)}/>"
      def figure(number) = number.to_f.round(4)
      def beside(x) = figure(x + @right)
      def down(y) = figure(y + @offset)

      def style(kind)
        width, dashes = LINES.fetch(kind)
        " class=\"#{kind}\" stroke-width=\"#{width}\"#{" stroke-dasharray=\"#{dashes.join(' ')}\"" if dashes}"
      end
    end
  end
end
