# frozen_string_literal: true

# The swatch book: searched a page at a time, one leaf printed, carried out as CSV and JSON, and in as JSON.

require "date"
require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../document/swatch_files"
require_relative "../document/swatch_pdf"
require_relative "../store/journal"
require_relative "../store/swatch_book"
require_relative "../view/swatch_book"

module NimbleEyelet
  module Route
    module SwatchBookRoutes
      AT = "/api/workrooms/:slug/swatches"

      def self.registered(app)
        app.helpers Helpers
        app.get(AT) { turn_to(book.search(**asked)) }
        carrying(app)
        app.get("#{AT}/:entry.pdf") { swatch_pdf(params["entry"]) }
        app.get("#{AT}/:entry") { show_leaf(book.find(uuid(params["entry"]))) }
      end

      def self.carrying(app)
        app.get("/api/workrooms/:slug/swatches.csv") do
          sends("swatches.csv")
          leaves = book
          stream do |out|
            out << table(Document::SwatchFiles.header)
            leaves.each { |leaf| out << table(Document::SwatchFiles.row(leaf)) }
          end
        end
        app.get("/api/workrooms/:slug/swatches.json") do
          sends("swatches.json")
          leaves = book
          stream { |out| written(leaves) { |text| out << text } }
        end
        app.post("#{AT}/import") { json(take_in_leaves(Document::SwatchFiles.read(body_hash))) }
      end
      private_class_method :carrying

      module Helpers
        ANSWERS = { "yes" => true, "no" => false }.freeze

        def turn_to(page)
          seen = photos.of(page.leaves.map { |leaf| leaf.swatch.id })
          json(View::SwatchBookView.of(page, params["before"] ? {} : book.there, present, seen))
        end

        def show_leaf(leaf)
          id = leaf.swatch.id
          json(View::SwatchBookView.leaf(leaf, present, photos.of([id])[id]))
        end

        def asked
          given = ASKED.filter_map { |name| [name.to_sym, params[name]] unless params[name].to_s.empty? }.to_h
          { **given, machine: given[:machine] && number(given[:machine]), simulated: ANSWERS[given[:simulated]],
                     from: date(given[:from]), to: date(given[:to]), before: place_of(params["before"]) }
        end
        ASKED = ["words", "machine", "simulated", "from", "to", *Store::SwatchBook::FILTERS.keys.map(&:to_s)].freeze

        def date(text)
          text.to_s.empty? ? nil : Date.iso8601(text)
        rescue ArgumentError # a date that is none, or far too long for one
          raise Refusal.field("swatches.from", text.to_s[0, 40], "Write a date such as 2026-03-14.")
        end

        def place_of(text)
          return if text.to_s.empty?
          unless text.match?(/\A\d{4}-\d\d-\d\dT[\d:.]{8,15}Z_#{Form::JournalForm::UUID.source[2..-3]}\z/o)
            raise Store::Missing
          end

          text
        end

        def swatch_pdf(entry)
          leaf = book.find(uuid(entry))
          whose = leaf.closure ? "#{leaf.garment[:name]}: #{leaf.closure[:name]}" : ""
          sends("test hole.pdf", of: whose)
          drawn { Document::SwatchPdf.new(leaf, present, title: whose.empty? ? "Test hole" : whose).render(dialect) }
        end

        # One swatch after the other, so that none but that one is held.
        def written(leaves)
          yield "{\"version\":#{Document::SwatchFiles::VERSION},\"swatches\":["
          first = true
          leaves.each do |leaf|
            yield "#{",\n" unless first}#{JSON.generate(Document::SwatchFiles.json(leaf))}"
            first = false
          end
          yield "]}\n"
        end

        # All or none; what is here already is left alone, and a machine is known by its name.
        def take_in_leaves(entries)
          machines = workroom.machines.all.to_h { |machine| [machine.name, machine.id] }
          here = entries.map { |entry| leaf_here(entry, machines[entry.done_with["machine.name"]]) }
          taken = db.transaction { journal.take_in(here) }
          { taken: taken, known: entries.size - taken }
        end

        # @return [Array(Sewing::Entry, Integer, nil)] with the id of the machine that is called so here
        def leaf_here(entry, machine)
          simulated = entry.swatch.simulated
          id = machine && (simulated ? Swatches::StandIn.id(machine) : machine.to_s)
          with = entry.done_with.merge("machine.id" => id).compact
          swatch = entry.swatch.with(sewn_with: with, again: nil)
          [entry.with(done_with: with, swatch: swatch), machine]
        end
      end
    end
  end
end
