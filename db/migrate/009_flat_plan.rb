# frozen_string_literal: true

# The plan lies flat: a document is a hash of paths, rows of lists are known by an id, what was
# overruled in the recipe stands in the closure itself, and a revision says what it changed, from
# what to what. A version counts every write; with the identity of the database it cannot be mistaken
# for one of another.

require "sequel"
require "digest"
require "json"
require "securerandom"

unless defined?(FlatPlanMigration)
  module FlatPlanMigration
    LISTS = { "pins" => %w[at label weight], "keep_outs" => %w[from to label] }.freeze
    RECIPE = %w[style foot stitch_width stitch_length tension stabiliser needle_size].freeze

    module_function

    # Rows by an id that is the same for the same row in every revision.
    def rows(rows)
      taken = Hash.new(0)
      rows.map do |row|
        text = row.join("|")
        [Digest::MD5.hexdigest("#{text}|#{taken[text] += 1}")[0, 8], row]
      end
    end

    def flat(old)
      lists = LISTS.to_h do |list, names|
        ["placket.#{list}", rows(old[list].map do |row|
          list == "pins" && row.size == 2 ? row + [0] : row
        end).to_h { |id, row| [id, names.zip(row).to_h] }]
      end
      old["fields"].merge(lists, "machine.id" => old["machine_id"], "swatch.accepted" => old["accepted"],
                                 "settled" => old["settled"].to_h)
    end

    def deep(document)
      lists = LISTS.to_h { |list, names| [list, document["placket.#{list}"].to_h.values.map { |row| row.values_at(*names) }] }
      fields = document.except("placket.pins", "placket.keep_outs", "machine.id", "swatch.accepted", "settled")
      { "fields" => fields, "machine_id" => document["machine.id"], **lists, "accepted" => document["swatch.accepted"],
        "settled" => document["settled"].to_h }
    end

    # [{ path, from, to }, …]
    def changes(before, after)
      (before.keys | after.keys).reject { |path| before[path] == after[path] }.flat_map do |path|
        here = before[path]
        there = after[path]
        next [{ "path" => path, "from" => here, "to" => there }] unless here.is_a?(Hash) || there.is_a?(Hash)

        (here.to_h.keys | there.to_h.keys).reject { |id| here.to_h[id] == there.to_h[id] }.map do |id|
          from, to = [here, there].map { |rows| path == "settled" ? rows.to_h.key?(id) : rows.to_h[id] }
          { "path" => "#{path}.#{id}", "from" => from, "to" => to }
        end
      end
    end
  end
end

