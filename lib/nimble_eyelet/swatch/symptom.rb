# frozen_string_literal: true

# Symptom is the table of what can be seen on a test hole, in the order in which it is looked at, with
# its likely causes and its remedies in order. A row is all there is to one: a new symptom is one row.
#
#   SYMPTOMS.fetch("gappy").remedies.first.says

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/tool"
require_relative "../value"

module NimbleEyelet
  module Swatches
    # How the button went through the test hole, in the order of {LOOKS}' first. short - Boolean or nil, too short or
    # too long
    FitSeen = Value.of(:key, :name, short: nil)

    PASSES = [
      FitSeen.new(key: "will_not_pass", name: "will not pass", short: true),
      FitSeen.new(key: "tight", name: "tight", short: true),
      FitSeen.new(key: "passes", name: "passes as it should"),
      FitSeen.new(key: "easy", name: "goes through easily, and holds"),
      FitSeen.new(key: "slips_out", name: "slips out", short: false)
    ].to_h { |passing| [passing.key, passing] }.freeze

    # Something to do about a symptom. says - String; dial - Symbol or nil, the setting it turns by `by` steps
    # needs - Proc(CurrentSettings) -> Boolean, whether it can be done here; minutes - Integer, that it takes
    SymptomRemedy = Value.of(:says, dial: nil, by: 0, needs: nil, minutes: 1)

    # axis - String; causes - Array<String>, likely ones in order; remedies - Array<SymptomRemedy>, in order
    # satin - Boolean, only where there are beads of satin; hole - Boolean, not on a bar tack
    # opposite - String or nil, what cannot be seen on the same hole
    Symptom = Value.of(:key, :axis, :name, :causes, :remedies, satin: false, hole: false, opposite: nil)

    # Axes in the order in which they are looked at.
    AXES = %w[fit cover balance tension space stay guide ends thread cloth cut].freeze
    # Axes that a dial is turned for by what is believed, not by a row.
    DIALLED = %w[fit cover balance tension space].freeze

    module SymptomTable
      def self.hand(says, minutes = 1, &needs) = SymptomRemedy.new(says: says, needs: needs, minutes: minutes)
      def self.turn(dial, by, says) = SymptomRemedy.new(says: says, dial: dial, by: by)

      def self.row(key, axis, name, causes, remedies, **more)
        Symptom.new(key: key, axis: axis, name: name, causes: causes, remedies: remedies, **more)
      end

      PILE = ->(current) { current.cloth.type.nap }
      FINGER = ->(current) { current.machine.bobbin_finger }
      PRESSURE = ->(current) { current.machine.foot_pressure }

      SYMPTOM_ROWS = [
        row("gappy", "cover", "gaps in both sides", ["stitches sink into the pile", "stitch too long", "thread too fine"],
            [hand("Lay a wash-away film on top, and sew again.", &PILE),
             turn(:stitch_length, -1, "Gaps in both sides: the stitch is too long."),
             hand("Keep the stitch and sew a second pass over both sides.")], satin: true, opposite: "piled_up"),
        row("piled_up", "cover", "stitches pile up, the feed stalls",
            ["foot tilted or caught, fluff in the feed", "stitch too short", "foot without a groove", "thread too thick"],
            [hand("Level the foot, clean the feed, and check that nothing holds the foot back."),
             turn(:stitch_length, 1, "Stitches pile up: the stitch is too short."),
             hand("Fit the grooved satin foot.") { |current| current.machine.foot("grooved_satin_foot") },
             hand("Take a finer thread. Never pull the fabric.")],
            satin: true, opposite: "gappy"),
        row("uneven_beads", "balance", "one side dense, one open", ["forward and backward feed differ", "no stabiliser", "fabric dragged"],
            [hand("Put a stabiliser under it, level the foot, and hold the fabric up so that it doesn't drag."),
             hand("Sew a second pass over both sides.")],
            satin: true),
        row("bobbin_on_top", "tension", "bobbin thread shows on top",
            ["bobbin not in its spring, fluff under it", "top caught at the spool", "top tension too tight"],
            [hand("Seat the bobbin in its spring, clear the fluff under it, and see that the top thread runs free."),
             turn(:tension, -1, "The top thread pulls the bobbin thread up: one step of the dial at a time."),
             hand("Thread the bobbin finger; the top goes back to your usual.", &FINGER), hand("Wind a bobbin of the same colour.")],
            opposite: "loops_below"),
        row("loops_below", "tension", "loose loops on the underside",
            ["threaded with the foot down, or the take-up missed", "top tension too loose"],
            [hand("Thread again with the foot up, so that the thread lies between the discs."),
             turn(:tension, 1, "The top thread is held too loosely: one step of the dial at a time.")], opposite: "bobbin_on_top"),
        row("beads_touch", "space", "the sides touch, nowhere to cut",
            ["drawn together on thin fabric", "width too small", "cord too thick"],
            [hand("Lay a firmer stay under it."), turn(:stitch_width, 1, "The sides meet: a wider stitch leaves room to cut."),
             hand("Separate the sides with a needle, and cut with a chisel.")], satin: true, opposite: "gapes"),
        row("gapes", "space", "too wide between the sides, gapes", ["stretched while sewn, spread at cutting", "width too large"],
            [hand("Stay it along the hole, and neither pull nor push while sewing."),
             turn(:stitch_width, -1, "Too much room between the sides: narrow it by a step.")],
            satin: true, opposite: "beads_touch"),
        row("puckers", "stay", "puckers or a tunnel", ["no stay, or too light", "too wide", "tension", "thread too thick, too dense"],
            [SymptomRemedy.new(says: "Satin pulls soft cloth together: hold it flat first.", dial: :stabiliser, by: 1),
             turn(:stitch_width, -1, "It is held flat already: a narrower stitch pulls less."),
             turn(:tension, -1, "It is held flat already: a looser top pulls less.")]),
        row("waves", "stay", "waves, the edge is stretched", ["stretch", "foot pressure"],
            [hand("Stay it along the hole, in the direction that must not grow."), hand("One step less foot pressure.", &PRESSURE),
             turn(:stitch_length, 1, "Fewer stitches stretch the edge less."), hand("Lay a cord under both sides.")]),
        row("ends_apart", "guide", "ends do not meet, sides unequal",
            ["a gap at the foot's front stop", "foot not level", "garment hanging"],
            [hand("Push the foot against its front stop before every hole.") { |current| current.foot.type.clamps },
             hand("Level the foot and support the fabric so that it does not hang."),
             hand("A few more stitches of the first part close a small gap.") do |current|
               current.machine.type.partwise
             end], hole: true),
        row("off_mark", "guide", "off the mark, or crooked", ["start not under the needle", "mark hidden by the foot"],
            [hand(Sentence["Put the needle onto the start mark by hand first, and draw the line %s past both ends.", Tool::CHALK_LINE.at(Length.mm(15))])]),
        row("tacks_unequal", "ends", "ends unequal, thin or clumped", ["stitches counted by feel"],
            [hand("Count 4 to 7 stitches at both ends; fewer on a second pass.")], hole: true),
        row("nest", "ends", "a nest of thread at the start", ["tails not held", "threaded with the foot down"],
            [hand("Hold both tails for the first stitches."), hand("Thread again with the foot up.")]),
        row("swallowed", "ends", "fabric swallowed at the start", ["fabric too soft at the plate's hole"],
            [hand("Lay paper under it, or begin on a leader scrap.")]),
        row("skipped", "thread", "skipped stitches", ["needle not fully up, blunt or of the wrong point", "fabric flags"],
            [hand("Set the needle again, fully up, flat side as your machine has it."),
             hand("Fit a new needle of the point the recipe names."),
             hand("Fit a needle one size larger."), hand("Stay it, and a little more foot pressure.")]),
        row("shreds", "thread", "thread breaks or shreds",
            ["caught at the spool", "a burr, or too small an eye", "old thread", "too tight"],
            [hand("Thread again, and see that it runs free of the spool."), hand("Fit a new needle with a larger eye."),
             hand("Take another thread."),
             turn(:tension, -1, "Last: a looser top.")]),
        row("gummed", "thread", "glue or wax on the needle", ["coated, fused or taped fabric"],
            [hand("Clean the needle, or fit a new one.")]),
        row("frays", "cloth", "frays at the cut", ["sides too narrow or too open", "cut before sealing"],
            [hand("Sew a second pass before cutting."), hand("Seal the cut line first, and let it dry."), hand("A closer stay.")],
            hole: true),
        row("perforated", "cloth", "tears along the needle line", ["needle large or blunt", "too many holes"],
            [hand("Fit a new, smaller needle."), turn(:stitch_length, 1, "Fewer holes weaken it less."),
             hand("Sew the straight-stitch box instead.")]),
        row("foot_marks", "cloth", "the foot sticks or leaves marks", ["coated fabric, pile"],
            [hand("Paper or film on top, or a non-stick foot."), hand("One step less foot pressure.", &PRESSURE)]),
        row("stay_shows", "cloth", "the stay shows in the slit", ["stay of another colour"],
            [hand("Match its colour, colour it, or trim it back.")], hole: true),
        row("marks_stay", "cloth", "the marks do not come out", ["wrong marker", "ironed"],
            [hand("Another marker, tried on the scrap; no iron before it is out.")]),
        row("cut_stitches", "cut", "stitches were cut", ["pins left out", "blade too long"],
            [hand("A pin across inside each end, and cut from both ends to the middle.")], hole: true)
      ].freeze
    end

    SYMPTOMS = SymptomTable::SYMPTOM_ROWS.to_h { |symptom| [symptom.key, symptom] }.freeze

    # What is asked beside {LOOKS}.
    #
    # @param opens [Boolean] a hole; a bar tack has no slit and no two beads
    # @return [Array<Symptom>]
    def self.further_symptoms(opens: true)
      SYMPTOMS.values.reject { |symptom| DIALLED.include?(symptom.axis) || (symptom.hole && !opens) }
    end
  end
end
