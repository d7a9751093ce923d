# frozen_string_literal: true

require "yaml"

module NimbleEyelet
  module Support
    # Every sentence a step can say, as it comes out of many closures: what stands in its place for a figure, an
    # example, and by hand what it means. A sentence goes by its operation.
    class WordList
      FILE = File.expand_path("../../docs/words.yml", __dir__)
      HEAD = "# What steps say, by what is done. Written by bin/words; what a sentence means is written here by hand.\n"
      # Marks a figure within a text: its number among the figures of that text.
      SLOT = /\u0001(\d+)\u0002/
      ENDS = /(?<=[.?!])\s+(?=[A-Z\u0001])/
      # What is a figure though nothing names it: a number, and what goes through a hole.
      FIGURE = /(?<![\w.\u0001])\d+(?:\.\d+)?(?![\w\u0002]|\.\d)|(?<=put the )\w+(?= through)/

      # A text that is told as it is kept; one word alone is a key.
      TOLD = /[\d\s]/

      # Between the words of one figure, so that a meaning can be split at spaces.
      SPACE = "\u00a0"

      # A sentence as it was met: its text with slots, and of each slot its words and the names it may have.
      Met = Struct.new(:text, :slots)

      def self.read = @read ||= new(YAML.safe_load_file(FILE).fetch("steps"))

      # @param rows [Hash{String => Array<Hash>}] by operation
      def initialize(rows) = @rows = rows

      # @param operations [Enumerable<Work::Operation>]
      # @param known [WordList, nil] whose meanings are kept
      # @return [WordList]
      def self.of(operations, known = nil)
        met = Hash.new { |all, key| all[key] = Hash.new { |of, text| of[text] = [] } }
        operations.each do |one|
          sentences(one).each { |sentence| met[one.key][sentence.text] << sentence.slots }
        end
        new(met.sort.to_h { |key, texts| [key, rows(texts, known&.meanings(key) || {})] })
      end

      def self.rows(texts, meanings)
        texts.map { |text, all| row(text, all) }.uniq { |row| row["says"] }.sort_by { |row| row["says"] }.map do |row|
          { **row, "means" => meanings[row["says"]] }.compact
        end
      end

      # What is the same wherever it was met is no figure.
      def self.row(text, all)
        names = []
        says = text.gsub(SLOT) do
          slots = all.map { |one| one[Regexp.last_match(1).to_i] }
          shared = slots.map(&:last).reduce(:&)
          words = slots.map(&:first).uniq
          next words.first if words.one? && shared.empty?

          "{#{names.push((shared - names).first || "figure #{names.size + 1}").last}}"
        end
        { "says" => says, "example" => text.gsub(SLOT) { all.first[Regexp.last_match(1).to_i].first } }
      end

      # @param operation [Work::Operation]
      # @return [Array<Met>]
      def self.sentences(operation)
        [operation.says, *operation.minds].compact.flat_map do |text|
          slots = []
          marked(text, operation, slots).split(ENDS).map do |sentence|
            own = []
            Met.new(sentence.gsub(SLOT) { own.push(slots[Regexp.last_match(1).to_i]) && "\u0001#{own.size - 1}\u0002" }, own)
          end
        end
      end

      def self.marked(text, operation, slots)
        return marked_string(text.to_s, operation, slots) unless text.is_a?(Sentence)

        figures = text.figures.dup
        text.template.split(/(%s)/).map do |piece|
          piece == "%s" ? figure(figures.shift, operation, slots) : marked_string(piece, operation, slots)
        end.join
      end

      def self.figure(value, operation, slots)
        if value.is_a?(Sentence) || (value.is_a?(String) && value.match?(/[a-z]+ [a-z]/i))
          return marked(value, operation,
                        slots)
        end

        length = value.is_a?(ToolLength) ? value.length : value
        slot(Sentence.in(value, :mm), named(operation).select { |_, one| one == length }.keys, slots)
      end

      def self.named(operation)
        states = operation.sets.to_h { |part, state| [part, MACHINE_PARTS.fetch(part).called(state)] }
        states.merge(operation.figures, laid(operation)).compact
      end

      # A stabiliser is kept by its key, and said by its name, which speaks of a tack where one is sewn.
      def self.laid(operation)
        key = operation.figures["recipe.stabiliser"] or return {}
        name = Stabiliser.called(key)
        { "recipe.stabiliser" => [name, name.gsub("hole", "tack")].find { |one| operation.says.to_s.include?(one) } }
      end

      def self.slot(words, names, slots)
        slots << [words, names]
        "\u0001#{slots.size - 1}\u0002"
      end

      def self.marked_string(text, operation, slots)
        named(operation).select do |_, value|
          value.is_a?(String) && value.match?(TOLD)
        end.sort_by { |_, value| -value.size }.each do |name, value|
          names = named(operation).select { |_, one| one == value }.keys
          text = text.sub(/(?<![\w.\u0001])#{Regexp.escape(value)}(?![\w\u0002]|\.\d)/) do
            slot(value, [name, *names].uniq, slots)
          end
        end
        text.gsub(FIGURE) { |words| slot(words, [], slots) }
      end
      private_class_method :rows, :row, :sentences, :marked, :figure, :named, :laid, :slot, :marked_string

      # @return [Hash{String => String}] what it means, by what it says
      def meanings(key) = @rows.fetch(key, []).to_h { |row| [row["says"], row["means"]] }.compact

      def to_h = @rows

      def write
        File.write(FILE, HEAD + YAML.dump({ "steps" => @rows }, line_width: -1).delete_prefix("---\n"))
      end

      # @param sentence [String] as somebody reads it
      # @return [String, nil] what it means, with its figures; empty where nothing is to be done; nil for what was never
      #   heard
      def meaning(sentence)
        patterns.each do |pattern, names, means|
          found = sentence.match(pattern) or next
          figures = names.zip(found.captures).to_h
          return means.to_s.gsub(/\{([^}]+)\}/) { figures.fetch(Regexp.last_match(1)).tr(" ", SPACE) }
        end
        nil
      end

      private

      # Those with the most words of their own first.
      def patterns
        @patterns ||= @rows.values.flatten.uniq do |row|
          row.slice("says", "means")
        end.sort_by { |row| -row["says"].gsub(/\{.*?\}/, "").size }.map do |row|
          pattern = row["says"].split(/(\{[^}]+\})/).map { |piece| piece.start_with?("{") ? "(.+?)" : Regexp.escape(piece) }.join
          [/\A#{pattern}\z/, row["says"].scan(/\{([^}]+)\}/).flatten, row["means"]]
        end
      end
    end
  end
end
