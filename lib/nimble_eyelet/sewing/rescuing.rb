# frozen_string_literal: true

# Rescuing writes the steps out of a mishap, for one that happened: they come before everything else.

require_relative "../answer/sentence"
require_relative "mishap"
require_relative "step"
require_relative "step_key"

module NimbleEyelet
  module Sewing
    module Rescuing
      # @param id [String] of the entry that says it happened
      # @param key [String] of MISHAPS
      # @param at [Length, nil] of the hole it happened at
      # @param says [Sentence, nil] what it comes to for this plan, told with the last step
      # @return [Array<Step>]
      def self.steps(id, key, at: nil, says: nil)
        mishap = MISHAPS.fetch(key)
        figures = at ? { "hole.at" => at } : {}
        mishap.steps.each_with_index.map do |step, index|
          last = index == mishap.steps.size - 1
          how = [step.how, (mishap.afterwards if last), (says if last)].compact
          Step.new(key: StepKey.rescue(id, index + 1).to_s, part: "Rescue: #{mishap.says}", does: step.does,
                   how: how.empty? ? nil : Sentence.list(how),
                   hazards: step.hazards, moves: step.moves, figures: figures)
        end
      end

      # @param name [String] of a step, without its hole
      # @param sewn [String] "hole" or "tack"
      # @return [Array<Mishap>] that can happen there, the commonest first
      def self.at(name, machine, sewn: "hole") = MISHAPS.values.select { |mishap| mishap.at?(name, machine, sewn: sewn) }
    end
  end
end
