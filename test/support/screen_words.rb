# frozen_string_literal: true

require "json"
require "open3"
require "prism"
require "yaml"
require_relative "../../app/dialect"
require_relative "said"
require_relative "word_list"

module NimbleEyelet
  module Support
    # Every sentence and label that screens, prints and errors hold, by the file it stands in: what a step says stands
    # in words.yml beside its meaning. What is worked out stands as {…}.
    class ScreenWords
      ROOT = File.expand_path("../..", __dir__)
      FILE = "#{ROOT}/docs/screens.yml".freeze
      HEAD = "# What screens, prints and errors say, by the file it stands in. Written by bin/words.\n"
      GAP = Said::GAP
      # What nobody reads: queries and code that is made. What steps say is heard by WordList.
      LEFT_OUT = %w[app/store app/http app/settings.rb app/memo.rb lib/nimble_eyelet/work lib/nimble_eyelet/sewing
                    lib/nimble_eyelet/older_words.rb lib/nimble_eyelet/value.rb].freeze
      # Two words, or one that begins large.
      SAID = /\A(?=.*[a-z]{2})(?:[A-Z“]|.*[^\s{}…]\s+[^\s{}…])/m
      CODE = %r{[<>=\[\]]|\{[ ]|::|\A/|\A\S*[/_]\S*\z|\A[A-Z][\w-]*\z(?<![a-z])|[a-z]\.[a-z_]|\w\(
                |%-?\d*[a-z](?![a-z\ ])|\A[A-Z]+\b.*[A-Z]{3}}x

      # @return [Hash{String => Array<String>}] texts by file
      def self.now
        web, status = Open3.capture2("node", "words.js", chdir: "#{ROOT}/web")
        raise "words.js could not read the screens" unless status.success?

        JSON.parse(web).transform_keys { |file| "web/src/#{file}" }.merge(ruby)
      end

      def self.ruby
        files = Dir["#{ROOT}/{lib,app}/**/*.rb"].map { |file| file.delete_prefix("#{ROOT}/") }.sort
        read = files.reject { |file| file.start_with?(*LEFT_OUT) }
        read.to_h { |file| [file, literals("#{ROOT}/#{file}")] }.reject { |_, all| all.empty? }
      end

      def self.literals(file)
        found = []
        nodes = [Prism.parse_file(file).value]
        while (node = nodes.shift)
          text = text_of(node) and found << text.gsub(/\s+/, " ").strip
          nodes.concat(node.is_a?(Prism::InterpolatedStringNode) ? inner(node) : node.compact_child_nodes)
        end
        found.select { |text| text.match?(SAID) && !text.match?(CODE) }.uniq
      end

      def self.text_of(node)
        case node
        when Prism::StringNode then node.unescaped.gsub(/%[sd]/, GAP)
        when Prism::InterpolatedStringNode
          node.parts.map { |part| part.is_a?(Prism::StringNode) ? part.unescaped.gsub(/%[sd]/, GAP) : GAP }.join
        end
      end

      def self.inner(node) = node.parts.grep_v(Prism::StringNode)
      private_class_method :ruby, :literals, :text_of, :inner

      def self.read = YAML.safe_load_file(FILE)

      def self.write(words = now) = File.write(FILE, HEAD + YAML.dump(words, line_width: -1).delete_prefix("---\n"))

      # The table of words that the browser reads.
      def self.american = "#{JSON.pretty_generate(Dialect::AMERICAN)}\n"
      def self.write_american = File.write("#{ROOT}/web/src/ui/american.json", american)

      # @param screens [Hash{String => Array<String>}]
      # @return [Array<String>] names whose words stand on no screen and in no step
      def self.unsaid(screens)
        steps = YAML.safe_load_file(WordList::FILE).fetch("steps").values.flatten.map { |row| row["says"].gsub(/\{[^}]+\}/, GAP) }
        # A field is called in its table as within a sentence, and begins large where it stands over its box.
        known = (screens.values.flatten + steps).join("\n").downcase
        gone = Said.names.reject { |_, words| known.include?(words.downcase) }
        gone.map { |name, words| "#{name}: #{words}" }
      end
    end
  end
end
