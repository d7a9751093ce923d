# frozen_string_literal: true

# How high a button's own shank is; and whether a workroom has the practice caliper on its table.

Sequel.migration do
  change do
    alter_table(:closures) do
      add_column :button_shank_mm, :numeric
      add_constraint(:button_shank_mm_in_range, Sequel.lit("button_shank_mm IS NULL OR button_shank_mm BETWEEN 0 AND 30"))
    end
    alter_table(:buttons) do
      add_column :shank_mm, :numeric
      add_constraint(:shank_mm_in_range, Sequel.lit("shank_mm IS NULL OR shank_mm BETWEEN 0 AND 30"))
    end
    alter_table(:workrooms) do
      add_column :caliper, String, null: false, default: "none"
      add_constraint(:workroom_caliper_is_known, caliper: %w[none practice])
    end
  end
end
