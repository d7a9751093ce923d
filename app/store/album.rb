# frozen_string_literal: true

# Album is where photos of test holes lie: in the data folder, a folder a workroom, or in a store that
# speaks S3. What is kept has no place and no camera in it, and comes in three sizes.
#
#   album = Store::Album.in("var/photos")
#   image = album.read(bytes)              # => Image, or a Refusal
#   album.keep(image, folder: "3")         # => what the database remembers
#   album.bytes(kept, "small")             # => String

require "shrine"
require "shrine/storage/file_system"
require "stringio"
require "vips"
require_relative "../../lib/nimble_eyelet"
require_relative "../device/photo_file"

module NimbleEyelet
  module Store
    class Album
      # The longer side, px, at most: finer than a stitch on a hole that fills the picture.
      SIZES = { "original" => 4000, "large" => 1600, "small" => 320 }.freeze
      # One is read at a time: a large one takes a second and a hundred megabytes.
      READING = Mutex.new
      private_constant :READING
      QUALITY = { "original" => 92, "large" => 82, "small" => 76 }.freeze

      # A photo that was read. sizes - Hash of SIZES to JPEG; width, height - Integer of the original
      Image = Value.of(:sizes, :width, :height)

      # @param folder [String]
      # @return [Album]
      def self.in(folder) = new(Shrine::Storage::FileSystem.new(folder))

      # @param environment [Hash] NIMBLE_EYELET_S3_BUCKET and what goes with it, else the folder
      # @param folder [String]
      # @return [Album]
      def self.of(environment, folder)
        bucket = environment["NIMBLE_EYELET_S3_BUCKET"].to_s
        bucket.empty? ? self.in(folder) : new(s3(environment, bucket))
      end

      def self.s3(environment, bucket, **more)
        require "shrine/storage/s3"
        Aws::Xml::Parser.engine = :rexml
        options = { endpoint: environment["NIMBLE_EYELET_S3_ENDPOINT"], region: environment["NIMBLE_EYELET_S3_REGION"] || "us-east-1",
                    access_key_id: environment["NIMBLE_EYELET_S3_KEY"], secret_access_key: environment["NIMBLE_EYELET_S3_SECRET"],
                    force_path_style: true }.compact
        Shrine::Storage::S3.new(bucket: bucket, **options, **more)
      end
      private_class_method :s3

      # @param storage [Shrine::Storage]
      def initialize(storage)
        @uploader = Class.new(Shrine) { self.storages = { store: storage } }
      end

      # Reads a photo by its content, and nothing of where and with what it was taken.
      #
      # @param bytes [String]
      # @return [Image]
      # @raise [Refusal]
      def read(bytes)
        Device::PhotoFile.reading(bytes) { READING.synchronize { sizes(bytes) } }
      end

      # @param image [Image]
      # @param folder [String] of the workroom
      # @return [Hash] what the database keeps: where each size lies
      def keep(image, folder:)
        image.sizes.to_h do |size, bytes|
          place = "#{folder}/#{SecureRandom.alphanumeric(20)}-#{size}.jpg"
          told = { "size" => bytes.bytesize, "mime_type" => "image/jpeg" }
          [size, @uploader.upload(StringIO.new(bytes), :store, location: place, metadata: told).data]
        end
      end

      # @param kept [Hash] as {#keep} gave it
      # @param size [String] of SIZES
      # @return [String, nil] JPEG; nil where the file is gone
      def bytes(kept, size)
        @uploader.uploaded_file(kept.fetch(size).to_hash).open(&:read)
      rescue Shrine::FileNotFound
        nil
      end

      # @param kept [Hash]
      def drop(kept) = kept.each_value { |data| @uploader.uploaded_file(data.to_hash).delete }

      private

      # Turned upright, and shrunk while it is loaded.
      def sizes(bytes)
        longest = SIZES.values.max
        upright = flat(Vips::Image.thumbnail_buffer(bytes, longest, height: longest, size: :down)).copy_memory
        Image.new(width: upright.width, height: upright.height,
                  sizes: SIZES.to_h { |size, most| [size, written(upright, size, most)] })
      end

      # In plain colours, on white where it was clear.
      def flat(image)
        plain = image.interpretation == :srgb ? image : image.colourspace(:srgb)
        plain.has_alpha? ? plain.flatten(background: [255, 255, 255]) : plain
      end

      def written(image, size, most)
        longer = [image.width, image.height].max
        scaled = longer > most ? image.resize(most / longer.to_f) : image
        scaled.jpegsave_buffer(Q: QUALITY.fetch(size), strip: true, optimize_coding: true)
      end
    end
  end
end
