# frozen_string_literal: true

# photo_reading: measures a button or a test hole on the printed card, from a photo that is not kept. The card to print,
# and in the example made-up photos to try.

require_relative "../../lib/nimble_eyelet"
require_relative "../device/camera/lying"
require_relative "../device/camera/pixels"
require_relative "../device/stand_in_camera"
require_relative "../document/measuring_card_pdf"
require_relative "../store/errors"
require_relative "../view/photo_reading"

module NimbleEyelet
  module Route
    module PhotoReadingRoutes
      AT = "/api/workrooms/:slug/photo-reading"
      # So many are read at a time: each takes a second and a hundred megabytes.
      PLACES = Thread::SizedQueue.new(2)
      # A ruler laid on the card's check line, mm.
      RULER = (80..120)
      private_constant :PLACES

      def self.registered(app)
        app.helpers Helpers
        app.post(AT) { json(read_photo(request.body.tap(&:rewind).read)) }
        app.post("#{AT}/moved") { json(View::PhotoReadingView.length(moved_by_hand(body_hash), present)) }
        app.get("/api/measuring-card.pdf") { measuring_card(params.fetch("paper", "a4")) }
        app.get("/api/workrooms/:slug/closures/:id/practice-photo.jpg") { practice_photo(sheet_of(params["id"])) }
      end

      # One place after the other is waited for.
      def self.in_turn
        PLACES.push(true)
        yield
      ensure
        PLACES.pop
      end

      module Helpers
        def measuring_card(paper)
          content_type "application/pdf"
          drawn("measuring card #{paper}") { Document::MeasuringCardPdf.new(paper: paper).render(dialect) }
        end

        # @param bytes [String]
        # @return [Hash]
        # @raise [Refusal] for what is no photo, and for a photo that no figure can be read from
        def read_photo(bytes)
          form = BUTTON_SHAPES[params.fetch("shape", "rounded")] || raise(Store::Missing)
          known = { shape: form.key, ruler: ruler, thick: typed("thickness"), across: typed("across") }
          reading = PhotoReadingRoutes.in_turn do
            PhotoReading::Survey.of(Device::Pixels.read(bytes), what: params.fetch("of"), **known)
          end
          View::PhotoReadingView.of(reading, present, { diameter: form.across })
        rescue PhotoReading::Unreadable => e
          raise Refusal.field("photo", "", e.message)
        end

        # What somebody measured on the card's check line.
        def ruler
          text = params["ruler"].to_s.strip
          return PhotoReading::MeasuringCard::CHECKED if text.empty?

          length = Typing::Notation.read(text, unit: present.unit, field: "photo.ruler")
          raise Refusal.field("photo.ruler", text, "The line measures 100 mm, or a little less or more.") unless RULER.cover?(length.to_f)

          length.to_f
        end

        # @return [Float, nil] mm; what cannot be read is as good as not known
        def typed(name)
          text = params[name].to_s.strip
          length = text.empty? ? nil : Typing::Notation.read(text, unit: present.unit, field: "photo.#{name}").to_f
          length if length&.between?(0.3, 60)
        rescue Refusal
          nil
        end

        # @return [Float] mm
        def moved_by_hand(body)
          eye = body.fetch("eye")
          wide, tall = eye.values_at("width", "height")
          camera = PhotoReading::Camera.of(eye.fetch("numbers").map(&:to_f), [(wide - 1) / 2.0, (tall - 1) / 2.0])
          from, to = %w[from to].map { |ends| body.fetch(ends).map { |x, y| [(x * wide) - 0.5, (y * tall) - 0.5] } }
          found = PhotoReading::Survey.moved(camera, from, to, body.fetch("mm").to_f)
          raise Refusal.field("photo.points", "", "These points lie beyond the card.") unless found.finite? && found.between?(0, 500)

          found
        end

        # @return [String] JPEG
        def practice_photo(sheet)
          raise Store::Missing unless workroom.sample?

          response["cache-control"] = "no-store"
          content_type "image/jpeg"
          what = params.fetch("of", "button")
          random = Random.new(params.fetch("seed", "1").to_i)
          camera = Device::StandInCamera.new(random: random, size: [2400, 1800])
          PhotoReadingRoutes.in_turn { camera.shot(lying(sheet, what, random), across: what == "edge" ? 10 : nil).jpeg }
        end

        def lying(sheet, what, random)
          return Device::Lying.hole(practised_path(sheet), random) if what == "hole"

          button = sheet.plan.button
          Device::Lying.public_send(what == "edge" ? :standing : :flat, button, random)
        end

        def practised_path(sheet)
          raise Store::Missing unless sheet.layout && sheet.plan.button.opens?

          Simulation::PracticeWork.of(sheet).path
        end
      end
    end
  end
end
