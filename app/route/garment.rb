# frozen_string_literal: true

# garment: all closures of one garment and what is left to do, its note, a copy of it, and the garment as a file.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/garment_file_reader"
require_relative "../document/marks_csv"
require_relative "../form/workroom_form"
require_relative "../presenter"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/garments"
require_relative "../view/garment"

module NimbleEyelet
  module Route
    module GarmentRoutes
      AT = "/api/workrooms/:slug/garments/:id"

      def self.registered(app)
        app.helpers Helpers
        marks(app)
        file(app)
        changing(app)
        app.get(AT) do
          id = number(params["id"])
          remembered(stamps.garment(params["slug"], id)) { garment_page(garments.find(id)) }
        end
      end

      def self.changing(app)
        app.patch(AT) { change_garment(number(params["id"])) }
        app.post("#{AT}/copies") { copy_garment(number(params["id"])) }
      end

      # Out as a file, and in again.
      def self.file(app)
        app.get("/api/workrooms/:slug/garments/:id/file") do
          garment = garments.find(number(params["id"]))
          sends("garment.json", of: garment.name)
          garment_file(garment)
        end
        app.post("/api/workrooms/:slug/garments/import") do
          content = Document::GarmentFile.read(request.body.tap(&:rewind).read.force_encoding(Encoding::UTF_8))
          json(garment_page(garments.find(take_in_garment(content))), status: 201)
        end
      end

      def self.marks(app)
        app.get("/api/workrooms/:slug/closures/:id/marks.csv") do
          closure = closures.find(number(params["id"]))
          sheet = closure.sheet
          layout = sheet.layout || raise(Refusal, sheet.faults)
          sends("marks.csv", of: closure.called)
          table(Document::MarksCsv.of(layout, way: sheet.way))
        end
      end

      module Helpers
        def garment_page(garment) = View::GarmentView.of(garment, garment_photos.of(garment.id))

        def change_garment(id)
          values = { name: body_hash["name"]&.then { |text| Form::WorkroomForm.name(text, field: "garment.name") },
                     note: body_hash["note"]&.then { |text| note(text) }, archived: body_hash["archived"] }.compact
          json(garment_page(garments.change(id, was: body_hash["note_was"], **values)))
        rescue Store::Stale => e
          halt Problem.new(412, "The note was changed in another place meanwhile.", garment: garment_page(e.current)).render
        end

        # As it was typed, with its lines; only what no text holds is left out.
        def note(text)
          text = text.gsub(/[^[:print:]\n]/, "").rstrip
          most = Document::GarmentFileReader::LONGEST_NOTE
          return text if text.length <= most

          raise Refusal.field("garment.note", text[0, 40], "At most #{most} characters.")
        end

        # For another size its edges are longer or shorter, for another fabric that is typed in.
        def copy_garment(id)
          name = Form::WorkroomForm.name(body_hash["name"], field: "garment.name")
          unit = workroom.unit
          longer = body_hash["longer"].to_s.strip.then { |text| text.empty? ? Length.zero : longer_by(text, unit) }
          copy, left = garments.copy(id, name: name, longer: longer, template: body_hash["template"] == true) do |plan|
            form(unit).apply(body_hash.fetch("plan", {}), plan)
          end
          json({ garment: garment_page(garments.find(copy)), left_behind: left.map do |path|
            label_of(path)
          end }, status: 201)
        end

        def longer_by(text, unit)
          length = Typing::Notation.read(text.sub(/\A[-−]\s*/, ""), unit: unit, field: "garment.longer")
          text.match?(/\A[-−]/) ? Length.zero - length : length
        end

        # A photo that cannot be read refuses the file before anything of it is taken.
        def take_in_garment(content)
          images = content.photos.transform_values { |bytes| settings.album.read(bytes) }
          pictures = content.pictures.map { |bytes| settings.album.read(bytes) }
          id, ids = garments.take_in(content.name, content.closures, note: content.note)
          pictures.each { |image| garment_photos.add(id, image) }
          images.each { |entry, image| photos.put(ids.fetch(entry), image) if ids.key?(entry) }
          id
        end
      end
    end
  end
end
