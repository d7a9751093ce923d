# frozen_string_literal: true

# Photos of the test holes of a workroom: one each, with two points on it whose distance is known.
#
#   photos.put(entry, image)
#   photos.find(entry)   # => Photo

require "securerandom"
require_relative "../../lib/nimble_eyelet"
require_relative "album"
require_relative "errors"

module NimbleEyelet
  module Store
    # points - Hash of "x1", "y1", "x2", "y2" (shares of width and height) and "mm", or nil
    Photo = Value.of(:entry, :width, :height, :points, :kept)

    class Photos
      # @param scope [Scope]
      # @param album [Album]
      def initialize(scope, album)
        @scope = scope
        @album = album
      end

      # @param entries [Array<String>] ids of test holes
      # @return [Hash{String => Photo}] of those that stand and have one
      def of(entries)
        standing = entries - @scope[:journal].where(kind: "withdrawal", about: entries).select_map(:about)
        @scope[:photos].where(entry: standing).all.to_h { |row| [row[:entry], photo(row)] }
      end

      # @param entry [String]
      # @return [Photo]
      # @raise [Missing]
      def find(entry) = of([entry])[entry] || raise(Missing)

      # In the place of the one before.
      #
      # @param entry [String] of a test hole
      # @param image [Album::Image]
      # @param points [Hash, nil]
      # @raise [Missing] when there is no such test hole, or not any more
      def put(entry, image, points: nil)
        raise Missing unless stands?(entry)

        before = of([entry])[entry]
        kept = @album.keep(image, folder: @scope.workroom_id.to_s)
        row = { entry: entry, image_data: Sequel.pg_jsonb_wrap(kept), width: image.width, height: image.height,
                points: points && Sequel.pg_jsonb_wrap(points) }
        @scope.upsert(:photos, [row], target: [:entry], update: row.except(:entry))
        @album.drop(before.kept) if before
      rescue Sequel::Error
        # What no row knows of would lie there for ever.
        @album.drop(kept) if kept
        raise
      end

      # @param points [Hash, nil]
      # @raise [Missing]
      def mark(entry, points)
        raise Missing unless stands?(entry)

        changed = @scope[:photos].where(entry: entry).update(points: points && Sequel.pg_jsonb_wrap(points))
        raise Missing if changed.zero?
      end

      # @raise [Missing]
      def remove(entry)
        photo = find(entry)
        @scope[:photos].where(entry: entry).delete
        @album.drop(photo.kept)
      end

      # @param photo [Photo]
      # @param size [String]
      # @return [String] JPEG
      # @raise [Missing] when the file is gone
      def bytes(photo, size) = @album.bytes(photo.kept, size) || raise(Missing)

      WITHDRAWN = <<~SQL
        DELETE FROM photos p USING journal w
         WHERE w.workroom_id = p.workroom_id AND w.about = p.entry AND w.kind = 'withdrawal' RETURNING p.image_data
      SQL
      private_constant :WITHDRAWN

      # Photos of test holes that were withdrawn go when the application starts.
      #
      # @param db [Sequel::Database]
      # @param album [Album]
      # @return [Integer] how many went
      def self.sweep(db, album)
        db.transaction { db.fetch(WITHDRAWN).select_map(:image_data).each { |kept| album.drop(kept.to_h) }.size }
      end

      private

      def stands?(entry)
        @scope[:journal].where(id: entry, kind: "swatch").any? && @scope[:journal].where(kind: "withdrawal", about: entry).empty?
      end

      def photo(row)
        Photo.new(entry: row[:entry], width: row[:width], height: row[:height], points: row[:points]&.to_h,
                  kept: row[:image_data].to_h)
      end
    end
  end
end
