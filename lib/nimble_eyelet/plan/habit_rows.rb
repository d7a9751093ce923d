# frozen_string_literal: true

# HabitRows are the questions on which people were taught differently before a hole is sewn: how long, where, and with
# what.

require_relative "../length/ruler"
require_relative "../opening/school"
require_relative "../placket/run"
require_relative "../recipe/density_choice"
require_relative "../recipe/recipe"
require_relative "../recipe/stabiliser_rules"
require_relative "../recipe/tension_rules"
require_relative "../swatch/change"
require_relative "habit"

module NimbleEyelet
  module HabitRows
    RULER_WORDS = {
      "half_millimetre" => ["The finest step a ruler shows; the least is added.", "Hard to mark with blunt chalk."],
      "millimetre" => ["Every ruler has it, and chalk can follow it.", "Up to a whole millimetre is added to the slit."],
      "sixteenth_inch" => ["The finest step of most inch rulers.", "Awkward beside a pattern in millimetres."],
      "eighth_inch" => ["Quick to read on any tape.", "Adds up to an eighth: a small button may slip out."]
    }.freeze

    def self.rulers = RULERS.values.map { |ruler| Habit.says(ruler.key, ruler.name, *RULER_WORDS.fetch(ruler.key)) }

    BEFORE_SEWING = [
      Habit.new(path: "opening.school", label: "school",
                question: "How long should a buttonhole be?", begins: "passing_geometry",
                options: Opening::SCHOOLS.values.map do |school|
                  Habit.says(school.key, school.name, school.assumes, school.fails)
                end),
      Habit.new(path: "opening.ruler", label: "rounded up to",
                question: "What do you round lengths up to?", begins: "half_millimetre",
                inches: "sixteenth_inch",
                options: rulers),
      Habit.new(path: "opening.ease", label: "ease",
                question: "How much extra do you always add?",
                speaks_for: "One figure for everything is easily remembered.",
                against: "Left empty, thin fabric gets less and other fabric more, as the rules have it."),
      Habit.new(path: "placket.grid", label: "marks on",
                question: "Which marks of the ruler do you use?", begins: "millimetre", inches: "sixteenth_inch",
                options: rulers),
      Habit.new(path: "placket.edge", label: "keep from the edge",
                question: "How far from the edge do your holes stay?", begins: "ten",
                options: [
                  Habit.says("ten", Placket::EDGE_NAMES.fetch("ten"), "Clear of most turned seam allowances.",
                             "More than a narrow placket has to give."),
                  Habit.says("six", Placket::EDGE_NAMES.fetch("six"), "Fits narrow plackets and small buttons.",
                             "May lie on a turned seam allowance: look before sewing."),
                  Habit.says("thirteen", Placket::EDGE_NAMES.fetch("thirteen"), "Safe on coats and loosely woven fabric.",
                             "Pulls a small button far in from the edge."),
                  Habit.says("pattern", Placket::EDGE_NAMES.fetch("pattern"), "The fronts meet as they were drawn.",
                             "A button of another size than the pattern's overhangs, or sits far in.")
                ]),
      Habit.new(path: "placket.seat", label: "button sits",
                question: "Where does the button sit in a vertical buttonhole?", begins: "upper",
                options: [
                  Habit.says("upper", Placket::SEATS.fetch("upper"), "The button hangs where its weight pulls it anyway.",
                             "The two sides must be marked with the hole's length in mind."),
                  Habit.says("centre", Placket::SEATS.fetch("centre"), "One mark serves the hole and the button.",
                             "The button slides down, and the overlap rides up by half a hole.")
                ]),
      Habit.new(path: "recipe.pace", label: "changed between two test holes",
                question: "How much do you change between two tests?", begins: "one",
                options: [
                  Habit.says("one", Swatches::PACES.fetch("one"), "You know for certain what helped.",
                             "Takes about one test hole in four more."),
                  Habit.says("each", Swatches::PACES.fetch("each"),
                             "Saves about one test hole in four: length, cover and tension show apart.",
                             "Two things that are changed at once may be mixed up.")
                ]),
      Habit.new(path: "recipe.tension_by", label: "top thread rolled to the back",
                question: "How do you roll the top thread to the back?", begins: "lower_top",
                options: [
                  Habit.says("lower_top", Recipes::TENSION_MOVES.fetch("lower_top").name, "Every machine has the dial.",
                             "It has to be turned back, or the next seam is slack."),
                  Habit.says("bobbin_finger", Recipes::TENSION_MOVES.fetch("bobbin_finger").name, "The dial stays where it is.",
                             "Only some bobbin cases have one."),
                  Habit.says("leave", Recipes::TENSION_MOVES.fetch("leave").name, "Nothing to put back.",
                             "Dots of bobbin thread show where both pull alike.")
                ]),
      Habit.new(path: "recipe.tails", label: "thread ends at the start",
                question: "Where do you put the thread ends?", begins: "under",
                options: [
                  Habit.says("under", Recipes::THREAD_TAILS.fetch("under"), "Both hands are free.",
                             "A short tail is drawn in and makes a nest."),
                  Habit.says("held", Recipes::THREAD_TAILS.fetch("held"), "No nest at the first stitches.",
                             "One hand less for the fabric.")
                ]),
      Habit.new(path: "recipe.first_hole", label: "first hole of a row",
                question: "Do you sew a test buttonhole first?", begins: "test",
                options: [
                  Habit.says("test", Recipes::FIRST_HOLES.fetch("test"), "Only a scrap is spoiled.",
                             "One more hole and ten minutes for every row."),
                  Habit.says("stored", Recipes::FIRST_HOLES.fetch("stored"), "Saves the test where everything is as it was.",
                             "Thread and fabric of another batch may differ: the first hole is the test.")
                ]),
      Habit.new(path: "recipe.stay_by", label: "stay laid",
                question: "Which stabiliser do you like best?", begins: "fusible",
                options: [
                  Habit.says("fusible", Recipes::STAY_SCHOOLS.fetch("fusible"), "Stays in, and the hole keeps its length in wear.",
                             "Needs an iron, and stiffens light fabric."),
                  Habit.says("tear_away", Recipes::STAY_SCHOOLS.fetch("tear_away"), "Nothing stays in, no iron near it.",
                             "Holds only while it is sewn."),
                  Habit.says("both", Recipes::STAY_SCHOOLS.fetch("both"), "The surest in soft, loose fabric.",
                             "Twice the work, and the stiffest.")
                ]),
      Habit.new(path: "recipe.thin_cover", label: "where the cover is thin",
                question: "What do you do when fabric shows between the stitches?", begins: "shorten",
                options: [
                  Habit.says("shorten", Recipes::THIN_COVERS.fetch("shorten"), "One pass, and one figure for the whole row.",
                             "Too short, the feed stalls and stitches pile up."),
                  Habit.says("second_pass", Recipes::THIN_COVERS.fetch("second_pass"), "Never stalls, and covers cord and dark fabric.",
                             "Twice the time and thread, and the second has to lie on the first.")
                ])
    ].freeze
  end
end
