# frozen_string_literal: true

# CardFinder finds the printed card in a picture: its four corners by their discs, its ring of dots by where they have
# to be, and from both where the camera stood. It refuses what no figure can be read from.
#
#   CardFinder.find(picture)   # => CardSight, or raises Unreadable

require_relative "blobs"
require_relative "camera"
require_relative "camera_fit"
require_relative "card_sight"
require_relative "dot_middle"
require_relative "enclosed"
require_relative "homography"
require_relative "measuring_card"
require_relative "unreadable"

module NimbleEyelet
  module PhotoReading
    class CardFinder
      # Of the picture's longer side, as phones have it. Source: 24 to 28 mm on the 43 mm diagonal of small film.
      USUAL_FOCAL = 0.75
      # Degrees.
      STEEPEST = 42.0
      # px a millimetre: below, no stitch is seen.
      CARD_COARSEST = 5.5
      # How wide a dot's edge is, mm: beyond, a figure to a tenth is luck.
      SOFTEST = 0.4
      # Dots that have to be seen, as a share.
      CARD_LEAST_SEEN = 0.75
      # What is left of a dot's place, mm, where the card lies flat.
      FLAT = 0.2
      # Between black and white of a dot, grey values.
      CARD_LEAST_CONTRAST = 40
      # A dot lies within so much of where its corners say, mm: a lens bends.
      CARD_NEAR = 4.5
      # The random fours are always the same ones.
      SEED = 7

      # @param picture [Picture]
      # @return [CardSight]
      # @raise [Unreadable]
      def self.find(picture) = new(picture).find

      def initialize(picture)
        @picture = picture
        @focal = [picture.full.width, picture.full.height].max * USUAL_FOCAL
      end

      # @return [CardSight]
      # @raise [Unreadable]
      def find
        @blobs = Blobs.dark(@picture.small)
        paper, homography = corners
        sight = CardSight.new(paper, fitted(homography), @picture)
        refuse(sight)
        sight
      end

      private

      # The four corners that the most dots agree with.
      def corners
        found = fours.filter_map do |paper, four|
          homography = Homography.of(*[MeasuringCard::CORNERS, four].map { |all| all.map { |one| [one.x, one.y] } })
          [paper, homography, homography ? pairs(homography).size : 0]
        end
        best = found.max_by(&:last)
        raise Unreadable.for(:corner) unless best
        raise Unreadable.for(:dots) if best.last < CARD_LEAST_SEEN * MeasuringCard::DOTS.size

        best.first(2)
      end

      def fours
        discs = @blobs.filter_map { |blob| (count = holes(blob)) && [count, blob] }.group_by(&:first)
        MeasuringCard::PAPERS.flat_map do |holes, paper|
          lists = holes.map { |count| discs.fetch(count, []).map(&:last) }
          lists.first.product(*lists.drop(1)).select { |four| turning?(four) }.map { |four| [paper, four] }
        end
      end

      # Clockwise round, and no corner bent in.
      def turning?(four)
        (0..3).all? do |number|
          one, middle, other = (0..2).map { |more| four[(number + more) % 4] }
          (middle.x - one.x) * (other.y - middle.y) > (middle.y - one.y) * (other.x - middle.x)
        end
      end

      # Of a disc with holes in it, how many.
      def holes(blob)
        return unless blob.long > 7 && blob.long < blob.short * 2.2 && blob.fullness > 0.7 && blob.fullness < 1.1

        count = Enclosed.in(@picture.small, blob)
        count if count.between?(1, 4)
      end

      # Dots of the card and the blobs that are them.
      def pairs(homography)
        MeasuringCard::DOTS.filter_map do |x, y|
          across, down = homography.at(x, y)
          near = [homography.at(x + CARD_NEAR, y), homography.at(x, y + CARD_NEAR)].sum do |right, low|
            Math.hypot(right - across, low - down) / 2
          end
          blob = round(near).min_by { |one| Math.hypot(one.x - across, one.y - down) }
          [[x, y], blob] if blob && Math.hypot(blob.x - across, blob.y - down) < near
        end
      end

      # As large as a dot is.
      def round(near)
        radius = near / CARD_NEAR * MeasuringCard::DOT_RADIUS
        @blobs.select do |one|
          size = Math.sqrt(one.long * one.short)
          one.fullness > 0.75 && one.long < one.short * 2.6 && size.between?(radius * 0.6, radius * 1.6)
        end
      end

      def fitted(homography)
        pairs = pairs(homography)
        places = pairs.map(&:first)
        seen = middles(pairs)
        raise Unreadable.for(:dots) if seen.compact.size < CARD_LEAST_SEEN * MeasuringCard::DOTS.size

        places, seen = places.zip(seen).select(&:last).transpose
        fit(places, seen)
      end

      # Of all dots, or of those that agree.
      def fit(places, seen)
        within = 0.01 * @picture.full.width
        points = seen.map { |dot| [dot.x, dot.y] }
        found, agreed = Homography.agreed(places, points, within: within, random: Random.new(SEED))
        raise Unreadable.for(:bent) unless found && agreed.size >= CARD_LEAST_SEEN * places.size

        @dots = seen
        middle = [(@picture.full.width - 1) / 2.0, (@picture.full.height - 1) / 2.0]
        CameraFit.of(Camera.from(found, @focal, middle), places.values_at(*agreed), points.values_at(*agreed))
      end

      # In the whole picture.
      def middles(pairs)
        times = @picture.times
        pairs.map do |_, blob|
          DotMiddle.of(@picture.full, ((blob.x + 0.5) * times) - 0.5, ((blob.y + 0.5) * times) - 0.5,
                       Math.sqrt(blob.long * blob.short) * times)
        end
      end

      def refuse(sight)
        raise Unreadable.for(:oblique) if sight.tilt > STEEPEST
        raise Unreadable.for(:far) if sight.resolution < CARD_COARSEST
        raise Unreadable.for(:dark) if median(@dots.map(&:contrast)) < CARD_LEAST_CONTRAST
        raise Unreadable.for(:blurred) if median(@dots.map(&:edge)) / sight.resolution > SOFTEST
        raise Unreadable.for(:bent) if sight.off > FLAT
      end

      def median(numbers) = numbers.sort[numbers.size / 2]
    end
  end
end
