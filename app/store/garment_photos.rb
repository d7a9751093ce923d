# frozen_string_literal: true

# Photos of a garment, the oldest first. One that was deleted can be put back until the next start of the application.
#
#   photos = Store::GarmentPhotos.new(scope, album)
#   photos.add(1, image)   # => id of the photo
#   photos.of(1)           # => [{ id: "…", width: 1200, height: 900 }]

require "securerandom"
require_relative "album"
require_relative "errors"

module NimbleEyelet
  module Store
    class GarmentPhotos
      # Of one garment.
      MOST = 12

      # @param scope [Scope]
      # @param album [Album]
      def initialize(scope, album)
        @scope = scope
        @album = album
      end

      # @param garment_id [Integer]
      # @return [Array<Hash>] id, width, height
      def of(garment_id) = rows(garment_id).order(:taken_at, :id).select(:id, :width, :height).all

      # @param garment_id [Integer]
      # @param image [Album::Image]
      # @return [String] id
      # @raise [Missing] when there is no such garment
      # @raise [Refusal] when it has as many as it can have
      def add(garment_id, image)
        raise Missing if @scope.standing(:garments).where(id: garment_id).empty?
        raise Refusal.field("photo", "", "A garment has at most #{MOST} photos: delete one first.") if rows(garment_id).count >= MOST

        kept = @album.keep(image, folder: @scope.workroom_id.to_s)
        SecureRandom.uuid.tap do |id|
          @scope.insert(:garment_photos, id: id, garment_id: garment_id, image_data: Sequel.pg_jsonb_wrap(kept),
                                         width: image.width, height: image.height)
        end
      rescue Sequel::Error
        # What no row knows of would lie there for ever.
        @album.drop(kept) if kept
        raise
      end

      # @param id [String]
      # @param size [String] of Album::SIZES
      # @return [String] JPEG
      # @raise [Missing]
      def bytes(id, size)
        raise Missing unless Album::SIZES.key?(size)

        kept = @scope[:garment_photos].where(id: id).get(:image_data) or raise Missing
        @album.bytes(kept.to_h, size) || raise(Missing)
      end

      # @param garment_id [Integer]
      # @param id [String]
      # @param away [Boolean] deleted, or put back
      # @raise [Missing]
      def remove(garment_id, id, away: true)
        found = @scope[:garment_photos].where(garment_id: garment_id, id: id)
        raise Missing if found.update(removed_at: away ? Sequel::CURRENT_TIMESTAMP : nil).zero?
      end

      # Those that were deleted go when the application starts.
      #
      # @param db [Sequel::Database]
      # @param album [Album]
      # @return [Integer] how many went
      def self.sweep(db, album)
        gone = db[:garment_photos].exclude(removed_at: nil)
        db.transaction { gone.returning(:image_data).delete.each { |row| album.drop(row[:image_data].to_h) }.size }
      end

      private

      def rows(garment_id) = @scope[:garment_photos].where(garment_id: garment_id, removed_at: nil)
    end
  end
end
