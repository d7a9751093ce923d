# frozen_string_literal: true

# HoleSimulation sews the hole of a plan before it is sewn: with the recipe as it stands, or with dials
# turned for a try.
#
#   simulation = HoleSimulation.of(sheet, Trial.new(stitch_length: Length.mm(0.6)))
#   simulation.path.points.size
#   simulation.row.enough_for   # 5 of 7 holes

require_relative "../answer/refusal"
require_relative "../recipe/recipe"
require_relative "../stitch/hole_shape"
require_relative "../stitch/path"
require_relative "../stitch/reckoning"
require_relative "../thread/bobbin"
require_relative "../thread/cord"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  # Dials turned for a try; what is nil stays as the recipe has it.
  #
  # stitch_width, stitch_length - Length; tension - Rational; balance - Integer percent, forward feed too long
  class Trial < Value.of(stitch_width: nil, stitch_length: nil, tension: nil, balance: 0)
    LIMITS = Recipes::Overrides::LIMITS.slice(:stitch_width, :stitch_length, :tension)
                                       # Balance that still sews at all, percent to either side.
                                       .merge(balance: Typing::Limit.whole(-40..40)).freeze

    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        Typing::Limit.check_all(check, "recipe", self, LIMITS)
      end
      self
    end
  end

  # The bobbin against the whole row. left, needed - Length; enough_for - Integer of holes; says - Sentence
  BobbinForecast = Value.of(:holes, :left, :needed, :enough_for, :says)

  # thread - Length, its thickness; tension - Rational; row - BobbinForecast or nil while nothing is said about the
  #   bobbin
  class HoleSimulation < Value.of(:path, :reckoning, :thread, :tension, :row)
    # @param sheet [Sheet]
    # @param trial [Trial] sound
    # @return [HoleSimulation]
    def self.of(sheet, trial = Trial.new)
      plan = sheet.plan
      path = Stitches::Path.sew(HoleSimulation.shape(sheet, trial), plan.machine)
      tension = trial.tension || sheet.recipe.tension.value
      reckoning = Stitches::Reckoning.of(path, thread: plan.thread, cloth: plan.cloth, machine: plan.machine,
                                         tension: tension)
      new(path: path, reckoning: reckoning, thread: plan.thread.thickness, tension: tension,
          row: HoleSimulation.row(sheet, reckoning))
    end

    # What the machine can really set, whatever was asked.
    def self.shape(sheet, trial)
      recipe = sheet.recipe
      style = recipe.style.value
      width, length = HoleSimulation.dials(sheet, trial)
      ends = style.ends(width: width)
      Stitches::HoleShape.new(near_end: style.near, far_end: style.far, opening: sheet.opening.to_f, near: ends.near.to_f,
                              far: ends.far.to_f,
                              eye: ends.eye.to_f, width: width.to_f, space: HoleSimulation.space(recipe, width),
                              length: length.to_f, balance: trial.balance / 100.0,
                              own_bead: style.round? ? width.to_f : recipe.manual_width&.value&.to_f,
                              cord: HoleSimulation.corded(sheet), twice: recipe.second_pass)
    end

    # @return [Float] mm, thickness of the cord
    def self.corded(sheet) = sheet.recipe.cord.value ? Cord.thickness_of(sheet.plan.thread).to_f : 0.0

    # @return [Array(Length, Length)] width and length
    def self.dials(sheet, trial)
      recipe = sheet.recipe
      machine = sheet.plan.machine
      turned = trial.stitch_width && recipe.stitched != :straight
      [turned ? machine.width_settable(trial.stitch_width) : recipe.stitch_width.value,
       trial.stitch_length ? machine.length_settable(trial.stitch_length) : recipe.stitch_length.value]
    end

    # A turned dial widens the beads, not the room to cut in; at the width of the recipe they lie as it says.
    def self.space(recipe, width) = [recipe.space, width].min.to_f

    def self.row(sheet, reckoning)
      thread = sheet.plan.thread
      holes = sheet.layout&.holes&.size
      return if holes.nil? || thread.bobbin.empty?

      left = Bobbin.left(thread.bobbin, thread)
      enough = reckoning.holes_from(left, holes)
      BobbinForecast.new(holes: holes, left: left, needed: reckoning.bobbin * holes, enough_for: enough,
                         says: HoleSimulation.row_says(enough, holes))
    end

    def self.row_says(enough, holes)
      return "The bobbin lasts for the whole row." if enough == holes
      return "It does not last for one hole: wind a bobbin first." if enough.zero?

      "It lasts for #{enough} of #{holes} holes: change the bobbin before hole #{enough + 1}, never within one."
    end
  end
end
