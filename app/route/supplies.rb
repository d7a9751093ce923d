# frozen_string_literal: true

# supplies: what a closure, a garment or a session takes, as JSON, as CSV and on paper; buttons laid by for a closure,
# and how many are really left on the shelf.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/supplies_pdf"
require_relative "../presenter"
require_relative "../store/garments"
require_relative "../store/reservations"
require_relative "../store/sessions"
require_relative "../view/supplies"

module NimbleEyelet
  module Route
    module SuppliesRoutes
      AT = %r{/api/workrooms/([a-z0-9-]+)/(closures|garments|sessions)/(\d+)/supplies}
      PAPERS = /#{AT}\.(csv|pdf)/

      def self.registered(app)
        app.helpers Helpers
        app.get(PAPERS) do |slug, whose, id, format|
          workroom_at(slug)
          title, found = supplies_of(whose, number(id))
          sends("shopping list.#{format}", of: title)
          if format == "csv"
            table(View::SuppliesView.csv(found, present))
          else
            drawn { Document::SuppliesPdf.new(title, found, present).render(dialect) }
          end
        end
        app.get(AT) do |slug, whose, id|
          workroom_at(slug)
          json(View::SuppliesView.of(supplies_of(whose, number(id)).last, present))
        end
        shelf(app)
      end

      def self.shelf(app)
        app.put("/api/workrooms/:slug/closures/:id/reservation") do
          button_of(number(params["id"])) { |id, name| reservations.lay_by(id, name, Integer(body_hash.fetch("count"))) }
        end
        app.put("/api/workrooms/:slug/closures/:id/shelf-count") do
          button_of(number(params["id"])) { |id, name| reservations.counted(id, name, Integer(body_hash.fetch("left"))) }
        end
      end

      module Helpers
        # Answers with what the closure takes by then.
        def button_of(id)
          yield(id, closures.find(id).plan.button.name)
          json(View::SuppliesView.of(supplies_of("closures", id).last, present))
        end
      end
    end
  end
end
