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
        app.get("/api/garments/:id/file") do
          garment = garments.find(number(params["id"]))
          content_type :json
          response["content-disposition"] = "attachment; filename=\"garment-#{garment.id}.json\""
          Document::GarmentFile.write(garment)
        end
        app.get("/api/garments/:id") { json(View::GarmentView.of(garments.find(number(params["id"])), say)) }
        app.post("/api/garments/import") do
          content = Document::GarmentFile.read(request.body.tap(&:rewind).read.force_encoding(Encoding::UTF_8))
          json(View::GarmentView.of(garments.find(garments.take_in(content.name, content.closures)), say), status: 201)
        end
        app.get(%r{/api/closures/(\d+)/marks\.csv}) do |id|
          layout = Sheet.of(closures.find(number(id)).plan).then { |sheet| sheet.layout || raise(Refusal, sheet.faults) }
          content_type "text/csv", charset: "utf-8"
          response["content-disposition"] = "attachment; filename=\"marks-#{id}.csv\""
          Document::MarksCsv.of(layout)
        end
      end

      module Helpers
        def garments = @garments ||= Store::Garments.new(db, workroom.id)
      end
    end
  end
end
