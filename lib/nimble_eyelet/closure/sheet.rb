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
require_relative "../placket/start"
require_relative "../recipe/recipe"
require_relative "../recipe/situation"
require_relative "../sewing/facts"
require_relative "../sewing/progress"
require_relative "../sewing/sewing_order"
require_relative "../sewing/steps"
require_relative "../swatch/change"
require_relative "../swatch/diagnosis"
require_relative "../value"
require_relative "stage"

module NimbleEyelet
  # layout, progress - nil while the holes do not fit; faults - Array<Fault>
  # settings - Hash of school to Opening::Setting, what its opening asks of the foot; setting - that of the school chosen
  # verdict - Opening::Verdict of the opening that comes of it; sewn_with - Hash of path to value, what a test hole is sewn with
  class Sheet < Value.of(:plan, :facts, :recipe, :cut, :settings, :setting, :verdict, :layout, :faults, :diagnosis, :progress,
                         :attaching, :beginning, :sewn_with)
    # @return [Length] the opening as it will come out, which everything after the opening goes by
    def opening = setting.planned

    # @return [Hash{String => StageState}] of the stages this closure goes through, by word
    def stages = Stage.of(plan).to_h { |stage| [stage.word, stage.state(self, plan.settled[stage.word])] }

    # @return [Length] that and both its ends
    def overall = opening + cut.ends.both

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
      Sheet.new(plan: @plan, facts: @facts, recipe: recipe, cut: cut, settings: settings, setting: setting,
                verdict: cut.passing.verdict(setting.planned), layout: layout, faults: faults, diagnosis: diagnosis,
                progress: layout && progress(layout), attaching: attaching, beginning: beginning, sewn_with: sewn_with)
    end

    private

    def situation
      Recipes::Situation.new(button: @plan.button, cloth: @plan.cloth, thread: @plan.thread, machine: @plan.machine,
                             stabilisers: @plan.stabilisers)
    end

    def recipe = @recipe ||= Recipes::Recipe.of(situation, @plan.recipe)
    def style = recipe.style.value

    def cut
      @cut ||= Opening::Cut.of(@plan.button, @plan.cloth, @plan.opening, recipe.ends, foot: clamping_foot, held: recipe.stretch_left,
                                                                                      round: style.round?)
    end

    def clamping_foot = fitted.type.clamps ? fitted : @plan.machine.foot("carriage_foot")

    # The foot as it is known by now: what it adds is learned from the newest hole that was measured.
    def fitted
      @fitted ||= recipe.foot.value.then do |foot|
        foot.type.clamps && foot.allowance.nil? && learned ? foot.with(allowance: learned) : foot
      end
    end

    def learned
      machine = @plan.machine.id.to_s
      @learned ||= @facts.swatches.reverse.find do |swatch|
        swatch.allowance && swatch.sewn_with["machine.id"] == machine && swatch.sewn_with["recipe.foot"] == recipe.foot.value.kind
      end&.allowance
    end

    def settings
      @settings ||= cut.answers.to_h do |answer|
        [answer.school.key, Opening::Setting.of(foot: fitted, machine: @plan.machine, button: @plan.button, length: answer.length,
                                                ends: cut.ends, correction: @plan.opening.correction, style: style)]
      end
    end

    def setting = settings.fetch(cut.chosen.school.key)
    def beginning = @beginning ||= Placket::Beginning.of(@plan.machine, style)

    def laid_out
      [Placket::Layout.of(@plan.placket, @plan.button, cut.extent(setting.planned), width: recipe.width(setting.planned),
                                                                                    foot: fitted.kind, sewn: @facts.holes, beginning: beginning), []]
    rescue Refusal => e
      [nil, e.faults]
    end

    def attaching
      @attaching ||= Attach::Attaching.of(@plan.button, @plan.cloth, @plan.machine, recipe.needle.value, @plan.attach)
    end

    def progress(layout)
      order = Sewing::SewingOrder.new(button: @plan.button, cloth: @plan.cloth, thread: @plan.thread, machine: @plan.machine, recipe: recipe,
                                      cut: cut, setting: setting, layout: layout, attaching: attaching, beginning: beginning,
                                      for_child: @plan.placket.usage.child)
      Sewing::Progress.of(Sewing::Steps.of(order), @facts)
    end

    def diagnosis
      made = { ease: cut.ease, passing: cut.passing, wanted: cut.length, ruler: cut.ruler, correction: @plan.opening.correction }
      done = sewn_with.merge("thread.diameter" => @plan.thread.diameter)
      current = Swatches::CurrentSettings.new(button: @plan.button, cloth: @plan.cloth, machine: @plan.machine, set: done, **made, **fitted_and_set)
      Swatches::Diagnosis.of(@facts.swatches, current)
    end

    def fitted_and_set
      %i[foot stitch_width stitch_length tension stabiliser].to_h { |line| [line, recipe[line].value] }
                                                            .merge(stitched: recipe.stitched, stay: recipe.stay, cover: recipe.cover)
    end

    # Everything a test hole sewn now is sewn with: it is kept with what is seen on it.
    def sewn_with
      @sewn_with ||= { "opening.length" => cut.length, "setting.set" => setting.set, "setting.clamped" => clamped,
                       "machine.id" => @plan.machine.id.to_s, **recipe.sewn_with, **@plan.sewn_on }.compact
    end

    # What a carriage foot is clamped on and opened to, without what it adds.
    def clamped = (setting.figure + setting.opened if setting.by.key == "clamp")
  end
end
