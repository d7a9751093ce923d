# frozen_string_literal: true

# Photos of test holes: taken in, shown in three sizes, marked with two points of known distance, removed.

require_relative "../../lib/nimble_eyelet"
require_relative "../store/photos"
require_relative "../view/photo"

module NimbleEyelet
  module Route
    module PhotoRoutes
      AT = "/api/workrooms/:slug/swatches/:entry/photo"
      # A photo is never changed: another one lies at another place.
      # What is measured on a photo of a hole, and how far apart two marks lie at least, as a share of the picture.
      FARTHEST = Length.mm(500)
      CLOSEST = 0.01
      FOR_EVER = "private, max-age=31536000, immutable"

      def self.registered(app)
        app.helpers Helpers
        keeping(app)
        app.get(AT) do
          book.find(uuid(params["entry"]))
          photo = photos.of([uuid(params["entry"])]).values.first
          json(photo && View::PhotoView.of(photo, present))
        end
        app.get("#{AT}/:size.jpg") { show_photo(params["entry"], params["size"]) }
      end

      def self.keeping(app)
        app.put(AT) do
          photographed(params["entry"]) do |entry|
            photos.put(entry, settings.album.read(request.body.tap(&:rewind).read))
          end
        end
        app.put("#{AT}/points") { photographed(params["entry"]) { |entry| photos.mark(entry, points) } }
        app.delete(AT) do
          photos.remove(uuid(params["entry"]))
          halt 204
        end
      end
      private_class_method :keeping

      module Helpers
        def photographed(entry)
          yield uuid(entry)
          json(View::PhotoView.of(photos.find(uuid(entry)), present))
        end

        def show_photo(entry, size)
          raise Store::Missing unless Store::Album::SIZES.key?(size)

          bytes = photos.bytes(photos.find(uuid(entry)), size)
          content_type "image/jpeg"
          response["cache-control"] = FOR_EVER
          bytes
        end

        # Two points, and how far they lie apart as it was measured.
        def points
          return if body_hash["distance"].to_s.strip.empty?

          length = Typing::Notation.read(body_hash["distance"], unit: workroom.unit, field: "photo.distance")
          sound = length.positive? && length <= FARTHEST
          raise Refusal.field("photo.distance", body_hash["distance"], "More than nothing, and at most 500 mm.") unless sound

          marked.merge("mm" => length.to_f)
        end

        # As shares of the picture.
        def marked
          found = %w[x1 y1 x2 y2].to_h { |place| [place, body_hash[place].to_f.clamp(0, 1)] }
          apart = Math.hypot(found["x2"] - found["x1"], found["y2"] - found["y1"])
          raise Refusal.field("photo.points", "", "Both marks lie at one place: move one of them.") if apart < CLOSEST

          found
        end
      end
    end
  end
end
