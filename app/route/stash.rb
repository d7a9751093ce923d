# frozen_string_literal: true

# stash: the button box, searched, typed, counted, and carried in and out as CSV.

require_relative "../document/stash_csv"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/stash"
require_relative "../view/stash"
require_relative "stash_import"

module NimbleEyelet
  module Route
    module StashRoutes
      def self.registered(app)
        app.helpers Helpers
        keeping(app)
        carrying(app)
      end

      def self.keeping(app)
        app.get("/api/stash") { json(View::StashView.of(*stash.search(params["search"], from: params["from"].to_i), say)) }
        app.post("/api/stash") { show_item(stash.add(item_typed), status: 201) }
        app.put("/api/stash/:id") do
          show_item(stash.change(number(params["id"]), item_typed, revision: seen))
        rescue Store::Stale
          halt Problem.new(412, "This button was changed in another place meanwhile. Look again.").render
        end
        app.delete("/api/stash/:id") do
          stash.remove(number(params["id"]))
          halt 204
        end
      end

      def self.carrying(app)
        app.get("/api/stash.csv") do
          content_type "text/csv", charset: "utf-8"
          response["content-disposition"] = "attachment; filename=\"stash.csv\""
          box = stash
          stream do |out|
            out << Document::StashCsv.header
            box.each { |item| out << Document::StashCsv.line(item) }
          end
        end
        app.post("/api/stash/import") do
          import = StashImport.new(stash, request.body || StringIO.new, keep: params["keep"] == "yes", say: say)
          content_type "application/x-ndjson"
          stream { |out| import.each { |line| out << line } }
        end
      end

      module Helpers
        def stash = workroom.stash
        def item_typed = Store::Stash.read(body_hash, unit: workroom.unit)

        def show_item(kept, status: 200)
          etag_of(kept)
          json(View::StashView.item(kept, say), status: status)
        end
      end
    end
  end
end
