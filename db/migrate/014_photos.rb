# frozen_string_literal: true

# A test hole may have a photo, and two points on it whose distance is known.

require "sequel"

Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE photos (
        workroom_id integer NOT NULL, entry uuid NOT NULL, image_data jsonb NOT NULL,
        width integer NOT NULL CHECK (width BETWEEN 1 AND 40000), height integer NOT NULL CHECK (height BETWEEN 1 AND 40000),
        points jsonb CHECK (jsonb_typeof(points) = 'object'), taken_at timestamptz NOT NULL DEFAULT clock_timestamp(),
        PRIMARY KEY (workroom_id, entry),
        FOREIGN KEY (workroom_id, entry) REFERENCES journal (workroom_id, id) ON DELETE CASCADE)
    SQL
  end

  down { drop_table(:photos) }
end
