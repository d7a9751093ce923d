# frozen_string_literal: true

require "yaml"

module NimbleEyelet
  module Support
    # What a test presses and looks for goes by a name of words.yml, which says what stands there for it now.
    module Said
      FILE = File.expand_path("../words.yml", __dir__)
      GAP = "{…}"

      # @return [Hash{String => String}] words by name
      def self.names
        @names ||= YAML.safe_load_file(FILE).flat_map do |of, all|
          all.map do |name, words|
            ["#{of}.#{name}", words]
          end
        end.to_h
      end

      # What is said under that name: a test knows no other words of it.
      #
      # @param name [String] such as "stash_form.put_it_in_the"
      # @param figures [Array<String>] that stand in its gaps
      # @return [String]
      def said(name, *figures) = Said.names.fetch(name).gsub(GAP) { figures.shift }
    end
  end
end
