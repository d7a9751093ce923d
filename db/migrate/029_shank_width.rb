# frozen_string_literal: true

# How wide a button's own shank is: holes that lie across make room for it.

Sequel.migration do
  change do
    { closures: :button_shank_width_mm, buttons: :shank_width_mm }.each do |table, column|
      alter_table(table) do
        add_column column, :numeric
        add_constraint(:"#{column}_in_range", Sequel.lit("#{column} IS NULL OR #{column} BETWEEN 0 AND 30"))
      end
    end
  end
end
