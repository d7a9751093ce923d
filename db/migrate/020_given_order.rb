# frozen_string_literal: true

# A fact says which of its browser's facts it is, and with which others it was pressed at once: the order in which they
# happened no longer hangs on how long each of them was on its way.

Sequel.migration do
  up do
    alter_table(:journal) do
      add_column :n, :bigint
      add_column :press, :uuid
      add_constraint(:journal_n_rises_from_one, Sequel[:n] => 1..)
    end
    run "CREATE INDEX journal_of_device ON journal (workroom_id, device, n) WHERE n IS NOT NULL"
  end

  down do
    alter_table(:journal) do
      drop_column :n
      drop_column :press
    end
  end
end
