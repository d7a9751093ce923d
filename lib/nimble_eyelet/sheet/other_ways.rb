# frozen_string_literal: true

# OtherWays are what can be done instead of holes sewn by machine for one plan, and why that may be better here.
#
#   ways = OtherWays.of(plan, recipe, cut)
#   ways.wrong&.says          # => "A toggle can slip back out of a hole. A loop holds it."
#   ways.offered.first.key    # => "fabric_loop"
#   ways.slit                 # => 23 mm, where the way chosen is cut

require_relative "../otherways/way"
require_relative "../otherways/ways"
require_relative "../value"

module NimbleEyelet
  # wrong - Otherways::WrongHole or nil; offered - Array<Otherways::Way>, those that fit best first
  # given - Otherways::WayGiven; chosen - Otherways::Way or nil
  class OtherWays < Value.of(:wrong, :offered, :given, chosen: nil)
    # @param plan [Plan]
    # @param recipe [Recipes::Recipe]
    # @param cut [Opening::SlitLength]
    # @return [OtherWays] before anybody knows the places
    def self.of(plan, recipe, cut)
      asked = question(plan, recipe)
      new(wrong: Otherways.wrong(asked), offered: Otherways.offered(asked), given: given(plan, cut),
          chosen: plan.recipe.way && Otherways::WAYS.fetch(plan.recipe.way))
    end

    # @param holes [Array<Placket::Hole>]
    # @return [OtherWays] with what is for all places together
    def at(holes)
      with(given: given.with(count: [holes.size, 1].max, gap: holes.filter_map(&:gap).min))
    end

    # @return [Otherways::Way, nil] where no hole is sewn by machine
    def instead = chosen&.beside ? nil : chosen

    # @return [Boolean] whether one of it can be laid on every mark from a card: a loop or a stud is not drawn so
    def carded? = instead.nil? || instead.opens

    # @return [Array(Length, Length), nil] between the legs of a loop, and how far it stands out
    def loop
      figures = instead&.figures(given)
      figures.values_at("base", figures.key?("reach") ? "reach" : "button_in").map(&:value) if figures&.key?("arc")
    end

    # @return [Length, nil] how long it is cut, where it is cut at all
    def slit = instead && instead.figures(given)["slit"]&.value

    def self.question(plan, recipe)
      run = plan.placket
      Otherways::WayQuestion.new(button: plan.button, cloth: plan.cloth, machine: plan.machine, style: recipe.style.value.key,
                                 best: recipe.scores.fetch(:style).first.key, child: run.usage.child,
                                 across: !run.vertical?, strained: run.place == "waistband")
    end

    def self.given(plan, cut)
      cloth = plan.cloth
      button = plan.button
      # What tips through lies across its loop by its thickness.
      across = button.form.end_on ? button.height : button.across
      Otherways::WayGiven.new(need: button.half_perimeter, ease: cut.ease, across: across, stack: cloth.stack,
                              layer: cloth.thickness, count: 1, gap: nil, edge: plan.placket.run_length,
                              ruler: cut.ruler, fine: cloth.type.fine, thick: cloth.type.thick,
                              ball: !button.form.clampable)
    end
    private_class_method :question, :given
  end
end
