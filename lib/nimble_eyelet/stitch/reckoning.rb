# frozen_string_literal: true

# Reckoning is what a path comes to: thread on top and below, time, cover along each bead, holes the
# needle makes, height under the foot, and how far the bobbin goes.
#
#   reckoning = Stitches::Reckoning.of(path, thread: thread, cloth: cloth, machine: machine, tension: 3r)
#   reckoning.bobbin   # Length a hole, with waste and tails

require_relative "../answer/reason"
require_relative "../length/length"
require_relative "../thread/cord"
require_relative "../value"

module NimbleEyelet
  module Stitches
    # Waste on top of what is sewn in, and each tail.
    WASTE = 15r / 100
    TAIL = Length.mm(100)
    # With neutral tension the threads meet in the middle; each unit lower draws the top thread so much
    # further down.
    SHARE = 1r / 2
    SHARE_A_UNIT = 1r / 10
    # Satin is sewn at this share of the top speed.
    SATIN_SPEED = 4r / 10
    # Needle holes a millimetre that leather and coated cloth bear along one line.
    HITS_BORNE = 1.0

    # top, bobbin - Length of thread a hole, with waste and tails; seconds - Float
    # cover - Array<Array(String, Float)>, coverage index of each bead in one pass
    # hits - Float, needle holes a mm of the densest line; bulk - Length under the foot
    class Reckoning < Value.of(:top, :bobbin, :sewn_in, :seconds, :cover, :hits, :bulk, :cautions)
      # @param path [Path]
      # @param tension [Rational] set on the dial
      # @return [Reckoning]
      def self.of(path, thread:, cloth:, machine:, tension:)
        stitches = path.points.size
        top, bobbin = Reckoning.sewn(path, cloth, machine.neutral_tension - tension)
        hits = Reckoning.densest(path)
        new(top: with_waste(top), bobbin: with_waste(bobbin), sewn_in: [Length.mm(top), Length.mm(bobbin)],
            seconds: stitches * 60.0 / (machine.top_speed * SATIN_SPEED).to_f, cover: Reckoning.cover(path, thread),
            hits: hits, bulk: bulk(path, thread, cloth), cautions: [Reckoning.perforation(hits, cloth)].compact)
      end

      # @param eased [Rational] how far the top tension is below neutral
      # @return [Array(Float, Float)] mm of top and bobbin thread in the stitches
      def self.sewn(path, cloth, eased)
        share = (SHARE + (eased * SHARE_A_UNIT)).clamp(1r / 10, 9r / 10)
        [share, 1 - share].map { |part| path.travel + (path.points.size * 2 * (cloth.stack * part).to_f) }
      end

      def self.with_waste(sewn) = Length.mm(sewn * (1 + WASTE).to_f) + (TAIL * 2)

      # Coverage index of each bead as it came out in one pass: thread thickness over the feed it really had.
      def self.cover(path, thread)
        path.parts.select { |part| part.kind == :bead && !part.again? }.map do |part|
          ys = part.points.map(&:last)
          [part.name, thread.thickness.to_f * (part.points.size - 1) / [ys.max - ys.min, 0.001].max]
        end
      end

      # Penetrations a millimetre along the line where they lie closest.
      def self.densest(path)
        lines = path.parts.reject { |part| part.kind == :lock }.flat_map do |part|
          part.points.group_by { |x, _| x.round(2) }.values.reject { |points| points.size < 3 }
        end
        lines.map { |points| density(points) }.max || 0.0
      end

      def self.density(points)
        ys = points.map { |_, y| y.round(2) }.uniq
        (ys.size - 1) / [ys.max - ys.min, 0.1].max
      end

      # The stack, and thread twice over and twice under it.
      def self.bulk(path, thread, cloth)
        cord = path.cords.empty? ? Length.zero : Cord.thickness_of(thread)
        cloth.stack + (thread.thickness * 4) + cord
      end

      def self.perforation(hits, cloth)
        return if hits <= HITS_BORNE || !cloth.type.perforates

        Caution.new(rule: "perforation",
                    says: "The needle makes #{hits.round(1)} holes a millimetre here: this fabric tears along them.",
                    instead: "Sew the straight-stitch box, or a longer stitch.")
      end

      # @param left [Length] on the bobbin
      # @param holes [Integer] in the row
      # @return [Integer] holes it is good for, never more than there are
      def holes_from(left, holes) = [(left / bobbin).floor, holes].min
      private_class_method :with_waste, :bulk
    end
  end
end
