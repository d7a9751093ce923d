# frozen_string_literal: true

# The workroom: its unit, its shelves, and what can be chosen from.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../presenter"

module NimbleEyelet
  module View
    module WorkroomView
      # Columns of a shelf that fill no field of a closure.
      NOT_FILLED = %i[id workroom_id owned colour note revision words].freeze

      # @param workroom [Store::Workroom]
      # @return [Hash]
      def self.of(workroom)
        say = Presenter.new(workroom.unit)
        { id: workroom.id, name: workroom.name, unit: workroom.unit, revision: workroom.revision, garments: workroom.garments,
          habits: workroom.habits.slice(*HABITS.keys).map { |path, value| habit(HABITS.fetch(path), value, say) },
          stabilisers: STABILISER_KINDS.map do |key, name|
            { key: key, name: name, owned: workroom.stabilisers.include?(key) }
          end,
          machines: workroom.machines.map { |machine| machine(machine, say) },
          buttons: shelf(workroom, :buttons, say) { |row| "#{ButtonShape.fetch(row[:shape]).name}, #{mm(row[:diameter_mm], say)}" },
          cloths: shelf(workroom, :cloths, say) { |row| "#{CLOTH_KINDS.fetch(row[:kind]).name}, #{row[:weight_g_m2]} g/m²" },
          threads: shelf(workroom, :threads, say) { |row| "#{row[:fibre]}, tex #{say.number(row[:tex])}" } }
      end

      # @param value [String, Length, nil] what the house does
      def self.habit(habit, value, say)
        { path: habit.path, question: habit.question, value: say.words(value), begins: habit.begins,
          name: habit.option(value)&.then { |option| say.words(option.name) } || say.words(value),
          speaks_for: habit.speaks_for, against: habit.against,
          options: habit.options.map { |option| option.to_h.transform_values { |text| say.words(text) } } }
      end

      def self.machine(machine, say)
        { id: machine.id, name: machine.name, kind: machine.kind, kind_name: machine.type.name, order: machine.type.order,
          length_from: machine.type.length_from, max_width: say.length(machine.max_width),
          feet: machine.feet.map { |foot| { key: foot.kind, name: foot.name, note: foot.nickname } } }
      end

      # Things to pick, each with the fields it fills in.
      def self.shelf(workroom, table, say)
        workroom.shelf(table).map do |row|
          { name: row[:name], note: yield(row), fields: fields(row.except(*NOT_FILLED), say) }
        end
      end

      # Only what is known fills a field; corner points are typed in the person's unit.
      def self.fields(row, say)
        row.to_h do |column, value|
          next ["outline", value ? Outline.load(value).in(say.unit) : ""] if column == :outline

          exact = value.is_a?(BigDecimal) ? Field.decimal(value.to_r) : value.to_s
          exact += "mm" if column.end_with?("_mm") && value
          [column.to_s.sub(/_(mm|g_m2|percent)\z/, ""), exact]
        end
      end

      def self.mm(number, say) = say.words(Length.new(number.to_r))
      private_class_method :habit, :machine, :shelf, :fields, :mm
    end
  end
end
