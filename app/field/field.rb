# frozen_string_literal: true

# Field is one thing a person can type: its path in the interface ("button.thickness"), its column,
# how what was typed is read, what it may be, and what it is called.
#
#   ClosureFields.fetch("button.thickness").read("1/8", unit: :in)   # Length of 3.175 mm

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  # kind - Symbol: :length, :choice, :whole, :signed, :decimal, :outline, :tex, :flag, :text, or :named, which is a
  #   choice typed by its name, or somebody's own words
  # optional - Boolean, may be left empty for the rules or the house to decide
  # choices - Hash of key to what it is called, String or Sentence, or nil; limit - Typing::Limit or nil
  # initial - String, what it begins with, as typed
  # habit - Boolean, left empty the house decides; label, help - String
  # dial - Boolean, a figure of the machine: in millimetres, whatever ruler a person reads
  class Field < Value.of(:path, :kind, :column, optional: false, choices: nil, limit: nil, initial: "", habit: false,
                         label: "",
                                                help: "", dial: false)
    LONGEST_TEXT = 80
    NAMED = %w[closure.name machine.name stash.name shelf.name workroom.name].freeze

    # @param typed [String, nil] as typed; empty counts as nothing
    # @param unit [Symbol] the person's unit
    # @return [Length, Integer, Rational, Outline, String, Boolean, nil]
    # @raise [Refusal]
    def read(typed, unit:)
      raise Refusal.field(path, "", "This holds a character that is none: type it again.") if typed.to_s.scrub("").match?(NO_CHARACTER)

      text = Field.clean(typed)
      return nil if text.empty? && optional

      READERS.fetch(kind).call(self, text, dial ? :mm : unit)
    end

    # What the rows of a table are called: those that have no words of their own go by their keys.
    #
    # @param table [Hash{String => Object}, nil]
    # @return [Hash{String => String, Sentence}, nil]
    def self.names(table)
      table&.to_h do |key, row|
        name = row.respond_to?(:name) ? row.name : row
        [key, name.is_a?(String) || name.is_a?(Sentence) ? name : key.tr("_", " ")]
      end
    end

    # @param text [String] as somebody's table calls it
    # @return [String] key of what it offers, by that or by its name; the text itself where it is neither
    def key_of(text)
      return text unless kind == :choice

      word = plain(text)
      choices.keys.find { |key| word == plain(key) || word == plain(choices[key].to_s) } || text
    end

    # @param value [Object]
    # @return [Object] as it is typed: by its name, where it has one and that is what people type
    def named(value) = kind == :named ? choices.fetch(value, value) : value

    def plain(words) = words.downcase.tr("_", " ").strip
    private :plain

    # @return [Object] what it holds before anybody has said anything
    def begun = read(initial, unit: :mm)

    # @return [Object] for a column or for JSON
    def dump(value)
      case value
      when Length, Rational then Field.decimal(value)
      when Outline then value.kept
      else value
      end
    end

    # @param dumped [Object] from a column or from JSON
    def load(dumped)
      return dumped if dumped.nil?

      case kind
      when :length then Length.new(dumped.to_r)
      when :decimal, :tex then dumped.to_r
      when :outline then Outline.load(dumped)
      else dumped
      end
    end

    # @param value [Length, Rational]
    # @return [String] plain decimal to the millionth
    def self.decimal(value)
      number = value.is_a?(Length) ? value.millimetres : value
      return number.to_i.to_s if number.denominator == 1

      format("%.6f", number.round(6)).sub(/\.?0+\z/, "")
    end

    # What is no character at all; nothing that is written can hold it.
    NO_CHARACTER = /[\u{FDD0}-\u{FDEF}\u{FFFE}\u{FFFF}]/

    # Control characters can neither be printed nor kept.
    def self.clean(typed) = typed.to_s.scrub("").gsub(/([[:cntrl:]]|#{NO_CHARACTER})+/o, " ").strip

    # What a figure is that is not what its label says, with one that is usual.
    EXAMPLES = { "machine.top_speed" => "Speed is in stitches a minute, for example 700." }.freeze

    READERS = {
      length: ->(field, text, unit) { Typing::Notation.read(text, unit: unit, field: field.path) },
      outline: ->(field, text, unit) { Outline.read(text, unit: unit, field: field.path) },
      whole: lambda do |field, text, _|
        text.match?(/\A\d{1,5}\z/) ? text.to_i : raise(Refusal.field(field.path, text, EXAMPLES.fetch(field.path, "Write a whole number, such as 7.")))
      end,
      signed: lambda do |field, text, _|
        raise Refusal.field(field.path, text, "Write a whole number, such as 1 or -1.") unless text.match?(/\A[+\-−]?\d{1,3}\z/)

        text.tr("−", "-").to_i
      end,
      decimal: lambda do |field, text, _|
        raise Refusal.field(field.path, text, "Write a number, such as 3.5.") unless text.match?(/\A\d{1,5}([.,]\d{1,4})?\z/)

        Rational(text.tr(",", "."))
      end,
      tex: ->(field, text, _) { LinearDensity.read(text, field: field.path) },
      flag: ->(_, text, _) { text == "yes" },
      choice: lambda do |field, text, _|
        field.choices.key?(text) ? text : raise(Refusal.field(field.path, text, "Choose one of: #{field.choices.keys.join(', ')}."))
      end,
      colour: lambda do |field, text, _|
        Buttons.colour_said(text) || raise(Refusal.field(field.path, text, "Choose a colour, or pick one such as #2e7d6b."))
      end,
      named: lambda do |field, text, unit|
        field.choices.key(text) || OlderWords.key(field.path, text) || READERS.fetch(:text).call(field, text, unit)
      end,
      text: lambda do |field, text, _|
        raise Refusal.field(field.path, text, "This needs a name.") if text.empty? && NAMED.include?(field.path)
        raise Refusal.field(field.path, text, "At most #{LONGEST_TEXT} characters.") if text.length > LONGEST_TEXT

        text
      end
    }.freeze
  end
end
