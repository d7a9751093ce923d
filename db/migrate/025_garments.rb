# frozen_string_literal: true

# A garment has a note and photos, and can be archived when it is done.

require "sequel"

Sequel.migration do
  up do
    alter_table(:garments) do
      add_column :note, :text, null: false, default: ""
      add_column :archived_at, :timestamptz
      add_constraint(:garment_note_is_short, Sequel.lit("char_length(note) <= 4000"))
    end
    run <<~SQL
      CREATE TABLE garment_photos (
        workroom_id integer NOT NULL, id uuid NOT NULL, garment_id integer NOT NULL, image_data jsonb NOT NULL,
        width integer NOT NULL CHECK (width BETWEEN 1 AND 40000), height integer NOT NULL CHECK (height BETWEEN 1 AND 40000),
        taken_at timestamptz NOT NULL DEFAULT clock_timestamp(), removed_at timestamptz,
        PRIMARY KEY (workroom_id, id),
        FOREIGN KEY (workroom_id, garment_id) REFERENCES garments (workroom_id, id) ON DELETE CASCADE)
    SQL
    run "CREATE INDEX garment_photos_of ON garment_photos (workroom_id, garment_id)"
  end

  down do
    drop_table(:garment_photos)
    alter_table(:garments) do
      drop_constraint(:garment_note_is_short)
      drop_column :archived_at
      drop_column :note
    end
  end
end
