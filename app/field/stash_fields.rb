# frozen_string_literal: true

# StashFields is the table of what can be typed about a button of the stash: what a closure asks of
# its button, and how many there are and what they look like.

require_relative "../../lib/nimble_eyelet"
require_relative "closure_fields"
require_relative "field"

module NimbleEyelet
  module StashFields
    # By name, as columns of the shelf, where every thickness was measured.
    BUTTON = ClosureFields::ALL.select { |field| field.path.start_with?("button.") }
                               .to_h { |field| [field.path.delete_prefix("button."), field] }
                               .then { |all| all.merge("thickness" => all["thickness"].with(optional: false)) }.freeze
    MORE = { "owned" => Field.new(path: "button.owned", kind: :whole, column: :owned, initial: "0", limit: StashButton::LIMITS[:owned]),
             "colour" => Field.new(path: "button.colour", kind: :colour, column: :colour, initial: "shell", choices: Field.names(Buttons::COLOURS)),
             "note" => Field.new(path: "button.note", kind: :text, column: :note) }.freeze
    ALL = BUTTON.merge(MORE).freeze

    # What is left open means this.
    OPEN = { "owned" => "0", "colour" => "shell", "hole_spacing" => "3mm", "hole_diameter" => "1.8mm" }.freeze
  end
end
