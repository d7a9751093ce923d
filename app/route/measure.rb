# frozen_string_literal: true

# measure: several readings of one thing, or of the buttons of a set.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Route
    module MeasureRoutes
      def self.registered(app)
        app.post("/api/workrooms/:slug/readings") { json(Readings.of(body_hash.fetch("readings"), present)) }
      end

      module Readings
        # @param typed [Array<String>] as typed; empty ones do not count
        # @param present [Presenter]
        # @return [Hash]
        # @raise [Refusal] naming the reading: "readings.2"
        def self.of(typed, present)
          lengths = typed.each_with_index.reject { |text, _| text.to_s.strip.empty? }
                         .map { |text, index| length(text, "readings.#{index + 1}", present) }
          raise Refusal.field("readings.1", "", "Type at least one reading.") if lengths.empty?

          found = Typing::Readings.of(lengths)
          { count: found.count, mean: present.length(found.mean), spread: present.length(found.spread),
            largest: present.length(found.largest),
            steady: found.steady?, cautions: present.cautions(found.cautions) }
        end

        def self.length(text, field, present)
          length = Typing::Notation.read(text, unit: present.unit, field: field)
          range = Buttons::READING
          raise Refusal.field(field, text, range.allowed) unless range.hold?(length)

          length
        end
        private_class_method :length
      end
    end
  end
end
