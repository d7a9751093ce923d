# frozen_string_literal: true

# Cloth told apart further, what a person knows better than its kind, seam layers at the hole, and what
# is left on the bobbin.

require "sequel"

Sequel.migration do
  kinds = %w[light_woven heavy_woven knit sheer leather pile]
  tables = { cloths: :kind, closures: :cloth_kind }
  answers = %i[cloth_frays cloth_iron cloth_washed]

  up do
    tables.each do |table, column|
      alter_table(table) do
        drop_constraint :"#{column}_known"
        add_constraint(:"#{column}_known", column => kinds + %w[coated quilted])
      end
    end
    alter_table(:closures) do
      answers.each do |column|
        add_column column, String
        add_constraint(:"#{column}_known", column => %w[yes no])
      end
      add_column :cloth_seams, Integer, null: false, default: 0
      add_constraint(:cloth_seams_in_range, cloth_seams: 0..12)
      add_column :thread_bobbin, String, null: false, default: ""
    end
  end

  down do
    alter_table(:closures) { (answers + %i[cloth_seams thread_bobbin]).each { |column| drop_column column } }
    tables.each do |table, column|
      from(table).where(column => "coated").update(column => "leather")
      from(table).where(column => "quilted").update(column => "heavy_woven")
      alter_table(table) do
        drop_constraint :"#{column}_known"
        add_constraint(:"#{column}_known", column => kinds)
      end
    end
  end
end
