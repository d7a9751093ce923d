# frozen_string_literal: true

# Habits are the questions on which people who do this work were taught differently. A workroom
# answers each once; a closure may answer otherwise for itself.
#
#   Habit.fetch("placket.seat").option("centre").against
#
# A habit without options takes a length, or nothing, which leaves it to the rules.

require_relative "../answer/sentence"
require_relative "../attach/attach_habits"
require_relative "../length/ruler"
require_relative "../opening/cutting"
require_relative "../opening/school"
require_relative "../placket/run"
require_relative "../recipe/density_choice"
require_relative "../recipe/recipe"
require_relative "../recipe/stabiliser_rules"
require_relative "../recipe/tension_rules"
require_relative "../stitch/button_pattern"
require_relative "../swatch/change"
require_relative "../value"

module NimbleEyelet
  # speaks_for, against - String or Sentence, one sentence each
  HabitOption = Value.of(:key, :name, :speaks_for, :against)

  # path - String, the field of a closure it stands in for; begins - String or nil, the first school
  # inches - String or nil, the first one for whoever has an inch ruler
  class Habit < Value.of(:path, :question, begins: nil, inches: nil, options: [], speaks_for: "", against: "")
    # @param unit [Symbol]
    # @return [String, nil] the first school; the ruler comes with the unit
    def begins_in(unit) = unit == :in && inches ? inches : begins

    # @return [HabitOption, nil]
    def option(key) = options.find { |option| option.key == key }

    # @raise [KeyError] for a path that is no habit
    def self.fetch(path) = HABITS.fetch(path)
  end

  module HabitTable
    def self.option(key, name, speaks_for, against)
      HabitOption.new(key: key, name: name, speaks_for: speaks_for, against: against)
    end

    RULER_WORDS = {
      "half_millimetre" => ["The finest step a ruler shows; the least is added.", "Hard to mark with blunt chalk."],
      "millimetre" => ["Every ruler has it, and chalk can follow it.", "Up to a whole millimetre is added to the slit."],
      "sixteenth_inch" => ["The finest step of most inch rulers.", "Awkward beside a pattern in millimetres."],
      "eighth_inch" => ["Quick to read on any tape.", "Adds up to an eighth: a small button may slip out."]
    }.freeze

    def self.rulers = RULERS.values.map { |ruler| option(ruler.key, ruler.name, *RULER_WORDS.fetch(ruler.key)) }

    TABLE = [
      Habit.new(path: "opening.school", question: "How long is a hole?", begins: "passing_geometry",
                options: Opening::SCHOOLS.values.map { |school| option(school.key, school.name, school.assumes, school.fails) }),
      Habit.new(path: "opening.ruler", question: "What is the opening rounded up to?", begins: "half_millimetre",
                inches: "sixteenth_inch",
                options: rulers),
      Habit.new(path: "opening.ease", question: "How much ease on top of H?",
                speaks_for: "One figure for everything is easily remembered.",
                against: "Left empty, thin cloth gets less and other cloth more, as the rules have it."),
      Habit.new(path: "placket.grid", question: "Which marks do holes lie on?", begins: "millimetre", inches: "sixteenth_inch",
                options: rulers),
      Habit.new(path: "placket.edge", question: "How far does a hole stay from the finished edge?", begins: "ten",
                options: [
                  option("ten", Sentence["%s", Placket::EDGE_SCHOOLS.fetch("ten")], "Clear of most turned seam allowances.",
                         "More than a narrow placket has to give."),
                  option("six", Sentence["%s", Placket::EDGE_SCHOOLS.fetch("six")], "Fits narrow plackets and small buttons.",
                         "May lie on a turned seam allowance: look before sewing."),
                  option("thirteen", Sentence["%s", Placket::EDGE_SCHOOLS.fetch("thirteen")], "Safe on coats and loosely woven cloth.",
                         "Pulls a small button far in from the edge.")
                ]),
      Habit.new(path: "placket.seat", question: "Where does the button sit in a vertical hole?", begins: "upper",
                options: [
                  option("upper", Placket::SEATS.fetch("upper"), "The button hangs where its weight pulls it anyway.",
                         "The two sides must be marked with the hole's length in mind."),
                  option("centre", Placket::SEATS.fetch("centre"), "One mark serves the hole and the button.",
                         "The button slides down, and the overlap rides up by half a hole.")
                ]),
      Habit.new(path: "recipe.pace", question: "What is changed between two test holes?", begins: "one",
                options: [
                  option("one", Swatches::PACES.fetch("one"), "You know for certain what helped.",
                         "Takes about one test hole in four more."),
                  option("each", Swatches::PACES.fetch("each"),
                         "Saves about one test hole in four: length, cover and tension show apart.",
                         "Two things that are changed at once may be mixed up.")
                ]),
      Habit.new(path: "recipe.tension_by", question: "How is the top thread made to roll to the back?", begins: "lower_top",
                options: [
                  option("lower_top", Recipes::TENSION_MOVES.fetch("lower_top").name, "Every machine has the dial.",
                         "It has to be turned back, or the next seam is slack."),
                  option("bobbin_finger", Recipes::TENSION_MOVES.fetch("bobbin_finger").name, "The dial stays where it is.",
                         "Only some bobbin cases have one."),
                  option("leave", Recipes::TENSION_MOVES.fetch("leave").name, "Nothing to put back.",
                         "Dots of bobbin thread show where both pull alike.")
                ]),
      Habit.new(path: "recipe.tails", question: "Where do the thread ends lie when a hole is begun?", begins: "under",
                options: [
                  option("under", Recipes::THREAD_TAILS.fetch("under"), "Both hands are free.", "A short tail is drawn in and makes a nest."),
                  option("held", Recipes::THREAD_TAILS.fetch("held"), "No nest at the first stitches.", "One hand less for the cloth.")
                ]),
      Habit.new(path: "recipe.first_hole", question: "What is the first hole of a row trusted to?", begins: "test",
                options: [
                  option("test", Recipes::FIRST_HOLES.fetch("test"), "Only a scrap is spoiled.", "A hole and ten minutes for every closure."),
                  option("stored", Recipes::FIRST_HOLES.fetch("stored"), "Saves the test where everything is as it was.",
                         "Thread and cloth of another batch may differ: the first hole is the test.")
                ]),
      Habit.new(path: "recipe.stay_by", question: "What carries a hole in cloth that takes either?", begins: "fusible",
                options: [
                  option("fusible", Recipes::STAY_SCHOOLS.fetch("fusible"), "Stays in, and the hole keeps its length in wear.",
                         "Needs an iron, and stiffens light cloth."),
                  option("tear_away", Recipes::STAY_SCHOOLS.fetch("tear_away"), "Nothing stays in, no iron near it.",
                         "Holds only while it is sewn."),
                  option("both", Recipes::STAY_SCHOOLS.fetch("both"), "The surest in soft, loose cloth.", "Twice the work, and the stiffest.")
                ]),
      Habit.new(path: "recipe.thin_cover", question: "What helps where the cloth shows between the stitches?", begins: "shorten",
                options: [
                  option("shorten", Recipes::THIN_COVERS.fetch("shorten"), "One pass, and one figure for the whole row.",
                         "Too short, the feed stalls and stitches pile up."),
                  option("second_pass", Recipes::THIN_COVERS.fetch("second_pass"), "Never stalls, and covers cord and dark cloth.",
                         "Twice the time and thread, and the second has to lie on the first.")
                ]),
      Habit.new(path: "cut.tool", question: "With what is a hole opened?", begins: "ripper",
                options: [
                  option("ripper", Opening::CUT_TOOLS.fetch("ripper"), "Everybody has one, and pins stop it.",
                         "It runs where it is pushed: a tack is cut before one knows."),
                  option("chisel", Opening::CUT_TOOLS.fetch("chisel"), "The cleanest edge, also in thick cloth.",
                         "Needs a block and a chisel no longer than the slit."),
                  option("snip", Opening::CUT_TOOLS.fetch("snip"), "Nothing but scissors, and never near a tack.",
                         "Thick cloth does not fold; the cut wanders in loose cloth.")
                ]),
      Habit.new(path: "cut.seal", question: "When are the cut edges sealed?", begins: "before",
                options: [
                  option("before", Opening::SEALS.fetch("before"), "The blade cuts through what holds together already.",
                         "It has to be dry before anything is cut."),
                  option("after", Opening::SEALS.fetch("after"), "Reaches every thread end there is.",
                         "Edges stick together while they are wet."),
                  option("both", Opening::SEALS.fetch("both"), "For cloth that frays at a glance.",
                         "Twice to dry, twice a chance of a stain."),
                  option("none", Opening::SEALS.fetch("none"), "Nothing can stain.", "The first washes show whether the cloth frays.")
                ]),
      Habit.new(path: "attach.order", question: "Which comes first, hole or button?", begins: "holes",
                options: [
                  option("holes", Attach::ATTACH_ORDERS.fetch("holes"), "The button goes where the hole really is.",
                         "The buttons wait for the slowest part of the work."),
                  option("buttons", Attach::ATTACH_ORDERS.fetch("buttons"), "On an edge that is finished already the holes follow the buttons.",
                         "Nothing corrects a button that sits wrong.")
                ]),
      Habit.new(path: "attach.marks", question: "Where are the buttons marked?", begins: "through",
                options: [
                  option("through", Attach::BUTTON_MARKS.fetch("through"), "Forgives what came out otherwise than planned.",
                         "Carries every crooked hole on to the other side."),
                  option("plan", Attach::BUTTON_MARKS.fetch("plan"), "Both sides can be marked at once.",
                         "Holes that wandered pull or bubble.")
                ]),
      Habit.new(path: "attach.between", question: "What happens between two pairs of holes?", begins: "cut",
                options: [
                  option("cut", Attach::BETWEEN_PAIRS.fetch("cut"), "Nothing lies across the button.", "Twice the tails to secure."),
                  option("carry", Attach::BETWEEN_PAIRS.fetch("carry"), "One pair of tails.", "The carried thread catches and shows.")
                ]),
      Habit.new(path: "attach.secure", question: "How are the threads of a button secured?", begins: "knot",
                options: [
                  option("knot", Attach::SECURINGS.fetch("knot"), "Holds, and can be felt.", "Takes a needle and a minute."),
                  option("liquid", Attach::SECURINGS.fetch("liquid"), "Quick.",
                         "Never alone on children's wear or where it bears load."),
                  option("tie_off", Attach::SECURINGS.fetch("tie_off"), "Done in the same go.",
                         "Only with the needle over a hole: else it strikes."),
                  option("knot_liquid", Attach::SECURINGS.fetch("knot_liquid"), "The knot cannot work loose.", "Has to dry.")
                ]),
      Habit.new(path: "attach.shank_by", question: "What is done with a button on a shank?", begins: "hand",
                options: [
                  option("hand", Attach::SHANKS.fetch("hand"), "Stays where it is.", "Goes through the wash with the garment."),
                  option("pin", Attach::SHANKS.fetch("pin"), "Comes off for washing.",
                         "An eyelet for each has to be sewn, and pins get lost.")
                ]),
      Habit.new(path: "attach.pattern", question: "How are four holes sewn?", begins: "two_bars",
                options: [
                  option("two_bars", Stitches::BUTTON_PATTERNS.fetch("two_bars").name,
                         "One width, no turning: the least can go wrong.",
                         "Two bars wear side by side, without crossing over."),
                  option("cross", Stitches::BUTTON_PATTERNS.fetch("cross").name, "Each pair holds the other down.",
                         "The diagonal is wider: the width is set and tried anew."),
                  option("square", Stitches::BUTTON_PATTERNS.fetch("square").name, "Spreads the pull over all four holes.",
                         "Two more turns of the work, each a chance to strike."),
                  option("arrow", Stitches::BUTTON_PATTERNS.fetch("arrow").name, "Points along the opening, and shows on purpose.",
                         "All the pull lies on one hole; two widths are set.")
                ])
    ].freeze
  end

  HABITS = HabitTable::TABLE.to_h { |habit| [habit.path, habit] }.freeze
end
