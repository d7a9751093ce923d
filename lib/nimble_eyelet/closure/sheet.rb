# frozen_string_literal: true

# Sheet is everything the craft has to say about one plan and what happened at the table, worked out
# from these alone.
#
#   sheet = NimbleEyelet::Sheet.of(plan.in(house), facts)
#   sheet.cut.length          # 22.5 mm
#   sheet.layout.holes.size   # 7
#
# The holes may not fit the run as described; then layout is nil, faults says why, and what hangs
# on it (the steps, the strip) waits.

require_relative "../answer/refusal"
require_relative "../attach/attaching"
require_relative "../opening/cut"
require_relative "../opening/setting"
require_relative "../placket/layout"
require_relative "../recipe/recipe"
require_relative "../recipe/rules"
require_relative "../sewing/facts"
require_relative "../sewing/progress"
require_relative "../sewing/steps"
require_relative "../swatch/diagnosis"
require_relative "../value"
require_relative "stage"

module NimbleEyelet
  # layout, progress - nil while the holes do not fit; faults - Array<Fault>
  # settings - Hash of school to Opening::Setting, what its opening asks of the foot
  # stages - Hash of stage word to StageState
  class Sheet < Value.of(:plan, :facts, :recipe, :cut, :settings, :layout, :faults, :diagnosis, :progress, :attaching,
                         :stages)
    # @param plan [Plan] valid, in its house
    # @param facts [Sewing::Facts]
    # @return [Sheet]
    def self.of(plan, facts = Sewing::Facts.none) = Composer.new(plan, facts).sheet
  end

  # Works the rooms out in the order in which they lean on each other.
  class Composer
    def initialize(plan, facts)
      @plan = plan
      @facts = facts
    end

    # @return [Sheet]
    def sheet
      layout, faults = laid_out
      Sheet.new(plan: @plan, facts: @facts, recipe: recipe, cut: cut, settings: settings, layout: layout, faults: faults, diagnosis: diagnosis,
                progress: layout && progress(layout), attaching: attaching, stages: stages)
    end

    private

    def situation
      Recipes::Situation.new(button: @plan.button, cloth: @plan.cloth, thread: @plan.thread, machine: @plan.machine,
                             stabilisers: @plan.stabilisers)
    end

    def recipe = @recipe ||= Recipes::Recipe.of(situation, @plan.recipe)

    def cut
      @cut ||= Opening::Cut.of(@plan.button, @plan.cloth, @plan.opening, recipe.ends, foot: @plan.machine.foot("carriage_foot"))
    end

    def settings
      fitted = { foot: recipe.foot.value, machine: @plan.machine, button: @plan.button, ends: cut.ends,
                 straight: recipe.style.value.stitched == :straight }
      cut.answers.to_h { |answer| [answer.school.key, Opening::Setting.of(length: answer.length, **fitted)] }
    end

    def laid_out
      [Placket::Layout.of(@plan.placket, @plan.button, cut.extent, width: recipe.stitch_width.value, foot: recipe.foot.value.kind), []]
    rescue Refusal => e
      [nil, e.faults]
    end

    def attaching
      @attaching ||= Attach::Attaching.of(@plan.button, @plan.cloth, @plan.machine, recipe.needle.value, @plan.attach)
    end

    def progress(layout)
      order = Sewing::SewingOrder.new(cloth: @plan.cloth, machine: @plan.machine, recipe: recipe, cut: cut, layout: layout,
                                      attaching: attaching)
      Sewing::Progress.of(Sewing::Steps.of(order), @facts)
    end

    def diagnosis
      set = { stitch_width: recipe.stitch_width, stitch_length: recipe.stitch_length, tension: recipe.tension,
              stabiliser: recipe.stabiliser }.transform_values(&:value)
      current = Swatches::CurrentSettings.new(button: @plan.button, cloth: @plan.cloth, machine: @plan.machine, ruler: cut.ruler,
                                              correction: @plan.opening.correction, **set)
      Swatches::Diagnosis.of(@facts.swatches, current)
    end

    def stages = STAGES.values.to_h { |stage| [stage.word, stage.state(@plan)] }
  end
end
