# frozen_string_literal: true

# Values that tests of the core begin with.
module CoreValues
  include NimbleEyelet

  Length = NimbleEyelet::Length
  SEED = 20_261_123

  # Shapes that go through something.
  PASSING = NimbleEyelet::BUTTON_SHAPES.values.select(&:opens).map(&:key).freeze

  # One seeded source of randomness a test, so that a failure comes again.
  def random = @random ||= Random.new(SEED)

  def mm(number) = Length.mm(number)

  def random_mm(range, step = 0.1)
    Length.new(Rational((random.rand(range) / step).round, 1) * step.rationalize(1r / 1000))
  end

  def button(**changes)
    Button.new(shape: "flat", attachment: "four_holes", diameter: mm(18), thickness: mm(3), hole_spacing: mm(3),
               hole_diameter: mm(1.8), **changes)
  end

  def cloth(**changes)
    Cloth.new(kind: "light_woven", weight: 165, thickness: mm(0.35), layers: 2, interfacing: mm(0.2), stretch: 0, **changes)
  end

  def thread(**changes) = SewingThread.new(fibre: "polyester", tex: 27, **changes)

  MACHINES = {
    "sensing" => { styles: %w[two_tacks round_end keyhole stretch], stops: "operator", reset: "push_lever", max_width: 7,
                   length_step: 0.05, feed_stop: "drop_feed",
                   feet: %w[carriage_foot sliding_scale_foot general_zigzag_foot button_foot] },
    "memory" => { styles: %w[two_tacks round_end keyhole stretch], stops: "machine", reset: "none", max_width: 9,
                  length_step: 0.05, feed_stop: "drop_feed", bobbin_finger: true,
                  feet: %w[sliding_scale_foot cording_foot general_zigzag_foot button_foot] },
    "stepped" => { styles: %w[two_tacks], stops: "operator", reset: "first_step", max_width: 5, length_step: 0.25,
                   feed_stop: "cover_plate", feet: %w[sliding_scale_foot general_zigzag_foot] },
    "plain" => { styles: [], stops: "operator", reset: "none", max_width: 5, length_step: 0.25, feed_stop: "length_zero",
                 feet: %w[grooved_satin_foot general_zigzag_foot] }
  }.freeze

  def machine(kind = "sensing", **changes)
    facts = MACHINES.fetch(kind)
    Machine.new(name: kind.capitalize, kind: kind, **facts.slice(:styles, :stops, :reset, :feed_stop),
                max_width: mm(facts[:max_width]), width_step: mm(0.5), length_step: mm(facts[:length_step]),
                neutral_tension: 4r, tension_step: 1r / 2, bobbin_finger: facts.fetch(:bobbin_finger, false),
                balance: true, feet: facts[:feet].map do |foot|
                  Foot.new(kind: foot, largest_button: foot == "carriage_foot" ? mm(25) : nil)
                end,
                **changes)
  end

  def recipe(kind: "sensing", recipe: {}, **parts)
    given = { button: button, cloth: cloth, thread: thread, machine: machine(kind) }.merge(parts)
    Recipes::Recipe.of(Recipes::Situation.new(**given), Recipes::Overrides.new(**recipe))
  end

  def wish(**changes)
    Opening::OpeningChoice.new(school: "passing_geometry", allowance: mm(3), correction: nil, ruler: "half_millimetre", **changes)
  end

  def run_of(**changes)
    Placket::Run.new(run_length: mm(620), use: "shirt", orientation: "vertical", extension: mm(18), edge: "ten",
                     grid: "millimetre", seat: "upper", **changes)
  end

  def plan(**changes)
    Plan.new(name: "front placket", button: button, cloth: cloth, thread: thread, machine: machine, opening: wish,
             placket: run_of, recipe: Recipes::Overrides.none, attach: Attach::ButtonSewing.new(pattern: "two_bars"),
             **changes)
  end

  def sheet(facts: Sewing::Facts.none, **changes) = sheet_of(changes, facts, NO_MEMORY)
  def sheet_of(changes, facts, memory) = Sheet.of(plan(**changes).validate, facts, memory: memory)

  # What was done: keys of steps, and test holes as seen.
  def facts(steps: [], swatches: [], with: {})
    entries = steps.map { |key| Sewing::Entry.new(id: key, kind: "step", happened_at: nil, step: key, done_with: with) }
    Sewing::Facts.of(entries + swatches.each_with_index.map do |swatch, index|
      Sewing::Entry.new(id: "swatch-#{index}", kind: "swatch", happened_at: nil, swatch: swatch)
    end)
  end

  # As if the table of machines had one more row.
  def with_kind(kind)
    kinds = NimbleEyelet::MACHINE_KINDS
    table = lambda { |rows|
      NimbleEyelet.send(:remove_const, :MACHINE_KINDS) && NimbleEyelet.const_set(:MACHINE_KINDS, rows)
    }
    table[kinds.merge(kind.key => kind).freeze]
    yield
  ensure
    table[kinds]
  end

  # Every step in words, by its key.
  def words(found)
    found.progress.steps.to_h do |step|
      [step.key, [step.does, step.how].compact.map do |text|
        said_in(text, :mm)
      end.join(" ")]
    end
  end

  def said_in(text, unit) = text.respond_to?(:in) ? text.in(unit) : text.to_s

  # What is away from neutral after these steps.
  def ledger_after(steps) = steps.reduce(Ledger.empty) { |ledger, step| ledger.changed(step.moves) }
end
