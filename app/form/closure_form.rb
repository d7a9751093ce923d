# frozen_string_literal: true

# ClosureForm reads what a person typed into the fields of a closure and answers with the document as it
# would be, or with every fault at once.
#
#   Form::ClosureForm.new(:mm).apply({ "button" => { "diameter" => "28L" } }, document)

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"

module NimbleEyelet
  module Form
    class ClosureForm
      # Lists of a run are replaced whole.
      MOST_PINS = 20
      MOST_KEEP_OUTS = 50

      # @param unit [Symbol] the person's unit
      def initialize(unit)
        @unit = unit
      end

      # @param body [Hash] rooms with fields, as sent; sound by the interface description
      # @param document [Store::Document]
      # @return [Store::Document]
      # @raise [Refusal]
      def apply(body, document)
        @check = Refusal::Check.new
        changes = fields(body)
        lists = { pins: pins(body), keep_outs: keep_outs(body), machine_id: body.dig("machine", "id") }.compact
        raise Refusal, @check.faults unless @check.faults.empty?

        document.changed(changes).with(**lists)
      end

      private

      def fields(body)
        typed = body.flat_map { |room, values| values.map { |name, value| ["#{room}.#{name}", value] } }
        typed.each_with_object({}) do |(path, value), changes|
          field = FIELDS[path] or next
          @check.gather { changes[path] = field.read(value, unit: @unit) }
        end
      end

      def pins(body)
        items = body.dig("placket", "pins") or return
        limited("placket.pins", items, MOST_PINS)
        pins = items.filter_map do |item|
          @check.gather { Placket::Pin.new(at: length("placket.pins", item["at"]), weight: weight(item["weight"]), **label(item)) }
        end
        pins.sort_by(&:at)
      end

      def keep_outs(body)
        items = body.dig("placket", "keep_outs") or return
        limited("placket.keep_outs", items, MOST_KEEP_OUTS)
        items.filter_map do |item|
          @check.gather do
            Placket::KeepOut.new(from: length("placket.keep_outs", item["from"]), to: length("placket.keep_outs", item["to"]),
                                 **label(item))
          end
        end
      end

      def label(item) = { label: Field.clean(item["label"])[0, 80] }

      # @param text [String, nil] empty for a must
      def weight(text)
        text = text.to_s.strip
        return 0 if text.empty?
        raise Refusal.field("placket.pins", text, "A wish weighs from 1 to 9; 0 is a must.") unless text.match?(/\A\d\z/)

        text.to_i
      end

      def limited(field, items, most)
        return if items.size <= most

        raise Refusal.field(field, items.size, "At most #{most} on one run.")
      end

      def length(field, text) = Typing::Notation.read(text.to_s, unit: @unit, field: field)
    end
  end
end
