# frozen_string_literal: true

# Document is everything that is kept of one closure, as plain values: the fields by path, the
# pins and keep-outs, the swatches, the steps done and the knots. It is what a revision keeps
# whole, what undo brings back, and what a core Plan is made from.
#
#   document = document.with(fields: document.fields.merge("button.diameter" => Length.mm(20)))
#   document.plan(machine, habits)   # => NimbleEyelet::Plan

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../field/initial"
require_relative "habits"

module NimbleEyelet
  module Store
    # fields - Hash of path to value; machine_id - Integer; pins - Array<Placket::Pin>
    # keep_outs - Array<Placket::KeepOut>; swatches - Array<Swatches::Swatch>
    # steps_done - Array<String>; knots - Hash of stage to fingerprint
    class Document < Value.of(:fields, :machine_id, pins: [], keep_outs: [], swatches: [], steps_done: [],
                              knots: {})
      # @param machine [Machine] the one machine_id names
      # @param habits [Hash{String => Object}] of the house, for what the closure leaves open
      # @return [Plan]
      def plan(machine, habits = Habits.load({}))
        owned = habits.fetch(Habits::DRAWER, STABILISER_KINDS.keys)
        house = habits.slice(*HABITS.keys)
        with(fields: fields.merge(house) { |_, own, other| own.nil? ? other : own }).filled(machine).with(stabilisers: owned)
      end

      # @param machine [Machine]
      # @return [Plan] of what stands here, with nothing left open
      def filled(machine)
        Plan.new(name: fields["closure.name"], machine: machine,
                 button: Button.new(**room("button")), cloth: Cloth.new(**room("cloth")), thread: SewingThread.new(**room("thread")),
                 opening: Opening::Sizing.new(**room("opening")), run: run, overrides: Recipes::Overrides.new(**room("recipe")),
                 attach: Attach::ButtonSewing.new(**room("attach")), swatches: swatches, steps_done: steps_done, knots: knots)
      end

      # @param changes [Hash{String => Object}] by path
      # @return [Document]
      def changed(changes) = with(fields: fields.merge(changes))

      # @return [Array<String>] paths, and names of lists, that differ
      def differences(other)
        paths = fields.keys.reject { |path| fields[path] == other.fields[path] }
        lists = Document::LISTS.reject { |list| self[list] == other[list] }.map { |list| Document::LIST_PATHS.fetch(list) }
        paths + lists
      end

      # @return [Hash] for JSON
      def dump
        { "fields" => fields.to_h { |path, value| [path, Field.fetch(path).dump(value)] }, "machine_id" => machine_id,
          "pins" => pins.map { |pin| [Field.decimal(pin.at), pin.label, pin.weight] },
          "keep_outs" => keep_outs.map { |item| [Field.decimal(item.from), Field.decimal(item.to), item.label] },
          "swatches" => swatches.map { |swatch| Document.dump_swatch(swatch) }, "steps_done" => steps_done, "knots" => knots }
      end

      # @param kept [Hash] from JSON
      # @return [Document]
      def self.load(kept)
        new(fields: FIELDS.to_h { |path, field| [path, load_field(path, field, kept["fields"])] }, machine_id: kept["machine_id"],
            pins: kept["pins"].map { |at, label, weight| Placket::Pin.new(at: Length.mm(at.to_r), label: label, weight: weight.to_i) },
            keep_outs: kept["keep_outs"].map do |from, to, label|
              Placket::KeepOut.new(from: Length.mm(from.to_r), to: Length.mm(to.to_r), label: label)
            end,
            swatches: kept["swatches"].map { |swatch| load_swatch(swatch) }, steps_done: kept["steps_done"].to_a,
            knots: kept["knots"].to_h)
      end

      # A field that came later than the revision begins as it does in a new closure.
      def self.load_field(path, field, kept)
        kept.key?(path) ? field.load(kept[path]) : field.read(INITIAL[path], unit: :mm)
      end

      # @return [Hash] a swatch as plain values
      def self.dump_swatch(swatch)
        swatch.to_h.to_h do |name, value|
          [name.to_s, value.is_a?(Length) || value.is_a?(Rational) ? Field.decimal(value) : value]
        end
      end

      # @param kept [Hash] plain values, with names as strings
      # @return [Swatches::Swatch]
      def self.load_swatch(kept)
        values = kept.to_h { |name, value| [name.to_sym, value] }
        Document::SWATCH_LENGTHS.each { |name| values[name] = values[name] && Length.mm(values[name].to_r) }
        Swatches::Swatch.new(**values, tension: values[:tension].to_r, symptoms: values[:symptoms].to_a)
      end

      private

      def room(name) = Document::ROOMS.fetch(name).to_h { |short, path| [short, fields[path]] }

      def run
        values = room("placket")
        Placket::Run.new(**values.except(:run_length), length: values[:run_length], pins: pins, keep_outs: keep_outs)
      end
    end

    Document::LISTS = %i[machine_id pins keep_outs swatches steps_done knots].freeze
    Document::LIST_PATHS = { machine_id: "machine.id", pins: "placket.pins", keep_outs: "placket.keep_outs",
                             swatches: "swatch.log", steps_done: "sewing.steps_done", knots: "knots" }.freeze
    Document::SWATCH_LENGTHS = %i[measured opening stitch_width stitch_length].freeze
    Document::ROOMS = FIELDS.keys.group_by { |path| path[/\A\w+/] }.transform_values do |paths|
      paths.to_h { |path| [path[/\w+\z/].to_sym, path] }
    end.freeze
  end
end
