# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../../app/document/cut_drawing"

# Every closure of the sample on every one of its machines: opened and buttoned in full, with its cautions, and as it is
# drawn.
class EveryMachineTest < AppTest
  def everywhere
    closures = Store::Closures.new(workroom)
    db[:closures].order(:id).select_map(:id).each do |id|
      closure = closures.find(id)
      workroom.machines.all.each do |machine|
        plan = closure.plan.with(machine: machine, accepted: nil).changed("recipe.way" => nil)
        found = Sheet.of(plan.in(closure.house))
        next unless found.layout

        yield found, "#{closure.garment_name}, #{closure.plan.name} on #{machine.name}"
      end
    end
  end

  def named(found, name) = found.progress.steps.select { |step| step.name == name }

  def words(step)
    [step.does, step.how].compact.map { |text| text.respond_to?(:in) ? text.in(:mm) : text.to_s }.join(" ")
  end

  # Source: craft, "where each belongs": blade at every opening, liquid at every sealing.
  def test_every_hole_is_opened_where_and_as_it_is_drawn
    seen = 0
    everywhere do |found, name|
      line = found.cut_line
      opened = found.recipe.style.value.round? ? named(found, "punch") : named(found, "open")
      seen += opened.size

      assert_equal found.layout.holes.map { |hole| [hole.at, hole.opening] }.sort,
                   opened.map { |step| step.figures.values_at("hole.at", "opening.length") }.sort, name
      assert(opened.all? { |step| step.hazards.include?("blade") }, name)
      assert(found.progress.steps.select { |step| step.key.start_with?("seal") }.all? { |step| step.hazards.include?("liquid") })
      whole = line.cuts.flat_map { |cut| [cut.from, cut.to] }.minmax

      assert_equal [Length.zero, line.slit], whole, "#{name}: the whole slit, and no more"
      assert(line.pins.all? { |pin| pin.positive? && pin < line.slit }, name)
      assert_empty line.pins, name if found.plan.cloth.type.perforates
    end

    assert_operator seen, :>, 100
  end

  def test_every_button_is_sewn_on_in_full_and_safely
    everywhere do |found, name|
      next assert_empty named(found, "button") unless found.plan.button.fastens?

      sewn = named(found, "button")

      assert_equal found.layout.holes.map(&:at).sort, sewn.map { |step| step.figures.fetch("hole.at") }.sort, name
      assert_equal 1, named(found, "mark-buttons").size
      found.attaching.by_machine ? by_machine(found, sewn, name) : by_hand(found, sewn, name)
      assert(sewn.all? { |step| step.hazards.include?("children") }, name) if found.plan.placket.usage.child

      # One spare a garment, with its front.
      spare = found.layout.run.usage.thing == "garment" && found.layout.run.place != "cuff"

      assert_equal spare, named(found, "spare-button").any?, name
    end
  end

  private

  # Nothing that strikes is offered to the machine, and where there is hardly any room a test button comes first.
  def by_machine(found, sewn, name)
    attaching = found.attaching
    simulated = ButtonSimulation.of(found)

    refute_equal "strikes", attaching.verdict, name
    assert_empty simulated.path.strikes, name
    assert(sewn.all? { |step| (%w[wheel eyes] - step.hazards).empty? }, name)
    assert_equal attaching.verdict == "mind" ? 1 : 0, named(found, "test-button").size, name
    assert_equal attaching.shank.positive?, named(found, "wind").any?, name
    assert_equal 1, named(found, "secure").size
    assert_equal 1, named(found, "feed-off").size
    assert_includes words(sewn.first), said("steps.by_hand_through_both") if found.plan.button.holes == 4
  end

  def by_hand(found, sewn, name)
    cut = named(found, "hand-thread").first.figures
    return assert_equal found.attaching.cord, cut.fetch("attach.cord"), name if found.attaching.cord

    assert_equal found.attaching.hand_thread, cut.fetch("attach.hand_thread"), name
    sewn.each { |step| %w[mark passes back knot].each { |part| assert_includes words(step), part, name } }

    assert_equal found.attaching.heavy, words(sewn.first).include?("flat button behind"), name
  end
end
