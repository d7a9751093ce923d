# frozen_string_literal: true

# Another way to close than a hole sewn by machine; the height of a thread shank, where somebody chose it; and a collar
# stand above the front.

Sequel.migration do
  change do
    alter_table(:closures) do
      add_column :recipe_way, :text
      add_column :attach_shank_mm, :numeric
      add_column :placket_stand_mm, :numeric
      add_column :placket_drop_mm, :numeric
      add_constraint(:recipe_way_known, recipe_way: %w[hand_worked bound faced_window in_seam thread_loop fabric_loop press_stud
                                                       hook_and_bar hook_and_loop ribbon])
      add_constraint(:placket_stand_mm_in_range, Sequel.lit("placket_stand_mm IS NULL OR placket_stand_mm BETWEEN 15 AND 80"))
      add_constraint(:placket_drop_mm_in_range, Sequel.lit("placket_drop_mm IS NULL OR placket_drop_mm BETWEEN 30 AND 150"))
      add_constraint(:attach_shank_mm_in_range, Sequel.lit("attach_shank_mm IS NULL OR attach_shank_mm BETWEEN 0 AND 15"))
    end
  end
end
