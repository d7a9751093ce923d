# frozen_string_literal: true

# What happened at the table goes into a journal that is only ever added to; the plan keeps what
# somebody wants. Test holes and ticked steps leave the revisions, so that undo never un-sews; a
# settled stage remembers what it was settled from instead of a fingerprint of it.

require "sequel"
require "digest"
require "json"
require "time"

unless defined?(JournalMigration)
  module JournalMigration
    # Lengths among the fields of a document; outlines are not compared.
    LENGTHS = %w[button.diameter button.thickness button.hole_spacing button.hole_diameter button.width cloth.thickness cloth.interfacing
                 opening.allowance opening.correction opening.ease opening.wrapped placket.run_length placket.first placket.last
                 placket.wished_gap placket.extension placket.least_gap placket.most_gap placket.inner_gap placket.offset
                 recipe.stitch_width recipe.stitch_length attach.width].freeze
    LEANS = { "button" => %w[button], "opening" => %w[button cloth opening], "placket" => %w[button cloth opening placket],
              "recipe" => %w[button cloth thread recipe], "swatch" => %w[button cloth opening thread recipe],
              "sewing" => %w[button cloth opening placket thread recipe], "attach" => %w[button cloth recipe attach],
              "print" => %w[button cloth opening placket recipe] }.freeze
    NOT_COMPARED = %w[button.name cloth.name thread.name thread.bobbin cloth.washed button.outline].freeze
    SWATCH = %w[number passes measured symptoms opening stitch_width stitch_length tension stabiliser note accepted sewn_at].freeze

    # What a later version says of a fit, as it was said then.
    PASSES_LATER = { "easy" => "passes" }.freeze

    module_function

    # The same for the same fact, wherever it is found.
    def uuid(*parts)
      hex = Digest::SHA256.hexdigest(JSON.generate(parts))
      "#{hex[0, 8]}-#{hex[8, 4]}-4#{hex[13, 3]}-8#{hex[17, 3]}-#{hex[20, 12]}"
    end

    def swatch_id(closure, swatch) = uuid("swatch", closure, swatch.except("accepted"))

    # What a stage was settled from, as far as it is still known.
    def settled(stage, document)
      sections = LEANS.fetch(stage)
      document["fields"].each_with_object({}) do |(path, value), read|
        next if value.nil? || NOT_COMPARED.include?(path) || !sections.include?(path[/\A\w+/])

        read[path] = LENGTHS.include?(path) ? { "mm" => value.to_s } : value.to_s
      end
    end

    # A swatch of a document as an entry's figures, and back.
    def data(swatch)
      { "passes" => swatch["passes"], "measured" => swatch["measured"], "symptoms" => swatch["symptoms"], "note" => swatch["note"].to_s,
        "with" => { "opening.length" => { "mm" => swatch["opening"].to_s }, "recipe.stitch_width" => { "mm" => swatch["stitch_width"].to_s },
                    "recipe.stitch_length" => { "mm" => swatch["stitch_length"].to_s }, "recipe.tension" => swatch["tension"].to_s,
                    "recipe.stabiliser" => swatch["stabiliser"] } }
    end

    def swatch(number, entry, accepted)
      data = entry[:data]
      set = data["with"]
      { "number" => number, "passes" => PASSES_LATER.fetch(data["passes"], data["passes"]), "measured" => data["measured"], "symptoms" => data["symptoms"],
        "opening" => set.dig("opening.length", "mm"), "stitch_width" => set.dig("recipe.stitch_width", "mm"),
        "stitch_length" => set.dig("recipe.stitch_length", "mm"), "tension" => set["recipe.tension"],
        "stabiliser" => set["recipe.stabiliser"], "note" => data["note"].to_s, "accepted" => accepted,
        "sewn_at" => entry[:happened_at].utc.iso8601 }
    end
  end
end

