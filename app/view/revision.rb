# frozen_string_literal: true

# RevisionView says in words what a revision changed, from what to what: "thickness 3 → 4 mm".

require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "figures"

module NimbleEyelet
  module View
    module RevisionView
      # So many changes are told one by one.
      TOLD = 2
      NOTHING = "—"
      OWN = { "machine.id" => "the machine", "swatch.accepted" => "the test in use",
              "stabilisers" => "the stabilisers at hand" }.freeze

      # @param row [Hash] number, parent, changes, made_at
      # @param by [String, nil] name of whoever made it
      # @return [Hash]
      def self.of(row, present, by: nil)
        { number: row[:number], made_at: row[:made_at].utc.iso8601, by: by, first: row[:parent].nil?,
          changes: row[:parent].nil? ? "begun" : words(row[:changes].to_a, present, told: 6) }
      end

      # @param changes [Array<Hash{String => Object}>] path, from and to, as kept
      # @return [String]
      def self.words(changes, present, told: TOLD)
        said = changes.first(told).map { |change| change(change.to_h, present) }
        said << "#{changes.size - told} more" if changes.size > told
        said.join("; ")
      end

      # What a stage was settled from, and what that is now.
      #
      # @param change [PlanChange]
      # @return [String]
      def self.since(change, present)
        was, now = [change.from, change.to].map { |value| Figures.shown(change.path, value, present) }
        "#{label(change.path)} was #{was}, now #{now}"
      end

      # @return [String] what a path is called
      def self.label(path)
        Figures.label(path) || OWN[path] || list(path)&.word || path.split(".").last.tr("_", " ")
      end

      def self.change(change, present)
        path, from, to = change.values_at("path", "from", "to")
        return row(list(path), from, to, present) if list(path)
        return to ? "#{path.split('.').last} settled" : "#{path.split('.').last} untied" if path.start_with?("settled.")

        field = ClosureFields::BY_PATH[path] or return "#{label(path)} changed"
        "#{field.label} #{present.from_to(*[from, to].map { |value| known(field, value, present) })}"
      end

      # A choice goes by its name, as it stood in the list it was chosen from.
      def self.known(field, value, present)
        name = Figures.named(field.path, value)
        name ? present.words(name) : field.load(value)
      end

      def self.row(list, from, to, present)
        name = [list.word, (to || from)["label"].to_s].reject(&:empty?).join(" ")
        was, now = [from, to].map { |row| row && places(list, row) }
        return "#{name} added at #{present.words(now.first)}" unless was
        return "#{name} at #{present.words(was.first)} removed" unless now

        pair = was.zip(now).find { |one, other| one != other }
        pair ? "#{name} #{present.from_to(*pair)}" : "#{name} changed"
      end

      def self.places(list, row) = row.values_at(*list.lengths.map(&:to_s)).map { |mm| mm && Length.new(mm.to_r) }
      def self.list(path) = ClosureFields::LISTS.values.find { |list| path.start_with?(list.path) }
      private_class_method :change, :known, :row, :places, :list
    end
  end
end
