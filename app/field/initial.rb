# frozen_string_literal: true

# What a field holds before anybody has said anything about it, as it would be typed by somebody
# who reads millimetres: a plain shirt button in light cloth. Fields not named here begin empty,
# and those that are habits then follow the house.

module NimbleEyelet
  INITIAL = {
    "button.shape" => "flat", "button.attachment" => "four_holes", "button.diameter" => "15", "button.thickness" => "3",
    "button.hole_spacing" => "3", "button.hole_diameter" => "1.8",
    "cloth.kind" => "light_woven", "cloth.weight" => "120", "cloth.thickness" => "0.25", "cloth.layers" => "2",
    "cloth.interfacing" => "0.2", "cloth.stretch" => "0", "cloth.seams" => "0",
    "thread.fibre" => "polyester", "thread.tex" => "27",
    "opening.allowance" => "3", "opening.correction" => "0",
    "opening.clicks" => "1",
    "placket.run_length" => "600", "placket.extension" => "18", "placket.orientation" => "vertical",
    "placket.use" => "shirt",
    "placket.pattern" => "even", "placket.together" => "2", "placket.first_lies" => "as_rest", "placket.overlap" => "right",
    "placket.rows" => "single", "placket.offset" => "60"
  }.freeze
end
