# frozen_string_literal: true

# garment: all closures of one garment and what is left to do, and the garment as a file.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/garment_file"
require_relative "../document/marks_csv"
require_relative "../document/record_pdf"
require_relative "../presenter"
require_relative "../store/garments"
require_relative "../view/garment"

module NimbleEyelet
  module Route
    module GarmentRoutes
      def self.registered(app)
        app.helpers Helpers
        papers(app)
        marks(app)
        file(app)
        app.get("/api/workrooms/:slug/garments/:id") do
          id = number(params["id"])
          remembered(stamps.garment(params["slug"], id)) { View::GarmentView.of(garments.find(id)) }
        end
      end

      # Out as a file, and in again.
      def self.file(app)
        app.get("/api/workrooms/:slug/garments/:id/file") do
          garment = garments.find(number(params["id"]))
          sends("garment.json", of: garment.name)
          Document::GarmentFile.write(garment, photos_of(garment))
        end
        app.post("/api/workrooms/:slug/garments/import") do
          content = Document::GarmentFile.read(request.body.tap(&:rewind).read.force_encoding(Encoding::UTF_8))
          json(View::GarmentView.of(garments.find(take_in_garment(content))), status: 201)
        end
      end

      def self.marks(app)
        app.get("/api/workrooms/:slug/closures/:id/marks.csv") do
          closure = closures.find(number(params["id"]))
          layout = closure.sheet.then { |sheet| sheet.layout || raise(Refusal, sheet.faults) }
          sends("marks.csv", of: closure.called)
          table(Document::MarksCsv.of(layout))
        end
      end

      # Its record.
      def self.papers(app)
        app.get(%r{/api/workrooms/([a-z0-9-]+)/garments/(\d+)/record\.pdf}) do |slug, id|
          workroom_at(slug)
          garment = garments.find(number(id))
          sends("record.pdf", of: garment.name)
          parts = garment.closures.map { |one| [one.plan.name, one.sheet, Presenter.new(one.unit)] }
          drawn(stamps.garment(slug, garment.id), garment.closures.map(&:unit)) { Document::RecordPdf.new(garment.name, parts).render }
        end
      end

      module Helpers
        # The middle size: enough to see every stitch.
        def photos_of(garment)
          entries = garment.closures.flat_map { |closure| closure.facts.swatches.map(&:id) }
          photos.of(entries).transform_values { |photo| settings.album.bytes(photo.kept, "large") }.compact
        end

        # A photo that cannot be read refuses the file before anything of it is taken.
        def take_in_garment(content)
          images = content.photos.transform_values { |bytes| settings.album.read(bytes) }
          id, ids = garments.take_in(content.name, content.closures)
          images.each { |entry, image| photos.put(ids.fetch(entry), image) if ids.key?(entry) }
          id
        end
      end
    end
  end
end
