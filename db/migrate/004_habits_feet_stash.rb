# frozen_string_literal: true

# Habits of the house that closures fall back on, what the marks of a foot count, and the stash:
# how many buttons there are, what they look like, and finding them again.

require "sequel"

Sequel.migration do
  habitual = %i[opening_school opening_ruler placket_edge placket_grid placket_seat attach_pattern]
  beginnings = { opening_school: "passing_geometry", opening_ruler: "half_millimetre", placket_edge: "ten",
                 placket_grid: "millimetre", placket_seat: "upper", attach_pattern: "two_bars" }

  up do
    add_column :workrooms, :habits, :jsonb, null: false, default: Sequel.lit("'{}'")
    alter_table(:closures) do
      habitual.each { |column| set_column_allow_null(column) }
      add_column :opening_ease_mm, "numeric(12, 6)"
      add_constraint(:opening_ease_mm_in_range, opening_ease_mm: 0..20)
    end
    alter_table(:feet) do
      add_column :scale_pitch_mm, "numeric(12, 6)", null: false, default: 5
      add_column :scale_reads, String, null: false, default: "overall"
      add_constraint(:scale_pitch_mm_in_range, scale_pitch_mm: 0.1..25)
      add_constraint(:scale_reads_known, scale_reads: %w[overall opening])
    end
    alter_table(:machines) do
      add_column :revision, Integer, null: false, default: 1
      add_column :first_side, String, null: false, default: "left"
      add_column :first_direction, String, null: false, default: "away"
      add_column :straight_first, :boolean, null: false, default: false
      add_column :lift_resets, :boolean, null: false, default: false
      add_column :needle_positions, Integer, null: false, default: 2
      add_column :top_speed, Integer, null: false, default: 700
      add_constraint(:first_side_known, first_side: %w[left right])
      add_constraint(:first_direction_known, first_direction: %w[away toward])
      add_constraint(:needle_positions_in_range, needle_positions: 1..50)
      add_constraint(:top_speed_in_range, top_speed: 50..1500)
      # Programmes whose beads a machine can make have a swing; a machine without one sews straight.
      drop_constraint :max_width_mm_in_range
      add_constraint(:max_width_mm_in_range, max_width_mm: 0..12)
    end
    alter_table(:buttons) do
      add_column :owned, Integer, null: false, default: 0
      add_column :colour, String, null: false, default: "shell"
      add_column :note, String, null: false, default: ""
      add_column :revision, Integer, null: false, default: 1
      add_constraint(:owned_in_range, owned: 0..10_000)
      add_constraint(:note_in_range, Sequel.function(:char_length, :note) <= 80)
    end
    run <<~SQL
      ALTER TABLE buttons ADD COLUMN words tsvector GENERATED ALWAYS AS
        (to_tsvector('simple', name || ' ' || replace(shape, '_', ' ') || ' ' || replace(attachment, '_', ' ') || ' ' ||
                               replace(colour, '_', ' ') || ' ' || note)) STORED
    SQL
    add_index :buttons, :words, type: :gin
    add_index :closures, %i[workroom_id button_name]
  end

  down do
    drop_index :closures, %i[workroom_id button_name]
    alter_table(:buttons) { %i[words owned colour note revision].each { |column| drop_column column } }
    from(:machines).where(max_width_mm: 0).update(max_width_mm: 0.05)
    alter_table(:machines) do
      %i[first_side first_direction straight_first lift_resets needle_positions top_speed revision].each do |column|
        drop_column column
      end
      drop_constraint :max_width_mm_in_range
      add_constraint(:max_width_mm_in_range, max_width_mm: 0.001..12)
    end
    alter_table(:feet) { %i[scale_pitch_mm scale_reads].each { |column| drop_column column } }
    beginnings.each { |column, key| from(:closures).where(column => nil).update(column => key) }
    alter_table(:closures) do
      drop_column :opening_ease_mm
      habitual.each { |column| set_column_not_null(column) }
    end
    drop_column :workrooms, :habits
  end
end
