# frozen_string_literal: true

# attach: sewing the buttons on.

require_relative "attach/attaching"
