# frozen_string_literal: true

# ClosureForm reads what a person typed about a closure, by path, and answers with the plan as it
# would be, or with every fault at once.
#
#   Form::ClosureForm.new(:mm).apply({ "button.thickness" => "3", "placket.pins" => { "b7" => { "at" => "212" } } }, plan)

require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/field"
require_relative "../field/plan_document"

module NimbleEyelet
  module Form
    class ClosureForm
      ROW_ID = /\A[A-Za-z0-9_-]{1,40}\z/

      # @param unit [Symbol] the person's unit
      # @param machine [#call] gives the machine of an id, or nil
      def initialize(unit, machine: ->(_id) {})
        @unit = unit
        @machine = machine
      end

      # @param body [Hash{String => Object}] by path; of a list only the rows that change, nil for one that goes
      # @param plan [Plan]
      # @return [Plan]
      # @raise [Refusal]
      def apply(body, plan)
        @check = Refusal::Check.new
        @fibre = body.fetch("thread.fibre", plan.thread.fibre)
        changes = body.each_with_object({}) do |(path, typed), found|
          @check.gather { found.store(*read(path, typed, plan)) }
        end
        raise Refusal, @check.faults unless @check.faults.empty?

        plan.changed(changes)
      end

      # @param name [String] of a new closure
      # @param machine [Machine]
      # @param typed [Hash{String => String}] what is known already, in the person's unit
      # @return [Plan] with all else as fields begin
      def blank(name:, machine:, typed: {})
        sections = Plan::SECTIONS.to_h do |section, _|
          fields = ClosureFields::ALL.select { |field| field.path.start_with?("#{section}.") }
          [section.to_sym, fields.to_h { |field| [field.path[/\w+\z/].to_sym, field.begun] }]
        end
        apply(typed, PlanDocument.build(sections, { pins: [], keep_outs: [] }, name: name, unit: @unit.to_s,
                                        machine: machine))
      end

      private

      def read(path, typed, plan)
        return ["machine", chosen(typed)] if path == PlanDocument::MACHINE
        return [path, rows(ClosureFields::LISTS[path], typed, plan.at(path))] if ClosureFields::LISTS.key?(path)

        field = ClosureFields::BY_PATH[path] or raise Refusal.field(path, typed, "There is no such field.")
        which_system(path, typed)
        [path, field.read(typed, unit: @unit)]
      end

      # On cotton a number alone may be of either system, and they differ by nearly a half.
      def which_system(path, typed)
        return unless path == "thread.tex" && @fibre == "cotton" && typed.to_s.match?(/\A\s*no\b/i)

        raise Refusal.field(path, typed, "On cotton this may be either system: write Ne 50/2 or Nm 50/2, as the spool says.")
      end

      def chosen(id)
        found = id.is_a?(Integer) && id.between?(1, (2**31) - 1) && @machine.call(id)
        found || raise(Refusal.field(PlanDocument::MACHINE, id, "Choose one of the workroom's machines."))
      end

      # Each row is taken or refused by itself.
      def rows(list, typed, kept)
        there = kept.to_h { |row| [row.id, row] }
        typed.each do |id, values|
          next there.delete(id) if values.nil?
          next @check.expect("#{list.path}.#{id[0, 40]}", id, false, "A row is known by letters and digits.") unless id.match?(ROW_ID)

          row = @check.gather { row(list, id, values, there[id]) }
          there[id] = row if row
        end
        @check.expect(list.path, there.size, there.size <= list.most, "At most #{list.most} on one run.")
        PlanDocument.sorted(list, there.values)
      end

      def row(list, id, values, before)
        read = list.row.members.reject { |name| name == :id }.each_with_object({}) do |name, found|
          text = values[name.to_s]
          next if text.nil? && (before || !list.lengths.include?(name) || list.optional.include?(name))

          found[name] = member(list, "#{list.path}.#{id}.#{name}", name, text)
        end
        before ? before.with(**read) : list.row.new(id: id, **read)
      end

      def member(list, path, name, text)
        return nil if list.optional.include?(name) && text.to_s.strip.empty?
        return choice(list, path, name, text) if list.choices.key?(name)

        if list.lengths.include?(name)
          return Typing::Notation.read(text.to_s, unit: @unit, field: path).tap do |length|
            within(path, length)
          end
        end
        return weight(path, text) if name == :weight

        Field.clean(text)[0, Field::LONGEST_TEXT]
      end

      def choice(list, path, name, text)
        allowed = list.choices.fetch(name)
        allowed.key?(text) ? text : raise(Refusal.field(path, text.to_s, "Choose one of: #{allowed.keys.join(', ')}."))
      end

      def within(path, length)
        Refusal.unless_valid { |check| Placket::Run::PLACE.check(check, path, length) }
      end

      # Empty for a must.
      def weight(path, text)
        text = text.to_s.strip
        return 0 if text.empty?
        raise Refusal.field(path, text, "A wish weighs from 1 to 9; 0 is a must.") unless text.match?(/\A\d\z/)

        text.to_i
      end
    end
  end
end
