# frozen_string_literal: true

# Place is where on a garment a closure sits, with the conventions that go with it: they fill in what a
# new closure begins with, each can be changed, and the reason stays beside the answer.
#
#   PLACES.fetch("cuff").fills   # => { "placket.orientation" => "horizontal", … }

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Placket
    # fills - Hash of path to what is typed there, millimetres; says - String or Sentence, why
    # button - Length or nil, usual there; nil where it goes by the garment
    # tacked - Boolean, a place for bar tacks and not for holes
    # measured_from - String, the end that every place is measured from
    Place = Value.of(:key, :name, :says, fills: {}, button: nil, tacked: false, measured_from: "top edge")

    said = ->(words, *millimetres) { Sentence[words, *millimetres.map { |number| Length.mm(number) }] }

    PLACES = [
      Place.new(key: "front", name: "front edge or placket", says: "Fronts are seldom strained: holes along, in the middle of the band.",
                fills: { "placket.orientation" => "vertical" }),
      Place.new(key: "pulled_front", name: "front that is pulled round the body", fills: { "placket.orientation" => "horizontal" },
                says: "Across: what is pulled round the body slides to the outer end and stays there."),
      Place.new(key: "stand", name: "collar stand", button: Length.mm(23r / 2),
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "35", "placket.count" => "1",
                         "placket.first" => "17.5",
                         "placket.grid" => "half_millimetre", "placket.extension" => "18" },
                says: said.call("On the stand: across, at half its height, %s past the centre line; %s to %s above " \
                                "the first on the front.", 3, 60, 75)),
      Place.new(key: "cuff", name: "cuff", measured_from: "upper edge", button: Length.mm(23r / 2),
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "60", "placket.count" => "1",
                         "placket.first" => "30",
                         "placket.extension" => "16" },
                says: said.call("On a cuff: across, at half its height, %s to %s from the end; a second button %s to " \
                                "%s further in fits a wider wrist.", 10, 13, 20, 25)),
      Place.new(key: "sleeve_slit", name: "sleeve slit", button: Length.mm(19r / 2),
                fills: { "placket.orientation" => "vertical", "placket.run_length" => "120", "placket.count" => "1",
                         "placket.first" => "60" },
                says: said.call("In a sleeve slit: along, in the middle of its opening, for a button of %s to %s.", 9, 10)),
      Place.new(key: "collar_point", name: "collar point", measured_from: "upper edge", button: Length.mm(19r / 2),
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "40", "placket.count" => "1",
                         "placket.first" => "20",
                         "placket.extension" => "16" },
                says: said.call("At a collar point: across the corner, on its bisector, %s to %s from the tip.", 10, 12)),
      Place.new(key: "waistband", name: "waistband", measured_from: "upper edge", button: Length.mm(17),
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "40", "placket.count" => "1",
                         "placket.first" => "20",
                         "placket.extension" => "20" },
                says: said.call("On a waistband: across, at half its height, %s to %s from the end; the stay goes " \
                                "right through it.", 13, 16)),
      Place.new(key: "fly", name: "fly", button: Length.mm(17), fills: { "placket.orientation" => "vertical" },
                says: "In a fly: holes on the strip before it is set in; an inner button takes the strain first."),
      Place.new(key: "double_breasted", name: "double-breasted front", button: Length.mm(20), fills: { "placket.orientation" => "horizontal" },
                says: said.call("Double-breasted: measured from the button line; holes on the edge row only, their " \
                                "outer end %s past it. The other row is sewn through the overlap alone; one inner " \
                                "anchor button has its hole on the button side's edge.", 3)),
      Place.new(key: "knit_band", name: "knit band", fills: { "placket.orientation" => "vertical" },
                says: "On a knit band: along the ribs; never across narrow ribbing."),
      Place.new(key: "tab", name: "tab, flap or strap", measured_from: "upper edge",
                fills: { "placket.orientation" => "horizontal", "placket.run_length" => "50", "placket.count" => "1",
                         "placket.first" => "25",
                         "placket.extension" => "18" },
                says: "On a tab: across, towards its end, where it is pulled."),
      Place.new(key: "edge", name: "edge of a cover, bag or curtain", measured_from: "left-hand end", fills: { "placket.orientation" => "vertical" },
                says: "Along an edge that is not worn: holes along it, evenly."),
      Place.new(key: "belt_loops", name: "belt loops", measured_from: "left-hand end", tacked: true,
                fills: { "placket.orientation" => "vertical", "placket.extension" => "20", "button.diameter" => "9" },
                says: said.call("Belt loops: a tack across each end of every loop, %s to %s long, as wide as the loop; none over a " \
                                "seam that is thicker than the rest.", 8, 10)),
      Place.new(key: "pocket_corners", name: "pocket corners", measured_from: "left-hand end", tacked: true,
                fills: { "placket.orientation" => "vertical", "placket.count" => "2", "placket.extension" => "20",
                         "button.diameter" => "7" },
                says: said.call("At a pocket's upper corners, where it is torn: %s to %s long, over the end of its seam.", 6, 8)),
      Place.new(key: "fly_end", name: "lower end of a fly", tacked: true,
                fills: { "placket.orientation" => "vertical", "placket.run_length" => "60", "placket.count" => "1",
                         "placket.first" => "30",
                         "placket.extension" => "20", "button.diameter" => "12" },
                says: said.call("At the lower end of a fly, through all layers: %s to %s long.", 10, 15)),
      Place.new(key: "strap_ends", name: "ends of a strap or handle", measured_from: "left-hand end", tacked: true,
                fills: { "placket.orientation" => "horizontal", "placket.extension" => "20",
                         "button.diameter" => "15" },
                says: said.call("Where a strap or handle is sewn on: across its end, %s from it, as long as the strap is wide.", 6))
    ].to_h { |place| [place.key, place] }.freeze
  end
end
