# frozen_string_literal: true

# How thick a button is may be left open: until somebody measures it, it is taken to be as thick as such buttons are.
# What was kept before stays as it was, for nobody can tell which of it was measured.

Sequel.migration do
  up do
    alter_table(:closures) { set_column_allow_null :button_thickness_mm }
  end

  down do
    from(:closures).where(button_thickness_mm: nil).update(button_thickness_mm: 3)
    alter_table(:closures) { set_column_not_null :button_thickness_mm }
  end
end
