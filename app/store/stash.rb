# frozen_string_literal: true

# Stash is the button box of a workroom: every button as measured, how many there are, and where
# they are used.
#
#   stash.search("shell 18")   # => [[Stash::Kept, …], 1]

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "errors"

module NimbleEyelet
  module Store
    class Stash
      PAGE = 60
      MOST_OWNED = 10_000

      # One kind of button in the box. colour - String, key of Buttons::COLOURS
      class Item < Value.of(:button, owned: 0, colour: "shell", note: "")
        # @return [self]
        # @raise [Refusal]
        def validate
          Refusal.unless_valid do |check|
            check.gather { button.validate }
            check.expect("button.name", button.name, !button.name.empty?, "A button on the shelf needs a name.")
            check.expect("button.owned", owned, (0..MOST_OWNED).cover?(owned), "This takes a whole number from 0 to #{MOST_OWNED}.")
          end
          self
        end
      end

      # used - Array<Hash> of closure id, closure name and garment name
      Kept = Value.of(:id, :revision, :item, :used)

      # Fields of a button by name, as columns of the shelf.
      BUTTON = FIELDS.values.select { |field| field.path.start_with?("button.") }
                     .to_h { |field| [field.path.delete_prefix("button."), field] }.freeze
      MORE = { "owned" => Field.new(path: "button.owned", kind: :whole, column: :owned, table: :buttons, optional: false),
               "colour" => Field.new(path: "button.colour", kind: :choice, column: :colour, table: :buttons, optional: false,
                                     choices: Buttons::COLOURS.keys),
               "note" => Field.new(path: "button.note", kind: :text, column: :note, table: :buttons, optional: false) }.freeze

      # What is left open means this.
      OPEN = { "owned" => "0", "colour" => "shell", "hole_spacing" => "3mm", "hole_diameter" => "1.8mm" }.freeze

      # @param typed [Hash{String => String, nil}] by name of field
      # @param unit [Symbol]
      # @return [Item] sound
      # @raise [Refusal] with every fault
      def self.read(typed, unit:)
        check = Refusal::Check.new
        values = BUTTON.merge(MORE).to_h do |name, field|
          text = typed[name].to_s
          text = OPEN.fetch(name, "") if text.strip.empty?
          [name.to_sym, check.gather { field.read(text, unit: unit) }]
        end
        values = by_itself(values, check.faults)
        raise Refusal, check.faults unless check.faults.empty?

        more = values.slice(:owned, :colour, :note)
        Item.new(button: Button.new(**values.except(*more.keys)), **more).validate
      end

      # A ball is as thick as it is wide, and many corners give their own width.
      def self.by_itself(values, faults)
        form = values[:shape] && ButtonShape.fetch(values[:shape]) or return values
        unasked = []
        unasked << "button.thickness" unless form.measured?(:thickness)
        unasked << "button.diameter" if form.measured?(:outline) && values[:outline]
        faults.reject! { |fault| unasked.include?(fault.field) && fault.given.to_s.empty? }
        diameter = values[:diameter] || values[:outline]&.largest_width
        values.merge({ diameter: diameter, thickness: diameter }.merge(values.compact))
      end
      private_class_method :by_itself

      # @param db [Sequel::Database]
      # @param workroom_id [Integer]
      def initialize(db, workroom_id)
        @db = db
        @workroom_id = workroom_id
      end

      # @param words [String] every one of them, or its beginning, is in the name, the looks or the note
      # @param from [Integer] how many to leave out
      # @return [Array(Array<Kept>, Integer)] one page by name, and how many there are
      def search(words, from: 0)
        found = matching(words)
        [kept(found.order(:name).limit(PAGE, from).all), found.count]
      end

      # @param id [Integer]
      # @return [Kept]
      # @raise [Missing]
      def find(id) = kept(owned.where(id: id).all).first || raise(Missing)

      # @param item [Item] sound
      # @return [Kept]
      # @raise [Refusal] when the name is taken
      def add(item)
        guard(item) { find(owned.insert(Stash.columns(item).merge(workroom_id: @workroom_id))) }
      end

      # @param revision [Integer] the one the person saw
      # @return [Kept]
      # @raise [Missing, Stale, Refusal]
      def change(id, item, revision:)
        guard(item) do
          changed = owned.where(id: id, revision: revision).update(Stash.columns(item).merge(revision: revision + 1))
          raise Stale, find(id) if changed.zero?

          find(id)
        end
      end

      # @raise [Missing]
      def remove(id)
        raise Missing if owned.where(id: id).delete.zero?
      end

      # Measures a button of this name again, or puts it in; how many there are stays.
      #
      # @param button [Button] sound, with a name
      # @return [void]
      def measure(button)
        values = Stash.columns(Item.new(button: button)).except(:owned, :colour, :note)
        put([values])
      end

      # @param items [Array<Item>] sound, no name twice
      # @return [void]
      def put_all(items) = put(items.map { |item| Stash.columns(item) })

      # @param names [Array<String>]
      # @return [Hash{String => Item}] those that are in the box
      def named(names) = owned.where(name: names).all.to_h { |row| [row[:name], Stash.item(row)] }

      # @yieldparam item [Item] by name, without holding all of them
      def each
        owned.order(:name).select(*columns).paged_each(rows_per_fetch: 500) { |row| yield Stash.item(row) }
      end

      def self.columns(item)
        button = BUTTON.to_h { |name, field| [column(field), field.dump(item.button[name.to_sym])] }
        button.merge(owned: item.owned, colour: item.colour, note: item.note)
      end

      def self.item(row)
        button = BUTTON.to_h { |name, field| [name.to_sym, field.load(row[column(field)])] }
        Item.new(button: Button.new(**button), **row.slice(:owned, :colour, :note))
      end

      def self.column(field) = field.column.to_s.delete_prefix("button_").to_sym

      private

      def owned = @db[:buttons].where(workroom_id: @workroom_id)

      def columns = %i[id name owned colour note revision] + BUTTON.values.map { |field| Stash.column(field) }

      def matching(words)
        asked = words.to_s.scan(/[[:alnum:]]+/).first(8)
        return owned if asked.empty?

        owned.where(Sequel.lit("words @@ to_tsquery('simple', ?)", asked.map { |word| "#{word}:*" }.join(" & ")))
      end

      def kept(rows)
        used = users(rows.map { |row| row[:name] })
        rows.map do |row|
          Kept.new(id: row[:id], revision: row[:revision], item: Stash.item(row), used: used.fetch(row[:name], []))
        end
      end

      def users(names)
        @db[:closures].join(:garments, id: :garment_id).where(Sequel[:closures][:workroom_id] => @workroom_id, button_name: names)
                      .order(Sequel[:garments][:name], Sequel[:closures][:name])
                      .select(:button_name, Sequel[:closures][:id], Sequel[:closures][:name], Sequel[:garments][:name].as(:garment))
                      .all.group_by { |row| row.delete(:button_name) }
      end

      def put(rows)
        return if rows.empty?

        update = rows.first.keys.to_h { |column| [column, Sequel[:excluded][column]] }
        @db[:buttons].insert_conflict(target: %i[workroom_id name], update: update.merge(revision: Sequel[:buttons][:revision] + 1))
                     .multi_insert(rows.map { |row| row.merge(workroom_id: @workroom_id) })
      end

      def guard(item)
        yield
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("button.name", item.button.name, "There is a button of that name in the stash.")
      end
    end
  end
end
