# frozen_string_literal: true

# The workroom: its unit, its shelves, and what can be chosen from.

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/field"
require_relative "../presenter"

module NimbleEyelet
  module View
    module WorkroomView
      # @param workroom [Store::Workroom]
      # @return [Hash]
      def self.of(workroom)
        present = Presenter.new(workroom.unit)
        { **workroom.settings, slug: workroom.slug, sample: workroom.sample?, revision: workroom.revision,
          garments: JSON::Fragment.new(workroom.garments_written),
          habits: workroom.house.habits.map { |path, value| habit(HABITS.fetch(path), value, present) },
          stabilisers: STABILISER_KINDS.map do |key, name|
            { key: key, name: name, owned: workroom.house.stabilisers.include?(key),
              yours: workroom.on_the_shelf.fetch(key, []) }
          end,
          machines: workroom.machines.all.map { |machine| machine(machine, present) }, last: last(workroom.last_used) }
      end

      # @param value [String, Length, nil] what the house does
      def self.habit(habit, value, present)
        { path: habit.path, question: habit.question, value: present.words(value), begins: habit.begins,
          name: habit.option(value)&.then { |option| present.words(option.name) } || present.words(value),
          speaks_for: habit.speaks_for, against: habit.against,
          options: habit.options.map { |option| option.to_h.transform_values { |text| present.words(text) } } }
      end

      def self.machine(machine, present)
        { id: machine.id, name: machine.name, practice: machine.practice, kind: machine.kind,
          kind_name: machine.type.name, order: machine.type.order, length_from: machine.type.length_from,
          max_width: present.dial(machine.max_width),
          feet: machine.feet.map { |foot| { key: foot.kind, name: foot.name, note: foot.nickname } } }
      end

      # What a new closure begins with: the cloth, the thread and the machine used last, exactly.
      BEGINS_WITH = %w[cloth. thread. placket.use placket.overlap].freeze

      def self.last(row)
        fields = ClosureFields::ALL.select { |field| field.path.start_with?(*BEGINS_WITH) && field.path != "thread.bobbin" }
        row && { machine: row[:machine_id],
                 fields: fields.to_h do |field|
                   value = field.load(row[field.column])
                   [field.path, if value.is_a?(Length)
                                  "#{Field.decimal(value)}mm"
                                else
                                  value.is_a?(Rational) ? Field.decimal(value) : value&.to_s
                                end]
                 end }
      end

      private_class_method :habit, :machine
    end

    # All workrooms there are, shortly.
    module WorkroomsView
      # @param all [Array<Store::Workroom>]
      # @param put_away [Array<Store::Workroom>]
      # @param you [Hash] whoever asks
      # @param owned [Array<Integer>, nil] ids of those that are theirs; nil for all
      # @return [Hash]
      def self.of(all, put_away, you, owned)
        { you: you, workrooms: all.map { |one| short(one, owned) }, put_away: put_away.map { |one| short(one, owned) } }
      end

      def self.short(workroom, owned)
        { slug: workroom.slug, name: workroom.name, sample: workroom.sample?, revision: workroom.revision,
          own: owned.nil? || owned.include?(workroom.id) }
      end
      private_class_method :short
    end
  end
end
