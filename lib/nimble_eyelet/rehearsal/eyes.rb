# frozen_string_literal: true

# Eyes makes test holes to look at: drawn from the stitches of a plan, with one or two faults hidden in them, and asks
# what is seen and which one thing to change. The same seed always makes the same hole.
#
#   sample = Rehearsal::Eyes.new(sheet).sample(seed: 7, level: 1)
#   sample.looks                       # => { "fit" => "passes", "bead_away" => "thin", … }
#   sample.right?("shorter_stitch")    # => true

require_relative "../length/length"
require_relative "../sewing/facts"
require_relative "../sheet/look_pictures"
require_relative "../sheet/sheet"
require_relative "../swatch/look"
require_relative "../swatch/swatch"
require_relative "../value"
require_relative "attempt"

module NimbleEyelet
  module Rehearsal
    # A fault to see. looks - Hash of look to how far it is off, in grades: 1 a little, 2 badly, by the sign of it
    # change - String, key of EYE_CHANGES; axis - Symbol, as the advice has it; skill - String, key of SKILLS
    # mild - Boolean, never badly so
    EyeFault = Value.of(:key, :looks, :change, :axis, :skill, mild: false)

    EYE_FAULTS = [
      EyeFault.new(key: "short", looks: { "fit" => -1 }, change: "longer", axis: :fit, skill: "eye-fit"),
      EyeFault.new(key: "long", looks: { "fit" => 1 }, change: "shorter", axis: :fit, skill: "eye-fit"),
      EyeFault.new(key: "gappy", looks: { "bead_away" => -1, "bead_back" => -1 }, change: "shorter_stitch", axis: :cover, skill: "eye-cover"),
      EyeFault.new(key: "crowded", looks: { "bead_away" => 1, "bead_back" => 1 }, change: "longer_stitch", axis: :cover, skill: "eye-cover"),
      EyeFault.new(key: "uneven", looks: { "bead_away" => -1, "bead_back" => 1 }, change: "balance", axis: :cover, skill: "eye-cover", mild: true),
      EyeFault.new(key: "bobbin_up", looks: { "tension" => 1 }, change: "lower_tension", axis: :tension, skill: "eye-tension"),
      EyeFault.new(key: "loops", looks: { "tension" => -1 }, change: "higher_tension", axis: :tension, skill: "eye-tension"),
      EyeFault.new(key: "touching", looks: { "space" => -1 }, change: "wider", axis: :space, skill: "eye-space"),
      EyeFault.new(key: "gaping", looks: { "space" => 1 }, change: "narrower", axis: :space, skill: "eye-space")
    ].freeze

    # What can be changed, as one says it.
    EYE_CHANGES = {
      "longer" => "Make the buttonhole longer", "shorter" => "Make the buttonhole shorter", "shorter_stitch" => "Shorten the stitch",
      "longer_stitch" => "Lengthen the stitch", "balance" => "Hold the fabric up; then the balance", "lower_tension" => "Lower the top tension",
      "higher_tension" => "Thread again; then raise the top tension", "wider" => "Set a wider stitch", "narrower" => "Set a narrower stitch",
      "nothing" => "Nothing: sew the row"
    }.freeze

    # faults - Array<EyeFault>; looks - Hash of look to grade, the truth; lines - Array of lines of [x, y] mm, both
    #   ends and
    #   both sides; through - LookPicture of the button; box - Array(Float, Float, Float, Float) mm; bobbin, loops -
    #   Float
    # covers - Array<Float>, coverage index of each line
    class EyeSample < Value.of(:faults, :looks, :lines, :covers, :through, :box, :bobbin, :loops)
      # @param change [String] key of EYE_CHANGES
      # @return [Boolean] whether it mends one of the faults, or there is none and nothing is changed
      def right?(change) = faults.empty? ? change == "nothing" : faults.any? { |fault| fault.change == change }

      # @param seen [Hash{String => String}] look to grade, as somebody sees it
      # @return [Array<String>] looks on which right and wrong were taken for one another
      def misjudged(seen)
        looks.keys.reject { |key| side(key, seen[key]) == side(key, looks[key]) }
      end

      # @param seen [Hash{String => String}]
      # @param change [String]
      # @return [Hash{String => Integer}] skill to how well it went
      def ratings(seen, change)
        missed = misjudged(seen)
        ratings = looks.keys.to_h { |key| [EYE_SKILLS.fetch(key), missed.include?(key) ? Attempt::MISSED : Attempt::GOOD] }
        missed.each { |key| ratings[EYE_SKILLS.fetch(key)] = Attempt::MISSED }
        { **ratings, "eye-change" => right?(change) ? Attempt::GOOD : Attempt::MISSED }
      end

      private

      # Too little, right or too much: whether badly so is nobody's slip.
      def side(key, grade)
        look = Swatches::LOOKS.fetch(key)
        at = grade && look.grades.index { |one| one.key == grade }
        at && (look.right.cover?(at) ? 0 : at <=> look.right.begin)
      end
    end

    # What each look trains.
    EYE_SKILLS = { "fit" => "eye-fit", "bead_away" => "eye-cover", "bead_back" => "eye-cover",
                   "tension" => "eye-tension", "space" => "eye-space" }.freeze

    class Eyes
      # From this level on two faults, and faults that are small.
      TWO_FROM = 3
      SMALL_FROM = 1
      HARDEST = 4
      # So seldom nothing is wrong.
      SOUND = 0.12
      RIGHT_PLACE = 2

      # @param sheet [Sheet]
      def initialize(sheet)
        @sheet = sheet
        @looks = Swatches.looks_of(sheet.recipe.stitched, opens: sheet.plan.button.opens?)
        @pictures = LookPictures.new(sheet)
      end

      # @return [Boolean] whether there is a hole of two sides to look at
      def offered?
        @sheet.plan.button.opens? && @sheet.recipe.stitched != :straight && !@sheet.recipe.style.value.round?
      end

      # Harder with every one that was seen without a slip, and from the beginning again after one that was not.
      #
      # @param slips [Array<Integer>] of each that was looked at, the newest first
      # @return [Integer] level
      def self.level(slips) = [slips.take_while(&:zero?).size, HARDEST].min

      # @param seed [Integer]
      # @param level [Integer] from 0 to HARDEST
      # @return [EyeSample]
      def sample(seed:, level:)
        random = Random.new(seed)
        faults = faults(random, level)
        places = places(faults, random, level)
        # Between two grades, the nearer to the next one the harder.
        blurred = places.transform_values do |place|
          (place + ((random.rand - 0.5) * (0.3 + (0.15 * level)))).clamp(0.0, 4.0)
        end
        drawn = @pictures.whole(blurred)
        looks = places.to_h { |key, place| [key, Swatches::LOOKS.fetch(key).grade_at(place).key] }
        EyeSample.new(faults: faults, looks: looks, **drawn)
      end

      # One's own test hole, by what was seen on it when it was logged.
      #
      # @param swatch [Swatches::Swatch]
      # @return [EyeSample] with nothing drawn: its photo is looked at
      def own(swatch)
        places = @looks.to_h { |look| [look.key, swatch.place(look.key)&.begin] }.compact
        looks = places.to_h { |key, place| [key, Swatches::LOOKS.fetch(key).grade_at(place).key] }
        EyeSample.new(faults: EYE_FAULTS.select { |fault| shown?(fault, places) }, looks: looks, lines: [], covers: [],
                      through: nil, box: [0.0, 0.0, 1.0, 1.0], bobbin: 0.0, loops: 0.0)
      end

      # What the advice would say of such a test hole, and nothing else known.
      #
      # @param sample [EyeSample]
      # @return [Swatches::Change, nil] nothing where it would sew the row, or look again
      def advice(sample)
        looks = sample.looks.except("fit")
        swatch = Swatches::Swatch.new(id: "eyes", number: 1, passes: sample.looks["fit"], measured: measured(sample), looks: looks, symptoms: [],
                                      **set, sewn_with: @sheet.sewn_with)
        Sheet.of(@sheet.plan, Sewing::Facts.none.with(swatches: [swatch])).diagnosis.change
      end

      private

      def shown?(fault, places)
        fault.looks.all? do |key, by|
          look = Swatches::LOOKS.fetch(key)
          place = places[key]
          place && !look.right.cover?(place) && (place <=> RIGHT_PLACE) == by
        end
      end

      # As one reads it off a ruler.
      def measured(sample)
        sample.through&.slit && @sheet.cut.ruler.nearest(Length.mm(sample.through.slit.rationalize(1r / 1000)))
      end

      def set
        recipe = @sheet.recipe
        dials = %i[stitch_width stitch_length tension stabiliser].to_h { |line| [line, recipe[line].value] }
        { opening: @sheet.cut.length, **dials }
      end

      def faults(random, level)
        return [] if random.rand < SOUND

        possible = EYE_FAULTS.select { |fault| fault.looks.keys.all? { |key| @looks.any? { |look| look.key == key } } }
        first = possible.sample(random: random)
        return [first] if level < TWO_FROM

        others = possible.reject { |fault| fault.looks.keys.intersect?(first.looks.keys) }
        [first, others.sample(random: random)]
      end

      def places(faults, random, level)
        small = level >= SMALL_FROM && random.rand < 0.4 + (0.15 * level)
        off = faults.reduce({}) { |all, fault| all.merge(fault.looks) }
        small ||= faults.any?(&:mild)
        @looks.to_h do |look|
          by = off.fetch(look.key, 0)
          # What goes easily is right, too: a fit that is too long slips out.
          by *= 2 if !by.zero? && (!small || (look.key == "fit" && by.positive?))
          [look.key, (RIGHT_PLACE + by).clamp(0, 4)]
        end
      end
    end
  end
end
