# frozen_string_literal: true

# ClosureFields is the table of everything a person can type about a closure. Whatever reads, keeps,
# shows or compares one goes by this table; a new field is one row here, a column, and a control.
#
#   ClosureFields.fetch("placket.first").label   # => "first hole"
#
# What a field begins with is a plain shirt button in light cloth, to be typed over; habits begin
# empty, and so follow the house.

require_relative "../../lib/nimble_eyelet"
require_relative "field"

module NimbleEyelet
  module ClosureFields
    SUFFIX = { length: "_mm" }.freeze
    HEAD = "closure"

    # @param path [String]
    # @return [Field]
    # @raise [KeyError] for a path that is none
    def self.fetch(path) = BY_PATH.fetch(path)

    # One row of the table.
    def self.row(path, kind, label, column: nil, choices: nil, **more)
      section, name = path.split(".")
      plain = section == HEAD ? name : "#{section}_#{name}"
      limits = Plan::SECTIONS[section]&.const_defined?(:LIMITS) ? Plan::SECTIONS[section]::LIMITS : {}
      Field.new(path: path, kind: kind, column: (column || "#{plain}#{SUFFIX[kind]}").to_sym, label: label,
                choices: Field.names(choices), limit: limits[name.to_sym], **more)
    end

    # The habits of a section: what is left open follows the house.
    def self.habits(section)
      HABITS.values.select { |habit| habit.path.start_with?("#{section}.") }.map do |habit|
        row(habit.path, habit.options.empty? ? :length : :choice, habit.label, choices: habit.choices,
            optional: true, habit: true)
      end
    end

    def self.open(path, kind, label, **more) = row(path, kind, label, optional: true, **more)
    private_class_method :row, :habits, :open

    ALL = [
      row("closure.name", :text, "name"),
      row("closure.unit", :choice, "lengths in", choices: Plan::UNITS, initial: "mm"),

      row("button.name", :text, "button"),
      row("button.shape", :choice, "shape", choices: BUTTON_SHAPES, initial: "rounded"),
      row("button.attachment", :choice, "sewn on through", choices: ATTACHMENTS, initial: "four_holes"),
      row("button.diameter", :length, "diameter", initial: "15", help: "The largest width. Measure twice, a quarter turned."),
      open("button.thickness", :length, "thickness", help: "The height without the shank, at its highest."),
      row("button.hole_spacing", :length, "hole spacing", initial: "3", help: "Middle to middle of two neighbouring holes."),
      row("button.hole_diameter", :length, "hole diameter", initial: "1.8"),
      open("button.width", :length, "smallest width"),
      open("button.outline", :outline, "corner points"),
      open("button.shank", :length, "height of its own shank", help: "From the back of the button to the end of its loop."),
      open("button.shank_width", :length, "width of its own shank", help: "Across its loop, at the widest. Over 4 mm, holes that lie across start further out."),
      open("button.tip", :length, "knot or tip at its end", help: "Half the way round what has to pass too."),

      row("cloth.name", :text, "fabric"),
      row("cloth.kind", :choice, "kind of fabric", choices: CLOTH_KINDS, initial: "light_woven"),
      row("cloth.weight", :whole, "weight, g/m²", column: "cloth_weight_g_m2", initial: "120", help: "Grams a square metre."),
      row("cloth.thickness", :length, "thickness of one layer", initial: "0.25"),
      row("cloth.layers", :whole, "layers at the hole", initial: "2", help: "Layers of fabric at the hole."),
      row("cloth.interfacing", :length, "interfacing", initial: "0.2", help: "Its thickness; 0 for none."),
      row("cloth.stretch", :whole, "stretch, %", column: "cloth_stretch_percent", initial: "0", help: "Percent, along the hole."),
      row("cloth.seams", :whole, "seam layers", initial: "0", help: "Further layers of seams and facings at the hole."),
      open("cloth.frays", :choice, "frays", choices: Cloth::ANSWERS),
      open("cloth.iron", :choice, "takes a hot iron", choices: Cloth::ANSWERS),
      open("cloth.washed", :choice, "gets washed", choices: Cloth::ANSWERS),

      row("thread.name", :text, "thread"),
      row("thread.fibre", :choice, "thread fibre", choices: SewingThread::DENSITIES, initial: "polyester"),
      row("thread.tex", :tex, "thickness of the thread", initial: "27"),
      row("thread.bobbin", :text, "left on the bobbin"),

      *habits("opening"),
      row("opening.allowance", :length, "fixed allowance", initial: "3"),
      open("opening.correction", :length, "set beyond what is wanted"),
      row("opening.clicks", :whole, "clicks", initial: "1"),
      open("opening.wrapped", :length, "strip round the button"),
      open("opening.tack_by", :choice, "length of the tack from", choices: Opening::TACK_LENGTHS),

      row("placket.run_length", :length, "length of the edge", initial: "600"),
      open("placket.first", :length, "first hole"),
      open("placket.last", :length, "last hole"),
      open("placket.count", :whole, "how many"),
      open("placket.count_most", :whole, "or up to"),
      open("placket.wished_gap", :length, "space between, nice to have"),
      open("placket.least_gap", :length, "least space between"),
      open("placket.most_gap", :length, "most space between"),
      row("placket.extension", :length, "extension", initial: "18", help: "From the centre line to the finished edge."),
      row("placket.orientation", :choice, "holes are", choices: Placket::ORIENTATIONS, initial: "vertical"),
      open("placket.stand", :length, "height of the collar stand", help: "Its hole lies across, at half of it."),
      open("placket.drop", :length, "from its button to the next", help: "Usually 60 to 75 mm."),
      row("placket.first_lies", :choice, "the first hole lies", choices: Placket::FIRST_LIES, initial: "as_rest"),
      row("placket.use", :choice, "kind of garment", choices: Placket::USES, initial: "shirt"),
      row("placket.place", :choice, "place on it", choices: Placket::PLACES, initial: "front"),
      row("placket.pattern", :choice, "they follow", choices: Placket::PATTERNS, initial: "even"),
      row("placket.together", :whole, "in one cluster", initial: "2"),
      open("placket.inner_gap", :length, "gap within a cluster"),
      row("placket.overlap", :choice, "closes, as worn", choices: Placket::OVERLAPS, initial: "right"),
      row("placket.rows", :choice, "rows", choices: Placket::ROWS, initial: "single"),
      row("placket.offset", :length, "each row from the centre line", initial: "60"),
      *habits("placket"),

      open("recipe.style", :choice, "style", choices: STYLES),
      open("recipe.foot", :choice, "foot", choices: FOOT_KINDS),
      open("recipe.stitch_width", :length, "stitch width", dial: true),
      open("recipe.stitch_length", :length, "stitch length", dial: true),
      open("recipe.tension", :decimal, "top tension"),
      open("recipe.balance", :signed, "balance", help: "Notches from the middle, towards the side that is sewn towards you."),
      open("recipe.stabiliser", :named, "stabiliser", choices: STABILISERS.transform_values(&:says)),
      open("recipe.stay_layers", :whole, "layers of the stabiliser"),
      open("recipe.needle_size", :whole, "needle"),
      *habits("recipe"),
      open("recipe.second_pass", :choice, "a second pass", choices: Cloth::ANSWERS),
      open("recipe.way", :choice, "another way to close", choices: Otherways::WAYS),

      *habits("cut"),
      open("cut.chisel", :length, "edge of the chisel", help: "Of the chisel you own: none where you have none."),

      *habits("attach"),
      open("attach.stitches", :whole, "stitches a pair"),
      open("attach.width", :length, "zigzag width", dial: true),
      open("attach.shank", :length, "height of the thread shank", help: "0 for a button that lies flat.")
    ].freeze

    BY_PATH = ALL.to_h { |field| [field.path, field] }.freeze

    # Rows of the lists of a run: what is typed in each, and what a row is called.
    #
    # lengths - Array<Symbol>; word - String; choices - Hash of name to Hash of key to words; optional - Array<Symbol>
    #   of lengths
    ListField = Value.of(:path, :row, :lengths, :most, :word, choices: {}, optional: [])

    LISTS = [
      ListField.new(path: "placket.pins", row: Placket::Pin, lengths: %i[at], most: Placket::Run::MOST.fetch(:pins), word: "pin",
                    choices: { holds: Field.names(Placket::HOLDS) }),
      ListField.new(path: "placket.keep_outs", row: Placket::KeepOut, lengths: %i[from to], most: Placket::Run::MOST.fetch(:keep_outs),
                    word: "keep-out", choices: { kind: Field.names(Placket::OBSTACLES) }, optional: %i[to])
    ].to_h { |list| [list.path, list] }.freeze
  end
end
