# frozen_string_literal: true

# stash: the button box, searched, typed, counted, and carried in and out as CSV.

require_relative "../document/stash_csv"
require_relative "../form/stash_form"
require_relative "../problem"
require_relative "../store/errors"
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
        app.get("/api/workrooms/:slug/stash") { json(View::StashView.of(*stash.search(params["search"], from: params["from"].to_i), present)) }
        app.post("/api/workrooms/:slug/stash") { show_item(stash.add(item_typed), status: 201) }
        app.put("/api/workrooms/:slug/stash/:id") do
          show_item(stash.change(number(params["id"]), item_typed, revision: revision_seen))
        rescue Store::Stale
          halt Problem.new(412, "This button was changed in another place meanwhile. Look again.").render
        end
        app.delete("/api/workrooms/:slug/stash/:id") do
          stash.remove(number(params["id"]), revision: revision_seen)
          halt 204
        rescue Store::Stale
          halt Problem.new(412, "This button was changed in another place meanwhile. Look again.").render
        end
      end

      def self.carrying(app)
        app.get("/api/workrooms/:slug/stash.csv") do
          sends("stash.csv")
          box = stash
          stream do |out|
            out << Document::StashCsv.header
            box.each { |item| out << Document::StashCsv.line(item) }
          end
        end
        app.post("/api/workrooms/:slug/stash/import") do
          import = StashImport.new(stash, request.body || StringIO.new, keep: params["keep"] == "yes", present: present)
          content_type "application/x-ndjson"
          stream { |out| import.each { |line| out << line } }
        end
      end

      module Helpers
        def item_typed = Form::StashForm.read(body_hash, unit: workroom.unit)

        def show_item(record, status: 200)
          etag_of(record.revision)
          json(View::StashView.item(record, present), status: status)
        end
      end
    end
  end
end
