# frozen_string_literal: true

# Demands a row can meet beside pins and keep-outs: gaps that are not passed, a range of counts,
# clusters, ribbon rows, a first hole that lies across, two rows, and which front lies on top.

require "sequel"

Sequel.migration do
  lengths = { least_gap: 5..500, most_gap: 5..500, inner_gap: 5..500 }
  choices = { pattern: %w[even clusters ribbon], first_lies: %w[as_rest across], overlap: %w[right left], rows: %w[single double] }

  up do
    alter_table(:closures) do
      lengths.each do |name, range|
        add_column :"placket_#{name}_mm", "numeric(12, 6)"
        add_constraint(:"placket_#{name}_mm_in_range", "placket_#{name}_mm": range)
      end
      add_column :placket_offset_mm, "numeric(12, 6)", null: false, default: 60
      add_constraint(:placket_offset_mm_in_range, placket_offset_mm: 0.001..300)
      add_column :placket_count_most, Integer
      add_constraint(:placket_count_most_in_range, placket_count_most: 1..60)
      add_column :placket_together, Integer, null: false, default: 2
      add_constraint(:placket_together_in_range, placket_together: 2..6)
      choices.each do |name, keys|
        add_column :"placket_#{name}", String, null: false, default: keys.first
        add_constraint(:"placket_#{name}_known", "placket_#{name}": keys)
      end
    end
    alter_table(:pins) do
      add_column :weight, Integer, null: false, default: 0
      add_constraint(:weight_in_range, weight: 0..9)
    end
  end

  down do
    from(:pins).exclude(weight: 0).delete
    alter_table(:pins) { drop_column :weight }
    alter_table(:closures) do
      lengths.each_key { |name| drop_column :"placket_#{name}_mm" }
      choices.each_key { |name| drop_column :"placket_#{name}" }
      %i[placket_offset_mm placket_count_most placket_together].each { |name| drop_column name }
    end
  end
end
