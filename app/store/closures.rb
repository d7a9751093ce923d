# frozen_string_literal: true

# Closures keeps the closures of a workroom. There is one way to save: `change` takes the revision
# the person saw, hands over the document, and keeps what comes back as a new revision; undo,
# redo and history rest on the same rows.
#
#   closures.change(4, revision: 7) { |document| document.changed("button.diameter" => Length.mm(20)) }

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "closure_reader"
require_relative "document"
require_relative "errors"

module NimbleEyelet
  module Store
    class Closures
      # @param db [Sequel::Database]
      # @param workroom_id [Integer]
      def initialize(db, workroom_id)
        @db = db
        @workroom_id = workroom_id
        @reader = ClosureReader.for(db)
      end

      # @param id [Integer]
      # @return [Closure]
      # @raise [Missing]
      def find(id)
        # One snapshot: no list from after a save beside a row from before it.
        @db.transaction(isolation: :repeatable, read_only: true) { @reader.read(@workroom_id, id) } or raise Missing
      end

      # @param id [Integer]
      # @param revision [Integer] the one the person saw
      # @yieldparam document [Document]
      # @yieldreturn [Document]
      # @return [Closure]
      # @raise [Missing, Stale]
      # @raise [Refusal] from the block, or when the name is taken
      def change(id, revision:)
        locked(id, revision) do |closure|
          document = yield(closure)
          changes = document.differences(closure.document)
          next closure if changes.empty?

          number = closure.revision + 1
          keep(closure, document, number)
          write(closure, document, revision: number, position: number)
          find(id)
        end
      end

      # @return [Closure] as it was before the last change still score
      # @raise [Missing, Stale]
      def undo(id, revision:)
        move(id, revision) { |closure| revisions(id).where(number: closure.position).get(:parent) }
      end

      # @return [Closure] with the change last undone made again
      # @raise [Missing, Stale]
      def redo(id, revision:)
        move(id, revision) { |closure| revisions(id).where(parent: closure.position).max(:number) }
      end

      # @param id [Integer]
      # @return [Array<Hash>] number, summary, made_at; newest first, at most 200
      # @raise [Missing]
      def history(id)
        raise Missing if @db[:closures].where(workroom_id: @workroom_id, id: id).empty?

        revisions(id).select(:number, :summary, :made_at).reverse(:number).limit(200).all
      end

      # @param closure [Closure]
      # @return [Time] when what it shows now was made
      def made_at(closure) = revisions(closure.id).where(number: closure.position).get(:made_at)

      # @param id [Integer]
      # @param number [Integer]
      # @return [Document] as it was then
      # @raise [Missing]
      def document_at(id, number)
        kept = revisions(id).where(number: number).get(:document) or raise Missing
        Document.load(kept)
      end

      # @param garment_id [Integer]
      # @param document [Document]
      # @return [Closure]
      # @raise [Refusal] when the garment has one of that name
      def create(garment_id, document)
        @db.transaction do
          id = guard_name(document) do
            keys = { workroom_id: @workroom_id, garment_id: garment_id, machine_id: document.machine_id }
            @db[:closures].insert(columns(document, :closures).merge(keys, revision: 1, position: 1))
          end
          write_recipe(id, document)
          write_lists(id, document, Document::LISTS)
          add_revision(id, 1, nil, "begun", document)
          find(id)
        end
      end

      # @param id [Integer]
      # @raise [Missing]
      def remove(id)
        raise Missing if @db[:closures].where(workroom_id: @workroom_id, id: id).delete.zero?
      end

      private

      def owned(table, id) = @db[table].where(closure_id: id, workroom_id: @workroom_id)
      def revisions(id) = owned(:revisions, id)

      def locked(id, revision)
        @db.transaction do
          @db[:closures].where(id: id, workroom_id: @workroom_id).for_update.get(:id) or raise Missing
          closure = find(id)
          raise Stale, closure unless closure.revision == revision

          yield closure
        end
      end

      def move(id, revision)
        locked(id, revision) do |closure|
          target = yield(closure)
          next closure unless target

          write(closure, document_at(id, target), revision: closure.revision + 1, position: target)
          find(id)
        end
      end

      def keep(closure, document, number)
        add_revision(closure.id, number, closure.position, Summary.of(closure.document, document), document)
      end

      def add_revision(id, number, parent, summary, document)
        @db[:revisions].insert(workroom_id: @workroom_id, closure_id: id, number: number, parent: parent, summary: summary,
                               document: Sequel.pg_jsonb_wrap(document.dump))
      end

      def write(closure, document, revision:, position:)
        guard_name(document) do
          @db[:closures].where(id: closure.id).update(
            columns(document, :closures).merge(machine_id: document.machine_id, revision: revision, position: position)
          )
        end
        write_recipe(closure.id, document)
        write_lists(closure.id, document, Document::LISTS.reject { |list| document[list] == closure.document[list] })
      end

      def columns(document, table)
        FIELDS.each_value.select { |field| field.table == table }.to_h do |field|
          [field.column, field.dump(document.fields[field.path])]
        end
      end

      def write_recipe(id, document)
        values = columns(document, :recipes)
        @db[:recipes].insert_conflict(target: :closure_id, update: values)
                     .insert(values.merge(closure_id: id, workroom_id: @workroom_id))
      end

      def write_lists(id, document, lists)
        (lists - [:machine_id]).each do |list|
          owned(list, id).delete
          @db[list].multi_insert(send(:"#{list}_rows", document).map do |row|
            row.merge(closure_id: id, workroom_id: @workroom_id)
          end)
        end
      end

      def pins_rows(document) = document.pins.map { |pin| { at_mm: Field.decimal(pin.at), label: pin.label, weight: pin.weight } }

      def keep_outs_rows(document)
        document.keep_outs.map do |item|
          { from_mm: Field.decimal(item.from), to_mm: Field.decimal(item.to), label: item.label }
        end
      end

      def swatches_rows(document)
        document.swatches.map do |swatch|
          plain = Document.dump_swatch(swatch)
          lengths = Document::SWATCH_LENGTHS.map(&:to_s)
          plain.to_h { |name, value| [(lengths.include?(name) ? "#{name}_mm" : name).to_sym, value] }
               .merge(symptoms: Sequel.pg_array(swatch.symptoms, :text))
        end
      end

      def steps_done_rows(document) = document.steps_done.map { |key| { key: key } }
      def knots_rows(document) = document.knots.map { |stage, fingerprint| { stage: stage, fingerprint: fingerprint } }

      def guard_name(document, &)
        # The savepoint keeps the transaction usable after a name that is taken.
        @db.transaction(savepoint: true, &)
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("closure.name", document.fields["closure.name"], "This garment has another closure of that name.")
      end
    end

    # One line saying what a revision changed.
    module Summary
      # @param before [Document]
      # @param after [Document]
      # @return [String]
      def self.of(before, after)
        after.differences(before).map { |path| part(path, before, after) }.join("; ")[0, 300]
      end

      def self.part(path, before, after)
        words = path.tr("._", "  ")
        return words unless FIELDS.key?(path)

        "#{words}: #{word(before.fields[path])} → #{word(after.fields[path])}"
      end

      def self.word(value) = value.nil? || value == "" ? "—" : value.to_s
      private_class_method :part, :word
    end
  end
end
