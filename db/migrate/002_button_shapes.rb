# frozen_string_literal: true

# Buttons that are no discs: a smallest width, or corner points ("x y, x y" in millimetres).

require "sequel"

Sequel.migration do
  tables = { buttons: "", closures: "button_" }
  discs = %w[flat rounded domed half_ball ball]

  up do
    tables.each do |table, prefix|
      alter_table(table) do
        add_column :"#{prefix}width_mm", "numeric(12, 6)"
        add_column :"#{prefix}outline", String
        add_constraint(:"#{prefix}width_mm_in_range", "#{prefix}width_mm": 0.001..150)
        add_constraint(:"#{prefix}outline_in_range", Sequel.function(:char_length, :"#{prefix}outline") <= 20_000)
        drop_constraint :"#{prefix}shape_known"
        add_constraint(:"#{prefix}shape_known", "#{prefix}shape": discs + %w[rimmed square polygon irregular bar])
      end
    end
  end

  down do
    tables.each do |table, prefix|
      from(table).exclude("#{prefix}shape": discs).update("#{prefix}shape": "flat")
      alter_table(table) do
        drop_constraint :"#{prefix}shape_known"
        add_constraint(:"#{prefix}shape_known", "#{prefix}shape": discs)
        drop_column :"#{prefix}outline"
        drop_column :"#{prefix}width_mm"
      end
    end
  end
end
