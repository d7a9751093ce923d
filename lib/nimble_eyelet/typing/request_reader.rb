# frozen_string_literal: true

# RequestReader takes a line apart: lengths by what stands beside them, counts by what they count, then the longest
# phrases that are known, then words that are nearly known. Each part of the line is taken once.
#
#   Typing::RequestReader.read("coat cuff, 3 buttons 24L", words: words, unit: :mm)   # => Request

require "did_you_mean"
require_relative "../answer/refusal"
require_relative "notation"
require_relative "request"
require_relative "request_grammar"

module NimbleEyelet
  module Typing
    class RequestReader
      include RequestGrammar

      # Nobody says what needs buttonholes in more characters than this.
      LONGEST_LINE = 200

      # @param text [String] at most LONGEST_LINE characters are read
      # @param words [Array<RequestWord>]
      # @param unit [Symbol] the person's unit, of a figure without one
      # @return [Request]
      def self.read(text, words:, unit:) = new(text.to_s[0, LONGEST_LINE], words, unit).read

      # @param text [String]
      # @param words [Array<RequestWord>]
      # @param unit [Symbol]
      def initialize(text, words, unit)
        @text = text
        @words = words
        @unit = unit
        @findings = []
      end

      # @return [Request]
      def read
        # A name with a figure in it is no length.
        phrases(@words.select { |word| word.phrase.match?(/\d/) })
        attachments
        lengths
        counts
        bare_sizes
        phrases(@words)
        nearly
        Request.new(text: @text, findings: @findings.sort_by { |one| one.span.from }, unread: unread)
      end

      private

      def word(kind, path, typed) = RequestWord.new(phrase: "", kind: kind, sets: { path => typed })

      def attachments
        scan(ATTACHED) { |match| take(match, word("attachment", "button.attachment", HOLES.fetch(match[1].downcase))) }
      end

      # What stands beside the buttons is their size; then comes what says itself what it is.
      def lengths
        [true, false].each do |beside|
          scan(WORDED) { |match| length(match, inches(match)) if beside == of_buttons?(match) }
          scan(LENGTH) { |match| length(match, match[0].strip) if beside == of_buttons?(match) }
        end
      end

      def of_buttons?(match)
        before, behind = OF_BUTTONS
        match.pre_match.match?(before) || match.post_match.match?(behind)
      end

      def length(match, typed)
        path, span = role(match, typed)
        return if taken?(path) || @findings.any? { |one| one.span.overlaps?(span) }

        @findings << RequestFinding.new(span: span, kind: path, sets: { path => typed })
      end

      # @return [String] "half an inch" as "1/2 in"
      def inches(match)
        whole, part = match.captures.map { |words| words && FRACTIONS.fetch(words.downcase.tr("-", " ")) }
        ["1", whole].compact.join(" ").then { |one| "#{part || one} in" }
      end

      # @return [Array(String, RequestSpan)] path, and the length with the words that say so
      def role(match, typed)
        span = span_of(match)
        ROLES.each do |path, behind, before|
          said = behind && match.post_match.match(behind)
          return [path, span.with(to: span.to + said.end(0))] if said

          said = before && match.pre_match.match(before)
          return [path, span.with(from: said.begin(0))] if said
        end
        [!of_buttons?(match) && of_the_edge?(typed, span) ? "placket.run_length" : "button.diameter", span]
      end

      def of_the_edge?(typed, span)
        long = Notation.read(typed, unit: @unit, field: "button.diameter").to_f
        size = @findings.find { |one| one.sets.key?("button.diameter") }
        long > LARGEST_BUTTON || (size && span.to <= size.span.from && long >= SHORTEST_EDGE)
      rescue Refusal
        false
      end

      def span_of(match) = RequestSpan.new(from: match.begin(0), to: match.end(0))

      def counts
        scan(COUNT) do |match|
          number = match.captures.compact.first.downcase
          number = COUNTS.fetch(number, number).to_i
          take(match, word("count", "placket.count", number.to_s)) unless taken?("placket.count") || number.zero?
        end
      end

      # "7 buttons 18": a figure behind the buttons is a size, as long as there is such a button.
      def bare_sizes
        scan(BARE) do |match|
          next if taken?("button.diameter") || !match.pre_match.match?(/\bbuttons?\s+\z/i)
          next unless BUTTON.fetch(@unit).cover?(match[0].tr(",", ".").to_f)

          take(match, word("button.diameter", "button.diameter", match[0]))
        end
      end

      # The longest phrases are found first, so that "boiled wool" is no wool; what comes first in the line is meant
      # first.
      def phrases(words)
        line = @text.downcase
        found = []
        words.select { |word| line.include?(word.phrase) }.sort_by { |word| -word.phrase.length }.each do |word|
          scan(/(?<![\w-])#{Regexp.escape(word.phrase)}(?:e?s)?(?!\w)/i) do |match|
            span = span_of(match)
            found << [span, match, word] unless found.any? { |other,| other.overlaps?(span) }
          end
        end
        found.sort_by { |span,| span.from }.each { |_, match, word| take_word(match, word) }
      end

      # A slip of the pen: one letter in a word, two in a long one, and only where one word alone is meant.
      def nearly
        scan(/(?<![\w-])[[:alpha:]]{5,}/) do |match|
          typed = match[0].downcase
          next if FILLERS.include?(typed)

          word = meant_by(typed, typed.length >= 8 ? 2 : 1)
          take_word(match, word, meant: word.phrase) if word
        end
      end

      # @return [RequestWord, nil] the one word that is at most so far from what was typed
      def meant_by(typed, most)
        near = single_words.select { |word| (word.phrase.length - typed.length).abs <= most }
                           .group_by { |word| off(word.phrase, typed) }
        best = near.keys.min
        near[best].first if best&.between?(1, most) && near[best].map(&:sets).uniq.size == 1
      end

      def single_words = @single_words ||= @words.reject { |word| word.phrase.include?(" ") }

      # Two letters that changed places are one slip.
      def off(phrase, typed)
        distance = DidYouMean::Levenshtein.distance(phrase, typed)
        distance == 2 && phrase.length == typed.length && phrase.chars.sort == typed.chars.sort ? 1 : distance
      end

      # One of a kind; what is weak gives way to what is not. A further one that stands beside it, or says the same, is
      # a part of its name.
      def take_word(match, word, meant: nil)
        same = @findings.find { |one| one.kind == word.kind && !one.sets.empty? }
        return take(match, word, meant: meant) unless same

        if same.weak && !word.weak
          @findings[@findings.index(same)] = same.with(sets: {})
          take(match, word, meant: meant)
        elsif word.weak || same.sets == word.sets || beside?(match, word.kind)
          take(match, word.with(sets: {}), meant: meant)
        end
      end

      # Nothing lies between two words but a space or a hyphen.
      def beside?(match, kind)
        @findings.any? do |one|
          between = [one.span.to...match.begin(0), match.end(0)...one.span.from].filter_map { |range| @text[range] }
          one.kind == kind && between.any?(/\A[ -]\z/)
        end
      end

      def take(match, word, meant: nil)
        @findings << RequestFinding.new(span: span_of(match), kind: word.kind,
                                        sets: word.sets, meant: meant, weak: word.weak)
      end

      def taken?(path) = @findings.any? { |one| one.sets.key?(path) }

      # Every match where nothing was taken yet.
      def scan(pattern)
        at = 0
        while (match = @text.match(pattern, at))
          at = [match.end(0), match.begin(0) + 1].max
          span = span_of(match)
          yield match unless span.from == span.to || @findings.any? { |one| one.span.overlaps?(span) }
        end
      end

      # Words and figures that nothing was made of, those beside each other as one.
      def unread
        spans = []
        scan(%r{[[:alnum:]½¼¾⅛⅜⅝⅞][[:alnum:]'’\-.,/]*(?<![.,])}) do |match|
          next if FILLERS.include?(match[0].downcase)

          last = spans.last
          if last && @text[last.to...match.begin(0)].match?(/\A\s+\z/)
            spans[-1] = last.with(to: match.end(0))
          else
            spans << span_of(match)
          end
        end
        spans
      end
    end
  end
end
