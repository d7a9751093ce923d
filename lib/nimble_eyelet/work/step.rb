# frozen_string_literal: true

# Step is what is done before one looks up again: operations, one after the other, under one heading.
#
#   step = Work::Step.of("foot", block: "row", part: "Set the machine", operations: [fit])
#   step.moves            # => { "foot" => "carriage_foot" }
#   step.left_on(ledger)  # => nil, where that foot is on already

require_relative "../answer/sentence"
require_relative "../placket/sewn_hole"
require_relative "../value"
require_relative "block"
require_relative "hazard"
require_relative "step_key"

module NimbleEyelet
  module Work
    # key     - String, stays the same when the plan changes elsewhere; of a hole it names its place, not its number
    # name    - String, of what is done, wherever it is done; block - String, of BLOCKS, or "rescue"; part - String, its
    #   heading
    # figures - Hash of path to Length or String, what it is done with; kept when it is done, whatever of it was so
    #   already
    # symptom - String or nil, what happens when it is skipped
    class Step < Value.of(:key, :name, :block, :part, :operations, figures: {}, symptom: nil)
      # @param name [String]
      # @param at [Length, nil] place of its hole
      # @param key [String] where it is neither its name nor that of a hole
      # @param figures [Hash] beside those of the operations
      # @return [Step]
      def self.of(name, block:, part:, operations:, at: nil, key: at ? key_at(name, at) : name, figures: {},
                  symptom: nil)
        new(key: key, name: name, block: block, part: part, operations: operations.compact, symptom: symptom,
            figures: operations.compact.reduce(figures) { |all, operation| all.merge(operation.figures) })
      end

      # @param name [String]
      # @param at [Length] place of a hole
      # @return [String] key of a step of that hole
      def self.key_at(name, at) = StepKey.at(name, at).to_s

      # @param steps [Array<Step>] done one after the other
      # @return [Hash{String => Length, String, nil}] machine part to the state it has to be in before the first of them
      def self.needed(steps)
        steps.flat_map(&:operations).each_with_object([{}, {}]) do |one, (needed, made)|
          one.needs.each { |part, state| needed[part] = state unless needed.key?(part) || made.key?(part) }
          made.merge!(one.sets)
        end.first
      end

      # @return [Hash{String => Length, String, nil}] machine part to its state afterwards, nil for its usual
      def moves = operations.reduce({}) { |all, operation| all.merge(operation.sets) }

      # @return [Array<Lasting>]
      def lasts = operations.flat_map(&:lasts)

      # @return [Placket::SewnHole, nil] the hole that is in the garment once it is done
      def hole
        lasts.find { |one| one.kind == "stitched" }&.then { |one| Placket::SewnHole.new(at: one.at, opening: one.opening) }
      end

      # @return [Boolean] whether the button can go through once it is done
      def opens? = lasts.any? { |one| one.kind == "slit" }

      # @return [Boolean] whether it only sets the machine
      def sets_only? = operations.all? { |one| one.kind.sets }

      # @param ledger [Ledger]
      # @return [Step, nil] with the operations that are still to be done; nil where all of it is so
      def left_on(ledger)
        left = operations.reject { |operation| operation.so?(ledger) }
        left.empty? ? nil : with(operations: left)
      end

      # @return [Step] as it is noted when all of it was so: it moves nothing
      def noted = with(operations: [])

      # @return [String, nil] "test", "hole" or "button": what is done again together with it
      def turn = Work.turn(name)

      # @return [Array<String>] keys of HAZARDS
      def hazards = operations.flat_map(&:cautions).uniq

      # @return [String, nil] its cautions, as one text
      def caution = hazards.empty? ? nil : HAZARDS.values_at(*hazards).join(" ")

      # @param holes [Integer] of the row
      # @return [Integer] seconds of the hands
      def seconds(holes) = operations.sum { |one| one.kind.seconds * (one.kind.each ? holes : 1) }

      # @return [String, Sentence, nil] what to do first
      def does = told.first

      # @return [String, Sentence, nil] what else is done, and how it is done well
      def how
        more = told.drop(1) + operations.flat_map(&:minds)
        return if more.empty?

        more.all?(String) ? more.join(" ") : Sentence.list(more)
      end

      private

      # Sentences, one for each operation; what a verb joins stands in one, as long as that is read at a glance.
      def told
        spoken = operations.select(&:says)
        return spoken.map(&:says) if spoken.none? { |one| one.kind.joins }

        spoken.chunk_while do |one, other|
          one.kind.joins && one.kind.joins == other.kind.joins
        end.flat_map do |same|
          joins = same.first.kind.joins
          joins ? read_at_a_glance(joins, same.map(&:says)) : [same.first.says]
        end
      end

      def read_at_a_glance(verb, parts)
        all = joined(verb, parts)
        return [all] if parts.size == 1 || all.split.size <= AT_A_GLANCE

        [joined(verb, parts[0...-1]), joined(verb, parts.last(1))]
      end

      # Words of a sentence that several things are joined in.
      AT_A_GLANCE = 12
      private_constant :AT_A_GLANCE

      def joined(verb, parts) = "#{verb} #{[parts[0...-1].join(', '), parts.last].reject(&:empty?).join(' and ')}."
    end
  end
end
