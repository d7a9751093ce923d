# frozen_string_literal: true

# Stabilisers get a shelf of their own, as cloths and threads have: what lies there is at hand.

require "sequel"

Sequel.migration do
  kinds = %w[fusible_strip knit_fusible tear_away wash_away wash_film]

  up do
    create_table(:stabilisers) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade, index: true
      column :name, String, null: false
      column :kind, String, null: false
      column :weight_g_m2, Integer
      column :colour, String, null: false, default: ""
      column :garment, String, null: false, default: ""
      column :revision, Integer, null: false, default: 1
      column :removed_at, :timestamptz
      constraint(:stabiliser_kind_known, kind: kinds)
      constraint(:stabiliser_weight_in_range, weight_g_m2: 1..1500)
    end
    run "CREATE UNIQUE INDEX stabilisers_workroom_id_name ON stabilisers (workroom_id, name) WHERE removed_at IS NULL"
  end

  down { drop_table(:stabilisers) }
end
