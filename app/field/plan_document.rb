# frozen_string_literal: true

# PlanDocument is a plan as plain values by path: what a revision keeps whole, and a garment file
# carries.
#
#   PlanDocument.dump(plan)                  # => { "button.thickness" => "3", "placket.pins" => {}, … }
#   PlanDocument.load(document, machine)     # => Plan

require_relative "../../lib/nimble_eyelet"
require_relative "closure_fields"
require_relative "field"
require_relative "plain_value"

module NimbleEyelet
  module PlanDocument
    MACHINE = "machine.id"

    # @param plan [Plan]
    # @return [Hash{String => Object}] for JSON
    def self.dump(plan)
      fields = ClosureFields::ALL.to_h { |field| [field.path, field.dump(plan.at(field.path))] }
      lists = ClosureFields::LISTS.keys.to_h { |path| [path, plan.at(path).to_h { |row| [row.id, dump_row(row)] }] }
      fields.merge(lists, MACHINE => plan.machine.id, "swatch.accepted" => plan.accepted,
                          "settled" => plan.settled.transform_values { |read| PlainValue.dump_all(read) })
    end

    # @param document [Hash] as dumped; a field that came later begins as it does in a new closure
    # @param machine [Machine] the one it names
    # @return [Plan]
    def self.load(document, machine)
      sections = sections(document)
      lists = ClosureFields::LISTS.to_h { |path, list| [path[/\w+\z/].to_sym, load_rows(list, document[path].to_h)] }
      build(sections, lists, name: document.fetch("closure.name"), unit: document["closure.unit"] || "mm",
            machine: machine,
                             accepted: document["swatch.accepted"], settled: settled(document["settled"].to_h))
    end

    # @return [Hash{Symbol => Hash}] values by name
    def self.sections(document)
      ClosureFields::ALL.each_with_object(Plan::SECTIONS.to_h { |name, _| [name.to_sym, {}] }) do |field, sections|
        section, name = field.path.split(".")
        next if section == ClosureFields::HEAD

        sections.fetch(section.to_sym)[name.to_sym] =
          document.key?(field.path) ? field.load(document[field.path]) : field.begun
      end
    end

    # What each stage was settled with, by this version or an earlier one.
    def self.settled(stages) = stages.transform_values { |read| OlderWords.figures(PlainValue.load_all(read)) }

    # @param sections [Hash{Symbol => Hash}] values by name
    # @param lists [Hash{Symbol => Array}] pins and keep_outs
    # @return [Plan]
    def self.build(sections, lists, **own)
      placket = sections.fetch(:placket).merge(lists)
      parts = Plan::SECTIONS.to_h do |section, noun|
        [section.to_sym, noun.new(**(section == "placket" ? placket : sections.fetch(section.to_sym)))]
      end
      Plan.new(**parts, **own)
    end

    def self.dump_row(row)
      row.to_h.except(:id).to_h { |name, value| [name.to_s, value.is_a?(Length) ? Field.decimal(value) : value] }
    end

    def self.load_rows(list, rows) = sorted(list, rows.map { |id, row| load_row(list, id, row) })

    # In the order in which they lie on the run.
    def self.sorted(list, rows)
      rows.sort_by { |row| [*list.lengths.filter_map { |name| row[name] }.first(1), row.id] }
    end

    def self.load_row(list, id, row)
      values = row.to_h do |name, value|
        [name.to_sym, value && list.lengths.include?(name.to_sym) ? Length.new(value.to_r) : value]
      end
      # Before a pin could hold a button, what was pinned was the hole.
      values[:holds] ||= "hole" if list.row == Placket::Pin
      list.row.new(id: id, **values)
    end
  end
end
