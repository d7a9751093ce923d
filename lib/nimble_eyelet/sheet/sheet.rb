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

require_relative "../memory"
require_relative "../answer/refusal"
require_relative "../attach/attaching"
require_relative "../length/length"
require_relative "../opening/slit_length"
require_relative "../opening/cut_marks"
require_relative "../opening/setting"
require_relative "../placket/displaced"
require_relative "../placket/layout"
require_relative "../placket/start"
require_relative "../recipe/density_choice"
require_relative "../recipe/recipe"
require_relative "../recipe/situation"
require_relative "../sewing/facts"
require_relative "../sewing/progress"
require_relative "../sewing/sewing_order"
require_relative "../sewing/steps"
require_relative "../swatch/change"
require_relative "../inference/next_try"
require_relative "../inference/strip"
require_relative "accepted_settings"
require_relative "hands_around"
require_relative "other_ways"
require_relative "../otherways/ways"
require_relative "teaching"
require_relative "sewn_before"
require_relative "stage"

module NimbleEyelet
  class Sheet
    # What is worked out, beside what it is worked out from.
    PARTS = %i[recipe cut settings setting verdict layout faults diagnosis progress attaching beginning
               sewn_with].freeze

    # @return [Plan]
    attr_reader :plan

    # @return [Sewing::Facts]
    attr_reader :facts

    # @param plan [Plan] valid, in its house
    # @param facts [Sewing::Facts]
    # @param memory [#of] that remembers recipes, layouts, steps and what test holes amount to, each by all it hangs on
    # @return [Sheet]
    def self.of(plan, facts = Sewing::Facts.none, memory: NO_MEMORY) = new(plan, facts, memory)

    def initialize(plan, facts, memory)
      @plan = plan
      @facts = facts
      @memory = memory
      @lessons = Teaching.new(plan, facts, memory)
    end

    # @param plan [Plan] another, valid, in its house
    # @return [Sheet] that plan after what happened here
    def planned(plan) = Sheet.new(plan, @facts, @memory)

    # Two are equal when all their parts are.
    def ==(other)
      other.is_a?(Sheet) && [:plan, :facts, *PARTS].all? { |part| public_send(part) == other.public_send(part) }
    end

    # @return [Recipes::Recipe]
    def recipe
      @recipe ||= situation.then { |given| @memory.of([:recipe, given, @plan.recipe]) { Recipes::Recipe.of(given, @plan.recipe) } }
    end

    # @return [Opening::SlitLength]
    def cut
      @cut ||= Opening::SlitLength.of(@plan.button, @plan.cloth, @plan.opening, ends, foot: clamping_foot,
                                      held: recipe.stretch_left, round: style.round?)
    end

    # @return [Hash{String => Opening::Setting}] by school, what its opening asks of the foot
    def settings = @settings ||= cut.answers.to_h { |answer| [answer.school.key, setting_for(answer.length)] }

    # @return [Length] what is set beyond the opening wanted: as was said, or as earlier closures taught
    def correction = @plan.opening.correction || learned_correction

    # @return [Opening::Setting] that of the school chosen
    def setting = @setting ||= setting_for(cut.chosen.length)

    # @return [Length] the opening as it will come out, which everything after the opening goes by
    def opening = @opening ||= ways.slit || setting.planned

    # @return [Length] that and both its ends
    def overall = opening + cut.ends.both

    # @return [Opening::CutMarks] how a hole of the row is opened
    def cut_line
      Opening::CutMarks.of(@plan.cut, opening, pinned: !@plan.cloth.type.perforates, eye: cut.ends.eye.positive?)
    end

    # Between which lengths the button goes through as it should: the one band that every screen shows.
    #
    # @return [Hash{String => Length}] the shortest cut length of each verdict, from tight on
    def bands = @bands ||= cut.passing.bands(wants)

    # @return [Float, nil] chance that the next hole is as long as it should be, as far as holes of this closure tell
    def seen_to_fit = own_swatches.empty? ? nil : strips.find { |strip| strip.key == :fit }&.chance

    # @return [Opening::Verdict] of the opening that comes of it
    def verdict = @verdict ||= cut.passing.verdict(opening)

    # @return [Placket::Layout, nil] nil while the holes do not fit
    def layout = laid_out.first

    # @return [Array<Fault>]
    def faults = laid_out.last

    # @return [Otherways::Way, nil] how it is closed instead of by a hole sewn by machine
    def way = ways.instead

    # @return [String] what is made at every place: a hole, a tack, a loop, a press stud
    def sewn = way ? way.makes : @plan.button.sewn

    # @return [OtherWays] why a hole may be the wrong answer, and what else there is
    def other_ways = @other_ways ||= ways.at(layout&.holes.to_a)

    # @return [Placket::Beginning]
    def beginning = @beginning ||= Placket::Beginning.of(@plan.machine, style)

    # @return [Attach::Attaching]
    def attaching
      @attaching ||= Attach::Attaching.of(@plan.button, @plan.cloth, @plan.machine, recipe.needle.value, @plan.attach)
    end

    # @return [Sewing::Progress, nil] nil while the holes do not fit
    def progress = @progress ||= layout && Sewing::Progress.of(steps, @facts)

    # @return [Inference::Diagnosis]
    def diagnosis = @diagnosis ||= @lessons.diagnosis(current)

    # @return [Array<Inference::Strip>] what is believed, as it is drawn
    def strips = @strips ||= Inference::Strip.all(diagnosis, own_swatches, current)

    # @return [SewnBefore, nil] what worked last time on this machine and like cloth
    def before = @before ||= SewnBefore.of(@facts.earlier, @lessons.set(sewn_with))

    # The recent test hole of another closure that stands for a test of this one, where the house works so and all is
    # set as then. A length that is stored at a key press has to be stored again.
    #
    # @return [Swatches::Swatch, nil]
    def stored
      return unless @plan.recipe.first_hole == "stored" && before&.recent?(@facts.today)

      before.swatch if before.as_sewn? && !%w[key press].include?(setting.by.key)
    end

    # @return [AcceptedSettings, nil] what the accepted test hole holds, and what is set differently now
    def frozen = @frozen ||= AcceptedSettings.of(self)

    # Everything a test hole sewn now is sewn with: it is kept with what is seen on it.
    #
    # @return [Hash{String => Object}] value by path
    def sewn_with
      @sewn_with ||= { "opening.length" => cut.length, "setting.set" => setting.set, "setting.hands" => setting.hands,
                       "setting.by" => setting.by.key, "foot.allowance" => (fitted.allowance if setting.by.key == "clamp"),
                       "machine.id" => @plan.machine.known_as, **cut.passing.kept, **recipe.sewn_with, **@plan.sewn_on }.compact
    end

    # @return [Sewing::SewingOrder] what its steps are written by, while the holes fit
    def order
      Sewing::SewingOrder.new(**made_of, recipe: recipe, cut: cut, setting: setting, layout: layout, attaching: attaching,
                                         beginning: beginning, cutting: @plan.cut, button_sewing: @plan.attach,
                                         tails: @plan.recipe.tails, for_child: @plan.placket.usage.child, way: way,
                                         beside: (ways.chosen unless way),
                                         given: other_ways.given, slit_by_hand: ways.slit, **so_far)
    end

    # @return [Hash{String => StageState}] of the stages this closure goes through, by word
    def stages = Stage.of(plan).to_h { |stage| [stage.word, stage.state(self, plan.settled[stage.word])] }

    private

    def situation
      Recipes::Situation.new(**made_of, stabilisers: @plan.stabilisers, experience: @lessons.experience,
                                        stay_by: @plan.recipe.stay_by, shank: @plan.attach.shank)
    end

    def setting_for(length)
      Opening::Setting.of(foot: fitted, machine: @plan.machine, button: @plan.button, length: length, ends: cut.ends,
                          correction: correction, style: style, stitch: recipe.stitch_length.value,
                          tack_by: @plan.opening.tack_by)
    end

    def made_of = @plan.to_h.slice(:button, :cloth, :thread, :machine)

    def style = recipe.style.value

    def ends = Otherways.instead(@plan.recipe.way)&.ends || recipe.ends

    def clamping_foot = fitted.type.clamps ? fitted : @plan.machine.foot("carriage_foot")

    # The foot with what is reckoned that it adds.
    def fitted = @fitted ||= @lessons.reckoned(recipe.foot.value)

    def learned_correction
      @learned_correction ||= begin
        by = Opening::Setting.method_for(fitted, @plan.machine, style, wanted: cut.length,
                                         tack_by: @plan.opening.tack_by)
        added = UNLEARNED.include?(by) ? nil : @lessons.added(fitted, by, set: cut.length)
        added ? -added : Length.zero
      end
    end

    # What is clamped has its allowance, and what is drawn needs none.
    UNLEARNED = ["clamp", *Opening::SETTING_METHODS.values.select(&:drawn).map(&:key)].freeze
    private_constant :UNLEARNED

    def laid_out
      @laid_out ||= begin
        [laid(run, @facts.holes), []]
      rescue Refusal => e
        [nil, e.faults]
      end
    end

    # Where a hole was cut in the wrong place the row is spaced around it, with as many holes as it had.
    def run
      moved = @facts.displaced
      planned = Placket::Displaced.clear(@plan.placket, @facts.closed_up, overall)
      moved.empty? ? planned : Placket::Displaced.run(planned, laid(planned, @facts.holes_as_planned).holes, moved)
    end

    def laid(run, sewn)
      given = [run, @plan.button, cut.extent(opening)]
      # What is worked by hand needs no flat fabric for a foot, and no mark where the needle goes in.
      with = { width: recipe.width(opening), sewn: sewn, **at_the_needle }
      @memory.of([:layout, given, with]) { Placket::Layout.of(*given, **with) }
    end

    def at_the_needle = way ? { foot: nil } : { foot: fitted.kind, beginning: beginning }

    # A list of steps hangs on the plan, on what was learned for it, and on the holes that are sewn: not on what was
    # ticked.
    def steps
      hangs_on = [:steps, @plan, @lessons.experience, fitted, correction, run, @facts.holes, so_far]
      @memory.of(hangs_on) { Sewing::Steps.of(order) }
    end

    # What the test holes and the row came to.
    def so_far = { stored: stored, tested: frozen ? frozen.changes.empty? : false, spoiled: @facts.spoiled }

    def current = @current ||= current_settings

    def current_settings
      Swatches::CurrentSettings.new(
        **made_of, set: @lessons.set(sewn_with), holes: (layout ? layout.holes.size : USUAL_ROW).clamp(1, Inference::LONGEST_ROW),
                   pace: @plan.recipe.pace, thin_cover: @plan.recipe.thin_cover, second_pass: @plan.recipe.second_pass,
                   twice: recipe.second_pass, **of_length, **of_recipe
      )
    end

    def of_length
      { ease: cut.ease, eased: cut.eased?, passing: cut.passing, wanted: cut.length, ruler: cut.ruler,
        correction: correction, by: setting.by.key, hands: hands,
        adds: (@lessons.allowance(recipe.foot.value) if setting.by.key == "clamp" && recipe.foot.value.allowance.nil?) }
    end

    def ways = @ways ||= OtherWays.of(@plan, recipe, cut)

    # Only holes of this closure tell what its button wants.
    def wants
      own_swatches.any? && diagnosis.beliefs ? Inference::Strips.wants(diagnosis.beliefs, own_swatches) : Length.zero
    end

    def own_swatches = @own_swatches ||= @facts.swatches.select { |swatch| swatch.like?(current.set) }

    # Holes of a row that is not laid out yet.
    USUAL_ROW = 5
    private_constant :USUAL_ROW

    def of_recipe
      dials = %i[stitch_width stitch_length tension stabiliser stay_layers style]
      { **dials.to_h { |line| [line, recipe[line].value] }, foot: recipe.foot.value, stitched: recipe.stitched,
        stay: recipe.stay, width_wanted: recipe.width_wanted, balance: recipe.notches,
        cover: Recipes.cover_aim(recipe.stitched, style.corded) }
    end

    # What can be set beyond what is wanted, and what the hands do then.
    def hands
      HandsAround.of(setting, correction, cut) do |one|
        Opening::Setting.of(foot: fitted, machine: @plan.machine, button: @plan.button, length: cut.length,
                            ends: cut.ends, correction: one, style: style).hands
      end
    end
  end
end
