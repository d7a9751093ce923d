# frozen_string_literal: true

# garment: all closures of one garment and what is left to do, and the garment as a file.

require_relative "say"
require_relative "closure_view"
require_relative "../store/garments"
require_relative "../document/garment_file"
require_relative "../document/marks_csv"

module NimbleEyelet
  module Api
    module GarmentView
      # @param garment [Store::Garment]
      # @param say [Say]
      # @return [Hash]
      def self.of(garment, say)
        { id: garment.id, name: garment.name, closures: garment.closures.map { |closure| closure(closure, say) } }
      end

      def self.closure(closure, say)
        sheet = Sheet.of(closure.plan)
        steps = sheet.progress&.steps || []
        { id: closure.id, name: closure.document.fields["closure.name"], holes: sheet.layout ? sheet.layout.holes.size : 0,
          places: sheet.layout ? sheet.layout.holes.map { |hole| hole.at.to_f } : [], run_length: sheet.plan.run.length.to_f,
          overlap: Placket::OVERLAPS.fetch(sheet.plan.run.overlap), button: sheet.plan.button.name,
          opening: say.length(sheet.cut.length),
          machine: closure.machine.name, stages: sheet.stages.map { |word, state| { word: word, state: state } },
          steps: steps.size, done: (steps.map(&:key) & sheet.plan.steps_done).size,
          trouble: sheet.layout ? nil : sheet.faults.map { |fault| say.words(fault.allowed) }.join(" ") }
      end
      private_class_method :closure
    end

    module GarmentRoutes
      def self.registered(app)
        app.helpers Helpers
        app.get("/api/garments/:id/file") do
          garment = garments.find(number(params["id"]))
          content_type :json
          response["content-disposition"] = "attachment; filename=\"garment-#{garment.id}.json\""
          Document::GarmentFile.write(garment)
        end
        app.get("/api/garments/:id") { json(GarmentView.of(garments.find(number(params["id"])), say)) }
        app.post("/api/garments/import") do
          content = Document::GarmentFile.read(request.body.tap(&:rewind).read.force_encoding(Encoding::UTF_8))
          json(GarmentView.of(garments.find(garments.take_in(content.name, content.closures)), say), status: 201)
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
