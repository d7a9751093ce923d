# frozen_string_literal: true

# OlderWords reads what earlier versions kept as a sentence and this one keeps as figures. What was kept is never
# rewritten: it is read so wherever it comes in, from a plan, the journal or a file.
#
#   OlderWords.figures("attach.pattern" => "a cross")   # => { "attach.pattern" => "cross" }
#   OlderWords.figures("recipe.stabiliser" => "tear-away under the hole, and a second layer")
#   # => { "recipe.stabiliser" => "tear_away", "recipe.stay_layers" => "2" }

module NimbleEyelet
  module OlderWords
    SECOND_LAYER = /,? and a second layer\z/
    STABILISER = "recipe.stabiliser"
    LAYERS = "recipe.stay_layers"

    # What was kept as a name, by path: names as they were when they were kept, never those of today.
    KEYS = {
      "recipe.style" => {
        "rectangular, two bar tacks" => "two_tacks", "one round end and a tack" => "round_end",
        "two round ends" => "two_round", "stretch, open zigzag" => "stretch", "corded, two bar tacks" => "corded",
        "straight-stitch box, twice round" => "straight_box", "by hand with zigzag" => "manual_zigzag",
        "eyelet, twice round" => "eyelet", "bar tack, by its programme" => "bar_tack", "bar tack, by zigzag" => "zigzag_tack",
        "bar tack, by straight stitch" => "straight_tack"
      },
      "recipe.foot" => {
        "carriage foot" => "carriage_foot", "sliding scale foot" => "sliding_scale_foot",
        "grooved satin foot" => "grooved_satin_foot", "cording foot" => "cording_foot", "button foot" => "button_foot",
        "general zigzag foot" => "general_zigzag_foot"
      },
      "recipe.tension_move" => {
        "lower the top tension" => "lower_top", "thread the bobbin finger" => "bobbin_finger", "leave it alone" => "leave"
      },
      "attach.pattern" => {
        "two parallel bars" => "two_bars", "a cross" => "cross", "a square" => "square", "an arrow" => "arrow"
      },
      "attach.marks" => {
        "through the finished hole" => "through", "from the plan" => "plan"
      },
      "attach.secure" => {
        "knot at the back" => "knot", "a drop of fray liquid" => "liquid", "tie off by machine" => "tie_off",
        "knot and liquid" => "knot_liquid"
      },
      "cut.seal" => {
        "before cutting" => "before", "after cutting" => "after", "before and after" => "both", "not at all" => "none"
      },
      "cut.tool" => {
        "seam ripper from both ends, with pins" => "ripper", "chisel on a block" => "chisel", "fold and snip" => "snip"
      },
      "recipe.stabiliser" => {
        "fusible strip inside, its firm direction along the hole" => "fusible_strip",
        "fusible strip inside, firm direction along the hole" => "fusible_strip",
        "fusible knit interfacing inside, its firm direction along the hole" => "knit_fusible",
        "fusible knit interfacing inside, firm direction along the hole" => "knit_fusible",
        "tear-away under the hole" => "tear_away",
        "fusible strip inside, its firm direction along the hole, and tear-away under it" => "fusible_and_tear_away",
        "fusible strip inside, firm direction along the hole, and tear-away under it" => "fusible_and_tear_away",
        "wash-away under the hole" => "wash_away", "tear-away under, wash-away film on top" => "tear_away_film",
        "an extra layer of the cloth inside, grain along the hole" => "layer",
        "a firm strip of woven cloth inside" => "woven_strip",
        "a strip of the cloth itself, cut back to the stitches" => "organza", "thin paper under the hole" => "paper"
      }.flat_map { |says, key| [[says, key], [says.sub("hole", "tack"), key]] }.to_h,
      "opening.verdict" => {
        "will not pass" => "will_not_pass", "slips out" => "slips_out", "much too short" => "will_not_pass",
        "a little short" => "tight", "as long as it should be" => "snug", "a little long" => "easy",
        "much too long" => "slips_out"
      }
    }.transform_values(&:freeze).freeze

    # @param figures [Hash{String => Object}] by path
    # @return [Hash{String => Object}]
    def self.figures(figures)
      told = threaded(layered(figures))
      keys = told.to_h { |path, value| [path, key(path, value)] }.compact
      keys.empty? ? told : told.merge(keys)
    end

    # @param parts [Hash{String => Object}] machine part to its state
    # @return [Hash{String => Object}]
    def self.states(parts) = parts.to_h { |part, kept| [part, kept.is_a?(String) ? state(part, kept) : kept] }

    # What a part was at, in words: a style and a foot by their names of then, a balance by its notches.
    PROGRAMME = /\Athe buttonhole: (.+)\z/
    NOTCHES = /\A(\d) notch(?:es)? toward the bead that is sewn (toward|away from) you\z/

    def self.state(part, kept)
      case part
      when "needle" then key(NEEDLE, kept)
      when "foot" then key("recipe.foot", kept)
      when "selector" then if kept == "the bar tack"
                             "bar_tack_programme"
                           else
                             kept[PROGRAMME, 1]&.then do |name|
                               key("recipe.style", name) || name
                             end
                           end
      when "balance" then kept.match(NOTCHES)&.then { |found| found[2] == "toward" ? found[1] : "-#{found[1]}" }
      end || kept
    end

    # @param path [String]
    # @param name [Object] as it was kept
    # @return [String, nil] its key; nothing for what is no name of then
    def self.key(path, name) = path == NEEDLE ? name.to_s[OLD_NUMBER, 1] : KEYS.dig(path, name)

    # A needle was kept with the older number of its size.
    NEEDLE = "recipe.needle"
    OLD_NUMBER = %r{\A(.+ \d+)/\d+\z}
    # A threaded thread was kept in one text.
    THREAD = "thread.tex"
    TEX = /\Atex (?<tex>[\d.]+) (?<fibre>.+)\z/

    def self.threaded(figures)
      found = figures[THREAD].is_a?(String) && figures[THREAD].match(TEX)
      found ? figures.merge(THREAD => found[:tex], "thread.fibre" => found[:fibre]) : figures
    end

    def self.layered(figures)
      text = figures[STABILISER]
      return figures unless text.is_a?(String) && text.match?(SECOND_LAYER)

      figures.merge(STABILISER => text.sub(SECOND_LAYER, ""), LAYERS => "2")
    end
    private_class_method :layered, :threaded, :state
  end
end
