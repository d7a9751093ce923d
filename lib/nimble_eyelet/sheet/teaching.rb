# frozen_string_literal: true

# Teaching are what the test holes of this closure and of earlier ones teach its plan: what machine and foot
# add to what is set, where a recipe begins, and what to do next.
#
#   lessons = Teaching.new(plan, facts, memory)
#   lessons.experience      # => Recipes::Experience
#   lessons.added(foot, "scale", set: Length.mm(22.5))   # => 1.5 mm, or nil while nobody has measured

require_relative "../length/length"
require_relative "../machine/foot"
require_relative "../machine/offset"
require_relative "../recipe/density_choice"
require_relative "../recipe/situation"
require_relative "../inference/carried_beliefs"
require_relative "../inference/diagnosis"
require_relative "../swatch/learned"
require_relative "../inference/tension_dial"
require_relative "../thread/cover_band"

module NimbleEyelet
  class Teaching
    SHARED_WORDS = { machine: "machine", thread: "thread", cloth: "kind of fabric" }.freeze
    # What is added is believed to so much, mm.
    BELIEVED_TO = Length.mm(1r / 2)

    # @param plan [Plan]
    # @param facts [Sewing::Facts]
    # @param memory [#of]
    def initialize(plan, facts, memory)
      @plan = plan
      @facts = facts
      @memory = memory
    end

    # What a test hole sewn now would be told by.
    #
    # @param sewn_with [Hash{String => Object}]
    # @return [Hash{String => Object}]
    def set(sewn_with) = sewn_with.merge("machine.id" => machine)

    # @return [Recipes::Experience] of the most alike earlier closure
    def experience
      return Recipes::Experience.new if held.earlier.empty?

      @experience ||= @memory.of([:experience, alike, @plan.machine]) { experience_of(alike) }
    end

    # What machine and foot add to what the hands set, as far as somebody has measured.
    #
    # @param foot [Foot]
    # @param by [String] key of SETTING_METHODS
    # @param set [Length] about
    # @param own [Boolean] whether this closure's own test holes count
    # @return [Length, nil]
    def added(foot, by, set:, own: false)
      known = own ? learned : held
      offset = known.offset(machine: machine, foot: foot.kind, structure: @plan.cloth.kind, set: set.to_f, by: by,
                            own: own ? own_of(foot) : [])
      Length.mm(Offset::USUALLY_ADDED.fetch(by) + offset.mean).round_to(BELIEVED_TO) if offset.measured.positive?
    end

    # @param current [Swatches::CurrentSettings]
    # @return [Inference::Diagnosis]
    def diagnosis(current)
      @memory.of([:diagnosis, @facts.swatches, @facts.looked_at, @facts.earlier, current]) do
        Inference::Diagnosis.of(@facts.swatches, current, learned, row: @facts.looked_at, memory: @memory)
      end
    end

    # Hands are held: what was told for the first test hole of this closure stays; what its own holes teach is advised
    # as a further turn, and never moves a figure by itself.
    #
    # @param foot [Foot] as its owner knows it
    # @return [Foot] with what is reckoned that it adds
    def reckoned(foot)
      return foot unless foot.type.clamps && foot.allowance.nil?

      told = own_of(foot).filter_map { |swatch| swatch.sewn_with["foot.allowance"] }.first
      usual = GUESSED_ALLOWANCE if @plan.button.form.clampable
      foot.with(allowance: told || allowance(foot) || usual, guessed: allowance(foot).nil?)
    end

    # @param foot [Foot]
    # @return [Length, nil] what it adds to a button it holds, as far as holes of it were measured, these among them
    def allowance(foot)
      return @allowance if defined?(@allowance)

      @allowance = added(foot, "clamp", set: @plan.button.across, own: true)
    end

    # @param foot [Foot]
    # @return [Array<Swatches::Swatch>] of this closure, sewn with it on this machine
    def own_of(foot)
      (@facts.swatches + @facts.looked_at).map(&:looked).select do |swatch|
        swatch.sewn_with["machine.id"] == machine && swatch.sewn_with["recipe.foot"] == foot.kind
      end
    end

    # @return [Swatches::Learned]
    def learned = @learned ||= Swatches::Learned.new(@facts.earlier)

    private

    # What was known when the first test hole of this closure was sewn: the hands are held to that, whatever is sewn
    # elsewhere since.
    def held
      @held ||= begin
        begun = @facts.swatches.filter_map(&:sewn_at).min
        begun ? Swatches::Learned.new(@facts.earlier.select { |one| (one.swatch.sewn_at || "") <= begun }) : learned
      end
    end

    def machine = @plan.machine.known_as

    def alike
      @alike ||= held.alike(machine: machine, fibre: @plan.thread.fibre, tex: @plan.sewn_on.fetch("thread.tex"),
                            structure: @plan.cloth.kind)
    end

    def experience_of(alike)
      return Recipes::Experience.new unless alike

      carried = Inference::CarriedBeliefs.of(alike, @plan.machine)
      aim = Recipes::SATIN_COVER
      cover = carried.cover(aim.least, aim.most)
      balance = alike.shared.include?(:machine) ? (cover.skew.first / CoverBand::NOTCH).round : 0
      Recipes::Experience.new(cover: cover.centre.first, tension: units(carried.tension.place.first), balance: balance,
                              width: carried.space(0.0).place.first, shared: words(alike.shared))
    end

    def units(tension) = Inference::TensionDial.new(@plan.machine).number(tension) - @plan.machine.neutral_tension.to_f

    def words(shared)
      shared.map { |part| SHARED_WORDS.fetch(part) }.then { |all| [all[0...-1].join(", "), all.last].reject(&:empty?).join(" and ") }
    end
  end
end
