# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/at_the_table"
require_relative "../support/closures"
require_relative "../support/hands"
require_relative "../support/workplace"

# Hands that only do what steps say, by their words and by their operations, on a table of their own: whatever the
# closure, alone or between others, and whatever goes wrong, every hole is sewn and cut as it was planned, and the
# machine is as it was.
class HandsTest < CoreTest
  include NimbleEyelet::Support::Closures

  CLOSURES = Integer(ENV.fetch("CLOSURES", 300))
  SESSIONS = Integer(ENV.fetch("SESSIONS", 48))
  # Of so many pairs of step and mishap one is tried.
  MISHAPS = Integer(ENV.fetch("MISHAPS", 3))

  def workplace(sheet) = Support::Workplace.new(sheet.plan.machine)

  def do_step(hands, place, piece, step)
    place.perform(hands.acts(step, piece), piece: piece, place: hands.place(step, piece), where: step.key)
  end

  def found(place, about)
    place.wrong.map { |one| "#{about} #{one.where}: #{one.what} #{one.more.inspect}" }
  end

  def alone(hands, sheet)
    place = workplace(sheet)
    piece = Support::Piece.new(sheet)
    steps = sheet.progress.steps
    steps.each { |step| do_step(hands, place, piece, step) }
    place.finished([piece])
    left_otherwise(steps.flat_map(&:lasts), piece).each { |one| place.wrong << Support::Workplace::Wrong.new(:left_otherwise, "cloth", one) }
    place
  end

  # What steps say they leave in the cloth is what the hands left there.
  def left_otherwise(lasts, piece)
    said = lasts.group_by(&:kind).transform_values { |all| all.filter_map { |one| one.at&.to_s }.uniq.sort }
    done = piece.left.transform_values(&:sort)
    (said.keys | done.keys).reject { |kind| said[kind] == done[kind] || (said.key?(kind) && done[kind] == []) }
  end

  def about(plan) = "#{plan[:machine].kind} #{plan[:cloth]&.kind} #{plan[:button]&.shape} #{plan[:recipe]&.style}"

  def test_whoever_reads_or_does_a_list_alone_sews_what_was_planned
    wrong = []
    [Support::ReadingHands.new, Support::WorkingHands.new].each do |hands|
      plans.each do |plan|
        place = alone(hands, sheet(**plan))
        wrong.concat(found(place, about(plan)))
      end
      wrong.concat(hands.unheard.uniq)
    end

    assert_empty wrong.first(20), "#{wrong.size} of them"
  end

  def plans = Support::Fixtures.new.plans(CLOSURES)

  # Several closures on one machine, as a session gives them out: asked again at three places, as a phone does that is
  # mostly without a connection. After every step the machine of the hands and the ledger say the same.
  def test_hands_sew_every_closure_of_a_session_as_it_was_planned
    wrong = Array.new(SESSIONS) do |turn|
      hands = [Support::ReadingHands, Support::WorkingHands][turn % 2].new
      session(hands, any_session(MACHINE_KINDS.keys[(turn / 2) % 4]), turn) + hands.unheard.uniq
    end.flatten

    assert_empty wrong.first(20), "#{wrong.size} of them"
  end

  ONE_THIRD = 1r / 3
  # Of so many sessions one is asked again after every step.
  EACH = 8

  def any_session(kind)
    with = any_machine(kind)
    Array.new(pick([2, 3, 4])) { |index| [:"closure #{index}", any_closure(with)] }.to_h
  end

  def table(plans) = Support::AtTheTable.new(plans) { |plan, *done| sheet_of(plan, *done) }

  def session(hands, plans, about)
    at = table(plans)
    pieces = plans.transform_values { |plan| Support::Piece.new(sheet(**plan)) }
    place = workplace(pieces.values.first.sheet)
    found = given_out(hands, at, place, pieces, at_once: (1 if (about % EACH).zero?))
    place.finished(pieces.values)
    found(place, about) + found.map { |one| "#{about} #{one}" } + (at.ledger.empty? ? [] : ["#{about}: #{at.ledger.state}"])
  end

  # @return [Array<String>] where ledger and hands differ
  def given_out(hands, at, place, pieces, at_once: nil)
    differ = []
    at.work(at_once: at_once || (at.session.steps.size * ONE_THIRD).ceil) do |one|
      yield one.step if block_given?
      do_step(hands, place, pieces[one.part&.key], one.step)
      told = one.ledger.state.to_h { |part, state| [part, MACHINE_PARTS.fetch(part).called(state).to_s] }
      (told.keys | place.state.keys).each do |part|
        next if told[part] == place.state[part] || told[part] == Ledger::UNKNOWN

        differ << "#{one.step.key}: the ledger has #{part} at #{told[part].inspect}, the hands at #{place.state[part].inspect}"
      end
      false
    end
    differ
  end

  # Every mishap at every kind of step, on every kind of machine: put right as it is said, the row is there in the end.
  def test_hands_put_right_whatever_goes_wrong
    tried = []
    wrong = PUT_RIGHT.flat_map { |kind, cloth| mishaps(kind, cloth, tried) }

    assert_operator tried.size, :>=, 650
    assert_empty wrong.first(20), "#{wrong.size} of them"
  end

  # Cloth that is ironed and unpicked, and what is neither.
  PUT_RIGHT = [*MACHINE_KINDS.keys.map { |kind| [kind, "light_woven"] }, %w[sensing coated], %w[plain leather]].freeze

  def mishaps(kind, cloth, tried)
    plan = { machine: machine(kind), cloth: cloth(kind: cloth), placket: run_of(run_length: mm(200), count: 2) }
    at = table({ smock: plan })
    piece = Support::Piece.new(sheet(**plan))
    place = workplace(piece.sheet)
    hands = Support::WorkingHands.new
    found = []
    at.work(at_once: 1) do |one|
      (one.part ? one.mishaps : []).each do |mishap|
        next if tried.include?([kind, cloth, one.step.name,
                                mishap]) || skipped?(tried.push([kind, cloth, one.step.name, mishap]).size)

        found.concat(put_right(at.dup, place.dup, piece.dup, one, mishap, plan))
      end
      do_step(hands, place, (piece if one.part), one.step)
      false
    end
    found
  end

  def skipped?(number) = !(number % MISHAPS).zero?

  def put_right(at, place, piece, one, mishap, plan)
    row = Sewing::MISHAPS.fetch(mishap)
    # At a step about all of them one is asked which.
    hole = one.step.figures["hole.at"] || (piece.sheet.layout.holes.first.at if row.of_a_hole?)
    measured = { "slit" => mm(25), "place" => (hole || mm(100)) - mm(4) }[row.asks]
    before = at.facts(:smock).steps.keys
    at.went_wrong(one, mishap, measured: measured, at: hole)
    other = other_turns(before - at.facts(:smock).steps.keys, one.step)
    elsewhere = measured.to_s if row.hole == "fixed" && hole
    place.happen(mishap, piece, hole&.to_s, elsewhere: elsewhere)
    told = []
    differ = given_out(Support::WorkingHands.new, at, place, { smock: piece }) { |step| told << step.does }
    way_out = row.way_out(Sewing::Material.of(piece.plan.cloth, piece.recipe.stitched)).map(&:does)
    differ << "begins with #{told.first}" unless told.first(way_out.size) == way_out
    piece.sheet = sheet(facts: at.facts(:smock), **plan)
    place.finished([piece])
    about = "#{plan[:machine].kind} #{one.step.key} #{mishap}"
    (other + differ + found(place, "")).map { |wrong| "#{about}: #{wrong}" }
  end

  # What is undone is what it happened at.
  def other_turns(undone, step)
    (undone.map { |key| Work.turn(Work::StepKey.parse(key).name) }.uniq - [step.turn || "hole", nil]).map { |turn| "undoes a #{turn}" }
  end
end
