# frozen_string_literal: true

# shelf: cloths, threads or stabilisers, each in a few words and as a person would type it.

require_relative "../field/shelf_fields"

module NimbleEyelet
  module View
    module ShelfView
      # @param shelf [Store::Shelf]
      # @param rows [Array<Hash>]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(shelf, rows, present)
        { names: shelf.kind.fields.map { |name, field| { name: name, label: field.label, help: field.help } },
          items: rows.map { |row| item(shelf, row, present) } }
      end

      # @return [Hash]
      def self.item(shelf, row, present)
        values = shelf.load(row)
        { id: row[:id], revision: row[:revision], says: says(shelf.kind, values, present),
          drawn: drawn(shelf.kind, values), fields: values.transform_values { |value| present.typed(value) } }
      end

      # What is worth reading of a thing, beside its name.
      SAID = {
        cloths: lambda do |of, kind, present|
          [kind, *("#{present.words(of['thickness'])} thick" if of["thickness"]), *("#{of['weight']} g/m²" if of["weight"]),
           *("stretches #{of['stretch']} %" if of["stretch"].to_i.positive?)]
        end,
        threads: ->(of, *) { [of["fibre"], *("about #{spool(of['tex'])} on the spool" if of["tex"])] },
        stabilisers: ->(of, kind, *) { [kind, *("#{of['weight']} g/m²" if of["weight"]), of["colour"].to_s] }
      }.freeze

      def self.says(shelf, values, present)
        kind = shelf.fields["kind"]&.choices&.fetch(values["kind"], values["kind"])
        whose = values["garment"].to_s
        [*SAID.fetch(shelf.table).call(values, kind && present.words(kind), present), whose.empty? ? "" : "for #{whose}"]
          .reject(&:empty?).join(", ")
      end

      # Numbers on spools are metres a gram times three, as a rule, and go by tens.
      def self.spool(tex) = [(3000 / tex.to_r).round(-1), 10].max

      # How thick it is drawn, mm.
      def self.drawn(shelf, values) = shelf.table == :cloths ? values["thickness"].to_f : 0
      private_class_method :says, :spool, :drawn
    end
  end
end
