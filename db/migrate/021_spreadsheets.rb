# frozen_string_literal: true

# How a workroom's spreadsheet takes its tables.

Sequel.migration do
  up do
    alter_table(:workrooms) do
      add_column :csv, String, null: false, default: "comma"
      add_constraint(:workroom_csv_is_known, csv: %w[comma semicolon])
    end
  end

  down { alter_table(:workrooms) { drop_column :csv } }
end
