# frozen_string_literal: true

# GuidedAct is the next right act, with what it trains and how it is said.

require_relative "../value"

module NimbleEyelet
  module Rehearsal
    # act - Simulation::PracticeAct; skill - String, key of SKILLS; says - String or Sentence, what to do
    GuidedAct = Value.of(:act, :skill, :says)
  end
end
