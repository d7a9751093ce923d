# frozen_string_literal: true

# Remarks are notes on a test hole beside the advice: how long it measures, what the foot adds, and what nobody looked
# at.
#
#   Remarks.new(swatch, current, unlooked).all   # => [Sentence, …]

require_relative "../answer/sentence"
require_relative "../length/length"

module NimbleEyelet
  module Inference
    class Remarks
      # Millimetres away from what was wanted that are worth a word.
      OFF = Length.mm(1r / 2)

      # @param hole [Swatches::Swatch]
      # @param current [Swatches::CurrentSettings]
      # @param unlooked [Array<String>] looks that were not looked at
      def initialize(hole, current, unlooked)
        @hole = hole
        @current = current
        @unlooked = unlooked
      end

      # @return [Array<Sentence, String>]
      def all = [measured, allowance, words, unsaid].compact

      private

      # Measured against wanted is always remarked on.
      def measured
        return if @hole.measured.nil? || @hole.opening.nil?

        off = @hole.measured - @hole.opening
        return Sentence["The #{thing} measures %s, as it was wanted.", @hole.measured] if off.abs < OFF

        Sentence["The #{thing} measures %s where %s was wanted: %s too #{off.negative? ? 'short' : 'long'}.", @hole.measured,
                 @hole.opening, off.abs]
      end

      def thing = @current.style.opens ? "slit" : "tack"

      # What a carriage foot adds is known from the first hole that was measured on it.
      def allowance
        return unless @hole.measured && @current.adds

        Sentence["Your foot adds about %s. Your next buttonholes start from that.", @current.adds]
      end

      def words = ("Something else was written down: that is for you to judge." unless @hole.note.empty?)

      def unsaid
        return if @unlooked.empty? || @hole.symptoms.any?
        return "How it went through was not said: try it before you trust this hole." if @hole.passes.nil?

        "Not everything was looked at: log how #{UNLOOKED.values_at(*@unlooked).join(', ')} came out before you trust this hole."
      end
      UNLOOKED = { "fit" => "it", "bead_away" => "the side sewn away", "bead_back" => "the side sewn back",
                   "tension" => "the edge of the sides", "space" => "the room to cut" }.freeze
      private_constant :UNLOOKED
    end
  end
end
