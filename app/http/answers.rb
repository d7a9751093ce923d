# frozen_string_literal: true

# Answers remembers what was answered last at some addresses, as it is sent, under a stamp that changes with all that
# the answer hangs on. Who asks again is told that nothing changed, or gets the same bytes.
#
#   answers = Http::Answers.new(128)
#   answers.of([1, 3], "k3f9.41.7") { JSON.generate(value) }   # => Answer(tag: "…", plain: "…", packed: "…")

require "digest"
require "zlib"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Http
    # tag - String, for ETag; plain - String, JSON; packed - String, the same by gzip
    Answer = Value.of(:tag, :plain, :packed)

    class Answers
      ROOT = File.expand_path("../..", __dir__)
      # Another release may say the same things otherwise.
      RELEASE = Digest::SHA256.hexdigest(Dir[File.join(ROOT, "{lib,app}/**/*.{rb,yaml}")].map do |file|
        Digest::SHA256.file(file).hexdigest
      end.join)

      # @param stamp [String]
      # @return [String] for ETag
      def self.tag(stamp) = Digest::SHA256.hexdigest("#{RELEASE} #{stamp}")[0, 32]

      # @param most [Integer] answers that are remembered
      def initialize(most)
        @most = most
        @answers = {}
        @lock = Mutex.new
      end

      # @param key [Array] what is asked for
      # @param stamp [String]
      # @yieldreturn [String] JSON, when it is not remembered
      # @return [Answer]
      def of(key, stamp)
        tag = Answers.tag(stamp)
        known = @lock.synchronize { @answers[key] }
        return known if known && known.tag == tag

        plain = yield
        keep(key, Answer.new(tag: tag, plain: plain, packed: Zlib.gzip(plain, level: 1)))
      end

      private

      def keep(key, answer)
        @lock.synchronize do
          @answers.delete(key)
          @answers.shift if @answers.size >= @most
          @answers[key] = answer
        end
      end
    end
  end
end
