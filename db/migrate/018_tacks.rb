# frozen_string_literal: true

# Bar tacks as closures of their own, the schools that were still missing, and buttons of the stash that are laid by.

Sequel.migration do
  holes = %w[rounded flat rimmed domed half_ball ball square polygon irregular bar cord ribbon hook ring]
  places = %w[front pulled_front stand cuff sleeve_slit collar_point waistband fly double_breasted knit_band tab edge]
  tacked = %w[belt_loops pocket_corners fly_end strap_ends]
  choices = { opening_tack_by: %w[own pressed], recipe_stay_by: %w[fusible tear_away both], recipe_first_hole: %w[test stored],
              recipe_thin_cover: %w[shorten second_pass], recipe_second_pass: %w[yes no], attach_order: %w[holes buttons],
              attach_feed: %w[machine length_zero] }

  up do
    alter_table(:closures) do
      choices.each do |column, known|
        add_column column, String
        add_constraint(:"#{column}_known", column => known)
      end
      drop_constraint :button_shape_known
      add_constraint(:button_shape_known, button_shape: holes + %w[bar_tack])
      drop_constraint :placket_place_known
      add_constraint(:placket_place_known, placket_place: places + tacked)
      drop_constraint :placket_edge_known
      add_constraint(:placket_edge_known, placket_edge: %w[ten six thirteen pattern])
    end
    alter_table(:machines) do
      add_column :tack_length_mm, "numeric(12, 6)"
      add_constraint(:tack_length_mm_in_range, tack_length_mm: 2..40)
    end
    alter_table(:buttons) { add_unique_constraint %i[workroom_id id], name: :buttons_workroom_id_id_key }
    create_table(:reservations) do
      column :workroom_id, Integer, null: false
      column :closure_id, Integer, null: false
      column :button_id, Integer, null: false
      column :count, Integer, null: false
      column :reserved_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[workroom_id closure_id]
      foreign_key %i[workroom_id closure_id], :closures, key: %i[workroom_id id], on_delete: :cascade
      foreign_key %i[workroom_id button_id], :buttons, key: %i[workroom_id id], on_delete: :cascade
      constraint(:reservation_count_in_range, count: 1..10_000)
      index %i[workroom_id button_id]
    end
  end

  down do
    drop_table(:reservations)
    alter_table(:buttons) { drop_constraint :buttons_workroom_id_id_key }
    alter_table(:machines) { drop_column :tack_length_mm }
    from(:closures).where(button_shape: "bar_tack").update(button_shape: "rounded")
    from(:closures).where(placket_edge: "pattern").update(placket_edge: "ten")
    from(:closures).where(placket_place: tacked).update(placket_place: "front")
    alter_table(:closures) do
      drop_constraint :button_shape_known
      add_constraint(:button_shape_known, button_shape: holes)
      drop_constraint :placket_place_known
      add_constraint(:placket_place_known, placket_place: places)
      drop_constraint :placket_edge_known
      add_constraint(:placket_edge_known, placket_edge: %w[ten six thirteen])
      choices.each_key { |column| drop_column column }
    end
  end
end
