# frozen_string_literal: true

# RequestGrammar is how figures are written in a request, and the words that say what a figure is.

module NimbleEyelet
  module Typing
    module RequestGrammar
      NUMBER = /\d+(?:[.,]\d+)?/
      FRACTION = %r{(?:\d+[\s-])?\d+/\d+|\d*[½¼¾⅛⅜⅝⅞]}
      UNIT = /mm|cm|inches|inch|in\b|m\b|lignes?|l\b|"|″|”|''/i
      # A length: a figure with its unit, or a fraction, which is inches.
      LENGTH = /(?<![\w.,])(?:(?:#{FRACTION})\s*(?:#{UNIT})?|#{NUMBER}\s*-?(?:#{UNIT}))(?![a-z])/i
      # A length in words: "half an inch", "three-quarter inch", "an inch and a half".
      FRACTIONS = { "half" => "1/2", "quarter" => "1/4", "three quarter" => "3/4", "eighth" => "1/8",
                    "three eighth" => "3/8", "five eighth" => "5/8", "seven eighth" => "7/8" }.freeze
      FRACTION_WORD = /#{FRACTIONS.keys.sort_by { |name| -name.length }.join('|').gsub(' ', '[ -]')}/i
      WORDED = /
        (?<![\w-])(?:(?:an?|one)[\s-]inch(?:\s+and\s+an?\s+(#{FRACTION_WORD}))?
          | (?:an?\s+)?(#{FRACTION_WORD})s?(?:[\s-]|\s+(?:of\s+)?an\s+)inch)(?:es)?(?!\w)
      /xi
      BARE = /(?<![\w.,])#{NUMBER}(?![\w"″”'.,]*\d|[\w"″”'])/

      COUNTS = { "one" => 1, "two" => 2, "three" => 3, "four" => 4, "five" => 5, "six" => 6, "seven" => 7, "eight" => 8,
                 "nine" => 9, "ten" => 10, "eleven" => 11, "twelve" => 12, "a dozen" => 12, "half a dozen" => 6 }.freeze
      COUNTED = /(?:button|button-?hole|hole|toggle|ball|eyelet|shell|loop|tack|slot|snap|popper|stud)s?\b/i
      # So many words may stand between a count and what it counts: "7 small brass buttons".
      WORDS_BETWEEN = /(?:\s+(?!and\b|with\b)[^\s,;]+){0,3}?/
      # A figure or its word before what it counts, or a figure with a sign of times.
      COUNT = /
        (?<![\w.,-])(?:(\d{1,2})|(#{COUNTS.keys.sort_by { |name| -name.length }.join('|').gsub(' ', '\\ ')})\b)
          \s*[x×]?(?=#{WORDS_BETWEEN}\s*#{COUNTED})
        | (?<!\w)(?:(\d{1,2})\s*[x×]|[x×]\s*(\d{1,2}))(?!\w)
      /xi

      # What a length is, by the words behind it and before it.
      ROLES = [
        ["button.thickness", /\A\s*(?:thick|thickness|high)\b/i, /\b(?:thickness|thick)\s*(?:of|is|:|=)?\s*\z/i],
        ["placket.wished_gap", /\A\s*(?:apart|between|spacing)\b/i,
         /\b(?:every|spaced|spacing|gaps?)\s*(?:of|at|by|:)?\s*\z/i],
        ["placket.extension", /\A\s*(?:in\s+)?from\s+the\s+edge\b/i,
         /\b(?:extension|button stand|stand of)\s*(?:of|is|:)?\s*\z/i],
        ["placket.first", /\A\s*from\s+the\s+top\b/i, /\bfirst(?:\s+(?:one|hole|button|buttonhole))?\s*(?:at|:)?\s*\z/i],
        ["placket.last", nil, /\blast(?:\s+(?:one|hole|button|buttonhole))?\s*(?:at|:)?\s*\z/i],
        ["placket.run_length", /\A\s*(?:long|edge)\b/i, /\b(?:edge|length|long)\s*(?:of|is|:|=)?\s*\z/i],
        ["button.diameter", /\A\s*(?:wide|across|diameter)\b/i, /\bdiameter\s*(?:of|is|:|=)?\s*\z/i],
        ["cloth.thickness", /\A\s*(?:fabric|cloth|layers?)\b/i, nil]
      ].freeze

      # Beside these words a length is the size of a button, whatever else is long.
      OF_BUTTONS = [/\bbuttons?\s*(?:of|at|,)?\s*\z/i,
                    /\A\s*(?:[a-z-]+\s+){0,2}?(?:buttons?|toggles?|balls?)\b/i].freeze
      # No button is larger: then it is how long the edge is, mm.
      LARGEST_BUTTON = 100
      # Before the buttons and their size, a length from here on is that of the edge, mm.
      SHORTEST_EDGE = 40

      HOLES = { "2" => "two_holes", "two" => "two_holes", "4" => "four_holes", "four" => "four_holes" }.freeze
      ATTACHED = /\b(2|4|two|four)[\s-]holed?(?:\b|(?=\s+buttons?))(?!s)/i

      # Words that say nothing by themselves.
      FILLERS = %w[a an the with of on for and to my in by at is are some new buttons button buttonholes buttonhole hole
                   holes needs need please each it its that this from made make want i x × sewn sew put all piece row
                   made-up their his her our spaced eyelet eyelets tack tacks slot slots small
                   tiny little big large old plain blend snap snaps popper poppers wedding summer winter evening].freeze
      # A bare figure is a button of so many of the person's unit.
      BUTTON = { mm: (6..60), cm: (0.6..6), in: (0.2..2.4) }.freeze
    end
  end
end
