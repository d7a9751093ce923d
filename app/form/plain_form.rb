# frozen_string_literal: true

# What is typed about a pair or a row of plain openings.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Form
    module PlainForm
      # @return [Placket::NonButtonRow]
      # @raise [Refusal]
      def self.row(body, present, opening:, ruler:)
        span = body["span"].to_s.strip
        count = body["count"].to_s.strip
        Placket::NonButtonRow.of(body.fetch("arrangement", "single"), opening: opening, ruler: ruler,
                             span: span.empty? ? nil : Typing::Notation.read(span, unit: present.unit, field: "plain.span"),
                             count: count.match?(/\A\d{1,4}\z/) ? count.to_i : nil)
      end
    end
  end
end
