# frozen_string_literal: true

# garment: all closures of one garment and what is left to do, and the garment as a file.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/garment_file"
require_relative "../document/marks_csv"
require_relative "../store/garments"
require_relative "../view/garment"

module NimbleEyelet
  module Route
    module GarmentRoutes
      def self.registered(app)
        app.helpers Helpers
        app.get("/api/workrooms/:slug/garments/:id/file") do
          garment = garments.find(number(params["id"]))
          content_type :json
          response["content-disposition"] = "attachment; filename=\"garment-#{garment.id}.json\""
          Document::GarmentFile.write(garment)
        end
        app.get("/api/workrooms/:slug/garments/:id") do
          id = number(params["id"])
          remembered(stamps.garment(params["slug"], id)) { View::GarmentView.of(garments.find(id)) }
        end
        app.post("/api/workrooms/:slug/garments/import") do
          content = Document::GarmentFile.read(request.body.tap(&:rewind).read.force_encoding(Encoding::UTF_8))
          json(View::GarmentView.of(garments.find(garments.take_in(content.name, content.closures))), status: 201)
        end
        app.get("/api/workrooms/:slug/closures/:id/marks.csv") do
          closure = closures.find(number(params["id"]))
          layout = closure.sheet.then { |sheet| sheet.layout || raise(Refusal, sheet.faults) }
          content_type "text/csv", charset: "utf-8"
          response["content-disposition"] = "attachment; filename=\"marks-#{closure.id}.csv\""
          Document::MarksCsv.of(layout)
        end
      end

      module Helpers
        def garments = @garments ||= Store::Garments.new(workroom)
      end
    end
  end
end
