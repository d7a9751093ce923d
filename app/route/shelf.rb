# frozen_string_literal: true

# The shelves of cloths, threads and stabilisers: searched, typed, put away, and carried in and out as CSV.

require_relative "../document/shelf_csv"
require_relative "../form/shelf_form"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/shelf"
require_relative "../view/shelf"

module NimbleEyelet
  module Route
    module ShelfRoutes
      AT = "/api/workrooms/:slug/shelves/:shelf"

      def self.registered(app)
        app.helpers Helpers
        keeping(app)
        carrying(app)
      end

      def self.keeping(app)
        app.get(AT) { json(View::ShelfView.of(shelf, shelf.search(params["search"]), present)) }
        changing(app)
      end

      def self.changing(app)
        app.post(AT) { show_shelf_item(shelf.add(shelf_typed), status: 201) }
        app.put("#{AT}/:id") { in_time { show_shelf_item(shelf.change(number(params["id"]), shelf_typed, revision: revision_seen)) } }
        app.delete("#{AT}/:id") do
          in_time { shelf.remove(number(params["id"]), revision: revision_seen) }
          halt 204
        end
      end

      def self.carrying(app)
        app.get(%r{/api/workrooms/([a-z0-9-]+)/(cloths|threads|stabilisers)\.csv}) do |slug, kind|
          workroom_at(slug)
          sends("#{kind}.csv")
          table(Document::ShelfCsv.write(workroom.shelf_of(kind)))
        end
        app.post("#{AT}/import") do
          bytes = request.body.tap(&:rewind).read
          json(taken_in(Document::ShelfCsv.read(shelf.kind, bytes, columns: columns_said)))
        end
      end
      private_class_method :keeping, :carrying

      module Helpers
        def shelf_typed = Form::ShelfForm.new(shelf.kind, workroom.unit).read(body_hash)

        def show_shelf_item(row, status: 200)
          etag_of(row[:revision])
          json(View::ShelfView.item(shelf, row, present), status: status)
        end

        def in_time
          yield
        rescue Store::Stale
          halt Problem.new(412, "This was changed in another place meanwhile. Look again.").render
        end

        def columns_of(read)
          { asks: read.asks, columns: read.columns.map { |given, ours| { given: given, ours: ours } },
            fields: shelf.kind.fields.map { |name, field| { key: name, name: field.label } } }
        end

        # What became of each row, or would become of it as long as nobody said to keep it.
        def taken_in(read)
          keep = params["keep"] == "yes"
          good, bad = read.rows.partition(&:values)
          fates = shelf.all_or_none { good.map { |row| shelf.put(row.values, keep: keep) } }.tally
          { kept: keep, **columns_of(read), **%i[new changed same].to_h { |fate| [fate, fates.fetch(fate, 0)] },
            bad: bad.map do |row|
              { row: row.number, name: row.name,
                why: row.faults.map { |fault| present.words(fault.allowed) }.join(" ") }
            end }
        end
      end
    end
  end
end
