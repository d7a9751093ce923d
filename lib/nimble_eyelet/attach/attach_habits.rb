# frozen_string_literal: true

# What people were taught differently about sewing buttons on: where they are marked, what happens between two pairs of
# holes, how threads are secured, and what is done with a shank.

module NimbleEyelet
  module Attach
    BUTTON_MARKS = { "through" => "through the finished hole", "plan" => "from the plan" }.freeze
    BUTTON_FEEDS = { "machine" => "dogs dropped or covered, as the machine has it", "length_zero" => "stitch length 0" }.freeze
    BETWEEN_PAIRS = { "cut" => "cut between the pairs", "carry" => "carry the thread over" }.freeze
    SECURINGS = { "knot" => "knot at the back", "liquid" => "a drop of fray sealant", "tie_off" => "tie off by machine",
                  "knot_liquid" => "knot and liquid" }.freeze
    ATTACH_ORDERS = { "holes" => "holes, then buttons through them", "buttons" => "buttons first, on a finished edge" }.freeze
    SHANKS = { "hand" => "sew it on by hand", "pin" => "eyelet and removable pin" }.freeze
  end
end
