# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/at_the_table"

# Two things of a plan are changed when settings are in use, when two holes are sewn, and when one is cut open: what
# follows says so, and what is in the fabric stays where it is.
class ChangedMidwayTest < CoreTest
  # One change each, by what of the plan it is.
  CHANGES = {
    button: -> { { button: button(diameter: mm(20)) } },
    cloth: -> { { cloth: cloth(thickness: mm(0.6)) } },
    thread: -> { { thread: thread(tex: 40) } },
    machine: -> { { machine: machine("stepped", id: 8) } },
    correction: -> { { opening: wish(correction: mm(1)) } },
    run: -> { { placket: run_of(run_length: mm(660)) } },
    extension: -> { { placket: run_of(extension: mm(25)) } },
    turned: -> { { placket: run_of(orientation: "horizontal", extension: mm(25)) } },
    width: -> { { recipe: Recipes::Overrides.new(stitch_width: mm(4)) } },
    way: -> { { recipe: Recipes::Overrides.new(way: "hand_worked") } },
    cut: -> { { cut: Opening::CutMethod.new(tool: "chisel", chisel: mm(12)) } },
    attach: -> { { attach: Attach::ButtonSewing.new(pattern: "cross", shank: mm(2)) } }
  }.freeze
  # How far the work is.
  UNTIL = {
    "in use" => ->(one, _) { one.step.name == "mark" },
    "two sewn" => ->(one, sewn) { one.step.name == "reset" && sewn == 2 },
    "one open" => ->(one, _) { one.step.name == "open" }
  }.freeze

  def given = { machine: machine("sensing", id: 7) }

  def table = Support::AtTheTable.new({ front: given }) { |plan, facts, memory| sheet_of(plan, facts, memory) }

  def worked_until(stop)
    sewn = 0
    table.tap do |work|
      work.work(at_once: 1) do |one|
        next true if stop.call(one, sewn)

        sewn += 1 if one.step.name == "sew"
        false
      end
    end
  end

  def test_what_follows_says_so_and_what_is_sewn_stays
    UNTIL.each do |moment, stop|
      facts = worked_until(stop).facts(:front)
      before = sheet(facts: facts, **given)
      settled = Stage.of(before.plan).to_h { |stage| [stage.word, stage.answer(before)] }

      CHANGES.keys.combination(2).each do |pair|
        changes = pair.map { |name| instance_exec(&CHANGES.fetch(name)) }.reduce(given, :merge)
        after = sheet(facts: facts, settled: settled, **changes)
        said_so(before, after, "#{pair.join(' and ')} when #{moment}")
      end
    end
  end

  # The end of a hole across the edge was once kept where no ruler has a mark: that is no other figure.
  def test_a_mark_kept_to_the_hundredth_is_the_same_mark
    across = { placket: run_of(orientation: "horizontal", extension: mm(20)), **given }
    hole = sheet(**across).layout.holes.first
    marked = ->(edge) { sheet(**across, facts: facts(steps: %w[mark], with: { "mark.edge" => edge })).progress.outdated.keys }

    refute_equal hole.edge, hole.marked_edge
    assert_equal [[], [], %w[mark]], [hole.edge, hole.marked_edge, hole.marked_edge + mm(1)].map(&marked)
  end

  # Before it is cut a hole is told where it lies, not where the plan has it since.
  def test_what_is_about_to_be_cut_is_told_where_it_lies
    at = sheet(**given).layout.holes.first.at
    entry = Sewing::Entry.new(id: "a", kind: "hole_sewn", happened_at: nil, at: at, opening: mm(22.5),
                              done_with: { "hole.from_edge" => mm(6), "hole.lies" => "vertical" })
    found = sheet(facts: Sewing::Facts.of([entry]), placket: run_of(extension: mm(25)), **given)
    cut = found.progress.steps.find { |step| step.name == "open" }
    told = found.layout.holes.first

    assert_equal mm(6), told.from_edge
    assert_includes said_in(cut.how, :mm), "lies #{told.marked_edge} from the edge"
  end

  private

  # One moment and one pair.
  def said_so(before, after, about)
    refute_empty after.stages.values.select { |state| state.state == "stale" }, about
    return refute_empty(after.faults, about) unless after.layout

    before.facts.holes.each do |hole|
      there = after.layout.holes.find { |one| one.at == hole.at }

      assert there&.sewn, "#{about}: the hole at #{hole.at} is gone"
      assert_equal [hole.opening, hole.from_edge, hole.lies], [there.opening, there.from_edge, there.lies], about
      assert_equal hole.width, there.width, about
    end
    in_line(after, about)
    others = told_otherwise(before, after)

    assert_empty others - after.progress.outdated.keys, about
  end

  # What is sewn on another line than the rest will be is said once for all that lie so.
  def in_line(after, about)
    sewn, rest = after.layout.holes.partition(&:sewn)
    lines = [sewn, rest].map { |holes| holes.map { |hole| [hole.lies, hole.from_edge] }.uniq }
    unlike = sewn.any? && rest.any? && lines.first != lines.last

    assert_equal unlike ? 1 : 0, after.layout.cautions.count { |one| one.rule == "one line" }, about
  end

  # Steps that were done and would be done otherwise now, as their own words and figures tell.
  def told_otherwise(before, after)
    was = before.progress.steps.to_h { |step| [step.key, step] }
    after.progress.steps.select do |step|
      earlier = was[step.key]
      earlier && before.progress.done.include?(step.key) && earlier.figures.keys.any? do |path|
        step.figures.key?(path) && step.figures[path] != before.facts.entry_of(earlier).done_with[path]
      end
    end.map(&:key)
  end
end
