# frozen_string_literal: true

# Slip is the table of what hands forget or do wrong at the machine, what the machine and the fabric do then, what it
# would have cost on the garment, and the step at which it is learned.
#
#   Rehearsal::SLIPS.fetch("lever_up").skill   # => "lever"

require_relative "../value"

module NimbleEyelet
  module Rehearsal
    # key - String; says - what was done; does - what happens then; costs - what it would have cost on the garment
    # minutes - Integer, to put it right there; skill - String, key of SKILLS
    Slip = Value.of(:key, :skill, :says, :does, :costs, :minutes)

    module SlipTable
      COLUMNS = %i[key skill says does costs minutes].freeze
      SLIP_ROWS = [
        ["lever_up", "lever", "The buttonhole lever was up.", "The machine beeps, or sews past the end.",
         "A side that runs on: you unpick it.", 15],
        ["mid_cycle", "reset", "The machine was not back at the start.", "The hole starts partway through.",
         "One hole to unpick and sew again.", 20],
        ["foot_up", "sew", "The presser foot was up.", "Without it there is no tension: loops below.",
         "A nest of loops to unpick.", 15],
        ["foot_lifted", "sew", "The foot went up within the hole.", "The machine loses its place.",
         "The whole hole to sew again.", 20],
        ["threaded_down", "thread", "You threaded with the foot down.", "The thread lies outside the tension discs.",
         "Loose loops below, and the row once more.", 20],
        ["power_on", "power", "The machine was on, with your hands at the needle.", "One touch of the pedal and it sews.",
         "A hurt finger.", 0],
        ["tails_loose", "place", "The threads lay loose.", "They make a nest at the start.", "A lump that shows in the end of the hole.", 5],
        ["not_lowered", "place", "You did not lower the needle into the mark.", "The first stitch lands beside it.",
         "A hole beside its line.", 20],
        ["off_mark", "place", "The needle was not over the mark.", "The hole lies beside its place.", "A hole in the wrong place.", 25],
        ["gap", "place", "The buttonhole foot was not at its front stop.", "The end and the sides do not meet.", "A gap in the end, to close by hand.",
         10],
        ["no_cord", "place", "The cord was not on its prong.", "The sides have nothing in them.", "One hole without its cord, to unpick.", 20],
        ["not_set", "settings", "The machine does not match the plan.", "It sews another stitch than your test.", "A hole unlike the others.", 20],
        ["needle_in_turn", "settings", "You turned a dial with the needle in the fabric.", "The needle bends.", "A needle, and a pulled thread.", 5],
        ["key_off", "test-sew", "You pressed the key away from the line.", "The machine stores another length.", "A row of holes that do not fit.", 30],
        ["memory_lost", "reset-test", "The stored length was gone.", "The machine waits for the key, and sews on.", "A hole as long as you let it.", 20],
        ["overrun", "sew", "You stopped too late.", "It sews past the mark.", "Stitches beyond the end, to unpick.", 10],
        ["stopped_early", "sew", "You stopped too early.", "The hole comes out short.", "A hole too short for its button.", 20],
        ["pivot_off", "sew", "You turned the fabric without the needle in its middle.", "The second side lies over the slit.",
         "One hole to unpick.", 20],
        ["dragged", "look", "You pulled the fabric with the needle in it, or while it sewed.", "The needle bends, the stitches stretch.",
         "A needle, and a crooked side.", 10],
        ["wheel_away", "wheel", "You turned the hand wheel away from you.", "The threads knot in the hook.", "A jam, and the hole once more.", 20],
        ["struck", "button-width", "The width was not that of the button's holes.", "The needle hits the rim.", "A broken needle, perhaps a button.", 10],
        ["feed_up", "feed-off", "The feed dogs still fed.", "The button creeps until the needle hits it.", "A broken needle, perhaps a button.", 10],
        ["untested", "button", "You did not try the needle in both holes.", "Nobody knows whether it clears.", "A broken needle, some day.", 10],
        ["hard_button", "button", "You pressed the pedal hard over a button.", "A needle that hits flies far.", "A broken needle near your eyes.", 10],
        ["pieces_left", "rescue", "A piece of the needle is still there.", "It waits in the fabric or under the plate.",
         "A hurt foot, or the next needle.", 10],
        ["left_changed", "back", "Something on the machine is still changed.", "Your next seam goes wrong.", "A seam to unpick next week.", 20]
      ].freeze
    end

    SLIPS = SlipTable::SLIP_ROWS.to_h do |row|
      [row.first, Slip.new(**SlipTable::COLUMNS.zip(row).to_h)]
    end.freeze
  end
end
