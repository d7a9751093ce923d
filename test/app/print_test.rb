# frozen_string_literal: true

require "pdf-reader"
require "open3"
require_relative "../app_helper"
require_relative "../support/printed"

# The printed strip, measured.
class PrintTest < AppTest
  include Printed

  def test_the_drawing_itself_is_true_to_a_tenth_of_a_millimetre_on_either_paper
    { nil => [297, 3], "letter" => [279.4, 3] }.each do |paper, (tall, count)|
      pages = lines(strip("pdf", paper: paper))

      assert_equal count * 2, pages.size, "overlap and underlap"
      assert_holes_true pages.first(count), tall - 24 - 28 - 10
      assert_crosses_true pages.last(count), tall - 24 - 28 - 10
      assert_joins_true pages.first(count), tall - 24 - 28
    end
  end

  def assert_holes_true(pages, step)
    holes = closure["sheet"]["placket"]["holes"]
    top = 12 + 28
    pages.each_with_index do |found, number|
      assert(found.any? { |x1, y1, x2, y2| (x2 - x1 - 50.8).abs < 0.01 && (y1 - y2).abs < 0.01 }, "two inches on page #{number + 1}")
      assert(found.any? { |x1, y1, x2, y2| (x2 - x1 - 50).abs < 0.01 && (y1 - y2).abs < 0.01 }, "check line on page #{number + 1}")
      holes.each do |hole|
        slit = [hole["open_from"], hole["open_to"]].map { |place| place["mm"] - (number * step) + top }

        assert(found.any? do |x1, y1, x2, y2|
          (x1 - x2).abs < 0.01 && (y1 - slit[0]).abs < 0.1 && (y2 - slit[1]).abs < 0.1
        end,
               "hole #{hole['number']} on page #{number + 1}")
      end
    end
  end

  # A balance is told in notches: on the station, in the step, and on the card that lies beside the machine.
  def test_a_balance_is_called_the_same_everywhere
    { "2" => "2 notches to the side sewn towards you", "0" => "in the middle" }.each do |typed, told|
      save({ recipe: { balance: typed } })
      shown = closure["sheet"]["recipe"]["settings"].find { |line| line["key"] == "balance" }["text"]
      card = PDF::Reader.new(StringIO.new(call(:get, "/api/closures/1/card.pdf"))).pages.map(&:text).join(" ").gsub(/\s+/, " ")

      assert_equal [told, told], [shown, closure["sheet"]["swatch"]["to_sew"]["balance"]]
      assert_includes step("settings").values_at("does", "how").join(" "), "balance #{told}"
      assert_includes card, "Balance: #{told}"
    end
  end

  # What no machine sews has a page of its own, and no print speaks of a foot, a needle or a slit of it.
  def test_another_way_to_close_is_printed_as_what_it_is
    Otherways::WAYS.each_value do |way|
      save({ recipe: { way: way.key } })
      sheet = Store::Closures.new(Store::Workrooms.new(db).find("marsh-walk")).find(1).sheet
      page, strip = [call(:get, "/api/closures/1/way.pdf"), strip("pdf")].map do |pdf|
        PDF::Reader.new(StringIO.new(pdf)).pages.map(&:text).join(" ").gsub(/\s+/, " ")
      end

      assert_includes page, way.name.capitalize
      assert_includes page, sheet.layout.holes.map { |hole| "#{hole.at.to_f.to_i} mm" }.join(" · ")
      # What no machine sews has no card of the machine, and only what opens can be laid on its mark.
      found = %w[card hole-card].map { |name| [call(:get, "/api/closures/1/#{name}.pdf"), last_response.status].last }

      assert_equal [way.beside ? 200 : 404, way.beside || way.opens ? 200 : 404], found, way.key
      next if way.beside

      row = CSV.parse(call(:get, "/api/closures/1/marks.csv"), headers: true).first

      assert_equal sheet.layout.holes.first.at.to_f, row["at_mm"].to_f
      assert_equal [!way.opens] * 2, row.values_at("open_from_mm", "lies").map(&:nil?), way.key
      assert_includes strip, "7 #{way.makes}s, #{way.opens ? 'cut length' : 'a mark for each'}"
      refute_match(/slit|needle|foot/, strip)
      refute_includes sheet.layout.cautions.map(&:rule), "runway"
      assert_empty(sheet.layout.holes.flat_map(&:starts))
    end
  end

  # The register crosses of two neighbouring pages stand for the same place of the run.
  def assert_joins_true(pages, tile)
    places = pages.map do |found|
      found.select do |x1, y1, x2, y2|
        (y1 - y2).abs < 0.01 && (x2 - x1 - 6).abs < 0.01 && y1 > 40
      end.map { |_, y, _, _| y - 40 }.uniq { |y| y.round(2) }
    end
    pages.each_index.to_a.each_cons(2) do |one, two|
      lower = places[one].map { |y| y + (one * (tile - 10)) }
      upper = places[two].map { |y| y + (two * (tile - 10)) }

      assert(lower.any? { |y| upper.any? { |other| (y - other).abs < 0.1 } }, "pages #{one + 1} and #{two + 1} meet")
    end
  end

  def test_the_check_line_is_true_on_the_rasterised_page
    dots = 600
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/strip.pdf", strip("pdf"))
      _, status = Open3.capture2e("pdftoppm", "-r", dots.to_s, "-gray", "-f", "1", "-l", "1", "#{folder}/strip.pdf",
                                  "#{folder}/page")

      assert_predicate status, :success?
      longest = longest_run(Dir["#{folder}/page*.pgm"].first, rows: ((12 + 21)..(12 + 23)), dots: dots)

      # The longer of the two lines and the half width of the ticks at its ends.
      assert_in_delta 50.8 + 0.3, longest * 25.4 / dots, 0.1
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

  # Right side up with the top away, the edge of the side that closes right over left is at the right; that of the side
  # beneath is at the left.
  def test_the_strip_lies_as_the_fabric_does_and_fits_the_page
    %w[right left].each do |overlap|
      save({ placket: { overlap: overlap } }, id: 5)
      svg = strip("svg", id: 5)
      hole = closure(5)["sheet"]["placket"]["holes"].first
      extension = closure(5)["plan"]["placket.extension"]["mm"]
      slit = svg[/<line [^>]*class="slit"/].scan(/x\d="([\d.]+)"/).flatten.map(&:to_f)
      button = svg.scan(/<circle cx="([\d.]+)"/).last.first.to_f
      over, under = svg.scan(/<rect x="([\d.]+)"[^>]*? width="([\d.]+)"[^>]*class="edge"/)

      assert_in_delta extension - hole["out_outer"]["mm"], slit.map { |x| from_edge(over, x, overlap == "right") }.min, 0.05
      assert_in_delta extension, from_edge(under, button, overlap == "left"), 0.05
    end
    save({ placket: { extension: "200" } }, id: 5)

    lines(strip("pdf", id: 5)).flatten(1).each { |x1, _, x2, _| assert_operator [x1, x2].max, :<=, 210 }
  end

  # Whatever stands near a join: no words lie on other words. What is cut off above and below is not seen.
  def test_no_words_lie_on_each_other
    tile = 297 - 24 - 28
    [tile - 10, tile, tile - 5, tile - 2].each do |at|
      save({ placket: { pins: [{ "at" => at.to_s, "label" => "fullest point of the bust, as fitted" }] } })
      PDF::Reader.new(StringIO.new(strip("pdf"))).pages.each_with_index do |page, number|
        seen = page.runs.select { |run| (run.y / POINTS).between?(12, 297 - 40) && !run.text.strip.empty? }

        seen.combination(2) do |one, other|
          refute one.intersect?(other), "“#{one.text}” on “#{other.text}”, page #{number + 1}, #{at}"
        end
      end
    end
  end

  # Read aloud, each page has its title and what stands on it, in order, and nothing that is cut off.
  def test_every_print_is_tagged_for_reading_aloud
    %w[closures/1/strip.pdf closures/1/hole-card.pdf closures/1/card.pdf garments/1/sheets.pdf].each do |name|
      pdf = call(:get, "/api/#{name}")
      root = PDF::Reader.new(StringIO.new(pdf)).objects.then { |objects| objects.deref!(objects.trailer[:Root]) }
      told = Open3.capture2("pdfinfo", "-struct-text", "-", stdin_data: pdf, binmode: true).first
      shown = Open3.capture2("pdftotext", "-", "-", stdin_data: pdf, binmode: true).first

      assert_equal [{ Marked: true }, "en-GB"], root.values_at(:MarkInfo, :Lang), name
      assert_match(/\ADocument\n  H1 \(block\)\n    "linen field smock: /, told, name)
      assert_equal words_of(shown), words_of(told.scan(/^ +"(.*)"$/).join(" ")), name
    end
    pages = call(:get, "/api/closures/1/strip.pdf").then { |pdf| PDF::Reader.new(StringIO.new(pdf)).pages.map(&:text) }

    assert_equal 1, pages.count { |text| text.include?("540 mm") }, "the last hole on one of three pages"
  end

  # Whatever a reader makes of spaces and of the order of columns.
  def words_of(text) = text.gsub(/[[:space:]\f]/, "").chars.tally

  def test_two_rows_lie_on_either_side_of_the_centre_line
    save({ placket: { rows: "double", offset: "60", extension: "80" } })
    found = closure["sheet"]["placket"]["holes"].first
    svg = strip("svg")

    assert_equal [60, 60], [found["out_outer"]["mm"], found["out_inner"]["mm"]]
    slit = svg[/<line x1="([\d.]+)" y1="#{(found['open_from']['mm'] + 26).to_f}" [^>]*class="slit"/, 1].to_f
    middles = svg.scan(/<circle cx="([\d.]+)" cy="#{(found['button']['mm'] + 26).to_f}"/).flatten.map(&:to_f)

    assert_in_delta slit, middles[0], 0.01
    assert_in_delta 120, middles[2] - middles[1], 0.01, "both rows of buttons on the underlap"
  end

  def test_the_marks_as_a_table
    rows = CSV.parse(call(:get, "/api/closures/#{SMOCK}/marks.csv"), headers: true)
    holes = closure["sheet"]["placket"]["holes"]

    assert_equal(holes.map { |hole| hole["at"]["mm"] }, rows.map { |row| row["at_mm"].to_f })
    assert_equal %w[hole at_mm gap_mm from_mm to_mm open_from_mm open_to_mm button_mm
                    out_outer_mm out_inner_mm lies edge_mm start_mm start_edge_mm sewn],
                 rows.headers
  end

  def test_the_text_names_garment_and_places
    text = PDF::Reader.new(StringIO.new(strip("pdf"))).pages.map(&:text).join(" ")

    ["linen field smock", "front placket", "fullest point", "220 mm", "50 mm", "pocket edge", "Page 2 of 3", "button side", "grain",
     "centre line", "right over left"].each do |words|
      assert_includes text, words
    end
  end

  private

  # How far from the finished edge of the fabric that is drawn, mm.
  def from_edge(fabric, x, at_right)
    from, width = fabric.map(&:to_f)
    at_right ? from + width - x : x - from
  end

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
