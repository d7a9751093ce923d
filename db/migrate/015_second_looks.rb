# frozen_string_literal: true

# What was looked at a second time is found beside the first look.

require "sequel"

Sequel.migration do
  up do
    run "CREATE INDEX journal_second_looks ON journal (workroom_id, (data->>'again')) WHERE kind = 'swatch' AND data ? 'again'"
  end

  down { run "DROP INDEX journal_second_looks" }
end
