# frozen_string_literal: true

# HowTo is the handwork of a stage in a few beats, for whoever does it for the first time; each is drawn as the step it
# belongs to.
#
#   HOW_TO.fetch("button").beats.first.says   # => "Lay it on the ruler and read across its widest part."

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  # step - String, name of the step whose drawing it has; says - String or Sentence
  HowToBeat = Value.of(:step, :says)
  # stage - String, word of a stage; title - String; beats - Array<HowToBeat>, three to five
  HowTo = Value.of(:stage, :title, :beats)

  module HowTos
    def self.row(stage, title, beats)
      HowTo.new(stage: stage, title: title, beats: beats.map { |step, says| HowToBeat.new(step: step, says: says) })
    end

    HOW_TO_ROWS = [
      row("cloth", "How to measure your fabric",
          [["test-sew", "Fold a scrap as it will be at the buttonhole, with its interfacing."],
           ["mark", Sentence["Fold it further until the pile is %s high. Count the layers.", Length.mm(10)]],
           ["note", "Divide that height by the layers: so thick is one."],
           ["tear", Sentence["Pull %s of it along the buttonhole. How far does it stretch?", Length.mm(100)]]]),
      row("button", "How to measure a button",
          [["mark", "Lay it on the ruler and read across its widest part."],
           ["clamp", "Stack four buttons. Divide the height by four: so thick is one."],
           ["tear", "No caliper? Wrap a strip of paper round it and mark where it meets."],
           ["note", "Half of that length is what has to pass through."]]),
      row("opening", "How to check the length",
          [["test-sew", "Cut a slit of that length in a scrap of the same fabric."],
           ["button", "Push the button through. It should pass without force, and stay."],
           ["mark", Sentence["Too tight? Add %s. It slips out? Take %s away.", Length.mm(1r / 2), Length.mm(1r / 2)]]]),
      row("placket", "How to find the places",
          [["try-on", "Try it on. Put a pin where it pulls most: a button belongs there."],
           ["mark", "Measure every place from the same end, never from the place before."],
           ["pins", "Pin the strip along the edge and mark through it."],
           ["foot", "Seam in the way? The foot needs flat fabric behind and in front."]]),
      row("recipe", "How to set your machine",
          [["needle", "Put in a new needle of the size that is shown."],
           ["thread", "Thread with the presser foot up. Use the same thread on the bobbin."],
           ["settings", "Turn each dial to its figure, width first."],
           ["stabilise", "Put the stabiliser where it is shown: inside, or under the fabric."]]),
      row("swatch", "How to sew a test",
          [["test-sew", "Take the same layers, the same grain and the same stabiliser."],
           ["look", "Look at it in daylight: both sides, both ends, and the back."],
           ["mark", "Measure the slit between the two ends, on the inside."],
           ["open", "Cut it open and push the button through."]]),
      row("sewing", "How to cut a buttonhole open",
          [["seal", "Seal the cut line first if the fabric frays. Let it dry."],
           ["pins", "Pin across, just inside each end. The pins stop the blade."],
           ["open", "Cut from one end to the middle, then from the other end to the middle."],
           ["button", "Try the button before you cut the next one."]]),
      row("attach", "How to make a thread shank",
          [["spacer", "Put the spacer on the button and sew over it."],
           ["button", "Take the spacer out. Lift the button to the end of its thread."],
           ["tails", "Wind the tails four to five times round, between button and fabric."],
           ["hand-thread", "Take the tails to the back and knot them."]]),
      row("print", "How to print at true size",
          [["note", "Choose 100 % or “actual size” in the print window, never “fit to page”."],
           ["mark", "Measure the check line with your ruler before you use the strip."],
           ["open", "Cut along the edge line and join the pages at their crosses."]])
    ].freeze
  end

  HOW_TO = HowTos::HOW_TO_ROWS.to_h { |one| [one.stage, one] }.freeze
end
