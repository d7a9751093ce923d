# frozen_string_literal: true

# GarmentFile is a garment as a file of its own: JSON with everything said about its closures, what
# was sewn, and the machines. docs/garment.schema.json describes it.
#
#   text = Document::GarmentFile.write(garment)
#   Document::GarmentFile.read(text).closures   # => [[Store::Document, Machine], …]

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../field/initial"
require_relative "../field/machine_fields"
require_relative "../store/document"
require_relative "../store/habits"

module NimbleEyelet
  module Document
    module GarmentFile
      FORMAT = "nimble-eyelet-garment"
      VERSION = 1
      MOST_CLOSURES = 60

      # closures - Array<Array(Store::Document, Machine)>
      Content = Value.of(:name, :closures)

      # @param garment [Store::Garment]
      # @return [String] the same for the same garment
      def self.write(garment)
        machines = garment.closures.map(&:machine).uniq(&:name).sort_by(&:name)
        JSON.pretty_generate(
          { "format" => FORMAT, "version" => VERSION, "name" => garment.name,
            "machines" => machines.map { |machine| machine_out(machine) },
            "closures" => garment.closures.map { |closure| closure_out(closure) } }
        ) << "\n"
      end

      def self.closure_out(closure)
        kept = closure.document.dump
        { "machine" => closure.machine.name, "fields" => kept["fields"].transform_values { |value| value&.to_s },
          "pins" => kept["pins"].map { |at, label, weight| { "at_mm" => at, "label" => label, "weight" => weight } },
          "keep_outs" => kept["keep_outs"].map { |from, to, label| { "from_mm" => from, "to_mm" => to, "label" => label } },
          "swatches" => kept["swatches"], "steps_done" => kept["steps_done"], "knots" => kept["knots"] }
      end

      def self.machine_out(machine)
        dump = ->(fields, thing) { fields.to_h { |name, field| [name.to_s, field.dump(thing[name])] } }
        dump.call(MachineFields::MACHINE, machine)
            .merge("styles" => machine.styles, "feet" => machine.feet.map { |foot| dump.call(MachineFields::FOOT, foot) })
      end

      # @param text [String]
      # @return [Content]
      # @raise [Refusal] with the field "file" and what is wrong
      def self.read(text) = Reader.new(text).content

      class Reader
        def initialize(text)
          @file = JSON.parse(text)
        rescue JSON::ParserError, EncodingError
          raise refused("This is no garment file: it is not JSON.")
        end

        # @return [Content]
        def content
          check_format
          machines = list("machines").to_h { |machine| machine(machine).then { |found| [found.name, found] } }
          closures = list("closures").map { |closure| closure(closure, machines) }
          Content.new(name: name, closures: closures)
        rescue KeyError, NoMethodError, TypeError, ArgumentError => e
          raise refused("This garment file is damaged: #{e.message.lines.first.to_s.strip[0, 120]}.")
        rescue Refusal => e
          raise e if e.faults.first.field == "file"

          fault = e.faults.first
          raise refused(Sentence["This garment file is damaged: %s holds %s. %s", fault.field, fault.given.to_s[0, 40], fault.allowed])
        end

        private

        def check_format
          raise refused("This is no garment file.") unless @file.is_a?(Hash) && @file["format"] == FORMAT

          version = @file["version"]
          return if version == VERSION
          raise refused("This garment file says no version.") unless version.is_a?(Integer)

          raise refused("This garment file is of version #{version}; this application reads up to version #{VERSION}. " \
                        "Nothing was changed.")
        end

        def name
          name = Field.clean(@file.fetch("name"))
          raise refused("The garment in this file has no name of at most 80 characters.") unless name.length.between?(1, 80)

          name
        end

        def list(key)
          items = @file.fetch(key)
          raise refused("This garment file is damaged: #{key} is no list.") unless items.is_a?(Array)
          raise refused("At most #{MOST_CLOSURES} #{key} in one garment.") if items.size > MOST_CLOSURES

          items
        end

        def machine(kept)
          facts = load(MachineFields::MACHINE, kept)
          feet = kept.fetch("feet").map { |foot| Foot.new(**load(MachineFields::FOOT, foot)) }
          styles = kept.fetch("styles").map(&:to_s) & STYLES.keys
          Machine.new(**facts, styles: styles, feet: feet).validate
        end

        # Flags are kept as they are, all else is read as if typed in millimetres.
        def load(fields, kept)
          fields.to_h do |name, field|
            [name, field.kind == :flag ? kept.fetch(name.to_s) == true : read(field, kept.fetch(name.to_s))]
          end
        end

        def read(field, value)
          text = value.to_s
          field.read(field.kind == :outline ? text : text.delete("\n")[0, 200], unit: :mm)
        end

        def closure(kept, machines)
          machine = machines.fetch(kept.fetch("machine"))
          fields = FIELDS.to_h { |path, field| [path, kept["fields"].key?(path) ? read(field, kept["fields"][path]) : begun(path, field)] }
          document = Store::Document.new(fields: fields, machine_id: 0, pins: kept.fetch("pins").map { |pin| pin(pin) },
                                         keep_outs: kept.fetch("keep_outs").map { |item| keep_out(item) },
                                         swatches: kept.fetch("swatches").map { |swatch| Store::Document.load_swatch(swatch) },
                                         steps_done: kept.fetch("steps_done").map do |key|
                                           key.to_s[/\A[a-z0-9_-]{1,40}\z/] || raise(KeyError, key)
                                         end,
                                         knots: kept.fetch("knots").select { |stage, _| STAGES.key?(stage) })
          document.plan(machine, Store::Habits.load({})).validate
          [document, machine]
        end

        # What came later than the file begins as in a new closure.
        def begun(path, field) = field.read(INITIAL[path], unit: :mm)

        def pin(kept)
          Placket::Pin.new(at: length(kept.fetch("at_mm"), "placket.pins"), label: label(kept),
                           weight: Integer(kept.fetch("weight")).clamp(0, 9))
        end

        def keep_out(kept)
          Placket::KeepOut.new(from: length(kept.fetch("from_mm"), "placket.keep_outs"),
                               to: length(kept.fetch("to_mm"), "placket.keep_outs"),
                               label: label(kept))
        end

        def label(kept) = Field.clean(kept["label"])[0, 80]
        def length(text, field) = Typing::Notation.read(text.to_s, unit: :mm, field: field)
        def refused(why) = Refusal.field("file", "", why)
      end
    end
  end
end
