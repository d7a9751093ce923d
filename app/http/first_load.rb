# frozen_string_literal: true

# FirstLoad says what a page begins with, so that a browser fetches all of it at once instead of finding one after the
# other: its scripts as the build lists them, and the answers it asks for first.
#
#   FirstLoad.links("/w/marsh-walk/closures/1/length")   # => "</assets/Table-1a2b.js>; rel=modulepreload, …"

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "front_end"

module NimbleEyelet
  module Http
    module FirstLoad
      MANIFEST = File.join(FrontEnd::FOLDER, ".vite", "manifest.json")
      # What stages are called in addresses, and the folder of each.
      STAGES_AT = { "fabric" => "cloth", "button" => "button", "length" => "opening", "placement" => "placket",
                    "settings" => "recipe", "test" => "swatch", "sew" => "sewing", "sew-on" => "attach",
                    "print" => "print" }.freeze
      ROOM = %r{\A/w/(?<slug>[a-z0-9-]{1,80})}
      # Of an address the front end's own components, and what they ask for below /api/workrooms/:slug.
      PAGES = [
        [%r{#{ROOM}/?\z}o, ->(_) { ["pages/workroom/WorkroomPage"] }, ->(_) { ["", "/catalogue", "/under-way"] }],
        [%r{#{ROOM}/closures/(?<id>\d{1,9})/(?<stage>#{STAGES_AT.keys.join('|')})\z}o,
         ->(at) { ["table/Table", STAGES_AT.fetch(at[:stage]).then { |word| "stations/#{word}/#{word.capitalize}" }] },
         ->(at) { ["", "/catalogue", "/closures/#{at[:id]}?station=#{STAGES_AT.fetch(at[:stage])}"] }],
        [%r{#{ROOM}/sessions/(?<id>\d{1,9})/sew\z}o, ->(_) { ["pages/sew/SewPage"] }, ->(at) { ["", "/sessions/#{at[:id]}"] }]
      ].freeze

      # @param path [String] of the page
      # @return [String, nil] for the header Link; nothing for a page that is asked for seldom
      def self.links(path)
        PAGES.each do |pattern, parts, answers|
          at = path.match(pattern) or next

          files = parts.call(at).flat_map { |part| files("src/#{part}.svelte") }.uniq
          asked = answers.call(at).map { |rest| "</api/workrooms/#{at[:slug]}#{rest}>; rel=preload; as=fetch; crossorigin" }
          return [*files.map { |file| "</#{file}>; rel=modulepreload" }, *asked].join(", ")
        end
        nil
      end

      # Scripts that a part of the front end is loaded with, but for what the page itself names; it names every style.
      def self.files(part)
        entry = manifest[part] or return []
        [entry, *entry.fetch("imports", []).filter_map { |name| manifest[name] unless name == FrontEnd::PAGE }]
          .map { |one| one["file"] }
      end

      # Reads the list again when the front end was rebuilt while the server runs.
      def self.manifest
        at = File.mtime(MANIFEST)
        @built = [at, JSON.parse(File.read(MANIFEST))] unless @built&.first == at
        @built.last
      rescue Errno::ENOENT
        {}
      end
      private_class_method :files, :manifest
    end
  end
end
