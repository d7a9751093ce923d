# frozen_string_literal: true

# Field is the table of everything a person can type about a closure: its path in the interface
# ("button.diameter"), its column, and how what was typed is read. Whatever reads, keeps, shows or
# compares a closure goes by this table.
#
#   Field.fetch("button.diameter").read("28L", unit: :mm)   # Length of 17.78 mm

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  # kind - Symbol: :length, :choice, :whole, :decimal, :outline, :tex, :flag or :text
  # table - Symbol, :closures or :recipes; optional - Boolean, may be left empty for the rules to decide
  class Field < Value.of(:path, :kind, :column, :table, :optional, choices: nil)
    # @param typed [String, nil] as typed; empty counts as nothing
    # @param unit [Symbol] the person's unit
    # @return [Length, Integer, Rational, Outline, String, nil]
    # @raise [Refusal]
    def read(typed, unit:)
      text = Field.clean(typed)
      return nil if text.empty? && optional

      Field::READERS.fetch(kind).call(self, text, unit)
    end

    # @return [Object] for a column or for JSON
    def dump(value)
      case value
      when Length, Rational then Field.decimal(value)
      when Outline then value.kept
      else value
      end
    end

    # @param kept [Object] from a column or from JSON
    def load(kept)
      return kept if kept.nil?

      case kind
      when :length then Length.new(kept.to_r)
      when :decimal, :tex then kept.to_r
      when :outline then Outline.load(kept)
      else kept
      end
    end

    def self.fetch(path) = FIELDS.fetch(path)

    # @param value [Length, Rational]
    # @return [String] plain decimal to the millionth
    def self.decimal(value)
      number = value.is_a?(Length) ? value.millimetres : value
      format("%.6f", number.round(6)).sub(/\.?0+\z/, "")
    end

    # Control characters can neither be printed nor kept.
    def self.clean(typed) = typed.to_s.gsub(/[[:cntrl:]]+/, " ").strip
  end

  Field::LONGEST_TEXT = 80
  Field::NAMED = %w[closure.name machine.name stash.name].freeze

  Field::READERS = {
    length: ->(field, text, unit) { Typing::Notation.read(text, unit: unit, field: field.path) },
    outline: ->(field, text, unit) { Outline.read(text, unit: unit, field: field.path) },
    whole: lambda do |field, text, _|
      text.match?(/\A\d{1,5}\z/) ? text.to_i : raise(Refusal.field(field.path, text, "Write a whole number, such as 7."))
    end,
    decimal: lambda do |field, text, _|
      raise Refusal.field(field.path, text, "Write a number, such as 3.5.") unless text.match?(/\A\d{1,5}([.,]\d{1,4})?\z/)

      Rational(text.tr(",", "."))
    end,
    tex: ->(field, text, _) { LinearDensity.read(text, field: field.path) },
    flag: ->(_, text, _) { text == "yes" },
    choice: lambda do |field, text, _|
      field.choices.include?(text) ? text : raise(Refusal.field(field.path, text, "Choose one of: #{field.choices.join(', ')}."))
    end,
    text: lambda do |field, text, _|
      raise Refusal.field(field.path, text, "This needs a name.") if text.empty? && Field::NAMED.include?(field.path)
      raise Refusal.field(field.path, text, "At most #{Field::LONGEST_TEXT} characters.") if text.length > Field::LONGEST_TEXT

      text
    end
  }.freeze

  module FieldTable
    SUFFIX = { length: "_mm" }.freeze

    def self.field(path, kind, column: nil, optional: false, choices: nil)
      room, name = path.split(".")
      table = room == "recipe" ? :recipes : :closures
      plain = table == :recipes || room == "closure" ? name : "#{room}_#{name}"
      Field.new(path: path, kind: kind, column: (column || "#{plain}#{SUFFIX[kind]}").to_sym, table: table,
                optional: optional, choices: choices)
    end

    def self.length(path, **rest) = field(path, :length, **rest)
    def self.whole(path, **rest) = field(path, :whole, **rest)
    def self.text(path, **rest) = field(path, :text, **rest)
    # Left empty, the habit of the house holds.
    def self.habit(path, choices) = choice(path, choices, optional: true)
    def self.choice(path, choices, **rest) = field(path, :choice, choices: choices.keys, **rest)

    ALL = [
      text("closure.name"),
      text("button.name"), choice("button.shape", BUTTON_SHAPES), choice("button.attachment", ATTACHMENTS),
      length("button.diameter"), length("button.thickness"), length("button.hole_spacing"), length("button.hole_diameter"),
      length("button.width", optional: true), field("button.outline", :outline, optional: true),
      text("cloth.name"), choice("cloth.kind", CLOTH_KINDS), whole("cloth.weight", column: "cloth_weight_g_m2"),
      length("cloth.thickness"), whole("cloth.layers"), length("cloth.interfacing"),
      whole("cloth.stretch", column: "cloth_stretch_percent"), whole("cloth.seams"),
      choice("cloth.frays", Cloth::ANSWERS, optional: true), choice("cloth.iron", Cloth::ANSWERS, optional: true),
      choice("cloth.washed", Cloth::ANSWERS, optional: true),
      text("thread.name"), choice("thread.fibre", SewingThread::DENSITIES), field("thread.tex", :tex), text("thread.bobbin"),
      habit("opening.school", Opening::SCHOOLS), length("opening.allowance"), length("opening.correction"),
      length("opening.ease", optional: true), habit("opening.ruler", RULERS), whole("opening.clicks"),
      length("opening.wrapped", optional: true),
      length("placket.run_length"), length("placket.first", optional: true), length("placket.last", optional: true),
      whole("placket.count", optional: true), length("placket.wished_gap", optional: true), length("placket.extension"),
      choice("placket.orientation", Placket::ORIENTATIONS), choice("placket.use", Placket::USES),
      habit("placket.edge", Placket::EDGE_SCHOOLS), habit("placket.grid", RULERS),
      habit("placket.seat", Placket::SEATS),
      whole("placket.count_most", optional: true), length("placket.least_gap", optional: true),
      length("placket.most_gap", optional: true), choice("placket.pattern", Placket::PATTERNS), whole("placket.together"),
      length("placket.inner_gap", optional: true), choice("placket.first_lies", Placket::FIRST_LIES),
      choice("placket.overlap", Placket::OVERLAPS), choice("placket.rows", Placket::ROWS), length("placket.offset"),
      choice("recipe.style", STYLES, optional: true), choice("recipe.foot", FOOT_KINDS, optional: true),
      length("recipe.stitch_width", optional: true), length("recipe.stitch_length", optional: true),
      field("recipe.tension", :decimal, optional: true), text("recipe.stabiliser", optional: true),
      whole("recipe.needle_size", optional: true),
      habit("attach.pattern", Stitches::BUTTON_PATTERNS), whole("attach.stitches", optional: true),
      length("attach.width", optional: true)
    ].freeze
  end

  FIELDS = FieldTable::ALL.to_h { |field| [field.path, field] }.freeze
end
