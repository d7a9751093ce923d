# frozen_string_literal: true

# Photos of a garment: taken in, shown in three sizes, deleted and put back.

require_relative "../../lib/nimble_eyelet"
require_relative "../store/garment_photos"

module NimbleEyelet
  module Route
    module GarmentPhotoRoutes
      AT = "/api/workrooms/:slug/garments/:id/photos"
      # A photo is never changed: another one has another id.
      FOR_EVER = "private, max-age=31536000, immutable"

      def self.registered(app)
        app.helpers Helpers
        app.post(AT) { add_garment_photo(number(params["id"])) }
        app.get("#{AT}/:photo/:size.jpg") { show_garment_photo(uuid(params["photo"]), params["size"]) }
        app.delete("#{AT}/:photo") { move_garment_photo(away: true) }
        app.post("#{AT}/:photo/back") { move_garment_photo(away: false) }
      end

      module Helpers
        def add_garment_photo(id)
          garment_photos.add(id, settings.album.read(request.body.tap(&:rewind).read))
          json(garment_photos.of(id), status: 201)
        end

        def show_garment_photo(photo, size)
          bytes = garment_photos.bytes(photo, size)
          content_type "image/jpeg"
          response["cache-control"] = FOR_EVER
          bytes
        end

        def move_garment_photo(away:)
          garment_photos.remove(number(params["id"]), uuid(params["photo"]), away: away)
          json(garment_photos.of(number(params["id"])))
        end
      end
    end
  end
end
