# frozen_string_literal: true

# Runs as the interface takes them, made up from a seed: one to sixty holes, short ones and three metres, every
# grid, keep-outs, pins, wishes, clusters, tight and loose, possible and not.
#
#   run, opening = RandomRuns.new(random).next
#   RandomRuns.spacings(run, opening).found

module NimbleEyelet
  module Support
    class RandomRuns
      # @param random [Random]
      def initialize(random)
        @random = random
      end

      BUTTON = Button.new(shape: "flat", attachment: "four_holes", diameter: Length.mm(12), thickness: Length.mm(3),
                          hole_spacing: Length.mm(3), hole_diameter: Length.mm(1.8))
      TACKS = Ends.new(near: Length.mm(1.25), far: Length.mm(1.25), near_finish: :tack, far_finish: :tack)

      # @return [Placket::Spacings]
      def self.spacings(run, opening)
        extent = Extent.new(opening: Length.mm(opening), ends: TACKS)
        Placket::Spacings.new(run, BUTTON, Placket::Holes.new(run, extent, Length.mm(5), "carriage_foot", BUTTON))
      end

      # @return [Spacing::Demands] of the count that is asked for
      def self.demands(run, opening) = spacings(run, opening).collided

      # @return [Array(Placket::Run, Integer)] a run that is sound by itself, and how long its openings are, mm
      def next
        run = nil
        run = made until run && sound?(run)
        [run, @random.rand(8..40)]
      end

      private

      def pick(*of) = of.sample(random: @random)
      def some(chance) = (yield if @random.rand < chance)
      def mm(number) = Length.mm(number)
      def place(most) = mm(Rational(@random.rand(0..(most * 10)), 10))

      def sound?(run)
        run.validate
      rescue Refusal
        false
      end

      def made
        length = pick(@random.rand(60..400), @random.rand(300..900), @random.rand(800..3000))
        count = some(0.7) { [@random.rand(1..60), (length / @random.rand(14.0..40.0)).round.clamp(1, 60)].min }
        Placket::Run.new(run_length: mm(length), use: pick(*Placket::USES.keys), orientation: pick("vertical", "horizontal"),
                         extension: mm(18), edge: "ten", grid: pick(*RULERS.keys), seat: pick("upper", "centre"), count: count,
                         first: some(0.4) { place(60) }, last: some(0.4) { mm(length) - place(90) }, pins: pins(length),
                         keep_outs: keep_outs(length), least_gap: some(0.2) { mm(@random.rand(15..80)) },
                         most_gap: some(0.2) { mm(@random.rand(60..200)) },
                         first_lies: pick("as_rest", "as_rest", "across"),
                         pattern: pick("even", "even", "even", "clusters", "ribbon"), together: @random.rand(2..4))
      end

      def pins(length)
        wishes = pick(0, 0, 0, 1, 2)
        musts = pick(0, 0, 1, 2, @random.rand(0..6))
        (Array.new(musts, 0) + Array.new(wishes) { @random.rand(1..9) })
          .each_with_index.map { |weight, index| Placket::Pin.new(id: "p#{index}", at: place(length), weight: weight) }
      end

      def keep_outs(length)
        Array.new(pick(0, 0, 1, @random.rand(0..6), @random.rand(0..50))) do |index|
          from = @random.rand(0..(length - 10))
          to = [from + pick(@random.rand(1..30), @random.rand(1..150)), length].min
          Placket::KeepOut.new(id: "k#{index}", from: mm(from), to: some(0.8) { mm(to) })
        end
      end
    end
  end
end
