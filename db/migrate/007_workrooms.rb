# frozen_string_literal: true

# Several workrooms: each has an address of its own, nothing of one can point into another, and what
# is removed goes to a waste basket first.

require "sequel"

Sequel.migration do
  # Table => the tables it points to, by column.
  children = { feet: { machine_id: :machines }, closures: { garment_id: :garments, machine_id: :machines },
               **%i[recipes pins keep_outs swatches steps_done knots revisions].to_h { |table| [table, { closure_id: :closures }] } }
  # What goes with what it belongs to; a machine stays while a closure is sewn on it.
  kept = %i[machine_id]
  named = { machines: %i[workroom_id name], buttons: %i[workroom_id name], garments: %i[workroom_id name],
            closures: %i[garment_id name] }

  up do
    children.each do |table, parents|
      parents.each do |column, parent|
        strays = from(table).join(parent, id: column).exclude(Sequel[table][:workroom_id] => Sequel[parent][:workroom_id]).count
        if strays.positive?
          raise Sequel::Error,
                "#{strays} rows of #{table} belong to another workroom than their #{parent}: nothing was changed."
        end
      end
    end

    alter_table(:workrooms) do
      add_column :slug, String
      add_column :sample, :boolean, null: false, default: false
      add_column :removed_at, :timestamptz
    end
    taken = []
    from(:workrooms).order(:id).select_map(%i[id name]).each do |id, name|
      base = name.downcase.gsub(/[^a-z0-9]+/, "-").gsub(/\A-|-\z/, "")[0, 40]
      base = "workroom" if base.empty?
      slug = [base, *(2..).lazy.map { |number| "#{base}-#{number}" }.first(taken.size + 1)].find { |other| !taken.include?(other) }
      taken << slug
      from(:workrooms).where(id: id).update(slug: slug)
    end
    alter_table(:workrooms) do
      set_column_not_null :slug
      add_unique_constraint :slug, name: :workrooms_slug_key
      add_constraint(:slug_form) { Sequel.lit("slug ~ '^[a-z0-9][a-z0-9-]{0,59}$'") }
    end

    %i[machines garments closures].each do |table|
      alter_table(table) do
        add_unique_constraint %i[workroom_id id], name: :"#{table}_own"
      end
    end
    children.each do |table, parents|
      parents.each do |column, parent|
        alter_table(table) do
          drop_constraint :"#{table}_#{column}_fkey"
          add_foreign_key [:workroom_id, column], parent, key: %i[workroom_id id], name: :"#{table}_#{column}_fkey",
                                                          on_delete: kept.include?(column) && table == :closures ? :no_action : :cascade
        end
      end
    end
    named.each do |table, columns|
      alter_table(table) do
        add_column :removed_at, :timestamptz
        drop_constraint :"#{table}_#{columns.join('_')}_key"
      end
      add_index table, columns, unique: true, name: :"#{table}_name", where: { removed_at: nil }
    end
  end

  down do
    # What lies in the waste basket has no place in the older form.
    %i[closures garments buttons].each { |table| from(table).exclude(removed_at: nil).delete }
    from(:machines).exclude(removed_at: nil).exclude(id: from(:closures).select(:machine_id)).delete
    named.each do |table, columns|
      drop_index table, columns, name: :"#{table}_name"
      alter_table(table) do
        drop_column :removed_at
        add_unique_constraint columns, name: :"#{table}_#{columns.join('_')}_key"
      end
    end
    children.each do |table, parents|
      parents.each do |column, parent|
        alter_table(table) do
          drop_constraint :"#{table}_#{column}_fkey"
          add_foreign_key [column], parent, name: :"#{table}_#{column}_fkey",
                                            on_delete: kept.include?(column) && table == :closures ? :no_action : :cascade
        end
      end
    end
    %i[machines garments closures].each { |table| alter_table(table) { drop_constraint :"#{table}_own" } }
    alter_table(:workrooms) do
      drop_constraint :slug_form
      drop_column :slug
      drop_column :sample
      drop_column :removed_at
    end
  end
end