Sequel.migration do
  up do
    extension :pg_array, :pg_json
    least = 0.001
    alter_table(:closures) do
      rename_column :revision, :version
      %i[style foot stabiliser].each { |name| add_column :"recipe_#{name}", String }
      add_column :recipe_stitch_width_mm, "numeric(12, 6)"
      add_column :recipe_stitch_length_mm, "numeric(12, 6)"
      add_column :recipe_tension, "numeric(5, 2)"
      add_column :recipe_needle_size, Integer
      add_constraint(:recipe_stitch_width_mm_in_range, recipe_stitch_width_mm: least..12)
      add_constraint(:recipe_stitch_length_mm_in_range, recipe_stitch_length_mm: 0.1..5)
      add_constraint(:recipe_tension_in_range, recipe_tension: 0..20)
      add_constraint(:recipe_needle_size_in_range, recipe_needle_size: 60..120)
    end
    columns = { style: :recipe_style, foot: :recipe_foot, stabiliser: :recipe_stabiliser, stitch_width_mm: :recipe_stitch_width_mm,
                stitch_length_mm: :recipe_stitch_length_mm, tension: :recipe_tension, needle_size: :recipe_needle_size }
    from(:recipes).all.each { |row| from(:closures).where(id: row[:closure_id]).update(columns.to_h { |old, new| [new, row[old]] }) }
    drop_table(:recipes)

    { pins: %i[at_mm label weight], keep_outs: %i[from_mm to_mm label] }.each do |table, names|
      add_column table, :key, String
      from(table).order(:closure_id, names.first, :id).all.group_by { |row| row[:closure_id] }.each_value do |rows|
        plain = rows.map do |row|
          names.map do |name|
            row[name].is_a?(BigDecimal) ? format("%.6f", row[name]).sub(/\.?0+\z/, "") : row[name]
          end
        end
        rows.zip(FlatPlanMigration.rows(plain)).each { |row, (key, _)| from(table).where(id: row[:id]).update(key: key) }
      end
      alter_table(table) do
        set_column_not_null :key
        add_unique_constraint %i[closure_id key], name: :"#{table}_key"
        add_constraint(:"#{table}_key_form") { Sequel.lit("key ~ '^[A-Za-z0-9_-]{1,40}$'") }
      end
    end
    alter_table(:revisions) do
      add_column :changes, :jsonb, null: false, default: Sequel.lit("'[]'")
      add_column :device, :uuid
    end
    from(:closures).select_map(:id).each do |closure|
      documents = {}
      from(:revisions).where(closure_id: closure).order(:number).all.each do |row|
        documents[row[:number]] = flat = FlatPlanMigration.flat(JSON.parse(JSON.generate(row[:document].to_h)))
        before = documents[row[:parent]]
        from(:revisions).where(closure_id: closure, number: row[:number])
                        .update(document: Sequel.pg_jsonb_wrap(flat),
                                changes: Sequel.pg_jsonb_wrap(before ? FlatPlanMigration.changes(before, flat) : []))
      end
    end
    drop_column :revisions, :summary

    create_table(:identity) { column :id, String, null: false }
    from(:identity).insert(id: SecureRandom.alphanumeric(6).downcase)
  end

  down do
    extension :pg_array, :pg_json
    drop_table(:identity)
    add_column :revisions, :summary, String, null: false, default: ""
    from(:revisions).all.each do |row|
      words = row[:changes].to_a.map do |change|
        "#{change['path'].tr('._', '  ')}: #{change['from'] || '—'} → #{change['to'] || '—'}"
      end.join("; ")[0, 300]
      from(:revisions).where(closure_id: row[:closure_id], number: row[:number])
                      .update(document: Sequel.pg_jsonb_wrap(FlatPlanMigration.deep(JSON.parse(JSON.generate(row[:document].to_h)))),
                              summary: row[:parent] ? words : "begun")
    end
    set_column_default :revisions, :summary, nil
    alter_table(:revisions) { %i[changes device].each { |column| drop_column column } }
    %i[pins keep_outs].each { |table| drop_column table, :key }
    create_table(:recipes) do
      Integer :closure_id, primary_key: true
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade, index: true
      String :style
      String :foot
      column :stitch_width_mm, "numeric(12, 6)"
      column :stitch_length_mm, "numeric(12, 6)"
      column :tension, "numeric(5, 2)"
      String :stabiliser
      Integer :needle_size
      constraint(:stitch_width_mm_in_range, stitch_width_mm: 0.001..12)
      constraint(:stitch_length_mm_in_range, stitch_length_mm: 0.1..5)
      constraint(:tension_in_range, Sequel.|({ tension: nil }, { tension: 0..20 }))
      constraint(:needle_size_in_range, Sequel.|({ needle_size: nil }, { needle_size: 60..120 }))
      foreign_key %i[workroom_id closure_id], :closures, key: %i[workroom_id id], name: :recipes_closure_id_fkey, on_delete: :cascade
    end
    columns = { style: :recipe_style, foot: :recipe_foot, stabiliser: :recipe_stabiliser, stitch_width_mm: :recipe_stitch_width_mm,
                stitch_length_mm: :recipe_stitch_length_mm, tension: :recipe_tension, needle_size: :recipe_needle_size }
    from(:closures).all.each do |row|
      from(:recipes).insert(columns.to_h { |old, new| [old, row[new]] }.merge(closure_id: row[:id], workroom_id: row[:workroom_id]))
    end
    alter_table(:closures) do
      columns.each_value { |column| drop_column column }
      rename_column :version, :revision
    end
  end
end
