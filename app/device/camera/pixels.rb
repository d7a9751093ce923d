# frozen_string_literal: true

# Pixels makes a picture that can be measured of a photo as it came: grey, upright, whole and once small.
#
#   Device::Pixels.read(jpeg)   # => PhotoReading::Picture

require "vips"
require_relative "../../../lib/nimble_eyelet"
require_relative "../photo_file"

module NimbleEyelet
  module Device
    module Pixels
      # The longer side, px: of the whole, finer than a thread on a card that fills it, and of the small one.
      WHOLE = 4000
      SMALL = 960

      # @param bytes [String] JPEG, PNG or WebP
      # @return [PhotoReading::Picture]
      # @raise [Refusal] for what is no photo
      def self.read(bytes) = PhotoFile.reading(bytes) { picture(bytes) }

      def self.picture(bytes)
        whole = Vips::Image.thumbnail_buffer(bytes, WHOLE, height: WHOLE, size: :down)
        whole = whole.flatten(background: [255, 255, 255]) if whole.has_alpha?
        whole = whole.colourspace(:b_w).cast(:uchar).copy_memory
        small = whole.width > SMALL || whole.height > SMALL ? whole.thumbnail_image(SMALL, height: SMALL) : whole
        PhotoReading::Picture.new(full: raster(whole), small: raster(small))
      end

      def self.raster(image)
        PhotoReading::Raster.new(width: image.width, height: image.height, bytes: image.write_to_memory)
      end
      private_class_method :picture, :raster
    end
  end
end
