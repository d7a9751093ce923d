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
      FOR_EVER = "private, max-age=31536000, immutable"

      def self.registered(app)
        app.helpers Helpers
        app.put(AT) do
          image = settings.album.read(request.body.tap(&:rewind).read)
          photos.put(uuid(params["entry"]), image)
          json(photo_of(params["entry"]))
        end
        app.delete(AT) do
          photos.remove(uuid(params["entry"]))
          halt 204
        end
        app.get(AT) { json(photo_of(params["entry"])) }
        app.put("#{AT}/points") do
          photos.mark(uuid(params["entry"]), points)
          json(photo_of(params["entry"]))
        end
        app.get("#{AT}/:size.jpg") { show_photo(params["entry"], params["size"]) }
      end

      module Helpers
        def photos = @photos ||= Store::Photos.new(workroom.scope, settings.album)
        def photo_of(entry) = View::PhotoView.of(photos.find(uuid(entry)), present)

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
          raise Refusal.field("photo.distance", body_hash["distance"], "More than nothing.") unless length.positive?

          body_hash.slice("x1", "y1", "x2", "y2").transform_values { |share| share.to_f.clamp(0, 1) }.merge("mm" => length.to_f)
        end
      end
    end
  end
end
