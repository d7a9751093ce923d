# frozen_string_literal: true

# WorkedHoles are the holes that are made without satin: worked by hand over a cut, bound with lips of fabric, faced as
# a window, or left open in a seam.
#
#   WorkedHoles::HandWorked.figures(given)["slit"]   # => 21.9 mm
#
# Source of the thread: stitches n = 2 L / apart + 7 round the end + 6 over the bar; each takes 2 × depth + stack +
# 4 mm; 300 mm for the needle and the tails.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "way"

module NimbleEyelet
  module Otherways
    module WorkedHoles
      # The purls stand in the slit.
      PURL = Length.mm(1r / 2)
      ROUND_END = 7
      BAR = 6
      NEEDLE_AND_TAILS = Length.mm(300)

      module HandWorked
        def self.figures(given)
          slit = given.need + given.ease + (given.stack / 2) + PURL
          depth = Length.mm(given.fine ? 2 : 5r / 2)
          { "slit" => slit, "box" => Length.mm(given.fine ? 2 : 3), "depth" => depth,
            "thread" => (each(given, depth) * stitches(given, slit)) + NEEDLE_AND_TAILS, "gimp" => (slit * 2) + Length.mm(150) }
        end

        def self.each(given, depth) = (depth * 2) + given.stack + Length.mm(4)
        def self.stitches(given, slit) = (slit * 2 / apart(given)).ceil + ROUND_END + BAR

        # On a coat they stand a little wider.
        def self.apart(given) = Length.mm(given.thick ? 1 : 6r / 10)

        def self.once(*)
          ["Work one whole hole on a scrap first. The first one takes 40 minutes."]
        end

        def self.beats(given, figures)
          [Sentence["Stitch a box %s wide round the line, stitch length 1.5.", figures["box"]],
           Sentence["Cut along the line, %s, from both ends to the middle.", figures["slit"]],
           "Overcast the cut edges by hand.",
           Sentence["Buttonhole stitch along both edges, %s deep, %s apart.", figures["depth"], apart(given)],
           "Fan 5 to 7 stitches round the end where the button sits.",
           "Lay 2 or 3 strands across the other end and work over them."]
        end

        def self.supplies(given, figures)
          [WaySupply.new(name: "buttonhole twist, waxed", length: figures["thread"] * given.count),
           WaySupply.new(name: "cord to lie along the edge", length: figures["gimp"] * given.count)]
        end
        private_class_method :each, :stitches, :apart
      end

      module Bound
        def self.figures(given)
          lip = Length.mm(given.fine ? 2 : coarse(given))
          # The lips lie in the fold as well.
          slit = given.need + given.ease + (given.stack / 2) + given.layer
          { "slit" => slit, "lip" => lip, "window" => lip * 2, "patch" => slit + Length.mm(50), "patch_wide" => Length.mm(75),
            "corner" => [Length.mm(7), slit / 3].min }
        end

        def self.coarse(given) = given.thick ? 4 : 3

        def self.once(*)
          ["Make them before the facing is on.", "Mark all boxes first, exactly alike."]
        end

        def self.beats(_given, figures)
          [Sentence["Lay a patch %s by %s over the mark, right sides together.", figures["patch"], figures["patch_wide"]],
           Sentence["Stitch a box %s by %s, stitch length 1.5.", figures["slit"], figures["window"]],
           Sentence["Cut the middle, then %s into each corner, up to the stitch.", figures["corner"]],
           "Pull the patch through and press the window flat.",
           Sentence["Fold two lips of %s. Sew their ends to the triangles.", figures["lip"]],
           "Cut a window in the facing behind and hem it by hand."]
        end

        def self.supplies(given, figures)
          [WaySupply.new(name: "fabric for lips, on the bias", length: figures["patch"] * given.count)]
        end
        private_class_method :coarse
      end

      module Faced
        def self.figures(given)
          slit = given.need + given.ease + (given.stack / 2)
          { "slit" => slit, "window" => Length.mm(given.thick ? 7 : 11r / 2), "patch" => slit + Length.mm(50),
            "patch_wide" => Length.mm(75) }
        end

        def self.once(*)
          ["Hold with clips and narrow tape. Pins leave holes in leather and film."]
        end

        def self.beats(_given, figures)
          [Sentence["Cut a window %s by %s.", figures["slit"], figures["window"]],
           Sentence["Fold two strips for lips, each %s long, and tape them behind it.", figures["patch"]],
           Sentence["Edge-stitch %s from the window, stitch length 3.", Length.mm(2)],
           "Leave long threads. Pull them to the back and knot them."]
        end

        def self.supplies(given, figures)
          [WaySupply.new(name: "strips for lips, 25 mm wide", length: figures["patch"] * 2 * given.count),
           WaySupply.new(name: "narrow double-sided tape", length: figures["patch"] * 2 * given.count)]
        end
      end

      module InSeam
        def self.figures(given)
          slit = given.need + given.ease + (given.stack / 2)
          { "slit" => slit, "tape" => slit + Length.mm(50) }
        end

        def self.once(*) = ["The seam has to run where the buttons go."]

        def self.beats(_given, figures)
          [Sentence["Fuse stay tape, %s, along both sides of the seam line.", figures["tape"]],
           Sentence["Sew the seam; leave %s open at each mark.", figures["slit"]],
           "Sew back and forth at both ends of the opening.", "Press the seam open."]
        end

        def self.supplies(given, figures)
          [WaySupply.new(name: "stay tape", length: figures["tape"] * 2 * given.count)]
        end
      end
    end
  end
end
