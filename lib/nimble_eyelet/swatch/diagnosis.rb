# frozen_string_literal: true

# Diagnosis reads the test holes sewn so far, remarks on what was measured, and names what to change
# next: one thing a swatch, so that it is known what helped, or one an axis, since axes show apart.
#
#   diagnosis = Swatches::Diagnosis.of(swatches, current)
#   diagnosis.change    # Change, or nil when there is nothing to put right
#   diagnosis.remarks   # [Sentence, …] what the measuring says

require_relative "../answer/sentence"
require_relative "../value"
require_relative "change"
require_relative "symptom"
require_relative "troubleshooter"

module NimbleEyelet
  module Swatches
    # changes - Array<Change>, one an axis, the first to be made first; remarks - Array<Sentence or String>
    # pending - Boolean, the change asked for is made: sew the next one
    class Diagnosis < Value.of(:changes, :accept, :remarks, pending: false)
      # @return [Change, nil] the one to make when one thing is changed a swatch
      def change = changes.first

      # @param swatches [Array<Swatch>] oldest first
      # @param current [CurrentSettings]
      # @return [Diagnosis] accept is true when the newest swatch has nothing to put right
      def self.of(swatches, current)
        like = swatches.select { |swatch| swatch.like?(current.set) }
        newest = like.last
        return new(changes: [], accept: false, remarks: swatches.any? ? [OTHERS] : []) unless newest

        remarks = Diagnosis.remarks(newest, current)
        return new(changes: [], accept: false, remarks: remarks) if newest.contradictions.any?

        changes = Troubleshooter.new(like, current).changes
        made = changes.select { |change| change.field && Diagnosis.now(current, change.field) == change.to }
        new(changes: changes - made, accept: newest.clean? && changes.empty?, remarks: remarks, pending: made.any?)
      end

      OTHERS = "The test holes so far were sewn with another machine, foot, thread, cloth or style: sew one with this."

      def self.now(current, field)
        { "opening.correction" => current.correction, "opening.ease" => current.ease, "recipe.stitch_length" => current.stitch_length,
          "recipe.stitch_width" => current.stitch_width, "recipe.tension" => current.tension,
          "recipe.stabiliser" => current.stabiliser }[field]
      end

      def self.remarks(newest, current)
        pairs = newest.contradictions.map do |one, other|
          "#{SYMPTOMS[one].name.capitalize} and #{SYMPTOMS[other].name} are not seen on one hole: look again, one bead after the " \
            "other."
        end
        [*pairs, measured(newest), allowance(newest, current), words(newest), unsaid(newest)].compact
      end

      # Measured against set is always remarked on.
      def self.measured(newest)
        return if newest.measured.nil? || newest.opening.nil?

        off = newest.measured - newest.opening
        return Sentence["The slit measures %s, as it was wanted.", newest.measured] if off.abs < OFF

        Sentence["The slit measures %s where %s was wanted: %s too #{off.negative? ? 'short' : 'long'}.", newest.measured,
                 newest.opening, off.abs]
      end

      def self.allowance(newest, current)
        return unless current.foot.type.clamps && current.foot.allowance.nil? && newest.allowance

        Sentence["Clamped on %s the foot made %s: it adds %s by itself, and is reckoned with from now " \
                 "on.", newest.clamped, newest.measured,
                 newest.allowance]
      end

      def self.words(newest)
        "Something else was written down: that is for you to judge." unless newest.note.empty?
      end

      def self.unsaid(newest) = ("How it went through was not said: try it before you trust this hole." if newest.passes.nil?)
      private_class_method :measured, :allowance, :words, :unsaid
    end
  end
end
