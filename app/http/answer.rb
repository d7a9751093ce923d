# frozen_string_literal: true

# Answer is what is sent for something that changes seldom, ready in both forms, and the tag that it is known by.
#
#   Http::Answer.of(json).packed     # by gzip
#   Http::Answer.tag("k3f9.41.7")    # for ETag

require "digest"
require "zlib"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Http
    # plain - String, JSON; packed - String, the same by gzip
    class Answer < Value.of(:plain, :packed)
      ROOT = File.expand_path("../..", __dir__)
      # Another release may say the same things otherwise.
      RELEASE = Dir[File.join(ROOT, "{lib,app}/**/*.{rb,yaml}")].each_with_object(Digest::SHA256.new) do |file, digest|
        digest.file(file)
      end.hexdigest

      # @param json [String]
      # @return [Answer]
      def self.of(json) = new(plain: json, packed: Zlib.gzip(json, level: 1))

      # @param stamp [String] of what the answer hangs on
      # @return [String] in quotes, as the header has it
      def self.tag(stamp) = "\"#{Digest::SHA256.hexdigest("#{RELEASE} #{stamp}")[0, 32]}\""
    end
  end
end
