# frozen_string_literal: true

require_relative "../core_helper"

# Whatever the button, the cloth, the thread and the machine: a recipe that can be set, and a hole that
# can be sewn after it.
class RecipePropertyTest < CoreTest
  TURNS = 200

  # The same for all of them: each looks at something else.
  def self.sheets = @sheets ||= new("sheets").then { |one| Array.new(TURNS) { one.any_sheet } }

  def pick(of) = of.sample(random: random)

  def any_cloth
    kind = pick(CLOTH_KINDS.values)
    cloth(kind: kind.key, weight: random.rand(20..600), thickness: mm(random.rand(10..250)/100r),
          layers: random.rand(1..4), seams: random.rand(0..2), stretch: random.rand(0..60),
          frays: pick([nil, "yes", "no"]))
  end

  def any_button
    wide = random.rand(8..40)
    button(shape: pick(%w[flat rounded domed ball square irregular]), attachment: pick(ATTACHMENTS.keys),
           diameter: mm(wide), thickness: mm(wide/4r), width: mm(wide * 3r / 4), hole_spacing: mm(wide/8r),
           hole_diameter: mm(wide/16r))
  end

  def any_machine
    found = machine(pick(MACHINE_KINDS.keys))
    widest = mm(pick([0, 4, 5, 6.5r, 9]))
    found.with(styles: found.styles.sample(random.rand(0..4), random: random),
               max_width: found.kind == "plain" ? widest : [widest, mm(4)].max,
               width_step: mm(pick([0.1r, 0.5r, 1])), length_step: mm(pick([0.05r, 0.1r, 0.25r])),
               first_side: pick(%w[left right]), first_direction: pick(%w[away toward]),
               straight_first: pick([true, false]))
  end

  def any_sheet
    sheet(button: any_button, cloth: any_cloth, thread: thread(tex: random.rand(10..120)), machine: any_machine)
  rescue Refusal
    retry
  end

  def each_sheet(&) = self.class.sheets.each(&)

  def settable?(length, step) = (length / step).denominator == 1

  # A recipe warns of the cloth, of what is missing and of what a person set; never of what it chose itself.
  OTHERS = %w[machine conflict carriage stabiliser thread perforation].freeze

  def test_no_recipe_warns_of_its_own_making
    CLOTH_KINDS.each_value do |kind|
      machines = MACHINE_KINDS.keys.product([4, 5, 6.5r, 9], [0.1r, 0.5r], [0.05r, 0.1r, 0.25r], [true, false])
      machines.each do |name, widest, width_step, length_step, stepless|
        dialled = machine(name, max_width: mm(widest), width_step: mm(width_step), length_step: mm(length_step),
                                length_stepless: stepless)
        found = sheet(cloth: cloth(kind: kind.key, weight: kind.weight, thickness: kind.thickness,
                                   stretch: kind.stretch),
                      machine: dialled).recipe

        assert_empty found.cautions.map(&:rule) - OTHERS, "#{kind.key} on #{name} to #{widest}"
        next if found.stitched == :straight

        assert_operator found.space, :>=, Recipes::SPACE[0] - mm(0.01r), "#{kind.key} on #{name} to #{widest}: room to cut"
        assert_in_delta found.stitch_width.value.to_f, (found.bead.to_f * 2) + found.space.to_f, 0.001
        next unless found.stitched == :satin

        assert found.second_pass || found.coverage.between?(0.4, 0.66), "#{kind.key} on #{name} by #{length_step}: #{found.coverage}"
        assert_operator found.coverage, :>=, 0.5, "a cord shows" if found.cord.value && !found.second_pass
      end
    end
  end

  def test_one_more_foot_on_record_never_makes_the_advice_worse
    each_sheet do |found|
      foot = Foot.new(kind: pick(FOOT_KINDS.keys))
      owned = found.plan.machine.feet
      more = found.plan.machine.with(feet: found.plan.machine.foot(foot.kind) ? owned : owned + [foot])
      points = ->(one) { one.recipe.scores[:foot].find { |score| score.key == one.recipe.foot.value.kind }.points }

      assert_operator points.call(Sheet.of(found.plan.with(machine: more))), :>=, points.call(found)
    end
  end

  def test_every_setting_can_be_set_and_says_why
    each_sheet do |found|
      recipe = found.recipe
      machine = found.plan.machine

      assert settable?(recipe.stitch_length.value, machine.length_step), recipe.stitch_length.value.inspect
      unless recipe.style.value.stitched == :straight
        assert settable?(recipe.stitch_width.value, machine.width_step)
        assert_operator recipe.stitch_width.value, :<=, machine.max_width
      end

      %i[style foot needle stabiliser stitch_width stitch_length tension].each do |part|
        refute_empty recipe[part].because, part.to_s
      end
      assert_predicate recipe.scores[:style].find { |score| score.option == recipe.style.value }, :possible?
    end
  end

  def test_no_style_that_scores_better_and_could_be_sewn_is_passed_over
    each_sheet do |found|
      chosen, others = found.recipe.scores[:style].partition { |score| score.option == found.recipe.style.value }

      others.select(&:possible?).each { |other| assert_operator other.points, :<=, chosen.first.points, other.key }
    end
  end

  def test_the_hole_follows_the_recipe_and_keeps_within_it
    each_sheet do |found|
      path = HoleSimulation.of(found).path
      width, = path.footprint

      assert_operator width, :<=, path.shape.width + 1e-6
      assert_in_delta found.opening.to_f, path.shape.slit[1] - path.shape.slit[0], 1e-6
      assert_empty(path.points.reject { |x, y| x.finite? && y.finite? })
      free = path.points.select do |x, y|
        x.abs < (path.shape.inner - 0.01) && y > path.shape.beads[0] + 0.2 && y < path.shape.slit[1] - 0.2
      end

      assert_empty free, "#{found.recipe.style.value.key}: nothing is sewn where it is cut"
    end
  end

  def test_thread_grows_with_density_width_and_thickness
    each_sheet do |found|
      next if found.recipe.style.value.stitched == :straight

      used = ->(**trial) { HoleSimulation.of(found, Trial.new(**trial)).reckoning.sewn_in.sum(Length.zero) }
      step = found.plan.machine.length_step

      assert_operator used.call(stitch_length: step * 4), :<, used.call(stitch_length: step * 2)
      # The same recipe on thicker cloth: what is worked out already stays.
      thicker = found.dup
      thicker.instance_variable_set(:@plan, found.plan.changed("cloth.thickness" => found.plan.cloth.thickness + mm(1)))

      assert_operator HoleSimulation.of(thicker).reckoning.sewn_in.sum(Length.zero), :>, used.call
    end
  end

  # The ledger is empty at the end, and every setting makes the opening or says what it makes instead.
  def test_the_row_ends_with_the_machine_as_it_was
    each_sheet do |found|
      next unless found.progress

      ledger = ledger_after(found.progress.steps)

      assert_empty ledger.entries.map(&:name)
      found.settings.each { |school, setting| assert_equal answer(found, school).length, setting.planned, school }
    end
  end

  def answer(found, school) = found.cut.answers.find { |other| other.school.key == school }
end
