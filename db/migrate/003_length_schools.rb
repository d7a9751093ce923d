# frozen_string_literal: true

# What the further length schools ask for: clicks of the carriage foot, a wrapped strip, and what
# each foot adds by itself.

require "sequel"

Sequel.migration do
  schools = %w[passing_geometry diameter_thickness diameter_allowance]

  up do
    alter_table(:closures) do
      add_column :opening_clicks, Integer, null: false, default: 1
      add_column :opening_wrapped_mm, "numeric(12, 6)"
      add_constraint(:opening_clicks_in_range, opening_clicks: 0..20)
      add_constraint(:opening_wrapped_mm_in_range, opening_wrapped_mm: 0.001..500)
      drop_constraint :opening_school_known
      add_constraint(:opening_school_known, opening_school: schools + %w[diameter_tacks clamp clamp_clicks strip])
    end
    alter_table(:feet) do
      add_column :allowance_mm, "numeric(12, 6)", null: false, default: 0
      add_column :click_mm, "numeric(12, 6)", null: false, default: 0.5
      add_constraint(:allowance_mm_in_range, allowance_mm: -5..10)
      add_constraint(:click_mm_in_range, click_mm: 0.05..3)
    end
  end

  down do
    from(:closures).exclude(opening_school: schools).update(opening_school: "passing_geometry")
    alter_table(:closures) do
      drop_constraint :opening_school_known
      add_constraint(:opening_school_known, opening_school: schools)
      drop_column :opening_clicks
      drop_column :opening_wrapped_mm
    end
    alter_table(:feet) do
      drop_column :allowance_mm
      drop_column :click_mm
    end
  end
end
