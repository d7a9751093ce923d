# frozen_string_literal: true

# opening: how long is the slit, by which school, and how will the button go through it.

require_relative "opening/verdict"
require_relative "opening/wish"
require_relative "opening/school"
require_relative "opening/cut"
require_relative "opening/setting"
require_relative "opening/plain"
require_relative "opening/plain_row"
