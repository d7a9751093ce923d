# frozen_string_literal: true

# Rehearsals: what was practised, with which slips, and how well each skill went. Apart from the journal: nothing that
# is practised is ever a fact of a garment or of a real machine.

require "sequel"

Sequel.migration do
  who = "current_setting('nimble.who', true)"

  up do
    run <<~SQL
      CREATE TABLE rehearsals (
        id uuid NOT NULL, workroom_id integer NOT NULL REFERENCES workrooms ON DELETE CASCADE,
        machine_id integer NOT NULL, exercise text NOT NULL, alone boolean NOT NULL, seconds integer NOT NULL,
        slips jsonb NOT NULL, ratings jsonb NOT NULL, done_at timestamptz NOT NULL DEFAULT clock_timestamp(),
        account_id integer REFERENCES accounts ON DELETE CASCADE
          DEFAULT (CASE WHEN #{who} ~ '^[0-9]+$' THEN #{who}::integer END),
        PRIMARY KEY (workroom_id, id),
        CONSTRAINT rehearsals_of_machine FOREIGN KEY (workroom_id, machine_id) REFERENCES machines (workroom_id, id) ON DELETE CASCADE,
        CONSTRAINT rehearsals_exercise CHECK (exercise ~ '^[a-z_-]{1,40}$'),
        CONSTRAINT rehearsals_seconds CHECK (seconds BETWEEN 0 AND 86400),
        CONSTRAINT rehearsals_lists CHECK (jsonb_typeof(slips) = 'array' AND jsonb_typeof(ratings) = 'object'));
      CREATE INDEX rehearsals_of_somebody ON rehearsals (workroom_id, machine_id, account_id, done_at);
      ALTER TABLE rehearsals ENABLE ROW LEVEL SECURITY, FORCE ROW LEVEL SECURITY;
      CREATE POLICY own_people ON rehearsals
        USING ((SELECT coalesce(#{who}, '') = 'all') OR workroom_id = ANY (ARRAY(SELECT seen_workrooms())));
    SQL
  end

  down { drop_table(:rehearsals) }
end
