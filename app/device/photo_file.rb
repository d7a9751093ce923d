# frozen_string_literal: true

# PhotoFile checks that a file is a photo, by its content, and not too large to work with.
#
#   Device::PhotoFile.reading(bytes) { Vips::Image.new_from_buffer(bytes, "") }   # or raises a Refusal

# A picture that cannot be read is answered, not told to the log.
ENV["VIPS_WARNING"] ||= "1"
require "vips"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Device
    module PhotoFile
      LARGEST = 12 * 1024 * 1024
      MOST_PIXELS = 40_000_000
      # What it may be, by its content.
      LOADERS = /Load(Jpeg|Png|Webp)/i

      # @param bytes [String]
      # @yieldreturn [Object] the picture, opened
      # @return [Object]
      # @raise [Refusal] naming the photo, for what is none, is too large, or breaks off
      def self.reading(bytes)
        raise refused("At most 12 MB: take a smaller picture.") if bytes.bytesize > LARGEST

        found = opened(bytes)
        if found.width * found.height > MOST_PIXELS
          raise refused("At most 40 megapixels; this has #{(found.width * found.height / 1e6).round}.")
        end

        yield
      rescue Vips::Error
        raise refused("This picture breaks off: take it again.")
      end

      def self.opened(bytes)
        loader = Vips.vips_foreign_find_load_buffer(bytes, bytes.bytesize).to_s
        raise refused("This is no photo: JPEG, PNG or WebP.") unless loader.match?(LOADERS)

        Vips::Image.new_from_buffer(bytes, "", access: :sequential)
      end

      def self.refused(why) = Refusal.field("photo", "", why)
      private_class_method :opened, :refused
    end
  end
end
