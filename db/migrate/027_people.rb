# frozen_string_literal: true

# People: accounts, who belongs to a workroom and as what, devices that are paired, links to read a plan, who is there
# just now, and who did what. Row-level security holds every row of a workroom back from whoever does not belong to it,
# whatever a statement asks for: nimble.who says who asks, "all" for the application itself, the id of an account, or
# "w" and the id of a workroom for whoever reads one by a link. Nothing said is nobody.

require "sequel"

Sequel.migration do
  who = "current_setting('nimble.who', true)"
  account = "(CASE WHEN #{who} ~ '^[0-9]+$' THEN #{who}::integer END)"
  doing = %i[journal revisions sittings]

  up do
    create_table(:accounts) do
      primary_key :id
      String :email, null: false
      String :name, null: false
      # As Rodauth counts: 2 open, 3 closed.
      Integer :status_id, null: false, default: 2
      # Who was here first keeps the server.
      TrueClass :keeper, null: false, default: false
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:name_length) { char_length(name) =~ (1..80) }
      constraint(:email_length) { char_length(email) =~ (3..254) }
      constraint(:status_known, status_id: [2, 3])
    end
    run "CREATE UNIQUE INDEX accounts_email ON accounts (lower(email)) WHERE status_id = 2"
    run "CREATE UNIQUE INDEX accounts_one_keeper ON accounts (keeper) WHERE keeper"

    create_table(:account_password_hashes) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :password_hash, null: false
    end
    create_table(:account_password_reset_keys) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      column :deadline, :timestamptz, null: false
      column :email_last_sent, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    create_table(:account_login_failures) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      Integer :number, null: false, default: 1
    end
    create_table(:account_lockouts) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      column :deadline, :timestamptz, null: false
      column :email_last_sent, :timestamptz
    end
    create_table(:account_remember_keys) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :key, null: false
      column :deadline, :timestamptz, null: false
    end
    create_table(:account_active_session_keys) do
      foreign_key :account_id, :accounts, on_delete: :cascade
      String :session_id
      primary_key %i[account_id session_id]
      # What it is called on the account page: its kind of browser and machine, in words.
      String :name, null: false, default: ""
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :last_use, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    create_table(:account_webauthn_user_ids) do
      foreign_key :id, :accounts, primary_key: true, on_delete: :cascade
      String :webauthn_id, null: false
    end
    create_table(:account_webauthn_keys) do
      foreign_key :account_id, :accounts, on_delete: :cascade
      String :webauthn_id
      String :public_key, null: false
      Integer :sign_count, null: false
      column :last_use, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id webauthn_id]
      unique :webauthn_id
    end
    create_table(:account_authentication_audit_logs) do
      primary_key :id, type: :bigint
      foreign_key :account_id, :accounts, null: false, on_delete: :cascade
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      String :message, null: false
      column :metadata, :jsonb
      index %i[account_id at]
    end

    create_table(:members) do
      foreign_key :workroom_id, :workrooms, on_delete: :cascade
      foreign_key :account_id, :accounts, on_delete: :cascade, index: true
      String :role, null: false
      column :since, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[workroom_id account_id]
      constraint(:role_known, role: %w[owner sews looks_on])
    end
    create_table(:invitations) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade, index: true
      String :role, null: false
      String :name, null: false, default: ""
      # Only what the token comes to is kept.
      String :digest, null: false, unique: true
      foreign_key :made_by, :accounts, on_delete: :set_null
      column :deadline, :timestamptz, null: false
      column :used_at, :timestamptz
      constraint(:role_known, role: %w[owner sews looks_on])
    end
    create_table(:pairings) do
      primary_key :id
      foreign_key :account_id, :accounts, null: false, on_delete: :cascade, index: true
      String :digest, null: false
      String :figures_digest, null: false
      column :deadline, :timestamptz, null: false
      column :used_at, :timestamptz
    end
    create_table(:devices) do
      primary_key :id
      foreign_key :account_id, :accounts, null: false, on_delete: :cascade, index: true
      String :name, null: false
      String :digest, null: false, unique: true
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :seen_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
    end
    create_table(:shared_plans) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :closure_id, null: false
      String :digest, null: false, unique: true
      foreign_key :made_by, :accounts, on_delete: :set_null
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
      foreign_key %i[workroom_id closure_id], :closures, key: %i[workroom_id id], on_delete: :cascade
      index %i[workroom_id closure_id]
    end
    run <<~SQL
      CREATE UNLOGGED TABLE presences (
        workroom_id integer NOT NULL REFERENCES workrooms ON DELETE CASCADE,
        account_id integer NOT NULL REFERENCES accounts ON DELETE CASCADE,
        screen uuid NOT NULL, place text NOT NULL CHECK (place ~ '^[a-z]{1,20}(:[0-9]{1,9})?$'),
        seen_at timestamptz NOT NULL DEFAULT clock_timestamp(),
        PRIMARY KEY (workroom_id, screen))
    SQL
    # Which class a copy was given out for: who teaches it sees how far it is.
    create_table(:class_copies) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      foreign_key :copy_id, :workrooms, primary_key: true, on_delete: :cascade
      String :pupil, null: false
      column :made_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      index :workroom_id
    end

    doing.each do |table|
      alter_table(table) { add_foreign_key :account_id, :accounts, on_delete: :no_action }
      run "ALTER TABLE #{table} ALTER COLUMN account_id SET DEFAULT #{account}"
    end

    run <<~SQL
      CREATE FUNCTION seen_workrooms() RETURNS SETOF integer LANGUAGE sql STABLE PARALLEL SAFE AS $$
        SELECT workroom_id FROM members WHERE account_id = #{account}
        UNION ALL SELECT substr(#{who}, 2)::integer WHERE #{who} ~ '^w[0-9]+$' $$;
    SQL
    tables = from(Sequel[:information_schema][:columns]).where(table_schema: "public", column_name: "workroom_id")
                                                        .exclude(table_name: %w[members invitations class_copies]).select_order_map(:table_name)
    [*tables.map { |table| [table, "workroom_id"] }, %w[workrooms id]].each do |table, column|
      run <<~SQL
        ALTER TABLE #{table} ENABLE ROW LEVEL SECURITY, FORCE ROW LEVEL SECURITY;
        CREATE POLICY own_people ON #{table}
          USING ((SELECT coalesce(#{who}, '') = 'all') OR #{column} = ANY (ARRAY(SELECT seen_workrooms())));
      SQL
    end
  end

  down do
    tables = from(:pg_policies).where(schemaname: "public", policyname: "own_people").select_map(:tablename)
    tables.each do |table|
      run "DROP POLICY own_people ON #{table}; ALTER TABLE #{table} DISABLE ROW LEVEL SECURITY, NO FORCE ROW LEVEL SECURITY"
    end
    run "DROP FUNCTION seen_workrooms()"
    doing.each { |table| alter_table(table) { drop_column :account_id } }
    drop_table(:class_copies, :presences, :shared_plans, :devices, :pairings, :invitations, :members,
               :account_authentication_audit_logs, :account_webauthn_keys, :account_webauthn_user_ids,
               :account_active_session_keys, :account_remember_keys, :account_lockouts, :account_login_failures,
               :account_password_reset_keys, :account_password_hashes, :accounts)
  end
end
