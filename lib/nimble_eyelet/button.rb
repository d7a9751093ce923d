# frozen_string_literal: true

# button: what is this button, and how does it pass through a slit.

require_relative "button/outline"
require_relative "button/shape"
require_relative "button/button"
require_relative "button/colour"
require_relative "button/measuring"
