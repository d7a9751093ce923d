# frozen_string_literal: true

# Term is a word of the craft with its meaning in one sentence: the interface explains it where it is
# read, and docs/glossary.md is written from it.
#
#   TERMS.fetch("bead").means   # => "One of the two columns of satin along the slit."

require_relative "../value"

module NimbleEyelet
  # word, means - String; also - Array<String>, what else it is called
  Term = Value.of(:key, :word, :means, also: [])

  TERMS = [
    Term.new(key: "attachment", word: "attachment", means: "How the button is held: two holes, four holes, a shank or a tunnel."),
    Term.new(key: "balance", word: "balance", means: "Forward feed against backward feed: it makes the two sides alike."),
    Term.new(key: "bar_tack", word: "bar tack",
             means: "The wide stitched bar that closes an end of the hole, or holds layers together on its own."),
    Term.new(key: "bead", word: "side", also: %w[leg], means: "One of the two columns of satin along the slit."),
    Term.new(key: "centre_line", word: "centre line", means: "Where the middles of the two sides meet when the garment is closed."),
    Term.new(key: "changeover", word: "changeover", means: "Everything you change on the machine between two pieces of work."),
    Term.new(key: "closure", word: "buttonholes",
             means: "One set of buttons that does one job on a garment, such as a front placket or a left cuff."),
    Term.new(key: "cord", word: "cord", also: %w[gimp], means: "A filler laid under the sides, which raises and firms them."),
    Term.new(key: "coverage", word: "coverage",
             means: "Thread thickness over stitch length: too low and fabric shows through, too high and stitches pile up."),
    Term.new(key: "cutting_space", word: "room to cut", means: "The bare fabric between the two sides, where the slit is cut."),
    Term.new(key: "datum", word: "top edge",
             means: "The finished edge that every place on a front is measured from: of a cuff its upper edge, of a cover the left-hand end."),
    Term.new(key: "diameter", word: "diameter", means: "The largest width of the button; of a bar its length."),
    Term.new(key: "ease", word: "ease", means: "What the slit has over what has to pass through it."),
    Term.new(key: "extension", word: "extension", means: "From the centre line out to the finished edge."),
    Term.new(key: "gap", word: "space between", also: %w[pitch], means: "From the middle of one hole to the middle of the next."),
    Term.new(key: "keep_out", word: "keep clear", means: "A stretch of the edge where no hole and no foot may come."),
    Term.new(key: "ligne", word: "ligne", means: "A fortieth of an inch, 0.635 mm: the trade's measure of buttons."),
    Term.new(key: "neutral", word: "usual settings",
             means: "How its owner leaves the machine for plain sewing: usual foot, needle and tension."),
    Term.new(key: "opening", word: "buttonhole length", also: ["cut length"], means: "The slit itself: what is cut between the two ends."),
    Term.new(key: "overall", word: "overall length", means: "The opening and the finish of both its ends."),
    Term.new(key: "overlap", word: "buttonhole side", means: "The side with the holes; the button side has the buttons."),
    Term.new(key: "ridge", word: "ridge",
             means: "A seam or fold thick enough to tip the foot: a hole may lie on it, sewn with care."),
    Term.new(key: "run", word: "edge", means: "The edge of the garment that the holes lie along."),
    Term.new(key: "school", word: "method", means: "One of the ways in which people are taught how long a hole is."),
    Term.new(key: "seam", word: "seam",
             means: "One place on the edge where fabric is joined: a little to either side of it is kept clear, too."),
    Term.new(key: "setting", word: "setting",
             means: "What is set on the foot or the machine so that the opening wanted comes of it: clicks, a mark, a length."),
    Term.new(key: "shank", word: "shank", means: "What holds the button off the fabric: its own loop, or one made of thread."),
    Term.new(key: "session", word: "session", means: "Several rows of buttonholes sewn in one go at one machine, in the quickest order."),
    Term.new(key: "slack", word: "slack", means: "The slit, stretched as the fabric gives, less half the way round the button."),
    Term.new(key: "stabiliser", word: "stabiliser",
             means: "What keeps the fabric from moving under the needle: fusible, tear-away, wash-away or another layer."),
    Term.new(key: "stitch_length", word: "stitch length", also: %w[density],
             means: "The feed of one stitch; in satin, shorter is denser."),
    Term.new(key: "stitch_width", word: "stitch width", means: "How far the needle swings from side to side."),
    Term.new(key: "swatch", word: "test hole", also: ["test sew"],
             means: "A hole sewn on a scrap with the same layers, grain, thread, stabiliser and settings."),
    Term.new(key: "tex", word: "tex", means: "What a thousand metres of a thread weigh, in grams: the higher, the thicker."),
    Term.new(key: "tension", word: "top tension", means: "How firmly the upper thread is held; lower, it is drawn to the underside.")
  ].to_h { |term| [term.key, term] }.freeze
end
