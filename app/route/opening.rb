# frozen_string_literal: true

# Openings for what is no button: worked out as asked, nothing is kept.

require_relative "../../lib/nimble_eyelet"
require_relative "../form/plain_form"

module NimbleEyelet
  module Route
    module OpeningRoutes
      def self.registered(app)
        app.post("/api/plain-openings") do
          plain = NonButton.fetch(body_hash.fetch("kind"))
          size = Typing::Notation.read(body_hash.fetch("size").to_s, unit: say.unit, field: "plain.size")
          ruler = Ruler.fetch(body_hash.fetch("ruler"))
          length = plain.opening(size, ruler)
          row = Form::PlainForm.row(body_hash, say, opening: length, ruler: ruler)
          json({ opening: say.length(length), because: say.reasons(plain.because(size, ruler) + row.because), count: row.count,
                 pitch: say.length(row.pitch), places: row.places.map { |place| say.length(place) } })
        end
      end
    end
  end
end
