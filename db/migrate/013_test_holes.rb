# frozen_string_literal: true

# What test holes teach: what is set beyond what is wanted may be left to what was learned, the balance is
# set in notches, a machine can be told to forget, and every test hole stands in a book that is searched.

require "sequel"

Sequel.migration do
  up do
    alter_table(:closures) do
      set_column_allow_null :opening_correction_mm
      add_column :recipe_balance, Integer
      add_constraint(:recipe_balance_in_range, recipe_balance: -9..9)
      add_column :recipe_pace, String
      add_constraint(:recipe_pace_known, recipe_pace: %w[one each])
    end
    # Nothing was set beyond what is wanted: that is what is learned from now on.
    from(:closures).where(opening_correction_mm: 0).update(opening_correction_mm: nil)
    run <<~SQL
      UPDATE revisions SET document = jsonb_set(document, '{opening.correction}', 'null')
       WHERE document->>'opening.correction' IN ('0', '0.0')
    SQL
    alter_table(:machines) do
      add_column :learned_from, :timestamptz
      # What the machine that stands in for it is like, and nobody knows.
      add_column :stand_in, Integer, null: false, default: Sequel.lit("floor(random() * 2147483647)::integer")
    end
    # A test hole out of another swatch book belongs to no closure here.
    run <<~SQL
      ALTER TABLE journal DROP CONSTRAINT journal_swatch,
        ADD CONSTRAINT journal_swatch CHECK (kind <> 'swatch' OR ((closure_id IS NOT NULL OR imported) AND data ? 'passes'))
    SQL
    run "CREATE INDEX journal_swatches ON journal (workroom_id, machine_id, happened_at DESC) WHERE kind = 'swatch'"

    run "CREATE EXTENSION IF NOT EXISTS pg_trgm"
    run <<~SQL
      CREATE TABLE swatch_book (
        workroom_id integer NOT NULL, entry uuid NOT NULL, closure_id integer, machine_id integer,
        sewn_at timestamptz NOT NULL, verdict text, cloth_kind text, foot text, style text, simulated boolean NOT NULL DEFAULT false,
        words text NOT NULL CHECK (char_length(words) <= 4000),
        search tsvector GENERATED ALWAYS AS (to_tsvector('simple', words)) STORED,
        PRIMARY KEY (workroom_id, entry),
        FOREIGN KEY (workroom_id, entry) REFERENCES journal (workroom_id, id) ON DELETE CASCADE);
      CREATE INDEX swatch_book_by_time ON swatch_book (workroom_id, sewn_at DESC, entry);
      CREATE INDEX swatch_book_search ON swatch_book USING gin (search);
      CREATE INDEX swatch_book_words ON swatch_book USING gin (words gin_trgm_ops);
      INSERT INTO swatch_book (workroom_id, entry, closure_id, machine_id, sewn_at, verdict, cloth_kind, foot, style, words)
      SELECT j.workroom_id, j.id, j.closure_id, j.machine_id, j.happened_at, j.data->>'passes', j.data->'with'->>'cloth.kind',
             j.data->'with'->>'recipe.foot', j.data->'with'->>'recipe.style',
             left(translate(concat_ws(' ', c.name, g.name, c.cloth_name, j.data->'with'->>'cloth.kind', c.thread_name, m.name,
                                      j.data->'with'->>'recipe.foot', j.data->'with'->>'recipe.style', j.data->>'passes',
                                      j.data->>'symptoms', j.data->>'note'), '_[]",', '     '), 4000)
        FROM journal j JOIN closures c ON c.workroom_id = j.workroom_id AND c.id = j.closure_id
        JOIN garments g ON g.workroom_id = c.workroom_id AND g.id = c.garment_id
        LEFT JOIN machines m ON m.workroom_id = j.workroom_id AND m.id = COALESCE(j.machine_id, c.machine_id)
       WHERE j.kind = 'swatch'
    SQL
  end

  down do
    drop_table(:swatch_book)
    run "DROP INDEX journal_swatches"
    run <<~SQL
      DELETE FROM journal WHERE kind = 'swatch' AND closure_id IS NULL;
      ALTER TABLE journal DROP CONSTRAINT journal_swatch,
        ADD CONSTRAINT journal_swatch CHECK (kind <> 'swatch' OR (closure_id IS NOT NULL AND data ? 'passes'))
    SQL
    alter_table(:machines) do
      drop_column :stand_in
      drop_column :learned_from
    end
    run <<~SQL
      UPDATE revisions SET document = jsonb_set(document, '{opening.correction}', '"0"') WHERE document->'opening.correction' = 'null'
    SQL
    from(:closures).where(opening_correction_mm: nil).update(opening_correction_mm: 0)
    alter_table(:closures) do
      drop_column :recipe_pace
      drop_column :recipe_balance
      set_column_not_null :opening_correction_mm
    end
  end
end
