# frozen_string_literal: true

# What of a garment is printed: its record, and all of its sheets in one.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/card_pdf"
require_relative "../document/hole_card_pdf"
require_relative "../document/paper"
require_relative "../document/record_pdf"
require_relative "../document/strip_pdf"
require_relative "../document/supplies_pdf"
require_relative "../document/way_pdf"
require_relative "../presenter"
require_relative "../store/garments"
require_relative "../view/swatch"

module NimbleEyelet
  module Route
    module GarmentPapersRoutes
      AT = %r{/api/workrooms/([a-z0-9-]+)/garments/(\d+)}

      def self.registered(app)
        app.helpers Helpers
        app.get(%r{#{AT}/record\.pdf}o) do |slug, id|
          garment = garment_printed(slug, id, "record")
          drawn(stamps.garment(slug, garment.id), garment.closures.map(&:unit)) do
            record_of(garment, garment.name).render(dialect)
          end
        end
        # The shopping list counts the stash, so it is drawn each time.
        app.get(%r{#{AT}/sheets\.pdf}o) do |slug, id|
          all_sheets(garment_printed(slug, id, "all sheets"))
        end
      end

      module Helpers
        def garment_printed(slug, id, what)
          workroom_at(slug)
          garments.find(number(id)).tap { |garment| sends("#{what}.pdf", of: garment.name) }
        end

        def record_of(garment, title)
          parts = garment.closures.map { |one| [one.plan.name, one.sheet, Presenter.new(one.unit)] }
          Document::RecordPdf.new(title, parts)
        end

        # The shopping list first, then for each part its strip and what it is closed by, and the record.
        def all_sheets(garment)
          paper = params.fetch("paper", "a4")
          parts = garment.closures.select { |one| one.sheet.layout }.flat_map { |one| sheets_of(one, paper) }
          list = Document::SuppliesPdf.new("#{garment.name}: shopping list", supplies_of("garments", garment.id).last,
                                           Presenter.new(workroom.unit))
          pdf = Document::Paper.begun(garment.name, dialect)
          # One after the other: whoever prints a single sheet meanwhile does not wait for all of these.
          [list, *parts, record_of(garment, "#{garment.name}: record")].each { |part| drawn { part.draw_pages(pdf) } }
          drawn { pdf.render }
        end

        def sheets_of(closure, paper)
          present = Presenter.new(closure.unit)
          sheet = closure.sheet
          strip = strip_of(closure, sheet, in_unit: present)
          card = Document::HoleCardPdf.new(strip, closure.called, paper: paper == "roll" ? "a4" : paper)
          [Document::StripPdf.new(strip, closure.called, paper: paper), *(card if sheet.other_ways.carded?),
           *closed_by(sheet, present, closure.called)]
        end

        # What the machine is set to, and the page of another way to close: that of a ribbon has both.
        def closed_by(sheet, present, title)
          held = View::SwatchView.held(sheet, present)
          [(Document::CardPdf.new(sheet, present, title: title, held: held) unless sheet.way),
           (Document::WayPdf.new(sheet, present, title: title) if sheet.other_ways.chosen)].compact
        end
      end
    end
  end
end
