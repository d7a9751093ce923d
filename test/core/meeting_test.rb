# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/at_the_table"
require_relative "../support/hands"

# Where a session and the list of one closure meet: sewn in between others, everything is sewn with the machine set as the
# closure's own list sets it, and no list tells the ledger what its words do not.
class MeetingTest < CoreTest
  SESSIONS = 20
  # What the needle does.
  AT_THE_NEEDLE = %w[test-sew sew test-button button].freeze

  def pick(of) = of.sample(random: random)

  def any_button
    wide = pick([9, 11.5r, 15, 18, 22.5r, 28])
    button(shape: pick(%w[flat flat rounded domed ball]), attachment: pick(%w[two_holes four_holes four_holes shank]),
           diameter: mm(wide), thickness: mm(wide / 5), hole_spacing: mm(pick([2.5r, 3, 3.5r])))
  end

  def any_cloth
    kind = pick(CLOTH_KINDS.values)
    cloth(kind: kind.key, weight: kind.weight, thickness: kind.thickness, stretch: kind.stretch)
  end

  def any_thread = thread(tex: pick([18, 27, 40, 60]), name: pick(["", "cream", "navy"]))

  def any_plan(machine)
    { machine: machine, button: any_button, cloth: any_cloth, thread: any_thread,
      placket: run_of(run_length: mm(240), count: pick([2, 3]), orientation: pick(%w[vertical horizontal])),
      recipe: Recipes::Overrides.new(balance: pick([nil, nil, 2, -1]), tension: pick([nil, 3r])),
      attach: Attach::ButtonSewing.new(pattern: pick(Stitches::BUTTON_PATTERNS.keys), feed: pick([nil, "length_zero"]),
                                       order: pick([nil, nil, "buttons"])) }.compact
  end

  def any_session(kind)
    dialled = machine(kind, foot_pressure: pick([true, false]), speed_limiter: pick([true, false]))
    Array.new(pick([2, 3])) { |index| [:"closure #{index}", sewable(dialled)] }.to_h
  end

  def sewable(machine)
    plan = any_plan(machine)
    sheet(**plan).progress ? plan : sewable(machine)
  rescue Refusal
    sewable(machine)
  end

  def in_words(step) = [step.does, step.how].compact.map { |text| said(text, :mm) }.join(" ")
  def hands(sheet) = Support::Hands.new(sheet.plan.machine.neutral_tension)
  def button_of(sheet) = sheet.plan.button.diameter.to_s

  # What whoever reads the closure's own list has set the machine to when this step begins.
  def own(sheet, key)
    sheet.progress.steps.take_while { |step| step.key != key }
         .reduce(hands(sheet)) { |hands, step| hands.read(in_words(step), button: button_of(sheet)) }.machine
  end

  # Needle, thread, and what the buttons are sewn with; a row of holes goes by all of it.
  def needed(sheet, key)
    return MACHINE_PARTS.keys unless Work.turn(Work::StepKey.parse(key).name) == "button"

    setting = sheet.progress.steps.select { |step| %w[needle thread button-foot feed-off button-width].include?(step.key) }
    setting.reduce(hands(sheet)) { |hands, step| hands.read(in_words(step), button: nil) }.machine.keys
  end

  def needle?(one)
    name = one.step.name
    one.part && AT_THE_NEEDLE.include?(name) && (one.part.sheet.attaching.by_machine || name.include?("sew"))
  end

  def differ(one, other) = (one.keys | other.keys).reject { |part| one[part] == other[part] }

  def sewn_otherwise(sheet, key, really)
    wanted = own(sheet, key)
    needed = needed(sheet, key)
    differ(wanted, really).select { |part| needed.include?(part) || really[part] }.map { |part| [part, wanted[part], really[part]] }
  end

  # What goes by lengths in the ledger and by words in the hands; what passes within a hole.
  ELSEWHERE = %w[memory lever button_in_foot foot_opened].freeze

  def walk(plans)
    at = Support::AtTheTable.new(plans) { |changes, facts| sheet(facts: facts, **changes) }
    sheets = plans.transform_values { |plan| sheet(**plan) }
    hands = hands(sheets.values.first)
    at.work do |one|
      whose = one.part && sheets.fetch(one.part.key)
      yield one, sewn_otherwise(whose, one.step.key, hands.machine) if needle?(one)
      hands.read(in_words(one.step), button: whose && button_of(whose))
      told = one.ledger.state.except(*ELSEWHERE)
      yield one, differ(told, hands.machine.except(*ELSEWHERE)).map { |part| [part, told[part], hands.machine[part]] }
      false
    end
    [at.ledger, hands.machine]
  end

  def test_hands_that_only_read_sew_each_closure_as_its_own_list_says
    found = []
    SESSIONS.times do |number|
      plans = any_session(MACHINE_KINDS.keys[number % 4])
      ledger, machine = walk(plans) do |one, wrong|
        found << "#{number} #{plans.values.first[:machine].kind} #{one.part&.key} #{one.step.key}: #{wrong}" if wrong.any?
      end

      assert_predicate ledger, :empty?, number
      assert_empty machine.except("top_thread", "bobbin_thread"), number
    end

    assert_empty found.first(20), "#{found.size} of them"
  end

  # What is opened for a button goes back with it: nobody is asked to push a foot together that holds nothing.
  def test_the_foot_goes_back_with_what_it_holds
    carriage = Foot.new(kind: "carriage_foot", largest_button: mm(30), allowance: mm(2), click: nil)
    known = machine(feet: [carriage, *machine.feet.drop(1)])
    clamp = sheet(machine: known).progress.steps.find { |step| step.key == "clamp" }
    ledger = Ledger.empty.changed(clamp.moves)

    assert_equal [mm(18), mm(2.5)], clamp.moves.values_at("button_in_foot", "foot_opened")
    assert_equal ["button_in_foot"], away(ledger)
    back = Sewing::Steps.back(ledger.entries.first.part, known)

    assert_empty ledger.changed(back.moves).state
    assert_equal ["foot_opened"], away(ledger.changed("button_in_foot" => nil))
  end

  def away(ledger) = ledger.entries.map { |entry| entry.part.key }
end
