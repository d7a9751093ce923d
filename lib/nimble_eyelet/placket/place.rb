# frozen_string_literal: true

# Place is where on a garment a closure sits, with the conventions that go with it: they fill in what a
# new closure begins with, each can be changed, and the reason stays beside the answer.
#
#   PLACES.fetch("cuff").fills   # => { "placket.orientation" => "horizontal", … }

require_relative "../value"

module NimbleEyelet
  module Placket
    # fills - Hash of path to what is typed there, millimetres; says - String, why
    Place = Value.of(:key, :name, :says, fills: {})

    PLACES = [
      Place.new(key: "front", name: "front edge or placket", says: "Fronts are seldom strained: holes along, in the " \
                                                                   "middle of the band.",
                fills: { "placket.orientation" => "vertical" }),
      Place.new(key: "pulled_front", name: "front that is pulled round the body", fills: { "placket.orientation" => "horizontal" },
                says: "Across: what is pulled round the body slides to the outer end and stays there."),
      Place.new(key: "stand", name: "collar stand",
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "35", "placket.count" => "1",
                         "placket.first" => "17.5",
                         "placket.grid" => "half_millimetre", "placket.extension" => "18" },
                says: "On the stand: across, at half its height, 3 mm past the centre line; 60 to 75 mm above the " \
                      "first on the front."),
      Place.new(key: "cuff", name: "cuff",
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "60", "placket.count" => "1",
                         "placket.first" => "30",
                         "placket.extension" => "16" },
                says: "On a cuff: across, at half its height, 10 to 13 mm from the end; a second button 20 to 25 mm " \
                      "further in fits a wider wrist."),
      Place.new(key: "sleeve_slit", name: "sleeve slit",
                fills: { "placket.orientation" => "vertical", "placket.run_length" => "120", "placket.count" => "1",
                         "placket.first" => "60" },
                says: "In a sleeve slit: along, in the middle of its opening, for a button of 9 to 10 mm."),
      Place.new(key: "collar_point", name: "collar point",
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "40", "placket.count" => "1",
                         "placket.first" => "20",
                         "placket.extension" => "16" },
                says: "At a collar point: across the corner, on its bisector, 10 to 12 mm from the tip."),
      Place.new(key: "waistband", name: "waistband",
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "40", "placket.count" => "1",
                         "placket.first" => "20",
                         "placket.extension" => "20" },
                says: "On a waistband: across, at half its height, 13 to 16 mm from the end; the stay goes right through it."),
      Place.new(key: "fly", name: "fly", fills: { "placket.orientation" => "vertical" },
                says: "In a fly: holes on the strip before it is set in; an inner button takes the strain first."),
      Place.new(key: "double_breasted", name: "double-breasted front", fills: { "placket.orientation" => "horizontal" },
                says: "Double-breasted: measured from the button line; holes on the edge row only, their outer end 3 mm past it. " \
                      "The other row is sewn " \
                      "through the overlap alone; one inner anchor button has its hole on the underlap's edge."),
      Place.new(key: "knit_band", name: "knit band", fills: { "placket.orientation" => "vertical" },
                says: "On a knit band: along the ribs; never across narrow ribbing."),
      Place.new(key: "tab", name: "tab, flap or strap",
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "50", "placket.count" => "1",
                         "placket.first" => "25",
                         "placket.extension" => "18" },
                says: "On a tab: across, toward its end, where it is pulled."),
      Place.new(key: "edge", name: "edge of a cover, bag or curtain", fills: { "placket.orientation" => "vertical" },
                says: "Along an edge that is not worn: holes along it, evenly.")
    ].to_h { |place| [place.key, place] }.freeze
  end
end
