# frozen_string_literal: true

# Stitches of a hole as SVG in real units and as CSV; docs/stitches-csv.md describes the columns.
#
#   Document::StitchesSvg.new(simulation, "front placket").render
#   Document::StitchesCsv.of(simulation.path)   # => "index,part,x_mm,y_mm\r\n1,start,…"

require "cgi"
require "csv"

module NimbleEyelet
  module Document
    module StitchesCsv
      # @param path [Stitches::Path]
      # @return [String]
      def self.of(path)
        CSV.generate(row_sep: "\r\n") do |csv|
          csv << %w[index part x_mm y_mm]
          number = 0
          path.parts.each { |part| part.points.each { |x, y| csv << [number += 1, part.name, x.round(3), y.round(3)] } }
        end
      end
    end

    class StitchesSvg
      MARGIN = 4

      # @param simulation [HoleSimulation]
      # @param title [String]
      def initialize(simulation, title)
        @path = simulation.path
        @thread = simulation.thread.to_f
        @title = title
      end

      # @return [String]
      def render
        width = figure(@path.shape.width + (2 * MARGIN))
        height = figure(@path.shape.overall + (2 * MARGIN))
        <<~SVG
          <?xml version="1.0" encoding="UTF-8"?>
          <svg xmlns="http://www.w3.org/2000/svg" width="#{width}mm" height="#{height}mm" viewBox="0 0 #{width} #{height}">
          <title>#{CGI.escapeHTML(@title)}</title>
          <g transform="translate(#{figure((@path.shape.width / 2) + MARGIN)} #{figure(MARGIN)})" fill="none" stroke="black" stroke-linejoin="round" stroke-linecap="round" stroke-width="#{figure(@thread)}">
          #{cords}
          #{parts}
          <path class="slit" stroke-width="0.1" stroke-dasharray="1 1" d="M0 #{figure(@path.shape.slit[0])}V#{figure(@path.shape.slit[1])}"/>
          </g>
          </svg>
        SVG
      end

      private

      def cords = @path.cords.map { |line| "<path class=\"cord\" stroke=\"gray\" d=\"#{way(line)}\"/>" }.join("\n")

      # A part begins where the one before it ended.
      def parts
        last = nil
        @path.parts.map do |part|
          points = [last, *part.points].compact
          last = part.points.last
          "<path class=\"#{part.kind}\" d=\"#{way(points)}\"/>"
        end.join("\n")
      end

      def way(points) = "M#{points.map { |x, y| "#{figure(x)} #{figure(y)}" }.join('L')}"
      def figure(number) = number.to_f.round(3)
    end
  end
end
