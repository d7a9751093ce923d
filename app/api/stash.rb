# frozen_string_literal: true

# stash: the button box, searched, typed, counted, and carried in and out as CSV.

require_relative "say"
require_relative "problem"
require_relative "../document/stash_csv"

module NimbleEyelet
  module Api
    module StashView
      # @param kept [Array<Store::Stash::Kept>]
      # @param total [Integer]
      # @return [Hash]
      def self.of(kept, total, say) = { total: total, buttons: kept.map { |item| item(item, say) } }

      # @param kept [Store::Stash::Kept]
      # @return [Hash]
      def self.item(kept, say)
        item = kept.item
        button = item.button
        { id: kept.id, revision: kept.revision, fields: fields(item, say), owned: item.owned, used: kept.used,
          says: "#{button.form.name}, #{say.words(button.across)}", half_perimeter: say.length(button.half_perimeter),
          picture: picture(button, Buttons::COLOURS.fetch(item.colour)) }
      end

      def self.picture(button, colour)
        { largest: button.across.to_f, face: button.face, holes: button.hole_places, hole: button.hole_diameter.to_f,
          rimmed: button.shape == "rimmed", ink: colour.ink, rim: colour.rim, section: button.section, height: button.height.to_f }
      end

      def self.fields(item, say)
        Store::Stash::BUTTON.merge(Store::Stash::MORE).to_h do |name, _|
          [name, say.typed(item.respond_to?(name) ? item.public_send(name) : item.button[name])]
        end
      end
      private_class_method :picture, :fields
    end

    # Takes a CSV into the stash, or shows what would become of each row. It answers line by line,
    # so that a person sees it move and nothing is held in memory.
    class StashImport
      BATCH = 200
      FATES = %w[new changed same bad].freeze
      TAKEN = %w[new changed].freeze

      # @param stash [Store::Stash]
      # @param io [IO]
      # @param keep [Boolean] false only looks
      # @param say [Say]
      # @raise [Refusal] when the file is none
      def initialize(stash, io, keep:, say:)
        @stash = stash
        @rows = Document::StashCsv::Reader.new(io)
        @keep = keep
        @say = say
      end

      # @yieldparam line [String] one JSON object and a line feed
      def each
        counts = FATES.to_h { |fate| [fate, 0] }
        @rows.each_slice(BATCH) do |rows|
          settle(rows).each do |row, fate|
            counts[fate] += 1
            yield line(row: row.number, name: row.name, fate: fate, why: why(row)) unless fate == "same"
          end
          yield line(bytes: rows.last.bytes)
        end
        yield line(summary: counts, kept: @keep)
      rescue Refusal => e
        yield line(problem: @say.words(e.faults.first.allowed), summary: counts, kept: @keep)
      end

      private

      # @return [Array<Array(Row, String)>] each row with its fate
      def settle(rows)
        there = @stash.named(rows.filter_map { |row| row.item && row.name })
        fates = rows.map { |row| [row, fate(row, there)] }
        @stash.put_all(fates.filter_map { |row, fate| row.item if TAKEN.include?(fate) }) if @keep
        fates
      end

      def fate(row, there)
        return "bad" unless row.item
        return "new" unless there[row.name]

        there[row.name] == row.item ? "same" : "changed"
      end

      def why(row) = row.faults.map { |fault| "#{fault.field.delete_prefix('button.')}: #{@say.words(fault.allowed)}" }.join(" ")
      def line(**what) = "#{JSON.generate(what)}\n"
    end

    module StashRoutes
      def self.registered(app)
        app.helpers Helpers
        keeping(app)
        carrying(app)
      end

      def self.keeping(app)
        app.get("/api/stash") { json(StashView.of(*stash.search(params["search"], from: params["from"].to_i), say)) }
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
          json(StashView.item(kept, say), status: status)
        end
      end
    end
  end
end
