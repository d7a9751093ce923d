# frozen_string_literal: true

# How many layers of the stabiliser lie under a hole is a number of its own. What was written into the words before is read so.

Sequel.migration do
  up do
    alter_table(:closures) do
      add_column :recipe_stay_layers, Integer
      add_constraint(:recipe_stay_layers_in_range, recipe_stay_layers: 1..3)
    end
  end

  down { alter_table(:closures) { drop_column :recipe_stay_layers } }
end
