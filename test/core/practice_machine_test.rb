# frozen_string_literal: true

require_relative "../core_helper"

# The machine that behaves: whatever is done to it in any order it stays a machine, its usual is never out of reach, and
# what is sewn in the right order is the hole of the plan, stitch by stitch.
class PracticeMachineTest < CoreTest
  SEQUENCES = 10_000
  LONGEST = 12
  MOST_BACK = 160

  Bench = Struct.new(:work, :machine, :guide, :choices, :exercises) do
    def settable = @settable ||= choices.to_h
  end

  # A machine of each kind, beside two that differ in what they do when something was forgotten.
  def benches
    @benches ||= (MACHINE_KINDS.keys.map { |kind| [kind, {}] } + [["sensing", { stops: "machine", reset: "select_again" }], ["memory", { balance: true, lift_resets: true, forgets: "other_setting" }]])
                 .map { |kind, more| bench(machine(kind, **more), style: more[:balance] && "stretch") }
  end

  def bench(machine, style: nil)
    recipe = style ? { recipe: Recipes::Overrides.new(style: style) } : {}
    bench_of(sheet(machine: machine, button: button(attachment: "four_holes"), **recipe))
  end

  def bench_of(sheet)
    work = Simulation::PracticeWork.of(sheet)
    Bench.new(work, Simulation::PracticeMachine.new(work), Rehearsal::Guide.new(work),
              Simulation::PracticeChoices.of(work).to_a, Rehearsal::Exercise.all(work))
  end

  def act(name, **more) = Simulation::PracticeAct.new(act: name, **more)

  def any_act(bench, random)
    case name = Simulation::PracticeMachine::ACTS.sample(random: random)
    when "set" then bench.choices.sample(random: random).then do |part, list|
      act(name, part: part, to: list.sample(random: random))
    end
    when "power" then act(name, to: %w[on off].sample(random: random))
    when "presser" then act(name, to: %w[up down].sample(random: random))
    when "position" then act(name, to: %w[aside middle].sample(random: random))
    when "step" then act(name, to: random.rand(5).to_s)
    when "lay" then act(name, to: bench.work.places.sample(random: random),
across: [0.0, 0.0, 3.0].sample(random: random))
    when "move" then act(name, across: random.rand(-2.0..2.0), along: random.rand(-2.0..2.0))
    when "wheel" then act(name, degrees: [180, 180, 90, 720, -20, -90].sample(random: random))
    when "pedal" then act(name, seconds: [0.2, 2.0, 30.0].sample(random: random), hard: random.rand < 0.2)
    else act(name)
    end
  end

  # @return [String, nil] what no machine can be like
  def unsound(state, bench)
    return "angle #{state.angle}" unless (0..359).cover?(state.angle)
    return "bobbin" if state.bobbin.negative?
    return "stretch #{state.stretch}" unless (0...[bench.work.stretches.size, bench.work.pairs, 1].max).cover?(state.stretch)
    return "piled up" if state.sewn.any? { |_, piece| piece.points.size > bench.work.most_stitches }
    return "under #{state.under}" unless state.under.nil? || bench.work.places.include?(state.under)
    return "broken and whole" if state.pieces && state.needle_whole

    parts = bench.settable
    wrong = state.parts.find { |part, to| part != "memory" && !parts.fetch(part, []).include?(to) }
    wrong && "#{wrong.first} at #{wrong.last}"
  end

  # Led back to its usual, with whatever was under the needle out.
  def back(bench, state)
    MOST_BACK.times do
      step = bench.guide.towards(state, "back") or return state
      state = bench.machine.apply(state, step.act).state
    end
    nil
  end

  def test_no_order_of_acts_leads_out_of_what_a_machine_can_be_and_all_lead_back
    random = Random.new(27)
    benches.each_with_index do |bench, kind|
      (kind < MACHINE_KINDS.size ? SEQUENCES : SEQUENCES / 10).times do |number|
        state = bench.exercises.sample(random: random).start
        random.rand(1..LONGEST).times do
          done = any_act(bench, random)
          happened = bench.machine.apply(state, done)
          state = happened.state

          wrong = unsound(state, bench)

          assert_nil wrong, (done.inspect if wrong)
          assert_empty happened.slips.map(&:first) - Rehearsal::SLIPS.keys
        end
        next unless (number % 4).zero?

        refute_nil back(bench, state), -> { "#{bench.work.machine.kind} does not lead back from #{state.to_h.except(:sewn)}" }
      end
    end
  end

  # The stitches of the core, at the place where the fabric lies.
  def test_a_right_sequence_sews_the_path_of_the_plan_to_the_last_stitch
    benches.each do |bench|
      state = bench.exercises.find { |one| one.key == "row" }.start
      (0...Simulation::PracticeWork::SCRAP_HOLES).each do |number|
        state = led(bench, state, "hole-#{number}")

        assert_same_points bench.work.path.points, state.piece("hole-#{number}").points, bench.work.machine.kind
      end
      state = led(bench, state, "button")
      sewn = (0...bench.work.pairs).map { |pair| state.piece("pair-#{pair}").points }

      bench.work.sewn_on(nil).parts.each_with_index do |part, pair|
        assert_same_points part.points, sewn[pair], "pair #{pair}"
      end
    end
  end

  def assert_same_points(expected, found, about)
    assert_equal expected.size, found.size, about
    expected.flatten.zip(found.flatten) { |one, other| assert_in_delta one, other, 1e-9, about }
  end

  # @return [Simulation::PracticeState] with the goal reached
  def led(bench, state, goal, slips: [])
    MOST_BACK.times do
      step = bench.guide.towards(state, goal) or return state
      happened = bench.machine.apply(state, step.act)
      slips.concat(happened.slips.map(&:first))
      state = happened.state
    end

    flunk "#{bench.work.machine.kind}: #{goal} is not reached"
  end

  # A machine that adds by itself is stopped earlier: at the figure that the steps say, and the hole is the plan's.
  def test_the_key_is_pressed_at_its_own_figure
    [mm(0), mm(-2), mm(1)].each do |correction|
      one = sheet(machine: machine("memory"), opening: wish(correction: correction))
      bench = bench_of(one)
      first = bench.work.stretches.first
      line = (bench.work.keyed_at - first.points[first.ends - 1].last).abs

      assert_in_delta (one.opening - one.setting.figure).to_f.abs, line, 1e-9
      state = led(bench, bench.exercises.find { |each| each.key == "row" }.start, "hole-0")

      assert_equal one.setting.figure, state.parts["memory"]
      # Of a machine that stops short the last stitches before the key lie beyond the hole.
      beyond = [(correction / Length.mm(first.feed.abs.rationalize(1r / 1000))).round, 0].max

      assert_equal bench.work.path.points.size + beyond, state.piece("hole-0").points.size
      assert_same_points bench.work.path.points, state.piece("hole-0").points, correction.to_s if beyond.zero?
    end
  end

  # What the steps tell the ledger is what the machine is set to when hands have done them.
  def test_after_the_row_the_machine_stands_as_the_ledger_of_the_steps_has_it
    benches.each do |bench|
      usual = Simulation::PracticeState.new(bobbin: Simulation::PracticeMachine::FULL_BOBBIN)
      state = led(bench, led(bench, usual, "set"), "hole-0")
      steps = bench.work.order.then { |order| Sewing::Steps.of(order) }
      row = steps.select { |step| step.block == "row" }.take_while { |step| step.name != "look" }
      ledger = row.reduce(Ledger.empty) { |all, step| all.changed(step.moves) }
      by_hand = bench.work.by_hand? ? %w[width length] : []
      expected = ledger.state.except("cycle", "lever", "memory", *by_hand)

      assert_equal expected, state.parts.except("lever", "memory", *by_hand), bench.work.machine.kind
      assert_equal [ledger.state["memory"]].compact, [state.parts["memory"]].compact
    end
  end

  # Every act that is worth trying, at every moment.
  def alphabet(bench) = (@alphabets ||= {}.compare_by_identity)[bench] ||= letters(bench)

  def letters(bench)
    plain = %w[begin_again turn lift lead_tails slide_foot hook_cord key clear free search].map { |name| act(name) }
    set = bench.choices.flat_map { |part, list| list.map { |to| act("set", part: part, to: to) } }
    moved = { "power" => %w[on off], "presser" => %w[up down], "position" => %w[aside middle] }
            .flat_map { |name, list| list.map { |to| act(name, to: to) } }
    laid = %w[hole-0 hole-1 pair-0].product([0.0, 3.0]).map { |to, off| act("lay", to: to, across: off) }
    steps = (1...bench.work.stretches.size).map { |to| act("step", to: to.to_s) }
    turned = [180, 720, -90].map { |degrees| act("wheel", degrees: degrees) }
    sewn = [0.4, 6.0, 40.0].map { |seconds| act("pedal", seconds: seconds) }
    plain + set + moved + laid + steps + turned + sewn + [act("move", across: 2.0),
                                                          act("pedal", seconds: 2.0, hard: true)]
  end

  # States that nobody would tell apart.
  def kept(state)
    piece = state.piece
    [state.to_h.except(:sewn, :bobbin, :shift, :wheeled, :stitch), state.stitch.positive?, state.wheeled >= 540, piece.points.any?,
     piece.finished, piece.spoiled, piece.begun]
  end

  # Breadth first, from a moment of an exercise: the shortest sequence to every slip.
  def search(bench, start, seen, found)
    edge = [[start, []]]
    DEEP.times do
      edge = edge.first(WIDE).flat_map { |state, way| onwards(bench, state, way, seen, found) }
    end
  end
  DEEP = 2
  WIDE = 25

  def onwards(bench, state, way, seen, found)
    alphabet(bench).filter_map do |one|
      happened = bench.machine.apply(state, one)
      further = way + [one]
      happened.slips.map(&:first).each { |slip| keep(found, slip, [bench, happened.state, further]) }
      next if happened.slips.any? || seen[key = kept(happened.state)]

      seen[key] = true
      [happened.state, further]
    end
  end

  def keep(found, slip, case_of)
    found[slip] = case_of if found[slip].nil? || case_of.last.size < found[slip].last.size
  end

  # Beside what its owner forgot, nothing stands in the way of going on.
  def test_every_slip_has_a_shortest_sequence_and_its_way_out_leads_back
    found = {}
    benches.each do |bench|
      seen = {}
      moments(bench).each { |state| search(bench, state, seen, found) }
    end

    assert_equal (Rehearsal::SLIPS.keys - %w[left_changed]).sort, found.keys.sort
    found.each_value do |bench, state, way|
      slips = []
      after = led(bench, state, state.button? ? "button" : "hole-0", slips: slips)

      assert back(bench, after)
      assert_empty slips, way.map { |one| [one.act, one.part, one.to].compact.join(" ") }.join(", ")
    end
  end

  # Every moment on the right way through two holes, a button, and a broken needle.
  def moments(bench)
    [%w[row hole-0 hole-1], %w[button button], %w[rescue-needle_struck hole-0]].flat_map do |key, *goals|
      state = bench.exercises.find { |one| one.key == key }.start
      goals.flat_map { |goal| way(bench, state, goal).tap { |all| state = all.last } }
    end
  end

  def way(bench, state, goal)
    states = [state]
    while (step = bench.guide.towards(states.last, goal))
      states << bench.machine.apply(states.last, step.act).state
    end
    states
  end
end
