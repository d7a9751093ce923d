# frozen_string_literal: true

# Skill is what is practised: something hands have to think of at one kind of step. What was got wrong is due sooner.
#
#   Rehearsal::SKILLS.fetch("reset").name   # => "back to the start"

require_relative "../machine/ledger"
require_relative "../value"

module NimbleEyelet
  module Rehearsal
    # key - String; name - String; steps - Array<String>, names of the steps at which it counts when sewing for real
    # mishaps - Array<String>, what goes wrong there when it is forgotten, where that is plain
    Skill = Value.of(:key, :name, :steps, mishaps: [])

    SKILLS = [
      Skill.new(key: "power", name: "power off near the needle", steps: %w[needle foot finger]),
      Skill.new(key: "thread", name: "threading", steps: %w[thread], mishaps: %w[thread_out]),
      Skill.new(key: "settings", name: "the settings", steps: %w[settings clamp]),
      Skill.new(key: "reset", name: "back to the start", steps: %w[reset reset-test], mishaps: %w[mid_cycle mid_programme]),
      Skill.new(key: "place", name: "needle in the mark", steps: %w[place]),
      Skill.new(key: "lever", name: "buttonhole lever down", steps: %w[lever]),
      Skill.new(key: "sew", name: "sewing and stopping", steps: %w[sew], mishaps: %w[lost_under_foot]),
      Skill.new(key: "test-sew", name: "the key at the line", steps: %w[test-sew]),
      Skill.new(key: "reset-test", name: "keeping the length", steps: %w[reset-test]),
      Skill.new(key: "look", name: "taking the fabric out", steps: %w[look]),
      Skill.new(key: "wheel", name: "hand wheel towards you", steps: %w[place]),
      Skill.new(key: "feed-off", name: "feed dogs stopped", steps: %w[feed-off]),
      Skill.new(key: "button-width", name: "width of the button's holes", steps: %w[button-width]),
      Skill.new(key: "button", name: "trying the needle in both holes", steps: %w[button test-button], mishaps: %w[needle_struck]),
      Skill.new(key: "back", name: "putting the machine back", steps: MACHINE_PARTS.keys.map { |part| "back-#{part}" }),
      Skill.new(key: "rescue", name: "putting it right", steps: %w[rescue]),
      Skill.new(key: "eye-fit", name: "seeing the fit", steps: %w[test-open]),
      Skill.new(key: "eye-cover", name: "seeing the stitch coverage", steps: %w[test-open]),
      Skill.new(key: "eye-tension", name: "seeing the tension", steps: %w[test-open]),
      Skill.new(key: "eye-space", name: "seeing the room to cut", steps: %w[test-open]),
      Skill.new(key: "eye-change", name: "choosing what to change", steps: %w[accept])
    ].to_h { |skill| [skill.key, skill] }.freeze
  end
end
