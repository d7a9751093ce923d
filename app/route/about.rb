# frozen_string_literal: true

# What the application says of itself: whether it answers, its version, where its data lies, and all of the data as one
# file.

require "fileutils"
require "tmpdir"
require_relative "../../lib/nimble_eyelet"
require_relative "../store/database"
require_relative "../store/errors"

module NimbleEyelet
  module Route
    module AboutRoutes
      # What people notice of the newest version, as CHANGELOG.md has it.
      module Changes
        FILE = File.expand_path("../../CHANGELOG.md", __dir__)

        # @return [Array<String>] one sentence or more each, without marks
        def self.newest
          @newest ||= File.read(FILE).split(/^## /)[1].to_s.split(/^- /).drop(1).map do |change|
            change.gsub(/\s+/, " ").gsub(/(?<!\w)\*([^*]+)\*/, '“\1”').delete("`").strip
          end
        end
      end

      # A file that is read piece by piece and gone, with its folder, once it was sent.
      class SentOnce
        PIECE = 64 * 1024

        # @param file [String]
        # @param folder [String]
        def initialize(file, folder)
          @file = file
          @folder = folder
        end

        def each
          File.open(@file, "rb") do |io|
            while (piece = io.read(PIECE))
              yield piece
            end
          end
        end

        def close = FileUtils.rm_rf(@folder)
      end

      # Writing all of the data out is work for the database, too.
      ONE_AT_A_TIME = Mutex.new

      def self.registered(app)
        app.helpers Helpers
        app.get("/api/about") do
          # Only the keeper learns where it lies.
          keeping = settings.keeping if person.may?("keeper", nil)
          json({ version: VERSION, changes: Changes.newest, data: keeping&.where.to_s, backup: !keeping.nil? })
        end
        app.get("/api/health") { health }
        app.get("/api/backup") { send_backup }
      end

      module Helpers
        def health
          tries ||= 0
          settings.aside.fetch("SELECT 1").get
          json({ status: "ok", database: "answers", version: VERSION })
        rescue *Store::Database::AWAY, Sequel::DatabaseError
          settings.aside.disconnect
          # A connection of before it went away says nothing about now.
          retry if (tries += 1) < 2
          json({ status: "waiting", database: "away", version: VERSION }, status: 503)
        end

        def send_backup
          keeping = settings.keeping or raise Store::Missing
          folder = Dir.mktmpdir("nimble-eyelet-")
          file = ONE_AT_A_TIME.synchronize { keeping.write(folder) }
          content_type "application/x-tar"
          response["content-disposition"] = "attachment; filename=\"nimble-eyelet-#{settings.now.strftime('%Y-%m-%d')}.tar\""
          response["content-length"] = File.size(file).to_s
          SentOnce.new(file, folder)
        rescue StandardError
          FileUtils.rm_rf(folder) if folder
          raise
        end
      end
    end
  end
end
