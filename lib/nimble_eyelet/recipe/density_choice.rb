# frozen_string_literal: true

# DensityChoice sets the stitch length, which in satin is the density: the mark of the dial whose cover
# lies best within the band; between marks where the dial has no steps; and where no mark lies within
# the band, the open side and a second pass over both sides.
#
#   choice.decision.value   # 0.4 mm
#   choice.second_pass?     # => false

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../thread/sewing_thread"
require_relative "../value"

module NimbleEyelet
  module Recipes
    # The coverage index wanted, and the band within which it is right.
    CoverAim = Value.of(:aim, :least, :most)

    SATIN_COVER = CoverAim.new(aim: SewingThread::COVERAGE_AIM, least: SewingThread::COVERAGE_LEAST,
                               most: SewingThread::COVERAGE_MOST)
    # A cord shows where satin is thinner.
    CORDED_COVER = CoverAim.new(aim: 0.55, least: 0.5, most: SewingThread::COVERAGE_MOST)
    # Open zigzag on knits covers less, so that it can stretch.
    OPEN_COVER = CoverAim.new(aim: 0.33, least: 0.2, most: 0.45)
    # Straight-stitch box, and on leather, where every hole weakens.
    BOX_STITCH = Length.mm(5r / 2)
    HIDE_STITCH = Length.mm(3)

    # What is done where the cover is thin.
    THIN_COVERS = { "shorten" => "shorten the stitch", "second_pass" => "sew a second pass" }.freeze

    # @param stitched [Symbol]
    # @param corded [Boolean]
    # @return [CoverAim, nil] nothing where nothing is covered
    def self.cover_aim(stitched, corded) = { open: OPEN_COVER, satin: corded ? CORDED_COVER : SATIN_COVER }[stitched]

    class DensityChoice
      # Less is no shift of the band, in logarithms.
      LEAST_SHIFT = 0.02

      # @param situation [Situation]
      # @param overrides [Overrides]
      # @param style [Style]
      # @param stitched [Symbol]
      def initialize(situation, overrides, style, stitched)
        @cloth = situation.cloth
        @machine = situation.machine
        @thread = situation.thread
        @own = overrides.stitch_length
        @passes = overrides.second_pass
        @twice = overrides.thin_cover == "second_pass"
        @stitched = stitched
        @opens = style.opens
        @experience = situation.experience
        @cover = shifted(Recipes.cover_aim(stitched, style.corded))
      end

      # @return [Decision] of a Length
      def decision
        @decision ||= if @own then own
                      elsif @stitched == :straight then box
                      else
                        covering
                      end
      end

      # @return [Hash] members of a recipe; cover is nil for straight stitch, which covers nothing
      def lines = { stitch_length: decision, coverage: coverage, cover: @cover, second_pass: second_pass? }

      # @return [Float]
      def coverage = @thread.coverage(decision.value)

      # @return [Boolean] whether both sides are sewn twice
      def second_pass?
        return false unless @stitched == :satin
        return @passes == "yes" if @passes

        return covering_twice? if @own.nil?

        set = @machine.length_settable(@own)
        (@twice || set == covering.value) && @thread.coverage(set) < @cover.least
      end

      private

      def asked_twice? = @passes == "yes" || (@twice && second_pass?)
      def covering_twice? = @thread.coverage(covering.value) < @cover.least

      # Test holes of something alike moved the band.
      def shifted(cover)
        return cover if cover.nil? || !shifted?

        by = Math.exp(@experience.cover)
        CoverAim.new(aim: (cover.aim * by).round(3), least: (cover.least * by).round(3), most: (cover.most * by).round(3))
      end

      def shifted? = @experience.cover.abs >= LEAST_SHIFT

      def box
        Decision.of(@machine.length_settable(@cloth.type.hide ? HIDE_STITCH : BOX_STITCH), "perforation",
                    "Long stitches leave fewer holes.")
      end

      def covering
        return Decision.of(found, "cover", between_words, source: FORMULA) if found

        open = marks.find { |mark| @thread.coverage(mark) < @cover.least } || marks.last
        Decision.of(open, "second pass", Sentence["No mark of #{@machine.name} gives the cover wanted: " \
                                                  "#{@machine.length_mark(open)} is on the " \
                                                  "open side, so sew #{@opens ? 'both sides' : 'over it'} twice."], source: FORMULA)
      end

      FORMULA = "coverage index = thread thickness / stitch length"
      private_constant :FORMULA

      # @return [Length, nil] the setting whose cover is nearest to the aim, if any lies within the band
      def found
        return @machine.length_settable(@thread.stitch_length(@cover.aim)) if @machine.length_stepless

        @found ||= within.min_by { |mark| Math.log(@thread.coverage(mark) / @cover.aim).abs }
      end

      def within = marks.select { |mark| @thread.coverage(mark).between?(@cover.least, @cover.most) }

      # The marks of the dial around what is wanted.
      def marks
        @marks ||= begin
          near = (@thread.stitch_length(@cover.aim) / @machine.length_step).floor
          ([near - MARKS_AROUND, 1].max..(near + MARKS_AROUND)).map { |number| @machine.length_step * number }
        end
      end

      # Beyond so many marks either side of the aim no cover is right any more on any dial.
      MARKS_AROUND = 30
      private_constant :MARKS_AROUND

      def between_words
        Sentence["%s#{" Test holes with the same #{@experience.shared} moved that." if shifted?}", covering_words]
      end

      def covering_words
        Sentence["Tex #{Wording.decimal(@thread.tex.to_r, 2)} #{@thread.fibre} is %s thick; for a coverage index of #{@cover.aim} " \
                 "that is %s, " \
                 "and the dial is set to #{@machine.length_mark(found)}.", @thread.thickness, @thread.stitch_length(@cover.aim)]
      end

      def own
        set = @machine.length_settable(@own)
        says = "You set #{Wording.decimal(@own.millimetres, 2)}; the dial has #{@machine.length_mark(set)}."
        Decision.of(set, "your choice", says, kind: :yours,
                    cautions: @stitched == :satin ? cautions(@thread.coverage(set)) : [])
      end

      # What leads back into the band, and never beyond it.
      def cautions(index)
        return [] if index.between?(@cover.least, @cover.most) || (index < @cover.least && asked_twice?)

        thin = index < @cover.least
        what = thin ? "below the band from %s to %s: the fabric shows through" : "above the band from %s to %s: stitches pile up"
        [Caution.new(rule: "cover", says: "The coverage index is #{index.round(2)}, #{format(what, @cover.least, @cover.most)}.",
                     instead: way_back(thin))]
      end

      def way_back(thin)
        target = within.min_by { |mark| Math.log(@thread.coverage(mark) / @cover.aim).abs }
        unless target
          return thin ? "No mark of the dial is right: sew a second pass over both sides." : "Take the next longer mark and a " \
            "second pass."
        end

        "#{thin ? 'Shorten' : 'Lengthen'} it to #{@machine.length_mark(target)}#{', or sew a second pass' if thin}."
      end
    end
  end
end
