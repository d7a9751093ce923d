# frozen_string_literal: true

# everything: all of a workroom as one file of files, each of which can be opened again: its garments with what was
# sewn, its shelves and its stash.

require "rubygems/package"
require "stringio"
require_relative "../document/shelf_csv"
require_relative "../document/stash_csv"
require_relative "../field/shelf_fields"
require_relative "../store/garments"

module NimbleEyelet
  module Route
    module EverythingRoutes
      READABLE = 0o644

      def self.registered(app)
        app.helpers Helpers
        app.get("/api/workrooms/:slug/everything.tar") do
          content_type "application/x-tar"
          response["content-disposition"] = "attachment; filename=\"#{workroom.slug}.tar\""
          packed(everything)
        end
      end

      module Helpers
        # @return [Hash{String => String}] files by name
        def everything
          buttons = [Document::StashCsv.header, *stash.enum_for(:each).map { |item| Document::StashCsv.line(item) }]
          { **all_garments, **all_shelves, "stash.csv" => table(buttons.join) }
        end

        def all_garments
          workroom.scope.standing(:garments).order(:id).select_map(:id).to_h do |id|
            garment = garments.find(id)
            ["garments/#{id}-#{plain(garment.name)}.json", garment_file(garment)]
          end
        end

        def all_shelves
          ShelfFields::SHELVES.keys.to_h do |kind|
            ["#{kind}.csv", table(Document::ShelfCsv.write(workroom.shelf_of(kind)))]
          end
        end

        def plain(name) = name.unicode_normalize(:nfkd).gsub(/[^A-Za-z0-9]+/, "-")[0, 60]

        # @param files [Hash{String => String}]
        # @return [String] a tar (POSIX ustar, IEEE Std 1003.1)
        def packed(files)
          out = StringIO.new("".b)
          Gem::Package::TarWriter.new(out) do |tar|
            files.each { |name, text| tar.add_file_simple(name, READABLE, text.bytesize) { |file| file.write(text) } }
          end
          out.string
        end
      end
    end
  end
end
