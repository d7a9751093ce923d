# frozen_string_literal: true

# Figures that stay true from the answer to the hand: what a machine does where nobody has watched it yet is
# unknown and not assumed, a foot's own allowance is unknown until a hole was measured, a pin holds the
# button, what lies in the way is a ridge or takes no hole, a seam is one place; cords, ribbons, hooks and
# rings are closures of their own; kinds of garment and places on them.

require "sequel"

Sequel.migration do
  shapes = %w[flat rounded domed half_ball ball rimmed square polygon irregular bar]
  things = %w[cord ribbon hook ring]
  kinds = %w[light_woven heavy_woven knit sheer leather pile coated quilted]
  uses = %w[shirt coat small children]
  more_uses = %w[knitwear trousers bedding curtain bag]
  places = %w[front pulled_front stand cuff sleeve_slit collar_point waistband fly double_breasted knit_band tab edge]
  buttons = { buttons: "", closures: "button_" }
  machine_flags = %i[length_stepless width_stepless foot_pressure speed_limiter]
  machine_choices = { anchor: %w[centre left], eye_end: %w[far near], second_bead: %w[back same],
                      forgets: %w[other_programme clear_key other_setting off] }

  up do
    buttons.each do |table, prefix|
      alter_table(table) do
        drop_constraint :"#{prefix}shape_known"
        add_constraint(:"#{prefix}shape_known", "#{prefix}shape": shapes + things)
        drop_constraint :"#{prefix}attachment_known"
        add_constraint(:"#{prefix}attachment_known", "#{prefix}attachment": %w[two_holes four_holes shank tunnel])
        add_column :"#{prefix}tip_mm", "numeric(12, 6)"
        add_constraint(:"#{prefix}tip_mm_in_range", "#{prefix}tip_mm": 0.001..150)
      end
    end
    { cloths: :kind, closures: :cloth_kind }.each do |table, column|
      alter_table(table) do
        drop_constraint :"#{column}_known"
        add_constraint(:"#{column}_known", column => kinds + %w[waxed])
      end
    end
    alter_table(:closures) do
      drop_constraint :placket_use_known
      add_constraint(:placket_use_known, placket_use: uses + more_uses)
      add_column :placket_place, String, null: false, default: "front"
      add_constraint(:placket_place_known, placket_place: places)
      # A closure keeps the unit it was made in; those that are there are in that of their workroom.
      add_column :unit, String, null: false, default: "mm"
      add_constraint(:unit_known, unit: %w[mm cm in])
    end
    from(:closures).update(unit: from(:workrooms).where(id: Sequel[:closures][:workroom_id]).select(:unit))
    alter_table(:pins) do
      # What was pinned so far was the hole.
      add_column :holds, String, null: false, default: "hole"
      set_column_default :holds, "button"
      add_constraint(:holds_known, holds: %w[button hole])
    end
    alter_table(:keep_outs) do
      set_column_allow_null :to_mm
      add_column :kind, String, null: false, default: "no_go"
      add_constraint(:kind_known, kind: %w[no_go ridge])
    end
    # Shelves of cloths and threads are kept like the button box: changed, put away, taken out again.
    %i[cloths threads].each do |table|
      alter_table(table) do
        add_column :revision, Integer, null: false, default: 1
        add_column :removed_at, :timestamptz
        add_column :garment, String, null: false, default: ""
        drop_constraint :"#{table}_workroom_id_name_key"
      end
      run "CREATE UNIQUE INDEX #{table}_workroom_id_name ON #{table} (workroom_id, name) WHERE removed_at IS NULL"
    end
    alter_table(:cloths) do
      %i[frays iron washed].each do |column|
        add_column column, String
        add_constraint(:"#{column}_known", column => %w[yes no])
      end
    end
    alter_table(:machines) do
      %i[first_side first_direction].each do |column|
        set_column_default column, nil
        set_column_allow_null column
      end
      machine_flags.each { |column| add_column column, :boolean, null: false, default: false }
      machine_choices.each do |column, values|
        add_column column, String, null: false, default: values.first
        add_constraint(:"#{column}_known", column => values)
      end
      add_column :foot_lift_mm, "numeric(12, 6)", null: false, default: 6
      add_constraint(:foot_lift_mm_in_range, foot_lift_mm: 2..20)
    end
    alter_table(:feet) do
      %i[allowance_mm click_mm].each do |column|
        set_column_default column, nil
        set_column_allow_null column
      end
    end
    # Nought was what stood there before anybody had measured.
    from(:feet).where(allowance_mm: 0).update(allowance_mm: nil)
    from(:feet).exclude(kind: "carriage_foot").update(click_mm: nil, allowance_mm: nil)
    run <<~SQL
      UPDATE revisions r SET document = r.document || jsonb_build_object('closure.unit', w.unit) FROM workrooms w WHERE w.id = r.workroom_id
    SQL
    # Rows of revisions, too, say what they hold.
    run <<~SQL
      UPDATE revisions SET document = jsonb_set(document, '{placket.pins}', (
        SELECT COALESCE(jsonb_object_agg(key, value || '{"holds": "hole"}'), '{}') FROM jsonb_each(document->'placket.pins')))
       WHERE jsonb_typeof(document->'placket.pins') = 'object'
    SQL
  end

  down do
    buttons.each do |table, prefix|
      from(table).where("#{prefix}shape": things).update("#{prefix}shape": "flat")
      from(table).where("#{prefix}attachment": "tunnel").update("#{prefix}attachment": "shank")
      alter_table(table) do
        drop_constraint :"#{prefix}shape_known"
        add_constraint(:"#{prefix}shape_known", "#{prefix}shape": shapes)
        drop_constraint :"#{prefix}attachment_known"
        add_constraint(:"#{prefix}attachment_known", "#{prefix}attachment": %w[two_holes four_holes shank])
        drop_column :"#{prefix}tip_mm"
      end
    end
    { cloths: :kind, closures: :cloth_kind }.each do |table, column|
      from(table).where(column => "waxed").update(column => "coated")
      alter_table(table) do
        drop_constraint :"#{column}_known"
        add_constraint(:"#{column}_known", column => kinds)
      end
    end
    from(:closures).where(placket_use: more_uses).update(placket_use: "shirt")
    alter_table(:closures) do
      drop_constraint :placket_use_known
      add_constraint(:placket_use_known, placket_use: uses)
      drop_column :placket_place
      drop_column :unit
    end
    alter_table(:pins) { drop_column :holds }
    from(:keep_outs).where(to_mm: nil).update(to_mm: Sequel[:from_mm] + 5,
                                              from_mm: Sequel.function(:greatest, Sequel[:from_mm] - 5, 0))
    alter_table(:keep_outs) do
      set_column_not_null :to_mm
      drop_column :kind
    end
    %i[cloths threads].each do |table|
      from(table).exclude(removed_at: nil).delete
      run "DROP INDEX #{table}_workroom_id_name"
      alter_table(table) do
        drop_column :revision
        drop_column :removed_at
        drop_column :garment
        add_unique_constraint %i[workroom_id name], name: :"#{table}_workroom_id_name_key"
      end
    end
    alter_table(:cloths) { %i[frays iron washed].each { |column| drop_column column } }
    from(:machines).where(first_side: nil).update(first_side: "left")
    from(:machines).where(first_direction: nil).update(first_direction: "away")
    alter_table(:machines) do
      { first_side: "left", first_direction: "away" }.each do |column, value|
        set_column_default column, value
        set_column_not_null column
      end
      (machine_flags + machine_choices.keys).each { |column| drop_column column }
      drop_column :foot_lift_mm
    end
    run "UPDATE revisions SET document = document - 'closure.unit'"
    from(:feet).where(allowance_mm: nil).update(allowance_mm: 0)
    from(:feet).where(click_mm: nil).update(click_mm: 0.5)
    alter_table(:feet) do
      { allowance_mm: 0, click_mm: 0.5 }.each do |column, value|
        set_column_default column, value
        set_column_not_null column
      end
    end
    run <<~SQL
      UPDATE revisions SET document = jsonb_set(document, '{placket.pins}', (
        SELECT COALESCE(jsonb_object_agg(key, value - 'holds'), '{}') FROM jsonb_each(document->'placket.pins')))
       WHERE jsonb_typeof(document->'placket.pins') = 'object'
    SQL
  end
end
