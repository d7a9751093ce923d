# frozen_string_literal: true

require "prism"

module NimbleEyelet
  module Support
    # Sentences of the code that no fixture shows: what nobody has seen, nobody has read.
    class Unseen
      ROOMS = %w[sewing work].freeze
      WORDS = 3
      GAP = /%s|%d/

      # @param shown [Array<String>] everything that was said
      def initialize(shown) = @shown = shown

      # @return [Array<String>] pieces of three words or more, each with its file
      def pieces
        ROOMS.flat_map { |room| Dir[File.expand_path("../../lib/nimble_eyelet/#{room}/*.rb", __dir__)] }.flat_map do |file|
          literals(file).uniq.reject do |piece|
            @shown.any? do |text|
              text.include?(piece)
            end
          end.map { |piece| "#{File.basename(file)}: #{piece}" }
        end
      end

      private

      def literals(file)
        found = []
        nodes = [Prism.parse_file(file).value]
        while (node = nodes.shift)
          found.concat(node.unescaped.split(GAP)) if node.is_a?(Prism::StringNode)
          nodes.concat(node.compact_child_nodes)
        end
        found.flat_map do |text|
          text.split(/(?<=[.?!])\s+(?=[A-Z])/)
        end.map(&:strip).select { |piece| piece.split.size >= WORDS }
      end
    end
  end
end
