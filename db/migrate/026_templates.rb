# frozen_string_literal: true

# A garment can be a template: others are started from it, and nobody sews it.

require "sequel"

Sequel.migration do
  change do
    alter_table(:garments) { add_column :template, :boolean, null: false, default: false }
  end
end
