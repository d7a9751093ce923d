# frozen_string_literal: true

require "pdf-reader"
require "open3"
require_relative "../app_helper"

# The printed strip, measured.
class PrintTest < AppTest
  POINTS = 72 / 25.4

  def strip(format, id: SMOCK)
    body = call(:get, "/api/closures/#{id}/strip.#{format}")

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

  def test_the_drawing_itself_is_true_to_a_tenth_of_a_millimetre
    pages = lines(strip("pdf"))
    holes = closure["sheet"]["placket"]["holes"]
    top = 12 + 28
    step = 297 - 24 - 28 - 10

    assert_equal 3, pages.size
    pages.each_with_index do |found, number|
      assert(found.any? { |x1, y1, x2, y2| (x2 - x1 - 50).abs < 0.01 && (y1 - y2).abs < 0.01 }, "check line on page #{number + 1}")
      holes.each do |hole|
        slit = [hole["open_from"], hole["open_to"]].map { |place| place["mm"] - (number * step) + top }

        assert(found.any? { |x1, y1, x2, y2| (x1 - x2).abs < 0.01 && (y1 - slit[0]).abs < 0.1 && (y2 - slit[1]).abs < 0.1 },
               "hole #{hole['number']} on page #{number + 1}")
      end
    end
  end

  def test_the_check_line_is_true_on_the_rasterised_page
    dots = 600
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/strip.pdf", strip("pdf"))
      _, status = Open3.capture2e("pdftoppm", "-r", dots.to_s, "-gray", "-f", "1", "-l", "1", "#{folder}/strip.pdf", "#{folder}/page")

      assert_predicate status, :success?
      longest = longest_run(Dir["#{folder}/page*.pgm"].first, rows: ((12 + 19)..(12 + 21)), dots: dots)

      # The line and the half width of the ticks at its ends.
      assert_in_delta 50 + 0.3, longest * 25.4 / dots, 0.1
    end
  end

  def test_the_svg_is_in_millimetres
    svg = strip("svg")
    width, height = svg.match(/width="([\d.]+)mm" height="([\d.]+)mm"/).captures
    box = svg[/viewBox="0 0 ([\d. ]+)"/, 1].split

    assert_equal [width, height], box
    closure["sheet"]["placket"]["holes"].each do |hole|
      line = svg[/<line [^>]*y1="#{(hole['open_from']['mm'] + 26).to_f}" [^>]*class="slit"/]

      assert line, hole["number"].to_s
      assert_in_delta hole["open_to"]["mm"] + 26, line[/y2="([\d.]+)"/, 1].to_f, 0.01
    end
  end

  def test_horizontal_holes_and_wide_plackets_fit_the_page
    found = closure(5)["sheet"]["placket"]["holes"].first
    slit = lines(strip("pdf", id: 5)).first.find { |x1, y1, x2, y2| (y1 - y2).abs < 0.001 && (x2 - x1 - 29).abs < 0.01 }

    assert_in_delta 12 + 25 - found["out_outer"]["mm"], slit[0], 0.1
    save({ placket: { extension: "200" } }, id: 5)

    lines(strip("pdf", id: 5)).flatten(1).each { |x1, _, x2, _| assert_operator [x1, x2].max, :<=, 210 }
  end

  def test_the_text_names_garment_and_places
    text = PDF::Reader.new(StringIO.new(strip("pdf"))).pages.map(&:text).join(" ")

    ["linen field smock", "front placket", "fullest point", "212 mm", "50 mm", "pocket edge", "Page 2 of 3"].each do |words|
      assert_includes text, words
    end
  end

  private

  # Longest unbroken dark run of pixels in a band of rows of a grey picture.
  def longest_run(file, rows:, dots:)
    data = File.binread(file)
    header = data[/\AP5\s+(\d+)\s+(\d+)\s+255\s/]
    width = header.split[1].to_i
    first, last = rows.minmax.map { |millimetres| (millimetres * dots / 25.4).round }
    (first..last).map do |row|
      data.byteslice(header.bytesize + (row * width), width).bytes.chunk_while { |a, b| a < 128 && b < 128 }
          .map { |run| run.first < 128 ? run.size : 0 }.max
    end.max
  end
end
