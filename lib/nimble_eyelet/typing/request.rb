# frozen_string_literal: true

# Request is one line in which somebody says what needs buttonholes, as it is understood: every finding with where it
# stands in the line, and what was not understood, so that nothing is guessed in silence.
#
#   words = [Typing::RequestWord.new(phrase: "shirt", kind: "garment", sets: { "placket.use" => "shirt" })]
#   request = Typing::RequestReader.read("shirt, 7 buttons 11.5 mm, glitter", words: words, unit: :mm)
#   request.sets     # => { "placket.use" => "shirt", "placket.count" => "7", "button.diameter" => "11.5 mm" }
#   request.unread   # => [RequestSpan(from: 26, to: 33)], "glitter"

require_relative "../value"

module NimbleEyelet
  module Typing
    # What a phrase stands for. phrase - String, in small letters; kind - String, of which a request has one
    # sets - Hash of path to what would be typed there; weak - Boolean, it gives way to another of its kind, as a fibre
    #   does to a weave
    RequestWord = Value.of(:phrase, :kind, sets: {}, weak: false)

    # A part of the line. from, to - Integer, characters; the first of them, and the first after it
    class RequestSpan < Value.of(:from, :to)
      def overlaps?(other) = from < other.to && other.from < to
    end

    # span - RequestSpan; kind - String; sets - Hash of path to String
    # meant - String or nil, the phrase it was taken for where it is spelled otherwise; weak - Boolean, as its word
    RequestFinding = Value.of(:span, :kind, :sets, meant: nil, weak: false)

    # text - String, as it was read; findings - Array<RequestFinding> in their order; unread - Array<RequestSpan>
    class Request < Value.of(:text, :findings, :unread)
      # @return [Hash{String => String}] by path, as it would be typed
      def sets = findings.reduce({}) { |all, finding| finding.sets.merge(all) }

      IN_INCHES = %r{\A[\d\s./,-]+(?:in|inch|inches|"|″|”|'')\z|\d/\d|[½¼¾⅛⅜⅝⅞]}i
      IN_MILLIMETRES = /\d\s*-?(?:mm|cm|m)\z/i
      private_constant :IN_INCHES, :IN_MILLIMETRES

      # @return [Boolean] whether somebody measures in inches here, and in nothing else
      def inches?
        typed = sets.values
        typed.any? { |one| one.match?(IN_INCHES) } && typed.none? { |one| one.match?(IN_MILLIMETRES) }
      end

      # @param kinds [Array<String>]
      # @return [String] what stands there of these kinds, in the person's own words
      def words_of(*kinds)
        findings.select { |one| kinds.include?(one.kind) }.map { |one| text[one.span.from...one.span.to] }.join(" ")
      end
    end
  end
end
