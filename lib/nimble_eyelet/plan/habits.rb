# frozen_string_literal: true

# HABITS are all questions on which people were taught differently; those about opening holes and sewing buttons on
# stand here.
#
#   HABITS.fetch("attach.secure").question   # => "How do you secure the threads of a button?"

require_relative "../attach/attach_habits"
require_relative "../opening/cut_method"
require_relative "../stitch/button_pattern"
require_relative "habit"
require_relative "habit_rows"

module NimbleEyelet
  module HabitRows
    AFTER_SEWING = [
      Habit.new(path: "cut.tool", label: "opened with",
                question: "How do you open a buttonhole?", begins: "ripper",
                options: [
                  Habit.says("ripper", Opening::CUT_TOOLS.fetch("ripper"), "Everybody has one, and pins stop it.",
                             "It runs where it is pushed: an end is cut before you know it."),
                  Habit.says("chisel", Opening::CUT_TOOLS.fetch("chisel"), "The cleanest edge, also in thick fabric.",
                             "Needs a block and a chisel no longer than the slit."),
                  Habit.says("snip", Opening::CUT_TOOLS.fetch("snip"), "Nothing but scissors, and never near an end.",
                             "Thick fabric does not fold; the cut wanders in loose fabric.")
                ]),
      Habit.new(path: "cut.seal", label: "cut edges sealed",
                question: "When do you seal the cut edges?", begins: "before",
                options: [
                  Habit.says("before", Opening::SEALS.fetch("before"), "The blade cuts through what holds together already.",
                             "It has to be dry before anything is cut."),
                  Habit.says("after", Opening::SEALS.fetch("after"), "Reaches every thread end there is.",
                             "Edges stick together while they are wet."),
                  Habit.says("both", Opening::SEALS.fetch("both"), "For fabric that frays at a glance.",
                             "Twice to dry, twice a chance of a stain."),
                  Habit.says("none", Opening::SEALS.fetch("none"), "Nothing can stain.",
                             "The first washes show whether the fabric frays.")
                ]),
      Habit.new(path: "attach.order", label: "hole or button first",
                question: "Which comes first, hole or button?", begins: "holes",
                options: [
                  Habit.says("holes", Attach::ATTACH_ORDERS.fetch("holes"), "The button goes where the hole really is.",
                             "The buttons wait for the slowest part of the work."),
                  Habit.says("buttons", Attach::ATTACH_ORDERS.fetch("buttons"), "On a finished edge the holes follow the buttons.",
                             "Nothing corrects a button that sits wrong.")
                ]),
      Habit.new(path: "attach.marks", label: "buttons marked",
                question: "How do you mark where the buttons go?", begins: "through",
                options: [
                  Habit.says("through", Attach::BUTTON_MARKS.fetch("through"), "Forgives what came out otherwise than planned.",
                             "Carries every crooked hole on to the other side."),
                  Habit.says("plan", Attach::BUTTON_MARKS.fetch("plan"), "Both sides can be marked at once.",
                             "Holes that wandered pull or bubble.")
                ]),
      Habit.new(path: "attach.feed", label: "feed under a button",
                question: "How do you stop the feed under a button?", begins: "machine",
                options: [
                  Habit.says("machine", Attach::BUTTON_FEEDS.fetch("machine"), "Nothing moves at all.",
                             "Dogs rise only at the next stitch, and a plate is forgotten."),
                  Habit.says("length_zero", Attach::BUTTON_FEEDS.fetch("length_zero"), "The same on every machine.",
                             "The dogs still nudge a little.")
                ]),
      Habit.new(path: "attach.between", label: "between the pairs",
                question: "Do you cut the thread between two pairs of holes?", begins: "cut",
                options: [
                  Habit.says("cut", Attach::BETWEEN_PAIRS.fetch("cut"), "Nothing lies across the button.",
                             "Twice the tails to secure."),
                  Habit.says("carry", Attach::BETWEEN_PAIRS.fetch("carry"), "One pair of tails.",
                             "The carried thread catches and shows.")
                ]),
      Habit.new(path: "attach.secure", label: "threads secured by",
                question: "How do you secure the threads of a button?", begins: "knot",
                options: [
                  Habit.says("knot", Attach::SECURINGS.fetch("knot"), "Holds, and can be felt.", "Takes a needle and a minute."),
                  Habit.says("liquid", Attach::SECURINGS.fetch("liquid"), "Quick.",
                             "Never alone on children's wear or where it bears load."),
                  Habit.says("tie_off", Attach::SECURINGS.fetch("tie_off"), "Done in the same go.",
                             "Only with the needle over a hole: else it strikes."),
                  Habit.says("knot_liquid", Attach::SECURINGS.fetch("knot_liquid"), "The knot cannot work loose.", "Has to dry.")
                ]),
      Habit.new(path: "attach.shank_by", label: "button on a shank",
                question: "How do you sew on a button with a shank?", begins: "hand",
                options: [
                  Habit.says("hand", Attach::SHANKS.fetch("hand"), "Stays where it is.", "Goes through the wash with the garment."),
                  Habit.says("pin", Attach::SHANKS.fetch("pin"), "Comes off for washing.",
                             "An eyelet for each has to be sewn, and pins get lost.")
                ]),
      Habit.new(path: "attach.pattern", label: "four holes are sewn as",
                question: "How do you sew four holes?", begins: "two_bars",
                options: [
                  Habit.says("two_bars", Stitches::BUTTON_PATTERNS.fetch("two_bars").name,
                             "One width, no turning: the least can go wrong.",
                             "Two bars wear side by side, without crossing over."),
                  Habit.says("cross", Stitches::BUTTON_PATTERNS.fetch("cross").name, "Each pair holds the other down.",
                             "The diagonal is wider: the width is set and tried again."),
                  Habit.says("square", Stitches::BUTTON_PATTERNS.fetch("square").name, "Spreads the pull over all four holes.",
                             "Two more turns of the work, each a chance to strike."),
                  Habit.says("arrow", Stitches::BUTTON_PATTERNS.fetch("arrow").name, "Points along the opening, and shows on purpose.",
                             "All the pull lies on one hole; two widths are set.")
                ])
    ].freeze
  end

  HABITS = (HabitRows::BEFORE_SEWING + HabitRows::AFTER_SEWING).to_h { |habit| [habit.path, habit] }.freeze
end
