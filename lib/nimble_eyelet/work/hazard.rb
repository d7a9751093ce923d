# frozen_string_literal: true

# Hazard is the table of cautions that belong to what hands do: short, where the step is, never as a wall of text.
#
#   Work::HAZARDS.fetch("wheel")   # => "Hand wheel only toward you."

module NimbleEyelet
  module Work
    HAZARDS = {
      "power" => "Switch off or lock the machine before your hands go near the needle.",
      "wheel" => "Turn the hand wheel only towards you.",
      "eyes" => "Wear glasses and go slowly. A needle that hits a button can snap and fly.",
      "blade" => "Keep the blade away from your holding hand. Cap on afterwards.",
      "iron" => "Iron and steam burn. Try the heat on a scrap first.",
      "no_iron" => "No hot iron on this fabric.",
      "liquid" => "Open a window, no flame. Follow the label.",
      "pins" => "Count needles and pins. None stays in the fabric or near children and pets.",
      "children" => "Small parts can come off and be swallowed. Pull hard now, and again after washing. Ask your local " \
                    "product-safety rules.",
      "cords" => "A cord at a child's neck or hood can strangle. Use press studs, elastic or a tab.",
      "breaks" => "Long row: take a break and look up.",
      "manual" => "Your machine's own manual comes first. If it bites or smells, stop and have it looked at."
    }.freeze
  end
end
