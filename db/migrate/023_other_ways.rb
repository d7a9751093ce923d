# frozen_string_literal: true

# Another way to close than a hole sewn by machine; and the height of a thread shank, where somebody chose it.

Sequel.migration do
  change do
    alter_table(:closures) do
      add_column :recipe_way, :text
      add_column :attach_shank_mm, :numeric
      add_constraint(:recipe_way_known, recipe_way: %w[hand_worked bound faced_window in_seam thread_loop fabric_loop press_stud
                                                       hook_and_bar hook_and_loop ribbon])
      add_constraint(:attach_shank_mm_in_range, Sequel.lit("attach_shank_mm IS NULL OR attach_shank_mm BETWEEN 0 AND 15"))
    end
  end
end
