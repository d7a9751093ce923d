# frozen_string_literal: true

# How a hole is opened and sealed, and how buttons are marked and secured: what is open follows the house.

Sequel.migration do
  choices = { recipe_tension_by: %w[lower_top bobbin_finger leave], recipe_tails: %w[under held],
              cut_tool: %w[ripper chisel snip], cut_seal: %w[before after both none], attach_marks: %w[through plan],
              attach_between: %w[cut carry], attach_secure: %w[knot liquid tie_off knot_liquid], attach_shank_by: %w[hand pin] }

  up do
    alter_table(:closures) do
      choices.each do |column, known|
        add_column column, String
        add_constraint(:"#{column}_known", column => known)
      end
      drop_constraint(:attach_pattern_known)
      add_constraint(:attach_pattern_known, attach_pattern: %w[two_bars cross square arrow])
      add_column :cut_chisel_mm, "numeric(12, 6)"
      add_constraint(:cut_chisel_mm_in_range, cut_chisel_mm: 3..60)
    end
  end

  down do
    from(:closures).where(attach_pattern: "arrow").update(attach_pattern: "cross")
    alter_table(:closures) do
      drop_constraint(:attach_pattern_known)
      add_constraint(:attach_pattern_known, attach_pattern: %w[two_bars cross square])
    end
    alter_table(:closures) { [*choices.keys, :cut_chisel_mm].each { |column| drop_column column } }
  end
end
