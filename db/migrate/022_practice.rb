# frozen_string_literal: true

# A practice machine is a machine of its own: what is sewn on it is never known of a real one. The example workroom has
# no others. Settings that a simulated test hole held for a real machine are let go, with a note on those buttonholes.

Sequel.migration do
  up do
    alter_table(:machines) do
      add_column :practice, :boolean, null: false, default: false
      add_column :practice_of, :integer
      add_constraint(:machine_practises_for_another, Sequel.lit("practice_of IS NULL OR practice"))
    end
    run <<~SQL
      ALTER TABLE machines ADD CONSTRAINT machine_practised FOREIGN KEY (workroom_id, practice_of) REFERENCES machines (workroom_id, id);
      UPDATE machines SET practice = true FROM workrooms w WHERE w.id = machines.workroom_id AND w.sample;
      WITH held AS (
        SELECT c.workroom_id, c.id FROM closures c
          JOIN journal j ON j.workroom_id = c.workroom_id AND j.id = c.accepted
          JOIN machines m ON m.workroom_id = c.workroom_id AND m.id = c.machine_id
         WHERE starts_with(j.data->'with'->>'machine.id', 'stand-in for ') AND NOT m.practice),
      noted AS (
        INSERT INTO journal (workroom_id, id, kind, closure_id, data, happened_at)
        SELECT workroom_id, gen_random_uuid(), 'note', id, jsonb_build_object('note',
          'The settings were held by a test hole of the practice machine. Sew one on your own machine before you cut.'), now() FROM held)
      UPDATE closures c SET accepted = NULL, settled = c.settled - 'swatch' - 'recipe'
        FROM held WHERE held.workroom_id = c.workroom_id AND held.id = c.id;
    SQL
  end

  down do
    run "ALTER TABLE machines DROP CONSTRAINT machine_practised"
    alter_table(:machines) do
      drop_column :practice_of
      drop_column :practice
    end
  end
end
