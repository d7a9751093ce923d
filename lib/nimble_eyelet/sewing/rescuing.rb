# frozen_string_literal: true

# Rescuing writes the steps out of a mishap, for one that happened: they come before everything else.

require_relative "../work/operation"
require_relative "../work/step"
require_relative "../work/step_key"
require_relative "material"
require_relative "mishap"

module NimbleEyelet
  module Sewing
    module Rescuing
      # @param id [String] of the entry that says it happened
      # @param key [String] of MISHAPS
      # @param at [Length, nil] of the hole it happened at
      # @param says [Sentence, nil] what it comes to for this plan, told with the last step
      # @param material [Material] that it happened to
      # @return [Array<Work::Step>]
      def self.steps(id, key, at: nil, says: nil, material: Material.new)
        mishap = MISHAPS.fetch(key)
        figures = at ? { "hole.at" => at } : {}
        way_out = mishap.way_out(material)
        way_out.each_with_index.map do |step, index|
          last = index == way_out.size - 1
          how = [step.how, (mishap.afterwards if last), (says if last)].compact
          out = Work::Operation["rescue", sets: step.moves, says: step.does, minds: how, hazards: step.hazards]
          Work::Step.of(Work::StepKey::RESCUE, key: Work::StepKey.rescue(id, index + 1).to_s, block: "rescue",
                        operations: [out],
                                               part: "Rescue: #{mishap.says}", figures: figures)
        end
      end

      # @param name [String] of a step, without its hole
      # @param sewn [String] "hole" or "tack"
      # @param material [Material]
      # @return [Array<Mishap>] that can happen there, the commonest first
      def self.at(name, machine, sewn: "hole", material: Material.new)
        MISHAPS.values.select { |mishap| mishap.at?(name, machine, sewn: sewn, material: material) }
      end
    end
  end
end