Sequel.migration do
  up do
    extension :pg_array, :pg_json
    again = table_exists?(:journal_before)

    if again
      run <<~SQL
        ALTER TABLE journal_before RENAME TO journal;
        ALTER TABLE moves_before RENAME TO moves;
        DELETE FROM journal WHERE closure_id IS NOT NULL AND closure_id NOT IN (SELECT id FROM closures);
        UPDATE journal SET machine_id = NULL WHERE machine_id IS NOT NULL AND machine_id NOT IN (SELECT id FROM machines);
        ALTER TABLE journal
          ADD CONSTRAINT journal_of_closure FOREIGN KEY (workroom_id, closure_id) REFERENCES closures (workroom_id, id) ON DELETE CASCADE,
          ADD CONSTRAINT journal_of_machine FOREIGN KEY (workroom_id, machine_id) REFERENCES machines (workroom_id, id);
      SQL
      run "CREATE TRIGGER journal_is_only_added_to BEFORE UPDATE ON journal FOR EACH ROW EXECUTE FUNCTION journal_refuses()"
    else
      run <<~SQL
        CREATE TABLE journal (
          workroom_id integer NOT NULL REFERENCES workrooms ON DELETE CASCADE,
          id uuid NOT NULL,
          seq bigint GENERATED ALWAYS AS IDENTITY,
          kind text NOT NULL CHECK (kind IN ('swatch', 'step', 'hole_sewn', 'button_sewn', 'machine_part', 'mishap', 'note', 'withdrawal')),
          closure_id integer, machine_id integer, about uuid,
          step_key text CHECK (char_length(step_key) <= 60),
          at_mm numeric(12, 6) CHECK (at_mm BETWEEN 0 AND 3000),
          opening_mm numeric(12, 6) CHECK (opening_mm > 0 AND opening_mm <= 500),
          moves jsonb CHECK (jsonb_typeof(moves) = 'object'),
          data jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(data) = 'object'),
          plan_version text, device uuid,
          happened_at timestamptz NOT NULL, noted_at timestamptz NOT NULL DEFAULT clock_timestamp(),
          imported boolean NOT NULL DEFAULT false,
          PRIMARY KEY (workroom_id, id),
          CONSTRAINT journal_of_closure FOREIGN KEY (workroom_id, closure_id) REFERENCES closures (workroom_id, id) ON DELETE CASCADE,
          CONSTRAINT journal_of_machine FOREIGN KEY (workroom_id, machine_id) REFERENCES machines (workroom_id, id),
          FOREIGN KEY (workroom_id, about) REFERENCES journal (workroom_id, id) ON DELETE CASCADE,
          CONSTRAINT journal_swatch CHECK (kind <> 'swatch' OR (closure_id IS NOT NULL AND data ? 'passes')),
          CONSTRAINT journal_step CHECK (kind <> 'step' OR (closure_id IS NOT NULL AND step_key IS NOT NULL)),
          CONSTRAINT journal_sewn CHECK (kind NOT IN ('hole_sewn', 'button_sewn') OR (closure_id IS NOT NULL AND at_mm IS NOT NULL)),
          CONSTRAINT journal_part CHECK (kind <> 'machine_part' OR (machine_id IS NOT NULL AND moves IS NOT NULL)),
          CONSTRAINT journal_note CHECK (kind NOT IN ('mishap', 'note') OR closure_id IS NOT NULL OR machine_id IS NOT NULL),
          CONSTRAINT journal_withdrawal CHECK ((kind = 'withdrawal') = (about IS NOT NULL)));
        CREATE UNIQUE INDEX journal_withdrawn_once ON journal (workroom_id, about) WHERE kind = 'withdrawal';
        CREATE INDEX journal_by_closure ON journal (workroom_id, closure_id, happened_at, seq);
        CREATE TABLE moves (
          workroom_id integer NOT NULL, entry uuid NOT NULL, part text NOT NULL, machine_id integer NOT NULL, state jsonb,
          happened_at timestamptz NOT NULL, seq bigint NOT NULL,
          PRIMARY KEY (workroom_id, entry, part),
          FOREIGN KEY (workroom_id, entry) REFERENCES journal (workroom_id, id) ON DELETE CASCADE);
        CREATE INDEX moves_of_machine ON moves (workroom_id, machine_id, part, happened_at DESC, seq DESC);
        CREATE FUNCTION journal_refuses() RETURNS trigger LANGUAGE plpgsql AS
          $$ BEGIN RAISE EXCEPTION 'The journal is only ever added to; withdraw the entry instead.'; END $$;
        CREATE TRIGGER journal_is_only_added_to BEFORE UPDATE ON journal FOR EACH ROW EXECUTE FUNCTION journal_refuses();
      SQL
    end
    alter_table(:closures) do
      add_column :settled, :jsonb, null: false, default: Sequel.lit("'{}'")
      add_column :accepted, :uuid
    end

    from(:closures).order(:id).select_map(%i[workroom_id id position]).each do |workroom, closure, position|
      own = { workroom_id: workroom, closure_id: closure }
      rows = from(:revisions).where(own).order(:number).all
      standing = from(:journal).where(own).exclude(id: from(:journal).where(workroom_id: workroom,
                                                                            kind: "withdrawal").select(:about)).all
      swatches = {}
      ticked = {}
      documents = {}
      parents = rows.to_h { |row| [row[:number], row[:parent]] }
      rows.each do |row|
        before = documents[row[:parent]]
        document = JSON.parse(JSON.generate(row[:document].to_h))
        document["swatches"].each { |swatch| swatches[JournalMigration.swatch_id(closure, swatch)] ||= swatch }
        document["steps_done"].to_a.each { |key| ticked[key] ||= row[:made_at] }
        accepted = document["swatches"].find { |swatch| swatch["accepted"] }
        knots = document["knots"].to_h
        document["settled"] = if document["settled"] && document["settled"].keys.sort == knots.keys.sort
                                document["settled"]
                              else
                                knots.to_h do |stage, fingerprint|
                                  same = before && before[:knots][stage] == fingerprint
                                  [stage, same ? before[:document]["settled"].fetch(stage) : JournalMigration.settled(stage, document)]
                                end
                              end
        kept_id = standing.find do |entry|
          accepted && entry[:kind] == "swatch" && entry[:happened_at].utc.iso8601 == Time.iso8601(accepted["sewn_at"]).utc.iso8601
        end
        document["accepted"] = accepted && (kept_id ? kept_id[:id] : JournalMigration.swatch_id(closure, accepted))
        documents[row[:number]] = { knots: knots, document: document.except("swatches", "steps_done", "knots"),
                                    swatches: document["swatches"], steps: document["steps_done"].to_a }
      end

      # Facts: test holes of all revisions, ticks of the present one.
      now = documents.fetch(position)
      present = now[:swatches].map { |swatch| JournalMigration.swatch_id(closure, swatch) }
      known = standing.select { |entry| entry[:kind] == "swatch" }.map { |entry| entry[:happened_at].utc.iso8601 }
      swatches.each do |id, swatch|
        next if known.include?(Time.iso8601(swatch["sewn_at"]).utc.iso8601)

        at = Time.iso8601(swatch["sewn_at"])
        from(:journal).insert(**own, id: id, kind: "swatch", happened_at: at,
                                     data: Sequel.pg_jsonb_wrap(JournalMigration.data(swatch)))
        next if present.include?(id)

        from(:journal).insert(workroom_id: workroom, closure_id: closure, id: JournalMigration.uuid("withdrawn", id), kind: "withdrawal",
                              about: id, happened_at: at)
      end
      done = standing.select { |entry| entry[:step_key] }
      (now[:steps] - done.map { |entry| entry[:step_key] }).each do |key|
        from(:journal).insert(**own, id: JournalMigration.uuid("step", closure, key), kind: "step", step_key: key,
                                     happened_at: ticked.fetch(key), data: Sequel.pg_jsonb_wrap({ "figures" => "not kept" }))
      end
      done.reject { |entry| now[:steps].include?(entry[:step_key]) }.each do |entry|
        from(:journal).insert(**own, id: JournalMigration.uuid("withdrawn", entry[:id]), kind: "withdrawal", about: entry[:id],
                                     happened_at: Sequel::CURRENT_TIMESTAMP)
      end

      # A revision that now equals its parent would make undo do nothing.
      stands_for = {}
      rows.each do |row|
        number = row[:number]
        parent = parents[number] && stands_for.fetch(parents[number], parents[number])
        document = documents.fetch(number)[:document]
        if parent && documents.fetch(parent)[:document] == document
          stands_for[number] = parent
          from(:revisions).where(**own, number: number).delete
        else
          from(:revisions).where(**own, number: number).update(parent: parent, document: Sequel.pg_jsonb_wrap(document))
        end
      end
      position = stands_for.fetch(position, position)
      document = documents.fetch(position)[:document]
      from(:closures).where(id: closure).update(position: position, settled: Sequel.pg_jsonb_wrap(document["settled"]),
                                                accepted: document["accepted"])
    end
    drop_table(:swatches, :steps_done, :knots)
  end

  down do
    extension :pg_array, :pg_json
    create_table(:swatches) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade, index: true
      Integer :closure_id, null: false
      column :number, Integer, null: false
      column :passes, String, null: false
      constraint(:passes_known, passes: %w[will_not_pass tight passes slips_out])
      { measured_mm: [0.001, 200, true], opening_mm: [0.001, 500, false], stitch_width_mm: [0.001, 12, false],
        stitch_length_mm: [0.01, 5, false] }.each do |name, (least, most, null)|
        column name, "numeric(12, 6)", null: null
        constraint(:"#{name}_in_range", name => least..most)
      end
      column :symptoms, "text[]", null: false
      column :tension, "numeric(5, 2)", null: false
      column :stabiliser, String, null: false
      column :note, String, null: false, default: ""
      column :accepted, :boolean, null: false, default: false
      column :sewn_at, :timestamptz, null: false
      unique %i[closure_id number]
      foreign_key %i[workroom_id closure_id], :closures, key: %i[workroom_id id], name: :swatches_closure_id_fkey, on_delete: :cascade
    end
    create_table(:steps_done) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade, index: true
      Integer :closure_id, null: false
      column :key, String, null: false
      primary_key %i[closure_id key]
      foreign_key %i[workroom_id closure_id], :closures, key: %i[workroom_id id], name: :steps_done_closure_id_fkey,
                                                         on_delete: :cascade
    end
    create_table(:knots) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade, index: true
      Integer :closure_id, null: false
      column :stage, String, null: false
      constraint(:stage_known, stage: JournalMigration::LEANS.keys)
      column :fingerprint, String, size: 64, fixed: true, null: false
      primary_key %i[closure_id stage]
      foreign_key %i[workroom_id closure_id], :closures, key: %i[workroom_id id], name: :knots_closure_id_fkey, on_delete: :cascade
    end

    from(:closures).order(:id).select_map(%i[workroom_id id accepted settled]).each do |workroom, closure, accepted, settled|
      own = { workroom_id: workroom, closure_id: closure }
      withdrawn = from(:journal).where(own).where(kind: "withdrawal").select_map(:about)
      entries = from(:journal).where(own).order(:happened_at, :seq).all
      numbered = entries.select { |entry| entry[:kind] == "swatch" }.each_with_index
                        .map { |entry, index| [index + 1, entry] }.reject { |_, entry| withdrawn.include?(entry[:id]) }
      steps = entries.filter_map { |entry| entry[:step_key] unless withdrawn.include?(entry[:id]) }.uniq
      unknown = "0" * 64
      in_document = lambda do |given|
        numbered.map { |number, entry| JournalMigration.swatch(number, entry, entry[:id] == given) }
      end
      lengths = %w[measured opening stitch_width stitch_length]
      in_document.call(accepted).each do |swatch|
        from(:swatches).insert(own.merge(swatch.to_h do |name, value|
          [lengths.include?(name) ? :"#{name}_mm" : name.to_sym, value]
        end).merge(symptoms: Sequel.pg_array(swatch["symptoms"], :text)))
      end
      steps.each { |key| from(:steps_done).insert(own.merge(key: key)) }
      # Stages that came later have no knot there.
      (settled.keys & JournalMigration::LEANS.keys).each { |stage| from(:knots).insert(own.merge(stage: stage, fingerprint: unknown)) }
      # The fingerprints are gone: settled stages show as changed. What they were settled from stays in the document.
      from(:revisions).where(own).all.each do |row|
        document = row[:document].to_h
        older = document.merge("swatches" => in_document.call(document["accepted"]), "steps_done" => steps,
                               "knots" => document["settled"].to_h.transform_values { unknown }).except("accepted")
        from(:revisions).where(own).where(number: row[:number]).update(document: Sequel.pg_jsonb_wrap(older))
      end
    end
    alter_table(:closures) { %i[settled accepted].each { |column| drop_column column } }
    run "DROP TRIGGER journal_is_only_added_to ON journal"
    # Kept beside, so that nothing is lost on the way up again; free of what steps further down take away.
    run "ALTER TABLE journal DROP CONSTRAINT journal_of_closure, DROP CONSTRAINT journal_of_machine"
    run "ALTER TABLE journal RENAME TO journal_before; ALTER TABLE moves RENAME TO moves_before"
  end
end
