# frozen_string_literal: true

# The schema from the start: a workroom owns everything. Lengths are millimetres to the millionth,
# which holds every sixty-fourth of an inch and every ligne exactly; each has its limits here too.

require "sequel"

Sequel.migration do
  up do
    extension :pg_array

    length = lambda do |table, name, least, most, null: false, default: nil|
      table.column name, "numeric(12, 6)", null: null, default: default
      table.constraint(:"#{name}_in_range") { (Sequel[name] >= least) & (Sequel[name] <= most) }
    end
    # More than zero: the least length kept is a micrometre.
    least = 0.001
    one_of = lambda do |table, name, values, default: nil|
      table.column name, String, null: false, default: default
      table.constraint(:"#{name}_known", name => values)
    end
    owned = lambda do |table|
      table.foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade, index: true
    end

    create_table(:workrooms) do |table = self|
      primary_key :id
      column :name, String, null: false
      one_of.call(table, :unit, %w[mm cm in], default: "mm")
      column :revision, Integer, null: false, default: 1
    end

    create_table(:machines) do |table = self|
      primary_key :id
      owned.call(table)
      column :name, String, null: false
      one_of.call(table, :kind, %w[sensing memory stepped plain])
      column :styles, "text[]", null: false
      one_of.call(table, :stops, %w[machine operator])
      one_of.call(table, :reset, %w[none select_again dial_away_and_back push_lever first_step])
      length.call(table, :max_width_mm, least, 12)
      length.call(table, :width_step_mm, 0.05, 2)
      length.call(table, :length_step_mm, 0.01, 1)
      column :neutral_tension, "numeric(5, 2)", null: false
      column :tension_step, "numeric(5, 2)", null: false, default: 0.5
      one_of.call(table, :feed_stop, %w[drop_feed cover_plate length_zero])
      column :bobbin_finger, :boolean, null: false, default: false
      column :balance, :boolean, null: false, default: false
      constraint(:neutral_tension_in_range, neutral_tension: 0..20)
      unique %i[workroom_id name]
    end

    create_table(:feet) do |table = self|
      primary_key :id
      owned.call(table)
      foreign_key :machine_id, :machines, null: false, on_delete: :cascade
      one_of.call(table, :kind, %w[carriage_foot sliding_scale_foot grooved_satin_foot cording_foot
                                   button_foot general_zigzag_foot])
      column :nickname, String, null: false, default: ""
      length.call(table, :largest_button_mm, least, 150, null: true)
      unique %i[machine_id kind]
    end

    cloth_kinds = %w[light_woven heavy_woven knit sheer leather pile]
    create_table(:cloths) do |table = self|
      primary_key :id
      owned.call(table)
      column :name, String, null: false
      one_of.call(table, :kind, cloth_kinds)
      column :weight_g_m2, Integer, null: false
      length.call(table, :thickness_mm, least, 15)
      column :stretch_percent, Integer, null: false, default: 0
      constraint(:weight_in_range, weight_g_m2: 10..1500)
      constraint(:stretch_in_range, stretch_percent: 0..200)
      unique %i[workroom_id name]
    end

    create_table(:threads) do |table = self|
      primary_key :id
      owned.call(table)
      column :name, String, null: false
      one_of.call(table, :fibre, %w[polyester cotton rayon silk])
      column :tex, "numeric(6, 2)", null: false
      constraint(:tex_in_range, tex: 5..200)
      unique %i[workroom_id name]
    end

    shapes = %w[flat rounded domed half_ball ball]
    attachments = %w[two_holes four_holes shank]
    create_table(:buttons) do |table = self|
      primary_key :id
      owned.call(table)
      column :name, String, null: false
      one_of.call(table, :shape, shapes)
      one_of.call(table, :attachment, attachments)
      length.call(table, :diameter_mm, least, 150)
      length.call(table, :thickness_mm, least, 150)
      length.call(table, :hole_spacing_mm, least, 100)
      length.call(table, :hole_diameter_mm, least, 20)
      unique %i[workroom_id name]
    end

    create_table(:garments) do |table = self|
      primary_key :id
      owned.call(table)
      column :name, String, null: false
      unique %i[workroom_id name]
    end

    # A closure keeps its own measure of the button, cloth and thread it was planned for, so that
    # its plan stays what it was when something on the shelf changes.
    create_table(:closures) do |table = self|
      primary_key :id
      owned.call(table)
      foreign_key :garment_id, :garments, null: false, on_delete: :cascade, index: true
      foreign_key :machine_id, :machines, null: false, index: true
      column :name, String, null: false
      column :revision, Integer, null: false, default: 0
      column :position, Integer, null: false, default: 0

      column :button_name, String, null: false, default: ""
      one_of.call(table, :button_shape, shapes)
      one_of.call(table, :button_attachment, attachments)
      length.call(table, :button_diameter_mm, least, 150)
      length.call(table, :button_thickness_mm, least, 150)
      length.call(table, :button_hole_spacing_mm, least, 100)
      length.call(table, :button_hole_diameter_mm, least, 20)

      column :cloth_name, String, null: false, default: ""
      one_of.call(table, :cloth_kind, cloth_kinds)
      column :cloth_weight_g_m2, Integer, null: false
      length.call(table, :cloth_thickness_mm, least, 15)
      column :cloth_layers, Integer, null: false
      length.call(table, :cloth_interfacing_mm, 0, 5)
      column :cloth_stretch_percent, Integer, null: false
      constraint(:cloth_weight_in_range, cloth_weight_g_m2: 10..1500)
      constraint(:cloth_layers_in_range, cloth_layers: 1..12)
      constraint(:cloth_stretch_in_range, cloth_stretch_percent: 0..200)

      column :thread_name, String, null: false, default: ""
      one_of.call(table, :thread_fibre, %w[polyester cotton rayon silk])
      column :thread_tex, "numeric(6, 2)", null: false
      constraint(:thread_tex_in_range, thread_tex: 5..200)

      one_of.call(table, :opening_school, %w[passing_geometry diameter_thickness diameter_allowance])
      length.call(table, :opening_allowance_mm, 0, 20)
      length.call(table, :opening_correction_mm, -20, 20)
      rulers = %w[half_millimetre millimetre sixteenth_inch eighth_inch]
      one_of.call(table, :opening_ruler, rulers)

      length.call(table, :placket_run_length_mm, least, 3000)
      length.call(table, :placket_first_mm, least, 3000, null: true)
      length.call(table, :placket_last_mm, least, 3000, null: true)
      column :placket_count, Integer
      length.call(table, :placket_wished_gap_mm, 5, 500, null: true)
      length.call(table, :placket_extension_mm, least, 200)
      one_of.call(table, :placket_orientation, %w[vertical horizontal])
      one_of.call(table, :placket_use, %w[shirt coat small children])
      one_of.call(table, :placket_edge, %w[ten six thirteen])
      one_of.call(table, :placket_grid, rulers)
      one_of.call(table, :placket_seat, %w[upper centre])
      constraint(:placket_count_in_range, Sequel.|({ placket_count: nil }, { placket_count: 1..60 }))
      constraint(:placket_first_on_run, Sequel.lit("placket_first_mm <= placket_run_length_mm"))
      constraint(:placket_last_on_run, Sequel.lit("placket_last_mm <= placket_run_length_mm"))
      constraint(:placket_first_above_last, Sequel.lit("placket_first_mm <= placket_last_mm"))

      one_of.call(table, :attach_pattern, %w[two_bars cross square])
      column :attach_stitches, Integer
      length.call(table, :attach_width_mm, 0, 12, null: true)
      constraint(:attach_stitches_in_range, Sequel.|({ attach_stitches: nil }, { attach_stitches: 4..20 }))
      unique %i[garment_id name]
    end

    # What was overruled in the recipe; nothing where the rules decide.
    create_table(:recipes) do |table = self|
      foreign_key :closure_id, :closures, primary_key: true, on_delete: :cascade
      owned.call(table)
      column :style, String
      column :foot, String
      length.call(table, :stitch_width_mm, least, 12, null: true)
      length.call(table, :stitch_length_mm, 0.1, 5, null: true)
      column :tension, "numeric(5, 2)"
      column :stabiliser, String
      column :needle_size, Integer
      constraint(:tension_in_range, Sequel.|({ tension: nil }, { tension: 0..20 }))
      constraint(:needle_size_in_range, Sequel.|({ needle_size: nil }, { needle_size: 60..120 }))
    end

    create_table(:pins) do |table = self|
      primary_key :id
      owned.call(table)
      foreign_key :closure_id, :closures, null: false, on_delete: :cascade, index: true
      length.call(table, :at_mm, 0, 3000)
      column :label, String, null: false, default: ""
      unique %i[closure_id at_mm]
    end

    create_table(:keep_outs) do |table = self|
      primary_key :id
      owned.call(table)
      foreign_key :closure_id, :closures, null: false, on_delete: :cascade, index: true
      length.call(table, :from_mm, 0, 3000)
      length.call(table, :to_mm, 0, 3000)
      column :label, String, null: false, default: ""
      constraint(:from_above_to, Sequel.lit("from_mm < to_mm"))
    end

    create_table(:swatches) do |table = self|
      primary_key :id
      owned.call(table)
      foreign_key :closure_id, :closures, null: false, on_delete: :cascade
      column :number, Integer, null: false
      one_of.call(table, :passes, %w[will_not_pass tight passes slips_out])
      length.call(table, :measured_mm, least, 200, null: true)
      column :symptoms, "text[]", null: false
      length.call(table, :opening_mm, least, 500)
      length.call(table, :stitch_width_mm, least, 12)
      length.call(table, :stitch_length_mm, 0.01, 5)
      column :tension, "numeric(5, 2)", null: false
      column :stabiliser, String, null: false
      column :note, String, null: false, default: ""
      column :accepted, :boolean, null: false, default: false
      column :sewn_at, :timestamptz, null: false
      unique %i[closure_id number]
    end

    create_table(:steps_done) do |table = self|
      owned.call(table)
      foreign_key :closure_id, :closures, null: false, on_delete: :cascade
      column :key, String, null: false
      primary_key %i[closure_id key]
    end

    # A settled stage, with the fingerprint of what it was settled from.
    create_table(:knots) do |table = self|
      owned.call(table)
      foreign_key :closure_id, :closures, null: false, on_delete: :cascade
      one_of.call(table, :stage, %w[button opening placket recipe swatch sewing attach print])
      column :fingerprint, String, size: 64, fixed: true, null: false
      primary_key %i[closure_id stage]
    end

    # Every saved change, whole. A revision's parent is what was shown when it was made, so undo
    # goes to the parent and redo to the newest child.
    create_table(:revisions) do |table = self|
      owned.call(table)
      foreign_key :closure_id, :closures, null: false, on_delete: :cascade
      column :number, Integer, null: false
      column :parent, Integer
      column :summary, String, null: false
      column :document, :jsonb, null: false
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[closure_id number]
      index %i[closure_id parent]
    end
  end

  down do
    # What a later version kept beside, on its way down.
    run "DROP TABLE IF EXISTS moves_before, journal_before; DROP FUNCTION IF EXISTS journal_refuses()"
    drop_table(:revisions, :knots, :steps_done, :swatches, :keep_outs, :pins, :recipes, :closures, :garments,
               :buttons, :threads, :cloths, :feet, :machines, :workrooms)
  end
end
