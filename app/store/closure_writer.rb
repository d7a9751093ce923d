# frozen_string_literal: true

# ClosureWriter puts a plan into the tables: a revision with what it changed, and of the closure only
# what is otherwise than before.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/field"
require_relative "../field/plain_value"
require_relative "../field/plan_document"

module NimbleEyelet
  module Store
    class ClosureWriter
      # Typing that goes on within this is one revision.
      STILL_TYPING = 60
      ROWS = { "placket.pins" => [:pins, { at: :at_mm, label: :label, weight: :weight, holds: :holds }],
               "placket.keep_outs" => [:keep_outs, { from: :from_mm, to: :to_mm, label: :label, kind: :kind }] }.freeze

      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @param closure [Closure] as read and locked
      # @param plan [Plan]
      # @param changes [Array<PlanChange>] at least one
      # @param device [String, nil]
      # @return [Closure] as it is now
      def save(closure, plan, changes, device:)
        identity, version = closure.version.split(".")
        number = version.to_i + 1
        dumped = changes.map { |change| dump(change) }
        position, made = typed_on(closure, plan, dumped,
                                  device) || add_revision(closure.id, number, closure.position, dumped, plan, device)
        write(closure.id, plan, changes.map(&:path), version: number, position: position)
        closure.with(plan: plan, version: "#{identity}.#{number}", position: position, undo_changes: made,
                     redo_changes: nil)
      end

      # @param closure [Closure]
      # @param plan [Plan] of the revision gone to
      # @param position [Integer] its number
      def move(closure, plan, position)
        write(closure.id, plan, plan.changes_since(closure.plan).map(&:path),
              version: closure.version[/\d+\z/].to_i + 1,
                                                                              position: position)
      end

      # @return [Integer] id
      def create(garment_id, plan)
        id = guard_name(plan) do
          @scope.insert(:closures, columns(plan, ClosureFields::ALL).merge(own(plan), garment_id: garment_id,
                                                                           version: 1, position: 1))
        end
        ROWS.each_key { |path| write_rows(id, path, plan) }
        add_revision(id, 1, nil, [], plan, nil)
        id
      end

      private

      # @return [Array(Integer, Array<Hash>), nil] position and changes, when the newest revision was typed on
      def typed_on(closure, plan, dumped, device)
        return unless device && dumped.size == 1 && closure.undo_changes&.size == 1 && closure.redo_changes.nil?

        before = closure.undo_changes.first
        change = before.merge("to" => dumped.first["to"])
        return if before["path"] != dumped.first["path"] || change["from"] == change["to"]

        touched = @scope[:revisions].where(closure_id: closure.id, number: closure.position, device: device)
                                    .where { made_at > Sequel.lit("now() - make_interval(secs => ?)", STILL_TYPING) }
                                    .exclude(@scope[:journal].where(closure_id: closure.id)
                                                             .where { noted_at > Sequel[:revisions][:made_at] }.exists)
                                    .update(document: wrap(PlanDocument.dump(plan)), changes: wrap([change]))
        [closure.position, [change]] if touched == 1
      end

      def add_revision(id, number, parent, dumped, plan, device)
        @scope.insert(:revisions, closure_id: id, number: number, parent: parent, changes: wrap(dumped), device: device,
                                  document: wrap(PlanDocument.dump(plan)))
        [number, dumped]
      end

      def write(id, plan, paths, version:, position:)
        fields = ClosureFields::BY_PATH.values_at(*paths).compact
        own = paths.any? { |path| path.start_with?("machine.", "swatch.", "settled.") } ? own(plan) : {}
        guard_name(plan, named: paths.include?("closure.name")) do
          @scope[:closures].where(id: id).update(columns(plan, fields).merge(own, version: version, position: position))
        end
        ROWS.each_key { |path| write_rows(id, path, plan) if paths.any? { |other| other.start_with?("#{path}.") } }
      end

      def columns(plan, fields) = fields.to_h { |field| [field.column, field.dump(plan.at(field.path))] }

      def own(plan)
        { machine_id: plan.machine.id, accepted: plan.accepted,
          settled: wrap(plan.settled.transform_values { |read| PlainValue.dump_all(read) }) }
      end

      def write_rows(id, path, plan)
        table, columns = ROWS.fetch(path)
        @scope[table].where(closure_id: id).delete
        @scope.insert_all(table, plan.at(path).map do |row|
          columns.to_h { |name, column| [column, row[name].is_a?(Length) ? Field.decimal(row[name]) : row[name]] }
                 .merge(closure_id: id, key: row.id)
        end)
      end

      def dump(change)
        field = ClosureFields::BY_PATH[change.path]
        from, to = [change.from, change.to].map do |value|
          next field.dump(value) if field

          value.is_a?(Struct) ? PlanDocument.dump_row(value) : value
        end
        { "path" => change.path, "from" => from, "to" => to }
      end

      def wrap(value) = Sequel.pg_jsonb_wrap(value)

      # The savepoint keeps the transaction usable after a name that is taken.
      def guard_name(plan, named: true, &block)
        return yield unless named

        @scope.transaction(savepoint: true, &block)
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("closure.name", plan.name, "This garment has another closure of that name.")
      end
    end
  end
end
