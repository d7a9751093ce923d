# frozen_string_literal: true

# Presenter puts the values of the core into JSON: lengths with their figure in the person's unit,
# reasons and cautions written out. There is this one way of presenting.
#
#   say = Presenter.new(:in)
#   present.length(Length.inches(3/4r))   # => { mm: 19.05, text: "3/4 in" }

require_relative "../lib/nimble_eyelet"

module NimbleEyelet
  class Presenter
    # @return [Symbol] :mm, :cm or :in
    attr_reader :unit

    # @param unit [Symbol]
    def initialize(unit)
      @unit = unit
    end

    # @param length [Length, nil]
    # @return [Hash, nil]
    def length(length)
      length && { mm: length.to_f.round(4), text: Wording.of(length, unit) }
    end

    # What is worked out for a hand, as sentences say it: nobody types it again.
    #
    # @param length [Length, ToolLength, nil]
    # @return [Hash, nil]
    def told(length) = length && { mm: length.to_f.round(4), text: words(length) }

    # A figure of the machine: in its own millimetres, never converted.
    #
    # @param length [Length, nil]
    # @return [Hash, nil]
    def dial(length) = length && { mm: length.to_f.round(4), text: Wording.of(length, :mm) }

    # @param text [String, Sentence, nil]
    # @return [String, nil]
    def words(text) = text && Sentence.in(text, unit)

    # From one value of a field to another, the unit said once: "18 → 20 mm".
    #
    # @return [String]
    def from_to(from, to)
      was, now = [from, to].map { |value| value.nil? || value == "" ? "—" : typed(value) }
      was = was.delete_suffix(" #{unit}") if now.end_with?(" #{unit}") && was != now
      "#{was} → #{now}"
    end

    # @param number [Numeric]
    # @return [String] without trailing zeros
    def number(number, places = 2) = Wording.decimal(number.to_r, places)

    # @param value [Style, Foot, Boolean, Numeric, Length, Needle, String] that was decided on
    # @return [String]
    def decided(value)
      case value
      when Style then value.name
      when Foot then value.full_name
      when true then "yes"
      when false then "no"
      when Rational, Integer then number(value)
      when Length then dial(value)[:text]
      else words(value)
      end
    end

    # @param reasons [Array<Reason>]
    # @return [Array<Hash>]
    def reasons(reasons)
      reasons.map { |reason| { says: words(reason.says), kind: reason.kind, source: reason.from } }
    end

    # @param cautions [Array<Caution>]
    # @return [Array<Hash>]
    def cautions(cautions)
      cautions.map { |caution| { says: words(caution.says), instead: words(caution.instead) } }
    end

    # @param faults [Array<Fault>]
    # @return [Array<Hash>]
    def faults(faults)
      faults.map { |fault| { field: fault.field, given: words(fault.given).to_s, allowed: words(fault.allowed) } }
    end

    # @param value [Length, Rational, Outline, Integer, String, nil] of a field
    # @param dial [Boolean] a figure of the machine
    # @return [Hash, String, nil] as the interface describes fields
    def field(value, dial: false)
      case value
      when Length then dial ? dial(value) : length(value)
      when Outline then value.in(unit)
      when Rational then number(value)
      when Integer then value.to_s
      else value
      end
    end

    # @param value [Object] of a field
    # @return [String] as a person would type it; empty for nothing
    def typed(value, dial: false)
      field(value, dial: dial).then { |shown| shown.is_a?(Hash) ? shown.fetch(:text) : shown.to_s }
    end
  end
end
