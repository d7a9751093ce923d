# frozen_string_literal: true

# What makes the answer about a closure known to be the same is found without reading its whole journal.

require "sequel"

Sequel.migration do
  up { add_index :journal, %i[workroom_id seq] }
  down { drop_index :journal, %i[workroom_id seq] }
end
