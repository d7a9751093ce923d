# frozen_string_literal: true

# House is how one workroom does things: its answers to the questions on which people were taught
# differently, and the stabilisers that lie in its drawer.
#
#   House.usual.habits["placket.seat"]   # => "upper"

require_relative "../cloth/stabiliser"
require_relative "../value"
require_relative "habits"

module NimbleEyelet
  # habits - Hash of path to value; stabilisers - Array<String>, keys of STABILISER_KINDS
  class House < Value.of(:habits, :stabilisers)
    # @return [House] before anybody has said anything
    def self.usual = new(habits: HABITS.transform_values(&:begins), stabilisers: STABILISER_KINDS.keys)
  end
end
