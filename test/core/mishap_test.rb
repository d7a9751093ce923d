# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/at_the_table"
require_relative "../support/closures"

# The table of what goes wrong, against the steps it belongs to and the rules of the craft.
class MishapTest < CoreTest
  include NimbleEyelet::Support::Closures

  # Every step there is, by its name: of many closures, whatever they are.
  def self.names
    @names ||= new("names").then do |one|
      Array.new(200) { |turn| one.sheet(**one.any_closure(one.any_machine(MACHINE_KINDS.keys[turn % 4]))).progress.steps.map(&:name) }
    end.flatten.uniq
  end

  def rows = Sewing::MISHAPS.values
  def does(key) = Sewing::MISHAPS.fetch(key).steps.map(&:does).join(" ")

  # No row speaks of a step, a part, a caution or a machine that does not exist.
  def test_every_row_speaks_of_what_there_is
    rows.each do |row|
      assert_empty row.during.to_a - self.class.names, row.key
      assert_empty row.again - self.class.names, row.key
      assert_empty (row.moves.keys + row.steps.flat_map { |step| step.moves.keys }) - MACHINE_PARTS.keys, row.key
      assert_empty row.steps.flat_map(&:hazards) - Work::HAZARDS.keys, row.key
      refute_empty row.steps, row.key
      assert_includes [nil, "slit", "place"], row.asks
      assert row.says.match?(/\A[A-Z]/) && !row.says.end_with?("."), row.says
    end
    assert_equal rows.size, rows.map(&:says).uniq.size
  end

  # Whatever is done, something can be said to have gone wrong; and what needs a hole is never offered without one.
  def test_every_step_has_a_way_out
    CoreValues::MACHINES.each_key do |kind|
      sheet(machine: machine(kind)).progress.steps.each do |step|
        name = step.name
        offered = Sewing::Rescuing.at(name, machine(kind))

        assert_operator offered.size, :>=, 2, step.key
        refute step.figures["hole.at"].nil? && offered.any? { |row| row.asks == "place" }, step.key
      end
    end

    assert_empty Sewing::Rescuing.at("sew", machine("plain")).map(&:key) & %w[mid_cycle mid_programme], "it has no cycle"
  end

  # A kind that was never heard of is one row: it sews every style by every foot, and whatever goes wrong has a way out.
  def test_a_machine_of_a_kind_of_its_own_needs_one_row_alone
    dialled = MachineKind.new(key: "dialled", name: "dialled one-step", length_from: "a dial for the length",
                              order: "bead, tack, bead, tack", sews: %i[first_bead far_tack second_bead near_tack],
                              sewing: ["Sew the hole to the length on the dial.", ["It comes out %s overall.", :overall]])
    with_kind(dialled) do
      CoreValues::MACHINES.each_key do |like|
        STYLES.each_key do |style|
          own = machine(like, kind: "dialled", styles: Recipes::PROGRAMMES & STYLES.keys)
          plan = { machine: own, placket: run_of(run_length: mm(200), count: 2),
                   recipe: Recipes::Overrides.new(style: style) }
          at = Support::AtTheTable.new({ smock: plan }) { |plan, *done| sheet_of(plan, *done) }

          words(sheet(**plan)).each { |key, text| refute_empty text.strip, key }
          at.work do |one|
            refute_empty one.mishaps, one.step.key if one.part
            false
          end

          assert_predicate at.ledger, :empty?, "#{like} #{style}"
        end
      end
      does = words(sheet(machine: machine("stepped", kind: "dialled"))).find { |key, _| key.start_with?("sew-at") }.last

      assert_match(/\ASew the hole to the length on the dial\..*It comes out [\d.]+ mm overall/, does)
    end
  end

  # What the craft insists on.
  def test_the_ways_out_are_those_of_the_craft
    assert_match(/presser foot stays down.*Thread the last guides and the eye only/, does("thread_broke"))
    assert_match(said("steps.foot_up_and_thread"), does("thread_out"))
    assert_match(/\AFoot off the pedal. Switch the machine off. Wheel towards you, gently.*flat blade.*new needle/,
                 does("jammed"))
    assert_match(said("steps.find_every_piece"), does("needle_struck"))
    leather = Sewing::Material.of(cloth(kind: "leather"), :straight)
    fitting = rows.select { |row| row.fits.nil? || leather.public_send(row.fits) }
    told = fitting.map { |row| row.way_out(leather).map(&:does).join(" ") }

    assert_empty told.grep(/unpick|pick|zigzag|steam|once over/i), "what keeps its holes and is sewn straight"
    refute(Sewing::Rescuing.at("look", machine, material: leather).any? { |row| row.key == "place_uncut" })
    assert_match(said("steps.quiet_end"), does("long_cut"))
    assert_match(/wait until it is dry.*one stitch into sound fabric/, does("tack_cut"))
    assert_match(said("steps.move_the_buttons_never"), does("not_level"))
    %w[jammed needle_struck].each { |key| assert_includes Sewing::MISHAPS.fetch(key).steps.first.hazards, "power" }
    blades = rows.select { |row| row.steps.any? { |step| step.does.match?(/\b(Cut|cut what|blade|Unpick|Pick)\b/) } }

    assert_operator blades.size, :>=, 5
    blades.each { |row| assert_includes row.steps.flat_map(&:hazards), "blade", row.key }
  end

  # A machine that stores the length forgets it when it goes off, and sews a test hole to learn it again.
  def test_a_machine_that_went_off_stores_its_length_again
    at = Support::AtTheTable.new({ smock: { machine: machine("memory") } }) { |plan, *done| sheet_of(plan, *done) }
    at.work(most: 1) until at.session.steps.first.step.key.start_with?("place-at")

    assert at.ledger.state.key?("memory")
    at.went_wrong(at.session.steps.first, "power_gone")
    keys = at.session.steps.map { |one| one.step.key }

    refute at.ledger.state.key?("memory")
    assert_operator(keys.index("test-sew"), :<, keys.index { |key| key.start_with?("sew-at") })
    at.work

    assert_predicate at.ledger, :empty?
    assert_equal 7, sheet(machine: machine("memory"), facts: at.facts(:smock)).layout.holes.count(&:sewn)
  end

  # A mishap is withdrawn like any fact: then nothing of it is left.
  def test_what_did_not_go_wrong_leaves_nothing
    sewn = Sewing::Entry.new(id: "a", kind: "hole_sewn", happened_at: Time.at(1), step: Work::Step.key_at("sew", mm(540)),
                             at: mm(540),
                             opening: mm(22.5))
    wrong = Sewing::Entry.new(id: "b", kind: "mishap", happened_at: Time.at(2), step: "look", at: mm(540),
                              done_with: { "mishap.what" => "place_uncut" })
    taken_back = Sewing::Entry.new(id: "c", kind: "withdrawal", happened_at: Time.at(3), about: "b")

    assert_empty Sewing::Facts.of([sewn, wrong]).holes, "it is unpicked"
    assert_empty Sewing::Facts.of([sewn, wrong]).steps
    assert_equal [mm(540)], Sewing::Facts.of([sewn, wrong, taken_back]).holes.map(&:at)
    strange = wrong.with(done_with: { "mishap.what" => "from a later version" })

    assert_empty Sewing::Facts.of([sewn, strange]).mishaps
    assert_equal 1, Sewing::Facts.of([sewn, strange]).holes.size
  end

  # Two holes that went wrong stop the row, until somebody has sewn a test.
  def test_two_spoiled_holes_stop_the_row_until_a_test_is_sewn
    at = Time.utc(2026, 11, 30, 10)
    wrong = [540, 454].map.with_index do |place, index|
      Sewing::Entry.new(id: format("%08x", index), kind: "mishap", happened_at: at, at: mm(place),
                        done_with: { "mishap.what" => "jammed" })
    end
    stops = lambda do |entries|
      found = sheet(facts: Sewing::Facts.of(entries))
      words(found).count { |key, text| key.start_with?("place-at") && text.include?("stop here") }
    end
    tested = Swatches::Swatch.new(number: 1, passes: "passes", measured: nil, symptoms: [], opening: mm(22.5),
                                  stitch_width: mm(4.5), stitch_length: mm(0.4), tension: 3r, stabiliser: "",
                                  sewn_at: "2026-11-30T10:30:00Z")
    test = Sewing::Entry.new(id: "test", kind: "swatch", happened_at: at + 1800, swatch: tested)

    assert_equal [0, 7, 0], [wrong.first(1), wrong, [*wrong, test]].map(&stops)
  end
end
