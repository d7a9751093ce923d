# frozen_string_literal: true

# ShelfFields is the table of the shelves that hold cloths, threads and stabilisers: what can be typed about each thing
# on them, which is what a closure asks of its cloth or thread as far as it belongs to the thing and not to the
# hole, and the garment it was bought for.
#
#   ShelfFields::SHELVES.fetch("cloths").fields["weight"].label

require_relative "../../lib/nimble_eyelet"
require_relative "closure_fields"
require_relative "field"

module NimbleEyelet
  module ShelfFields
    # table - Symbol; section - String of the closure's paths; fields - Hash of name to Field; usual - Proc(Hash) ->
    #   Hash, what is typical where nothing was typed
    Shelf = Value.of(:table, :section, :fields, :usual)

    GARMENT = Field.new(path: "shelf.garment", kind: :text, column: :garment, label: "for which garment")

    def self.fields(section, names)
      found = names.to_h do |name|
        field = ClosureFields.fetch("#{section}.#{name}")
        [name, field.with(path: "shelf.#{name}", column: field.column.to_s.delete_prefix("#{section}_").to_sym)]
      end
      found.merge("garment" => GARMENT).freeze
    end

    # What a kind of cloth typically weighs and measures stands in for what nobody has measured.
    def self.usual_cloth(typed)
      kind = CLOTH_KINDS[typed["kind"]] or return {}
      { "weight" => kind.weight.to_s, "thickness" => "#{Field.decimal(kind.thickness)}mm", "stretch" => kind.stretch.to_s }
    end
    private_class_method :fields

    def self.stabiliser(name, kind, label, **more)
      Field.new(path: "shelf.#{name}", kind: kind, column: name.to_sym, label: label, **more)
    end

    STABILISER = {
      "name" => stabiliser("name", :text, "stabiliser", limit: ClosureFields.fetch("cloth.name").limit),
      "kind" => stabiliser("kind", :choice, "kind of stabiliser", choices: Field.names(STABILISER_KINDS)),
      "weight" => stabiliser("weight", :whole, "weight, g/m²", optional: true, limit: Typing::Limit.whole(1..1500))
                  .with(column: :weight_g_m2),
      "colour" => stabiliser("colour", :text, "colour"), "garment" => GARMENT
    }.freeze
    private_class_method :stabiliser

    SHELVES = {
      "cloths" => Shelf.new(table: :cloths, section: "cloth", usual: method(:usual_cloth),
                            fields: fields("cloth", %w[name kind weight thickness stretch frays iron washed])),
      "threads" => Shelf.new(table: :threads, section: "thread", usual: ->(_) { {} }, fields: fields("thread", %w[name fibre tex])),
      "stabilisers" => Shelf.new(table: :stabilisers, section: "recipe", usual: ->(_) { {} }, fields: STABILISER)
    }.freeze
  end
end
