# frozen_string_literal: true

# StashButton is one kind of button in the box: as measured, how many there are, and what it looks like.
#
#   StashButton.new(button: button, owned: 12, colour: "horn").validate

require_relative "../answer/refusal"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  # colour - String, key of Buttons::COLOURS or one that was picked
  class StashButton < Value.of(:button, owned: 0, colour: "shell", note: "")
    LIMITS = { owned: Typing::Limit.whole(0..10_000) }.freeze

    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        check.gather { button.validate }
        check.expect("button.name", button.name, !button.name.empty?, "A button on the shelf needs a name.")
        Typing::Limit.check_all(check, "button", self, LIMITS)
      end
      self
    end
  end
end
