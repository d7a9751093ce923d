# frozen_string_literal: true

require "minitest/autorun"
require "pdf-reader"
require "stringio"
require_relative "../../lib/nimble_eyelet"
require_relative "../../app/document/hole_card_pdf"
require_relative "../../app/document/marks_csv"
require_relative "../../app/document/strip"
require_relative "../../app/document/strip_svg"
require_relative "../../app/presenter"
require_relative "../../app/view/closure"
require_relative "../support/core_values"
require_relative "../support/closures"

# Every place that says a figure of a closure says the same one: stations, steps, session, strip, marks, simulator.
class OneTruthTest < Minitest::Test
  include CoreValues
  include NimbleEyelet::Support::Closures

  MANY = Integer(ENV.fetch("CLOSURES", "60"))
  PRESENT = NimbleEyelet::Presenter.new(:mm)
  VIEWS = NimbleEyelet::View::ClosureView::VIEWS
  ENDS = /\bfrom the (top(?: edge)?|upper (?:edge|end)|left-hand end)\b/i

  # What draws lines and counts nothing.
  class Lines
    attr_reader :drawn

    def initialize = @drawn = []
    def line(*from, kind) = @drawn << [kind, *from]
    def circle(x, y, radius, kind) = @drawn << [kind, x, y, radius]
    def text(*) = nil
    def rectangle(*) = nil
  end

  def test_one_figure_everywhere
    looked = 0
    MANY.times do |number|
      found = any_closure(number)
      next unless found&.layout

      looked += 1
      about = "#{number}: #{found.plan.machine.kind}, #{found.plan.button.shape}, #{found.recipe.style.value.key}, " \
              "#{found.plan.recipe.way}, #{found.plan.placket.orientation}"

      figures(found).each { |what, said| assert_one(said, "#{what} of #{about}") }
    end

    assert_operator looked, :>, MANY / 2
  end

  # A cuff has no top edge, and a cushion no top: whoever holds the ruler is told one end, wherever it is told.
  def test_every_place_is_measured_from_one_end
    NimbleEyelet::Placket::PLACES.each_value do |place|
      lies = place.fills.fetch("placket.orientation")
      run = run_of(place: place.key, orientation: lies, extension: mm(30), count: 3)
      found = sheet(placket: run, button: button(shape: place.tacked ? "bar_tack" : "flat"))
      told = ends_of(found)

      assert_operator told.values.sum(&:size), :>, 6, place.key
      # Where the finished edge stands beside it, an upper edge is the top, in short.
      known = [place.measured_from, *("top" if place.measured_from.end_with?(" edge"))]

      told.each { |who, ends| assert_empty ends - known, "#{who}, #{place.key}" }
    end
  end

  private

  # Which end each of them names, by who does.
  def ends_of(found)
    strip = NimbleEyelet::Document::Strip.new(found, PRESENT, garment: "smock")
    card = PDF::Reader.new(StringIO.new(NimbleEyelet::Document::HoleCardPdf.new(strip, "smock").render))
    { "strip" => NimbleEyelet::Document::StripSvg.new(strip, "smock").render, "card" => card.pages.map(&:text).join(" "),
      "marks" => "from the #{VIEWS['placket'].of(found, PRESENT)[:measured_from]}",
      "steps" => found.progress.steps.flat_map { |step| [step.does, step.how] }.map { |words| said_in(words, :mm) }.join(" ") }
      .transform_values { |text| text.gsub(/\s+/, " ").scan(ENDS).flatten.map(&:downcase) }
  end

  def any_closure(number)
    way = number % 7 == 6 ? pick(NimbleEyelet::Otherways::WAYS.keys) : nil
    run = run_of(orientation: pick(%w[vertical horizontal]), extension: mm(40), count: pick([nil, 1, 3]))
    sheet(button: any_button(%w[rounded flat domed ball cord ribbon bar]).with(width: nil), cloth: any_cloth,
          machine: any_machine(NimbleEyelet::MACHINE_KINDS.keys[number % 4]), placket: run,
          recipe: any_recipe.with(way: way),
          cut: any_cut, attach: any_attach)
  rescue NimbleEyelet::Refusal
    nil
  end

  # All of one figure, by who says it, mm or as written.
  def figures(found)
    views = VIEWS.transform_values { |view| view.of(found, PRESENT) }
    steps = found.progress.steps
    { "slit" => slits(found, views, steps), "overall" => overalls(found, views, steps), "setting" => settings(views, steps),
      "places" => places(found, views, steps), "start" => starts(views, found, steps), "buttons" => buttons(found, views, steps),
      "width" => dials(views, steps, "stitch_width"), "length" => dials(views, steps, "stitch_length") }
  end

  def slits(found, views, steps)
    csv = rows(found)
    cut = csv.map { |row| row["lies"] == "vertical" ? row["open_to_mm"].to_f - row["open_from_mm"].to_f : across(row) }
    { "length" => views["opening"][:length][:mm], "test" => views["swatch"][:to_sew][:opening][:mm],
      **said(steps, "opening.length"), **each("hole", views["placket"][:holes].map { |hole| hole[:opening][:mm] }),
      **each("row", found.recipe.style.value.round? ? [] : cut), **each("strip", drawn(found)) }
  end

  def across(row) = (row["out_outer_mm"].to_f - row["out_inner_mm"].to_f).abs

  # As long as the strip draws it.
  def drawn(found)
    return [] if found.recipe.style.value.round?

    pen = Lines.new
    NimbleEyelet::Document::Strip.new(found, PRESENT, garment: "").draw(pen)
    pen.drawn.select { |kind, *| kind == :slit }.map { |_, x, y, to_x, to_y| Math.hypot(to_x - x, to_y - y).round(3) }
  end

  def overalls(_found, views, steps)
    { "length" => views["opening"][:overall][:mm], "test" => views["swatch"][:to_sew][:overall][:mm],
      **said(steps, "opening.overall") }
  end

  def settings(views, steps) = { "length" => views["opening"][:setting][:figure]&.fetch(:mm), **said(steps, "setting.figure") }

  def places(found, views, steps)
    { "holes" => views["placket"][:holes].map { |hole| hole[:at][:mm] }, "marks" => rows(found).map { |row| row["at_mm"].to_f },
      "mark step" => marked(steps), "sewn" => at(steps, "sew"), "worked" => at(steps, "worked"), "opened" => at(steps, "open") }
      .reject { |_, said| said.nil? || said.empty? }
  end

  def marked(steps)
    steps.find { |step| step.name == "mark" }&.then do |step|
      step.figures.select do |path, _|
        path.match?(/\Amark\.\d/)
      end.values.map(&:to_f)
    end
  end

  def at(steps, name) = steps.select { |step| step.name == name }.map { |step| step.figures["hole.at"].to_f }.sort

  def starts(views, found, steps)
    return {} unless found.layout.holes.all? { |hole| hole.starts.one? } && steps.any? { |step| step.name == "place" }

    { "holes" => views["placket"][:holes].map do |hole|
      hole[:starts].first.values_at(:along, :from_edge).map do |one|
        one[:mm]
      end
    end,
      "rows" => rows(found).map { |row| [row["start_mm"].to_f, row["start_edge_mm"].to_f] },
      "steps" => steps.select { |step| step.name == "place" }.sort_by { |step| step.figures["hole.at"] }
                      .map { |step| step.figures.values_at("hole.start", "hole.start_edge").map(&:to_f) } }
      .transform_values { |all| all.flatten.map { |one| one.round(3) } }
  end

  def buttons(found, views, steps)
    return {} unless steps.any? { |step| step.name == "button" }

    { "holes" => views["placket"][:holes].map { |hole| hole[:button][:mm] }, "rows" => rows(found).map { |row| row["button_mm"].to_f },
      "marked" => steps.find { |step| step.name == "mark-buttons" }.figures.grep_v(->(pair) { pair.first == "attach.marks" })
                       .map { |_, place| place.to_f },
      "sewn" => steps.select { |step| step.name == "button" }.map { |step| step.figures["hole.button"].to_f } }
      .transform_values { |all| all.map { |one| one.round(3) } }
  end

  # As the dial is told and as it is shown, in its own numbers.
  def dials(views, steps, name)
    return {} unless steps.any? { |step| step.name == "settings" }

    shown = views["recipe"][:settings].find { |line| line[:key] == name }
    told = steps.flat_map(&:operations).select { |one| one.key == "set_#{name.delete_prefix('stitch_')}" && !one.figures.key?("attach.width") }
    told = told.filter_map { |one| one.figures["recipe.#{name}"] }.map(&:to_f)
    shown ? { "station" => shown[:text][/[\d.]+/].to_f.round(2), **each("step", told.map { |one| one.round(2) }) } : {}
  end

  def rows(found) = CSV.parse(NimbleEyelet::Document::MarksCsv.of(found.layout), headers: true)
  def said(steps, path) = each("step", steps.filter_map { |step| step.figures[path]&.to_f })
  def each(what, all) = all.each_with_index.to_h { |one, index| ["#{what} #{index + 1}", one] }

  def assert_one(said, about)
    given = said.compact.transform_values do |one|
      if one.is_a?(Array)
        one.map do |figure|
          figure.to_f.round(2)
        end
      else
        one.to_f.round(2)
      end
    end

    assert_operator given.values.uniq.size, :<=, 1, "#{about}: #{given.group_by(&:last).transform_values { |all| all.map(&:first).first(4) }}"
  end
end
