# frozen_string_literal: true

# Style is the table of buttonholes, called by what they look like and do, and how their ends are
# finished.
#
#   Style.fetch("keyhole").ends(width: Length.mm(5)).near   # 1 mm, the bead round its eye

require_relative "../length/length"
require_relative "../value"
require_relative "ends"

module NimbleEyelet
  # near, far - Symbol, how an end is finished: :tack, :round, :eyelet, :ring, :box or :bar
  # stitched - Symbol, :satin, :open or :straight; by_hand - Boolean, the operator turns and stops
  # opens - Boolean, a hole; a bar tack is never cut
  class Style < Value.of(:key, :name, :for_what, :near, :far, :stitched, :corded, by_hand: false, opens: true)
    # @return [Boolean] an eyelet: open all round, and as wide as it is long
    def round? = near == :ring

    # @return [Boolean] two satin sides from end to end, and a slit between them
    def slit_between_sides? = opens && stitched == :satin && !%i[eyelet ring].include?(near)

    # By hand, too, what stretches gets stitches that can stretch with it.
    #
    # @param stretchy [Boolean] a knit, or what gives as one does
    # @return [Symbol] :satin, :open or :straight
    def stitched_on(stretchy) = by_hand && stretchy ? :open : stitched

    # The opening of a keyhole is counted from the inside of its eye: what is sewn beyond is the eye's bead.
    #
    # @param width [Length] total stitch width, which a round end follows
    # @return [Ends]
    def ends(width:)
      Ends.new(near: end_length(near, width), far: end_length(far, width), eye: near == :eyelet ? Style.eye(width) : Length.zero,
               near_finish: near, far_finish: far)
    end

    # @param width [Length] total stitch width: the ring round the eye is as wide, so that it never runs over the beads
    # @return [Length] open radius of the eye
    def self.eye(width) = ((width / 2) - EYE_BEAD).clamp(Length.zero, EYE_RADIUS)

    # @raise [KeyError] for a style not in the table
    def self.fetch(key) = STYLES.fetch(key)

    private

    def end_length(finish, width)
      { tack: TACK, round: width / 2, eyelet: (width / 2) - Style.eye(width), box: BOX_END, ring: RING_BEAD,
        bar: Length.zero }.fetch(finish)
    end
  end

  END_NAMES = { tack: "bar tack", round: "round end", eyelet: "eye", box: "end of the box", ring: "ring",
                bar: "end of the tack", plain: "end" }.freeze

  STYLES = [
    Style.new(key: "two_tacks", name: "rectangular, two bar tacks", for_what: "shirts and most wovens",
              near: :tack, far: :tack, stitched: :satin, corded: false),
    Style.new(key: "round_end", name: "one round end and a bar tack", for_what: "fine blouses, light fabric",
              near: :round, far: :tack, stitched: :satin, corded: false),
    Style.new(key: "two_round", name: "two round ends", for_what: "lacy fabric, holes across fine fabric",
              near: :round, far: :round, stitched: :satin, corded: false),
    Style.new(key: "keyhole", name: "keyhole", for_what: "coats, shanks and thick buttons",
              near: :eyelet, far: :tack, stitched: :satin, corded: false),
    Style.new(key: "stretch", name: "stretch, open zigzag", for_what: "knits",
              near: :tack, far: :tack, stitched: :open, corded: true),
    Style.new(key: "corded", name: "corded, two bar tacks", for_what: "heavy, loosely woven fabric, and knits",
              near: :tack, far: :tack, stitched: :satin, corded: true),
    Style.new(key: "straight_box", name: "straight-stitch box, twice round", for_what: "leather, vinyl, coated fabric",
              near: :box, far: :box, stitched: :straight, corded: false),
    Style.new(key: "manual_zigzag", name: "by hand with zigzag", for_what: "machines without a buttonhole programme",
              near: :tack, far: :tack, stitched: :satin, corded: false, by_hand: true),
    Style.new(key: "eyelet", name: "eyelet, twice round", for_what: "cords, drawstrings, removable shanks",
              near: :ring, far: :ring, stitched: :satin, corded: false),
    Style.new(key: "bar_tack", name: "bar tack, by its programme", for_what: "belt loops, pocket corners, flies",
              near: :bar, far: :bar, stitched: :satin, corded: false, opens: false),
    Style.new(key: "zigzag_tack", name: "bar tack, by zigzag", for_what: "machines without a programme for it",
              near: :bar, far: :bar, stitched: :satin, corded: false, by_hand: true, opens: false),
    Style.new(key: "straight_tack", name: "bar tack, by straight stitch", for_what: "leather, coated fabric; needles that do not swing",
              near: :bar, far: :bar, stitched: :straight, corded: false, by_hand: true, opens: false)
  ].to_h { |style| [style.key, style] }.freeze
end
