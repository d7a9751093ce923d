# frozen_string_literal: true

# Dialect is how somebody likes to read: British or American words, and a point or a comma in numbers. It changes what
# is shown and printed, and never what is kept. A browser asks for its own by a cookie; here it is used for prints, and
# the browser does the same to its screens from the same table of words (bin/words writes it there).
#
#   Dialect.of("american.comma").say("The stabiliser is 2.5 mm wide.")   # => "The stabilizer is 2,5 mm wide."

require_relative "../lib/nimble_eyelet"

module NimbleEyelet
  # words - "british" or "american"; numbers - "point" or "comma"
  class Dialect < Value.of(:words, :numbers)
    COOKIE = "dialect"

    # What is called or spelled another way; capitals stay.
    AMERICAN = {
      "button stand" => "extension", "centimetre" => "centimeter", "centimetres" => "centimeters", "centre" => "center",
      "centres" => "centers", "collar stand" => "collar band", "colour" => "color", "coloured" => "colored",
      "colours" => "colors", "fibre" => "fiber", "fibres" => "fibers", "licence" => "license", "licences" => "licenses",
      "metre" => "meter", "metres" => "meters", "millimetre" => "millimeter", "millimetres" => "millimeters",
      "neighbour" => "neighbor", "neighbouring" => "neighboring", "practise" => "practice", "practised" => "practiced",
      "press stud" => "snap", "press studs" => "snaps", "programme" => "program",
      "programmes" => "programs", "stabilise" => "stabilize", "stabiliser" => "stabilizer",
      "stabilisers" => "stabilizers", "tacking threads" => "basting threads", "thread tacks" => "basting thread",
      "towards" => "toward"
    }.freeze
    BRITISH = /\b(?:#{Regexp.union(AMERICAN.keys.sort_by { |word| -word.size }).source})\b/i
    # A number, and no date or version.
    POINT = /(?<![\d.])(\d+)\.(\d+)(?![\d.]*\d)/

    # @param text [String, nil] such as "american.comma"; what is not known is as usual
    # @return [Dialect]
    def self.of(text)
      words, numbers = text.to_s.split(".")
      new(words: words == "american" ? words : "british", numbers: numbers == "comma" ? numbers : "point")
    end

    USUAL = of(nil)

    # @param text [String]
    # @return [String] as this person reads it
    def say(text)
      text = text.gsub(BRITISH) { |word| like(word, AMERICAN.fetch(word.downcase)) } if words == "american"
      numbers == "comma" ? text.gsub(POINT, '\1,\2') : text
    end

    private

    def like(word, other) = word.match?(/\A[A-Z]/) ? other.sub(/\A./, &:upcase) : other
  end
end
