# frozen_string_literal: true

# Aftermath is what a mishap comes to for the plan: what a hole of another length does with this button and which button
# it would need, and how evenly the rest can be spaced around a hole that lies where it should not.
#
#   Aftermath.of(sheet, entry)   # => Sentence or nil

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../opening/verdict"
require_relative "../sheet/sheet"

module NimbleEyelet
  module Aftermath
    # @param sheet [Sheet]
    # @param entry [Sewing::Entry] of a mishap
    # @return [Sentence, nil]
    def self.of(sheet, entry)
      return unless entry.measured

      entry.mishap.hole == "fixed" ? spaced(sheet, entry) : slit(sheet, entry.measured)
    end

    # @param sheet [Sheet]
    # @param length [Length] a slit as it is
    # @return [Sentence] what this button does in it, and which would sit in it
    def self.slit(sheet, length)
      verdict = sheet.cut.passing.verdict(length)
      return Sentence["A tack of %s: #{verdict.words}.", length] unless sheet.plan.button.opens?
      return Sentence["A slit of %s: with this button #{verdict.words}.", length] if verdict.usable? || !sheet.plan.button.fastens?

      fitting = across_for(sheet, length)
      how = verdict.key == "slips_out" ? "too long" : "too short"
      Sentence["A slit of %s is #{how} for this button: it #{verdict.words}. One of %s across, of this make, would sit well in it.",
               length, fitting]
    end

    # How wide a button of the same make would have to be: what goes round it grows with it.
    def self.across_for(sheet, length)
      passing = sheet.cut.passing
      snug = passing.length((Opening::SNUG_FROM + Opening::EASY_FROM) / 2)
      wanted = passing.half_perimeter - ((snug - length) * passing.give)
      (sheet.plan.button.across * (wanted / passing.half_perimeter)).round_to(Length.mm(1r / 2))
    end

    # Keeping it, against closing it up and sewing it where it was planned, which cloth that keeps its needle holes does
    # not take.
    def self.spaced(sheet, entry)
      around = sheet.layout&.holes or
        return Sentence["With a hole at %s the rest of the row does not fit: close it up, or give the edge more room.", entry.measured]

      kept = Sentence["Kept at %s, the gaps run from %s to %s.", entry.measured, *gaps(around)]
      return kept if sheet.plan.cloth.type.perforates

      planned = Sheet.of(sheet.plan, sheet.facts.with(mishaps: [], holes: sheet.facts.holes_as_planned)).layout
      planned ? Sentence.list([kept, Sentence["Closed up and sewn again they run from %s to %s.", *gaps(planned.holes)]]) : kept
    end

    def self.gaps(holes) = holes.filter_map(&:gap).minmax.map { |gap| gap || Length.zero }
    private_class_method :across_for, :spaced, :gaps
  end
end
