# frozen_string_literal: true

# measure: several readings of one thing, or of the buttons of a set.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Route
    module MeasureRoutes
      def self.registered(app)
        app.post("/api/readings") { json(Readings.of(body_hash.fetch("readings"), say)) }
      end

      module Readings
        # @param typed [Array<String>] as typed; empty ones do not count
        # @param say [Presenter]
        # @return [Hash]
        # @raise [Refusal] naming the reading: "readings.2"
        def self.of(typed, say)
          lengths = typed.each_with_index.reject { |text, _| text.to_s.strip.empty? }
                         .map { |text, index| length(text, "readings.#{index + 1}", say) }
          raise Refusal.field("readings.1", "", "Type at least one reading.") if lengths.empty?

          found = Typing::Readings.of(lengths)
          { count: found.count, mean: say.length(found.mean), spread: say.length(found.spread), largest: say.length(found.largest),
            steady: found.steady?, odd: found.odd, cautions: say.cautions(found.cautions) }
        end

        def self.length(text, field, say)
          length = Typing::Notation.read(text, unit: say.unit, field: field)
          range = Typing::Limits::LENGTHS.fetch("button.diameter")
          raise Refusal.field(field, text, range.allowed) unless range.hold?(length)

          length
        end
        private_class_method :length
      end
    end
  end
end
