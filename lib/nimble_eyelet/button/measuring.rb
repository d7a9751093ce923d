# frozen_string_literal: true

# Measuring is how a button of each shape is measured: what, in which order, with what, and where
# the jaws or the ruler go.
#
#   Buttons.measuring(button).map(&:what)   # => ["diameter", "thickness", "hole_spacing", "hole_diameter"]

require_relative "../value"
require_relative "button"

module NimbleEyelet
  module Buttons
    # what - String, field of the button, or "wrapped"; tool, how - String
    Measuring = Value.of(:what, :tool, :how)

    CALIPER = "a caliper, or two set squares against the rim and a ruler"
    RULER = "a ruler held against it"
    STRIP = "a strip of paper and a ruler"

    # What a reading of any of them may be.
    READING = Button::LIMITS.fetch(:diameter)

    # How each figure is taken, where the shape does not say otherwise.
    TAKEN = {
      "diameter" => [CALIPER, "Across the widest place. Turn the button a quarter and measure again: not every disc is round."],
      "width" => [CALIPER, "Turn the button between the jaws until they come closest together."],
      "thickness" => [CALIPER, "Lay it flat between the jaws, over the thickest place, without the shank."],
      "outline" => [RULER, "Trace it on squared paper and read the corners off, once round, in order."],
      "wrapped" => [STRIP, "Wrap it once round the way the button passes, mark the overlap, measure the strip: H is half of it."],
      "tip" => [STRIP, "Half the way round the knot, tip or buckle at its end: that has to pass too."],
      "hole_spacing" => [RULER, "From the left edge of one hole to the left edge of its neighbour: the same as middle to middle."],
      "hole_diameter" => ["needles of known size", "The thickest needle that drops through: 90 is 0.9 mm."]
    }.freeze

    # What a shape asks for differently.
    OTHERWISE = {
      "rounded" => { "thickness" => [CALIPER, "In the middle of the rim, where the round edge stands out furthest."] },
      "rimmed" => { "thickness" => [CALIPER, "Over the rim: the hollow inside does not help the button through."] },
      "domed" => { "thickness" => [CALIPER, "From the flat back to the top of the dome."] },
      "half_ball" => { "diameter" => [CALIPER, "Across the flat side; the height follows from it."] },
      "ball" => { "diameter" => [CALIPER, "Any way across: a ball is alike all round. Beside the shank, not over it."] },
      "square" => { "diameter" => [CALIPER, "Along the longer side, not corner to corner."],
                    "width" => [CALIPER, "Along the shorter side."] },
      "irregular" => { "diameter" => [CALIPER, "Turn it until the jaws are pushed furthest apart."] },
      "cord" => { "diameter" => [CALIPER, "Through the middle of it, not squeezed."] },
      "ribbon" => { "diameter" => [RULER, "Edge to edge, lying flat."], "thickness" => [CALIPER, "Lying flat; folded, half of it."] },
      "hook" => { "diameter" => [CALIPER, "The wire that goes through, not the hook."] },
      "ring" => { "diameter" => [CALIPER, "The outside of the whole ring."], "thickness" => [CALIPER, "Its wire."] },
      "bar_tack" => { "diameter" => [RULER, "From edge to edge of what it holds: a loop, a pocket's corner, a strap."] },
      "bar" => { "diameter" => [RULER, "From tip to tip: this keeps it from slipping back."],
                 "thickness" => [CALIPER, "Round the thickest place: it passes end on."] }
    }.freeze

    # @param button [Button]
    # @return [Array<Measuring>] in the order in which to measure
    def self.measuring(button)
      form = button.form
      asked = form.measured?(:outline) ? %w[outline] : %w[diameter]
      asked += %w[width thickness].select { |what| form.measured?(what.to_sym) }
      asked << "wrapped" if button.opens?
      asked << "tip" if button.opens? && !button.fastens?
      asked += %w[hole_spacing hole_diameter] if button.fastens? && button.holes.positive?
      asked.map do |what|
        tool, how = OTHERWISE.fetch(form.key, {}).fetch(what) { TAKEN.fetch(what) }
        Measuring.new(what: what, tool: tool, how: how)
      end
    end
  end
end
