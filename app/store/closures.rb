# frozen_string_literal: true

# Closures keeps the closures of a workroom. There is one way to save: `change` takes the version
# the person saw, hands over the closure, and keeps the plan that comes back as a new revision;
# undo, redo and history speak of the plan only, and rest on the same rows.
#
#   closures.change(4, version: "k3f9.7") { |closure| closure.plan.changed("button.thickness" => Length.mm(4)) }

require "date"
require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/plain_value"
require_relative "../field/plan_document"
require_relative "../memo"
require_relative "closure_writer"
require_relative "errors"
require_relative "happened"
require_relative "journal_rows"
require_relative "machine_rows"
require_relative "machines"

module NimbleEyelet
  module Store
    # One closure as it stands.
    #
    # version - String, rising with every write of the plan; position - Integer, number of the revision shown
    # undo_changes, redo_changes - Array<Hash> of what the next undo or redo changes, or nil where there is nowhere to
    #   go
    # ledger - Ledger of its machine, whatever closure left it so; entries - Array<Sewing::Entry>; happened - Sewing::Facts,
    #   what these come to on whatever machine
    # today - String, ISO 8601
    # earlier - Array<Swatches::EarlierSwatch> of other closures
    class Closure < Value.of(:id, :garment_id, :garment_name, :version, :position, :undo_changes, :redo_changes, :plan,
                             :entries, :happened, :ledger, :house, :today, earlier: [])
      # @return [Symbol] the one it was made in
      def unit = plan.unit.to_sym

      # @return [String] by its garment and its own name
      def called = "#{garment_name}: #{plan.name}"

      # @return [Sewing::Facts]
      def facts
        happened.on(closure: id, earlier: earlier, practice: plan.machine.practice, today: today)
      end

      # Sheets of a process, the newest: an unchanged plan is not worked out again.
      SHEETS = Memo.new(128)
      # What sheets are made of, each by what it hangs on: recipes, layouts, steps, and what test holes amount to.
      PARTS = Memo.new(512)
      private_constant :SHEETS

      # @return [Sheet]
      def sheet = worked_out(plan.in(house))

      # @param plan [Plan] what it may become
      # @return [Sheet]
      # @raise [Refusal] when the plan is not sound
      def sheet_of(plan) = worked_out(plan.in(house).validate)

      private

      def worked_out(plan) = facts.then { |facts| SHEETS.of([plan, facts]) { Sheet.of(plan, facts, memory: PARTS) } }
    end

    class Closures
      # Revisions of a page.
      HISTORY = 15
      # What earlier test holes are known by: so many of the same machine, and of others.
      MOST_EARLIER = 40
      EARLIER_DATA = <<~SQL.freeze
        jsonb_build_object('closure', j.closure_id, 'id', j.id, 'kind', j.kind, 'happened_at', #{JournalRows::HAPPENED},
          'data', j.data)
      SQL
      STANDS = "NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = j.workroom_id AND w.about = j.id AND w.kind = 'withdrawal')"
      EARLIER = <<~SQL.freeze
        (SELECT #{EARLIER_DATA} AS swatch, j.happened_at, j.seq FROM journal j
          WHERE j.workroom_id = c.workroom_id AND j.kind = 'swatch' AND j.machine_id = c.machine_id AND j.closure_id IS DISTINCT FROM c.id
            AND j.happened_at > COALESCE(m.learned_from, '-infinity') AND #{STANDS}
          ORDER BY j.happened_at DESC LIMIT #{MOST_EARLIER})
        UNION ALL
        (SELECT #{EARLIER_DATA}, j.happened_at, j.seq FROM swatch_book b JOIN journal j ON j.workroom_id = b.workroom_id AND j.id = b.entry
          WHERE b.workroom_id = c.workroom_id AND b.machine_id IS DISTINCT FROM c.machine_id AND b.closure_id IS DISTINCT FROM c.id AND #{STANDS}
          ORDER BY b.sewn_at DESC LIMIT #{MOST_EARLIER / 2})
      SQL

      # A closure with all that belongs to it, in one statement and so from one moment.
      EVERYTHING = <<~SQL.freeze
        SELECT c.*, g.name AS garment_name, (SELECT id FROM identity) AS identity,
          (SELECT jsonb_object_agg(p.key, jsonb_build_object('at', p.at_mm::text, 'label', p.label, 'weight', p.weight, 'holds', p.holds))
             FROM pins p WHERE p.workroom_id = c.workroom_id AND p.closure_id = c.id)::text AS pins,
          (SELECT jsonb_object_agg(k.key, jsonb_build_object('from', k.from_mm::text, 'to', k.to_mm::text, 'label', k.label, 'kind', k.kind))
             FROM keep_outs k WHERE k.workroom_id = c.workroom_id AND k.closure_id = c.id)::text AS keep_outs,
          #{MachineRows::JSON_OBJECT}::text AS machine,
          #{Happened::COLUMNS},
          (SELECT jsonb_agg(e.swatch ORDER BY e.happened_at DESC, e.seq DESC) FROM (#{EARLIER}) e)::text AS earlier,
          (SELECT jsonb_object_agg(s.part, s.state) FROM (
             SELECT DISTINCT ON (v.part) v.part, v.state FROM moves v
              WHERE v.workroom_id = c.workroom_id AND v.machine_id = c.machine_id
                AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = v.workroom_id AND w.about = v.entry AND w.kind = 'withdrawal')
              ORDER BY v.part, v.happened_at DESC, v.seq DESC) s)::text AS moved,
          (SELECT jsonb_build_object('parent', r.parent, 'changes', r.changes)
             FROM revisions r WHERE r.workroom_id = c.workroom_id AND r.closure_id = c.id AND r.number = c.position)::text AS here,
          (SELECT r.changes FROM revisions r WHERE r.workroom_id = c.workroom_id AND r.closure_id = c.id AND r.parent = c.position
            ORDER BY r.number DESC LIMIT 1)::text AS following
        FROM closures c
        JOIN garments g ON g.workroom_id = c.workroom_id AND g.id = c.garment_id
        JOIN machines m ON m.workroom_id = c.workroom_id AND m.id = c.machine_id
        WHERE c.workroom_id = :workroom AND c.removed_at IS NULL
      SQL
      # Of this process.
      HAPPENED = Happened.new
      private_constant :HAPPENED
      READ = "#{EVERYTHING} AND c.id = :id".freeze
      READ_GARMENT = "#{EVERYTHING} AND c.garment_id = :garment ORDER BY c.name".freeze

      # @param workroom [Workroom]
      # @param happened [Happened] what is remembered of facts read before
      def initialize(workroom, happened: HAPPENED)
        @workroom = workroom
        @happened = happened
        @scope = workroom.scope
        @writer = ClosureWriter.new(@scope)
      end

      # @param id [Integer]
      # @return [Closure]
      # @raise [Missing]
      def find(id)
        known = @happened.known(@scope.workroom_id, closure: id)
        read(:read_closure, READ, known: known, id: id).first || raise(Missing)
      end

      # @param garment_id [Integer]
      # @return [Array<Closure>] by name, read from one moment
      def of_garment(garment_id)
        known = @happened.known(@scope.workroom_id, garment: garment_id)
        read(:read_garment, READ_GARMENT, known: known, garment: garment_id)
      end

      # @param id [Integer]
      # @param version [String] the one the person saw
      # @param device [String, nil] of who types, for one revision a settled value
      # @yieldparam closure [Closure]
      # @yieldreturn [Plan]
      # @return [Closure]
      # @raise [Missing, Stale]
      # @raise [Refusal] from the block, or when the name is taken
      def change(id, version:, device: nil)
        locked(id, version) do |closure|
          plan = yield(closure)
          changes = plan.changes_since(closure.plan)
          next closure if changes.empty?

          @writer.save(closure, plan, changes, device: device)
        end
      end

      # @return [Closure] as it was before the last change still standing
      # @raise [Missing, Stale, Removed]
      def undo(id, version:)
        move(id, version) { |closure| revisions(id).where(number: closure.position).get(:parent) }
      end

      # @return [Closure] with the change last undone made again
      # @raise [Missing, Stale, Removed]
      def redo(id, version:)
        move(id, version) { |closure| revisions(id).where(parent: closure.position).max(:number) }
      end

      # @param id [Integer]
      # @param before [Integer, nil] only revisions with a smaller number
      # @return [Array<Hash>] number, parent, changes, made_at and account_id; newest first
      # @raise [Missing]
      def history(id, before: nil)
        raise Missing if @scope.standing(:closures).where(id: id).empty?

        rows = revisions(id).select(:number, :parent, :changes, :made_at, :account_id).reverse(:number).limit(HISTORY)
        (before ? rows.where { number < before } : rows).all
      end

      # @param closure [Closure]
      # @return [Time] when what it shows now was made
      def made_at(closure) = revisions(closure.id).where(number: closure.position).get(:made_at)

      # @param id [Integer]
      # @param number [Integer]
      # @return [Plan] as it was then
      # @raise [Missing, Removed]
      def plan_at(id, number)
        document = revisions(id).where(number: number).get(:document) or raise Missing
        document = document.to_h
        PlanDocument.load(document, machine_of(document))
      end

      # @param garment_id [Integer]
      # @param plan [Plan]
      # @return [Integer] id
      # @raise [Refusal] when the garment has one of that name
      def create(garment_id, plan) = @scope.transaction { @writer.create(garment_id, plan) }

      # @param id [Integer, nil]
      # @return [Symbol, nil]
      def unit_of(id) = @scope[:closures].where(id: id).get(:unit)&.to_sym

      # Into the waste basket.
      #
      # @param id [Integer]
      # @param version [String]
      # @raise [Missing, Stale]
      def remove(id, version:)
        locked(id, version) { @scope[:closures].where(id: id).update(removed_at: Sequel::CURRENT_TIMESTAMP) }
      end

      private

      def revisions(id) = @scope[:revisions].where(closure_id: id)

      # @param known [Hash] of what happened
      # @return [Array<Closure>]
      def read(name, sql, known:, **values)
        rows = @scope.ask(name, sql, known: Happened.told(known), **values)
        happened = rows.map { |row| @happened.read(@scope.workroom_id, row[:identity], row, known) }
        return read(name, sql, known: {}, **values) if happened.include?(nil)

        rows.zip(happened).map { |row, kept| closure(row, kept) }
      end

      def closure(row, kept)
        here = parse(row[:here])
        Closure.new(id: row[:id], garment_id: row[:garment_id], garment_name: row[:garment_name],
                    version: "#{row[:identity]}.#{row[:version]}",
                    position: row[:position], undo_changes: here["parent"] && here["changes"],
                    redo_changes: row[:following] && parse(row[:following]),
                    plan: plan(row), today: @workroom.today, entries: kept.entries, happened: kept.facts,
                    earlier: earlier(row[:earlier]),
                    ledger: ledger(row[:moved]), house: @workroom.house_for(row[:unit].to_sym))
      end

      def earlier(rows) = rows ? JournalRows.earlier(parse(rows)) : []

      def parse(text) = JSON.parse(text.to_s, decimal_class: BigDecimal)

      def plan(row)
        document = ClosureFields::ALL.to_h { |field| [field.path, row[field.column]] }
        document["placket.pins"] = row[:pins] && parse(row[:pins])
        document["placket.keep_outs"] = row[:keep_outs] && parse(row[:keep_outs])
        document["swatch.accepted"] = row[:accepted]
        document["settled"] = row[:settled].to_h
        PlanDocument.load(document, MachineRows.from_json(parse(row[:machine])))
      end

      def ledger(moved) = Sewing::KeptLedger.of(moved ? PlainValue.load_all(parse(moved)) : {})

      def locked(id, version)
        @scope.transaction do
          # Locked first, then read: whoever had to wait sees what was saved meanwhile.
          @scope.standing(:closures).where(id: id).for_update.get(:id) or raise Missing
          closure = find(id)
          raise Stale, closure unless closure.version == version

          yield closure
        end
      end

      def move(id, version)
        locked(id, version) do |closure|
          target = yield(closure)
          next closure unless target

          @writer.move(closure, plan_at(id, target), target)
          find(id)
        end
      end

      def machine_of(document)
        id = document[PlanDocument::MACHINE]
        found = Machines.new(@scope).one(id)
        return found if found

        name = @scope[:machines].where(id: id).get(:name)
        raise Removed, { kind: "machine", id: id, name: name }
      end
    end
  end
end
