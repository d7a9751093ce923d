# frozen_string_literal: true

require "pdf-reader"

# What was printed, read back: straight lines in millimetres from the top of each page.
module Printed
  POINTS = 72 / 25.4

  def strip(format, id: 1, paper: nil)
    body = call(:get, "/api/closures/#{id}/strip.#{format}#{"?paper=#{paper}" if paper}")

    assert_status 200
    body
  end

  # Collects straight lines page by page, in mm from the top of the page.
  class Lines
    attr_reader :pages

    def initialize = @pages = []

    def page=(page)
      @height = page.height
      @pages << []
    end

    def begin_new_subpath(x, y) = @from = [x, y]

    def append_line(x, y)
      @pages.last << [*@from, x, y].each_slice(2).flat_map { |px, py| [px / POINTS, (@height - py) / POINTS] }
      @from = [x, y]
    end
  end

  def lines(pdf)
    reader = PDF::Reader.new(StringIO.new(pdf))
    found = Lines.new
    reader.pages.each { |page| page.walk(found) }
    found.pages
  end

  # @return [String] all that can be read on it, in one line
  def printed_text(pdf) = PDF::Reader.new(StringIO.new(pdf)).pages.map(&:text).join(" ").gsub(/\s+/, " ")

  # A cross wherever a button is sewn on.
  def assert_crosses_true(pages, step)
    closure["sheet"]["placket"]["holes"].each do |hole|
      y = hole["button"]["mm"] + 12 + 28
      crossed = pages.each_with_index.any? do |found, number|
        found.any? do |x1, y1, x2, y2|
          (y1 - y2).abs < 0.01 && (x2 - x1 - 8).abs < 0.01 && (y1 + (number * step) - y).abs < 0.1
        end
      end

      assert crossed, "button #{hole['number']}"
    end
  end
end
