# frozen_string_literal: true

# Version of the application, everywhere it says one: health, the interface, files, the page about it, the packages.

module NimbleEyelet
  VERSION = "0.3.0"
end
