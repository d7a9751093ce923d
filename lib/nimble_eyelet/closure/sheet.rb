# frozen_string_literal: true

# Sheet is everything the craft has to say about one plan and what happened at the table, worked out
# from these alone.
#
#   sheet = NimbleEyelet::Sheet.of(plan.in(house), facts)
#   sheet.cut.length          # 22.5 mm
#   sheet.layout.holes.size   # 7
#
# Each part is worked out when it is first asked for, and once. The holes may not fit the run as described; then layout
# is nil, faults says why, and what hangs on it (the steps, the strip) waits.

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
require_relative "stage"

module NimbleEyelet
  class Sheet
    # What is worked out, beside what it is worked out from.
    PARTS = %i[recipe cut settings setting verdict layout faults diagnosis progress attaching beginning sewn_with].freeze

    # @return [Plan]
    attr_reader :plan

    # @return [Sewing::Facts]
    attr_reader :facts

    # @param plan [Plan] valid, in its house
    # @param facts [Sewing::Facts]
    # @return [Sheet]
    def self.of(plan, facts = Sewing::Facts.none) = new(plan, facts)

    def initialize(plan, facts)
      @plan = plan
      @facts = facts
    end

    # Two are equal when all their parts are.
    def ==(other) = other.is_a?(Sheet) && [:plan, :facts, *PARTS].all? { |part| public_send(part) == other.public_send(part) }

    # @return [Recipes::Recipe]
    def recipe = @recipe ||= Recipes::Recipe.of(situation, @plan.recipe)

    # @return [Opening::Cut]
    def cut
      @cut ||= Opening::Cut.of(@plan.button, @plan.cloth, @plan.opening, recipe.ends, foot: clamping_foot, held: recipe.stretch_left,
                                                                                      round: style.round?)
    end

    # @return [Hash{String => Opening::Setting}] by school, what its opening asks of the foot
    def settings
      @settings ||= cut.answers.to_h do |answer|
        [answer.school.key, Opening::Setting.of(foot: fitted, machine: @plan.machine, button: @plan.button, length: answer.length,
                                                ends: cut.ends, correction: @plan.opening.correction, style: style)]
      end
    end

    # @return [Opening::Setting] that of the school chosen
    def setting = settings.fetch(cut.chosen.school.key)

    # @return [Length] the opening as it will come out, which everything after the opening goes by
    def opening = setting.planned

    # @return [Length] that and both its ends
    def overall = opening + cut.ends.both

    # @return [Opening::Verdict] of the opening that comes of it
    def verdict = @verdict ||= cut.passing.verdict(opening)

    # @return [Placket::Layout, nil] nil while the holes do not fit
    def layout = laid_out.first

    # @return [Array<Fault>]
    def faults = laid_out.last

    # @return [Placket::Beginning]
    def beginning = @beginning ||= Placket::Beginning.of(@plan.machine, style)

    # @return [Attach::Attaching]
    def attaching
      @attaching ||= Attach::Attaching.of(@plan.button, @plan.cloth, @plan.machine, recipe.needle.value, @plan.attach)
    end

    # @return [Sewing::Progress, nil] nil while the holes do not fit
    def progress = @progress ||= layout && Sewing::Progress.of(Sewing::Steps.of(order), @facts)

    # @return [Swatches::Diagnosis]
    def diagnosis = @diagnosis ||= Swatches::Diagnosis.of(@facts.swatches, current)

    # Everything a test hole sewn now is sewn with: it is kept with what is seen on it.
    #
    # @return [Hash{String => Object}] value by path
    def sewn_with
      @sewn_with ||= { "opening.length" => cut.length, "setting.set" => setting.set, "setting.clamped" => clamped,
                       "machine.id" => @plan.machine.id.to_s, **recipe.sewn_with, **@plan.sewn_on }.compact
    end

    # @return [Hash{String => StageState}] of the stages this closure goes through, by word
    def stages = Stage.of(plan).to_h { |stage| [stage.word, stage.state(self, plan.settled[stage.word])] }

    private

    def situation
      Recipes::Situation.new(button: @plan.button, cloth: @plan.cloth, thread: @plan.thread, machine: @plan.machine,
                             stabilisers: @plan.stabilisers)
    end

    def style = recipe.style.value

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

    def laid_out
      @laid_out ||= begin
        [Placket::Layout.of(@plan.placket, @plan.button, cut.extent(opening), width: recipe.width(opening), foot: fitted.kind,
                                                                              sewn: @facts.holes, beginning: beginning), []]
      rescue Refusal => e
        [nil, e.faults]
      end
    end

    def order
      Sewing::SewingOrder.new(button: @plan.button, cloth: @plan.cloth, thread: @plan.thread, machine: @plan.machine, recipe: recipe,
                              cut: cut, setting: setting, layout: layout, attaching: attaching, beginning: beginning,
                              for_child: @plan.placket.usage.child)
    end

    def current
      made = { ease: cut.ease, passing: cut.passing, wanted: cut.length, ruler: cut.ruler, correction: @plan.opening.correction }
      done = sewn_with.merge("thread.diameter" => @plan.thread.diameter)
      Swatches::CurrentSettings.new(button: @plan.button, cloth: @plan.cloth, machine: @plan.machine, set: done, **made, **fitted_and_set)
    end

    def fitted_and_set
      %i[foot stitch_width stitch_length tension stabiliser].to_h { |line| [line, recipe[line].value] }
                                                            .merge(stitched: recipe.stitched, stay: recipe.stay, cover: recipe.cover)
    end

    # What a carriage foot is clamped on and opened to, without what it adds.
    def clamped = (setting.figure + setting.opened if setting.by.key == "clamp")
  end
end
