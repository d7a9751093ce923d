# frozen_string_literal: true

# Openings for what is no button: worked out as asked, nothing is kept.

require_relative "../../lib/nimble_eyelet"
require_relative "../form/plain_form"

module NimbleEyelet
  module Route
    module OpeningRoutes
      def self.registered(app)
        app.post("/api/workrooms/:slug/plain-openings") do
          plain = NonButton.fetch(body_hash.fetch("kind"))
          size = Typing::Notation.read(body_hash.fetch("size").to_s, unit: present.unit, field: "plain.size")
          ruler = Ruler.fetch(body_hash.fetch("ruler"))
          length = plain.opening(size, ruler)
          row = Form::PlainForm.row(body_hash, present, opening: length, ruler: ruler)
          json({ opening: present.length(length), because: present.reasons(plain.because(size, ruler) + row.because), count: row.count,
                 pitch: present.length(row.pitch), places: row.places.map { |place| present.length(place) } })
        end
      end
    end
  end
end
