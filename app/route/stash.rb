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
      AT = "/api/workrooms/:slug/stash"

      def self.registered(app)
        app.helpers Helpers
        keeping(app)
        carrying(app)
      end

      def self.keeping(app)
        app.get(AT) { json(View::StashView.of(*stash.search(params["search"], from: params["from"].to_i), present)) }
        app.post(AT) { show_item(stash.add(item_typed), status: 201) }
        app.put("#{AT}/:id") do
          as_seen { |id, revision| show_item(stash.change(id, item_typed, revision: revision)) }
        end
        app.delete("#{AT}/:id") do
          as_seen { |id, revision| stash.remove(id, revision: revision) }
          halt 204
        end
      end

      def self.carrying(app)
        app.get("/api/workrooms/:slug/stash.csv") do
          sends("stash.csv")
          box = stash
          stream do |out|
            out << table(Document::StashCsv.header)
            box.each { |item| out << table(Document::StashCsv.line(item)) }
          end
        end
        app.post("/api/workrooms/:slug/stash/import") do
          import = StashImport.new(stash, request.body || StringIO.new, keep: params["keep"] == "yes", present: present,
                                                                        columns: columns_said)
          content_type "application/x-ndjson"
          stream { |out| import.each { |line| out << line } }
        end
      end

      module Helpers
        def as_seen
          yield(number(params["id"]), revision_seen)
        rescue Store::Stale
          halt Problem.new(412, "This button was changed in another place meanwhile. Look again.").render
        end

        def item_typed = Form::StashForm.read(body_hash, unit: workroom.unit)

        def show_item(record, status: 200)
          etag_of(record.revision)
          json(View::StashView.item(record, present), status: status)
        end
      end
    end
  end
end
