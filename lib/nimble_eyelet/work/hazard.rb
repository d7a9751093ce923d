# frozen_string_literal: true

# Hazard is the table of cautions that belong to what hands do: short, where the step is, never as a wall of text.
#
#   Work::HAZARDS.fetch("wheel")   # => "Hand wheel only toward you."

module NimbleEyelet
  module Work
    HAZARDS = {
      "power" => "Machine off or locked while your hands are near the needle.",
      "wheel" => "Hand wheel only toward you.",
      "eyes" => "Eyes protected, slow: a struck needle flies.",
      "blade" => "Blade away from the holding hand, on a mat; cap on after.",
      "iron" => "Iron and steam burn: try the heat on a scrap of this cloth first.",
      "no_iron" => "No hot iron on this cloth.",
      "liquid" => "Fresh air, no flame; the label wins.",
      "pins" => "Count needles and pins: none stays in the cloth, nor within reach of children and pets.",
      "children" => "For a child: small parts come off and are swallowed. Ask your local product-safety rules, pull " \
                    "hard, and pull again after washing.",
      "cords" => "A cord at a child's neck or hood can strangle. Close it with press studs, elastic or a tab instead.",
      "breaks" => "A long row: put the work down now and then, and look up.",
      "manual" => "Your machine's own manual wins over anything said here. One that bites or smells: stop, and have it looked at."
    }.freeze
  end
end
