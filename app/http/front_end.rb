# frozen_string_literal: true

# FrontEnd finds the file of the built front end that an address means, packed as whoever asks can read it. Every
# address that is no file is the one page, which finds its way by itself.
#
#   FrontEnd.at("assets/index-1a2b.js", "br, gzip")   # => Found(file: "…/index-1a2b.js.br", type: ".js", encoding: "br")

require "digest"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Http
    module FrontEnd
      FOLDER = File.expand_path("../../web/dist", __dir__)
      PAGE = "index.html"
      # By what whoever asks calls it, the smallest first.
      PACKED = { "br" => ".br", "gzip" => ".gz" }.freeze

      # file - String; type - String, its extension before it was packed; encoding - String or nil
      # lasting - Boolean, its name changes with what is in it
      Found = Value.of(:file, :type, :encoding, :lasting)

      # @param path [String] from the address, without its first stroke
      # @param accepted [String] as Accept-Encoding says
      # @return [Found, nil] nil for an asset that is not there
      def self.at(path, accepted)
        file = File.expand_path(File.join(FOLDER, path))
        own = file.start_with?("#{FOLDER}/") && !path.match?(%r{(\A|/)\.}) && File.file?(file)
        return if !own && path.start_with?("assets/")

        file = File.join(FOLDER, PAGE) unless own
        encoding = PACKED.keys.find { |name| accepted.match?(/\b#{name}\b/) && File.file?(file + PACKED[name]) }
        Found.new(file: file + PACKED.fetch(encoding, ""), type: File.extname(file), encoding: encoding,
                  lasting: own && path.start_with?("assets/"))
      end

      def self.built? = File.file?(File.join(FOLDER, PAGE))

      INLINE = %r{<script>(.*?)</script>}m
      private_constant :INLINE

      # The scripts that stand in the page itself, as a browser is told that just these may run. Read again when the
      # front end was rebuilt while the server runs.
      #
      # @return [Array<String>] sources of a content security policy: "'sha256-…'"
      def self.inline
        at = File.mtime(File.join(FOLDER, PAGE))
        unless @inline&.first == at
          found = File.read(File.join(FOLDER, PAGE)).scan(INLINE).flatten
          @inline = [at, found.map { |script| "'sha256-#{Digest::SHA256.base64digest(script)}'" }]
        end
        @inline.last
      end
    end
  end
end
