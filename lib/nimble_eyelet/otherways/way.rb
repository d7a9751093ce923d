# frozen_string_literal: true

# Way is one way to close a garment without a hole sewn by machine: a hole worked by hand, a window of fabric, a loop, a
# fastener. It knows its own figures, what the hands do, and what has to be bought.
#
#   way = Otherways::WAYS.fetch("hand_worked")
#   way.figures(given)["slit"].value   # => 22 mm, the cut of each hole
#   way.beats(given).first             # => Sentence, what is done first at every place

require_relative "../length/length"
require_relative "../length/tool"
require_relative "../style/ends"
require_relative "../value"

module NimbleEyelet
  module Otherways
    # What a way is worked out from. need - Length, half the outline of what passes; ease, across, stack, layer -
    # Length, layer of one thickness of fabric; count - Integer; gap - Length or nil, the least from one to the next
    # edge - Length of the edge; ruler - Ruler
    # fine, thick - Boolean, of the fabric; ball - Boolean
    WayGiven = Value.of(:need, :ease, :across, :stack, :layer, :count, :gap, :edge, :ruler, fine: false, thick: false,
                                                                                            ball: false)

    # One figure of a way. value - Length, or Integer of a count
    WayFigure = Value.of(:key, :name, :value)

    # Something to buy or to cut. length - Length or nil; count - Integer or nil
    WaySupply = Value.of(:name, length: nil, count: nil)

    # key, name, for_what - String; work - Module that answers figures, once, beats and supplies
    # makes - String, what one of its places is called
    # buttons - Boolean, buttons are sewn on for it; shown - Boolean, on the upper side alone, for show
    # opens - Boolean, the button goes through an opening; cut - Boolean, the fabric is cut for it
    # beyond - Length, what is sewn past each end of the opening
    # beside - Boolean, holes are sewn by machine all the same; minutes - Integer, for one place
    class Way < Value.of(:key, :name, :for_what, :work, :minutes, makes: "hole", buttons: true, shown: false,
                                                                  opens: false, cut: false, beside: false,
                                                                  beyond: Length.zero)
      # @return [Ends] of its opening
      def ends = Ends.new(near: beyond, far: beyond, near_finish: :plain, far_finish: :plain)

      # @param given [WayGiven]
      # @return [Hash{String => WayFigure}] by key, lengths as a hand can measure them
      def figures(given)
        work.figures(given).to_h do |key, value|
          [key, WayFigure.new(key: key, name: FIGURE_NAMES.fetch(key), value: Way.handy(key, value, given.ruler))]
        end
      end

      # @return [Array<String, Sentence>] what is done before the first
      def once(given) = work.once(*told(given))

      # @return [Array<String, Sentence>] what is done at every place, in order
      def beats(given) = work.beats(*told(given))

      # @return [Array<WaySupply>] for all places together
      def supplies(given) = work.supplies(*told(given))

      # What is cut goes up to the next mark; what is cut off a spool or a strip, as scissors keep to it.
      #
      # @param key [String]
      # @param value [Length, Integer]
      # @param ruler [Ruler]
      # @return [Length, Integer]
      def self.handy(key, value, ruler)
        return value unless value.is_a?(Length)

        CUT_LENGTHS.include?(key) ? Tool::SCISSORS.kept(value, ruler.unit) : ruler.up(value)
      end

      private

      def told(given) = [given, figures(given).transform_values(&:value)]
    end

    FIGURE_NAMES = {
      "slit" => "cut length", "box" => "width of the box", "depth" => "depth of the stitches", "thread" => "thread for each",
      "gimp" => "cord for each", "window" => "height of the window", "lip" => "each lip", "patch" => "length of the patch",
      "patch_wide" => "width of the patch", "corner" => "length of the corner cuts", "tape" => "stay tape on each side",
      "base" => "width between the legs", "arc" => "length along the loop", "loop_cut" => "cut for each loop",
      "strip" => "width of the bias strip", "reach" => "the loop reaches out", "button_in" => "button in from its edge",
      "square" => "side of the square", "back" => "back from the edge", "ribbon" => "length of the ribbon"
    }.freeze
    CUT_LENGTHS = %w[thread gimp patch patch_wide tape loop_cut ribbon].freeze
    private_constant :CUT_LENGTHS
  end
end
