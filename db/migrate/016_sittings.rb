# frozen_string_literal: true

# A sitting is several closures sewn on one machine in one go. What happens is said aloud, ids only, so that other
# screens can look again; how long steps took is read off the journal.

Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE sittings (
        workroom_id integer NOT NULL REFERENCES workrooms ON DELETE CASCADE,
        id integer GENERATED ALWAYS AS IDENTITY,
        machine_id integer NOT NULL,
        begun_at timestamptz NOT NULL DEFAULT clock_timestamp(), ended_at timestamptz,
        revision integer NOT NULL DEFAULT 1,
        drying_s integer NOT NULL DEFAULT 1200 CHECK (drying_s BETWEEN 0 AND 86400),
        costs_s jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(costs_s) = 'object'),
        wish jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(wish) = 'array'),
        PRIMARY KEY (workroom_id, id),
        CHECK (ended_at >= begun_at),
        CONSTRAINT sittings_of_machine FOREIGN KEY (workroom_id, machine_id) REFERENCES machines (workroom_id, id));
      CREATE UNIQUE INDEX sittings_one_a_machine ON sittings (workroom_id, machine_id) WHERE ended_at IS NULL;
      CREATE TABLE sitting_closures (
        workroom_id integer NOT NULL, sitting_id integer NOT NULL, closure_id integer NOT NULL, place integer NOT NULL,
        PRIMARY KEY (workroom_id, sitting_id, closure_id),
        FOREIGN KEY (workroom_id, sitting_id) REFERENCES sittings (workroom_id, id) ON DELETE CASCADE,
        FOREIGN KEY (workroom_id, closure_id) REFERENCES closures (workroom_id, id) ON DELETE CASCADE);
      CREATE INDEX sitting_closures_by_closure ON sitting_closures (workroom_id, closure_id);
      CREATE INDEX journal_of_sittings ON journal (workroom_id, happened_at) WHERE data->'with' ? 'sitting.id';

      CREATE FUNCTION tell_of_it() RETURNS trigger LANGUAGE plpgsql AS $$
        BEGIN
          PERFORM pg_notify('nimble_eyelet', json_build_object('workroom', NEW.workroom_id, 'kind', TG_TABLE_NAME,
            'closure', to_jsonb(NEW)->(CASE TG_TABLE_NAME WHEN 'closures' THEN 'id' ELSE 'closure_id' END))::text);
          RETURN NULL;
        END $$;
      CREATE TRIGGER journal_tells AFTER INSERT ON journal FOR EACH ROW EXECUTE FUNCTION tell_of_it();
      CREATE TRIGGER sittings_tell AFTER INSERT OR UPDATE ON sittings FOR EACH ROW EXECUTE FUNCTION tell_of_it();
      CREATE TRIGGER closures_tell AFTER UPDATE OF version ON closures FOR EACH ROW EXECUTE FUNCTION tell_of_it();
    SQL
  end

  down do
    run <<~SQL
      DROP TRIGGER journal_tells ON journal;
      DROP TRIGGER closures_tell ON closures;
      DROP TABLE sitting_closures;
      DROP TABLE sittings;
      DROP FUNCTION tell_of_it();
      DROP INDEX journal_of_sittings;
    SQL
  end
end
