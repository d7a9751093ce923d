# frozen_string_literal: true

require_relative "../core_helper"

# Twelve usual garments, each with what somebody who has sewn many would choose: style, cut length, stitch, stay,
# needle, number, thread shank, and whether another way to close comes first.
class TwelveGarmentsTest < CoreTest
  SHIRT = { shape: "rounded", diameter: 11.5r, thickness: 2.5r, hole_spacing: 2.5r }.freeze

  # button, cloth, thread tex, machine, run => style, slit, stitch length, stay, needle, holes, shank, other way
  GARMENTS = {
    "cotton shirt" =>
      [SHIRT, { weight: 120, thickness: 0.25r }, 27, "sensing", { run_length: 640, count: 7 },
       ["two_tacks", 13..14.5, 0.3..0.5, "fusible_strip", /universal 75/, 7, 0, nil]],
    "dress cuff" =>
      [SHIRT, { weight: 150, thickness: 0.3r }, 27, "sensing",
       { use: "small", place: "cuff", orientation: "horizontal", run_length: 60, extension: 16, count: 1, first: 30 },
       ["two_tacks", 13..14.5, 0.3..0.5, "fusible_strip", /universal 80/, 1, 0, nil]],
    "chiffon with balls" =>
      [{ shape: "ball", attachment: "shank", diameter: 10 }, { kind: "sheer", weight: 45, thickness: 0.1r, interfacing: 0 }, 18,
       "memory", { use: "small", run_length: 300 }, ["round_end", 16..17.5, 0.25..0.4, "wash_away", /fine sharp 65/, 8, 0, "soft_ball"]],
    "jersey cardigan" =>
      [{ diameter: 18 }, { kind: "knit", weight: 220, thickness: 0.7r, stretch: 40 }, 27, "memory",
       { use: "knitwear", place: "knit_band", run_length: 560 },
       ["stretch", 22..24, 0.5..0.8, "knit_fusible", /stretch 80/, 7, 2, nil]],
    "child's rib top" =>
      [SHIRT, { kind: "knit", weight: 220, thickness: 0.8r, stretch: 60 }, 27, "sensing",
       { use: "children", run_length: 120, extension: 16, count: 3 }, ["stretch", 14..16, 0.5..0.8, "knit_fusible", /stretch 80/, 3, nil, "baby"]],
    "leather jacket" =>
      [{ diameter: 20, thickness: 4 }, { kind: "leather", weight: 500, thickness: 1, interfacing: 0 }, 40, "sensing",
       { use: "coat", run_length: 560, orientation: "horizontal", extension: 28 },
       ["straight_box", 24..27, 3..3.5, "tear_away", /leather 100/, 5, 2.5, nil]],
    "coated raincoat" =>
      [{ diameter: 23, thickness: 4 }, { kind: "coated", weight: 250, thickness: 0.4r, interfacing: 0 }, 40, "memory",
       { use: "coat", run_length: 800, extension: 28 }, ["straight_box", 27..29, 2.5..3.5, "tear_away", /fine sharp 90/, 7, 0, nil]],
    "boiled wool coat" =>
      [{ diameter: 28, thickness: 5 }, { kind: "pile", weight: 450, thickness: 2.5r, interfacing: 0 }, 40, "memory",
       { use: "coat", run_length: 800, orientation: "horizontal", extension: 32 },
       ["keyhole", 34..37, 0.4..0.6, "tear_away", /universal 100/, 7, 3..4, nil]],
    "velvet jacket" =>
      [{ shape: "domed", attachment: "shank", diameter: 18, thickness: 7 }, { kind: "pile", weight: 300, thickness: 1.2r }, 27, "memory",
       { use: "coat", run_length: 500, orientation: "horizontal", extension: 28 },
       ["keyhole", 21..24, 0.3..0.5, "tear_away", /universal 90/, 5, 0, nil]],
    "jeans waistband" =>
      [{ shape: "flat", attachment: "shank", diameter: 17, thickness: 4 }, { kind: "heavy_woven", weight: 400, thickness: 0.9r, layers: 3 },
       60, "memory", { use: "trousers", place: "waistband", run_length: 40, orientation: "horizontal", extension: 20, count: 1, first: 20 },
       ["keyhole", 21..23, 0.5..0.7, "tear_away", /denim 100/, 1, 0, nil]],
    "linen skirt" =>
      [{ diameter: 18 }, { weight: 190, thickness: 0.4r }, 27, "stepped", { use: "trousers", run_length: 700, extension: 20 },
       ["two_tacks", 22..23, 0.25..0.5, "fusible_strip", /universal 80/, 8..10, 0, nil]],
    "duffel with toggles" =>
      [{ shape: "bar", attachment: "tunnel", diameter: 45, thickness: 12 }, { kind: "heavy_woven", weight: 500, thickness: 2, interfacing: 0 },
       60, "memory", { use: "coat", run_length: 800, orientation: "horizontal", extension: 40 },
       ["keyhole", 19..22, 0.5..0.7, "tear_away", /denim 100/, 7, 0, "toggle"]]
  }.freeze

  def in_mm(given) = given.transform_values { |value| value.is_a?(Numeric) ? mm(value) : value }

  def made(name)
    size, stuff, tex, kind, run = GARMENTS.fetch(name)
    lengths = in_mm(stuff.slice(:thickness, :interfacing))
    sheet(button: button(**in_mm(size)), cloth: cloth(**stuff, **lengths), thread: thread(tex: tex),
          machine: machine(kind), placket: run_of(**in_mm(run.except(:count)), **run.slice(:count)))
  end

  def agrees?(wanted, value)
    case value
    when wanted || Object then true
    else false
    end
  end

  def test_each_is_made_as_somebody_who_has_sewn_many_would
    GARMENTS.each_key do |name|
      found = made(name)
      expected = GARMENTS.fetch(name).last
      recipe = found.recipe
      is = [recipe.style.value.key, found.opening.to_f, recipe.stitch_length.value.to_f, recipe.stay&.key,
            recipe.needle.value.to_s, found.layout.holes.size, found.attaching.shank.to_f, found.other_ways.wrong&.key]

      assert_equal [expected.last], [is.last], name
      expected[0...-1].zip(is).each { |wanted, value| assert agrees?(wanted, value), "#{name}: #{wanted}, not #{value}" }
    end
  end

  # A choice without its reason is a guess.
  def test_every_choice_says_why
    GARMENTS.each_key do |name|
      recipe = made(name).recipe

      recipe.lines.each { |line| refute_empty line.decision.because, "#{name}: #{line.key}" }
    end

    assert_includes GettingReady.of(made("coated raincoat")), GettingReady::WATER
    assert_includes GettingReady.of(made("cotton shirt")), GettingReady::WASH
    refute_includes GettingReady.of(made("velvet jacket")), GettingReady::WASH
  end
end
