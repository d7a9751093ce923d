# frozen_string_literal: true

# recipe: which style, foot, needle, thread, stabiliser, width, density and tension; and why.

require_relative "recipe/cloth"
require_relative "recipe/style"
require_relative "recipe/rules"
require_relative "recipe/recipe"
require_relative "recipe/cord"
require_relative "recipe/feel"
