# frozen_string_literal: true

# GarmentFileReader reads a garment file of this version or an earlier one, and refuses what is
# damaged in one sentence.

require "json"
require "securerandom"
require "time"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/field"
require_relative "../field/machine_fields"
require_relative "../field/plan_document"
require_relative "../form/closure_form"
require_relative "../store/garment_photos"
require_relative "garment_facts"

module NimbleEyelet
  module Document
    class GarmentFileReader
      MOST_CLOSURES = 500
      MOST_ENTRIES = 5000
      MOST_IN_ALL = 20_000

      # Files of the first version did not say when a step was done.
      LONG_AGO = Time.at(0).utc.iso8601.freeze

      LONGEST_NOTE = 4000

      # closures - Array<Array(Plan, Array<Sewing::Entry>)>; photos - Hash of the id of a test hole to its JPEG;
      # note - String; pictures - Array<String>, JPEG of the garment itself
      Content = Value.of(:name, :closures, :photos, :note, :pictures)

      # @param text [String]
      # @raise [Refusal]
      def initialize(text, format:, version:)
        @format = format
        @version = version
        @photos = {}
        @file = JSON.parse(text.delete_prefix("\uFEFF"), max_nesting: 20)
      rescue JSON::ParserError, EncodingError, ArgumentError
        raise refused("This is no garment file: it is not JSON.")
      end

      # @return [Content]
      # @raise [Refusal]
      def content
        check_format
        count
        machines = list("machines").to_h { |machine| machine(machine).then { |found| [found.name, found] } }
        Content.new(name: name, closures: list("closures").map { |closure| closure(closure, machines) }, photos: @photos,
                    note: note, pictures: pictures)
      rescue Refusal => e
        raise damaged(e)
      rescue StandardError => e
        # Nothing is read here but what the file holds: whatever goes wrong is its fault.
        raise refused("This garment file is damaged: #{Field.clean(e.message.lines.first)[0, 120]}.")
      end

      private

      def refused(words) = Refusal.field("file", "", words)

      # Whatever is wrong in a file is wrong with the file.
      def damaged(refusal)
        fault = refusal.faults.first
        return refusal if fault.field == "file"

        refused(Sentence["This garment file is damaged: %s holds %s. %s", fault.field, fault.given.to_s[0, 40], fault.allowed])
      end

      def check_format
        raise refused("This is no garment file.") unless @file.is_a?(Hash) && @file["format"] == @format

        version = @file["version"]
        raise refused("This garment file says no version.") unless version.is_a?(Integer)
        return if version.between?(1, @version)

        raise refused("This garment file is of version #{version}; this application reads up to version #{@version}. " \
                      "Nothing was changed.")
      end

      # Before anything of it is read: that may take long.
      def count
        sizes = list("closures").map { |closure| closure.values_at("journal", "swatches", "steps_done").compact.sum(&:size) }
        raise refused("At most #{MOST_ENTRIES} entries for one row of buttonholes.") if sizes.any? { |size| size > MOST_ENTRIES }
        raise refused("At most #{MOST_IN_ALL} facts in one file.") if sizes.sum > MOST_IN_ALL
      end

      def name
        name = Field.clean(@file.fetch("name"))
        raise refused("The garment in this file has no name of at most 80 characters.") unless name.length.between?(1, 80)

        name
      end

      # Files written before a garment had a note say none.
      def note
        text = @file.fetch("note", "")
        raise refused("The note in this file is no text.") unless text.is_a?(String)
        raise refused("The note in this file has more than #{LONGEST_NOTE} characters.") if text.length > LONGEST_NOTE

        text.gsub(/[^[:print:]\n]/, "")
      end

      def pictures
        return [] unless @file.key?("photos")

        list("photos", most: Store::GarmentPhotos::MOST).map { |text| text.to_s.unpack1("m0") }
      end

      def list(key, most: MOST_CLOSURES)
        items = @file.fetch(key)
        raise refused("This garment file is damaged: #{key} is no list.") unless items.is_a?(Array)
        raise refused("At most #{most} #{key} in one garment.") if items.size > most

        items
      end

      def machine(kept)
        facts = load(MachineFields::MACHINE, kept, Machine::DEFAULTS)
        feet = kept.fetch("feet").map { |foot| Foot.new(**load(MachineFields::FOOT, foot, Foot::DEFAULTS)) }
        Machine.new(**facts, styles: kept.fetch("styles").map(&:to_s) & STYLES.keys, feet: feet).validate
      end

      # Flags are kept as they are, all else is read as if typed in millimetres; what older files do not say begins
      # as it does for a new machine.
      def load(fields, kept, begun)
        fields.to_h do |name, field|
          next [name, begun.fetch(name)] if begun.key?(name) && !kept.key?(name.to_s)

          [name, field.kind == :flag ? kept.fetch(name.to_s) == true : read(field, kept.fetch(name.to_s))]
        end
      end

      def read(field, value)
        text = value.to_s
        field.read(field.kind == :outline ? text : text.delete("\n")[0, 200], unit: :mm)
      end

      def closure(kept, machines)
        machine = machines.fetch(kept.fetch("machine"))
        document, entries = kept.key?("plan") ? this_version(kept) : first_version(kept)
        plan = PlanDocument.load(read_all(document), machine)
        plan = plan.with(accepted: entries.find { |entry| entry.swatch && entry.id == plan.accepted }&.id)
        plan.in(House.usual).validate
        [plan, GarmentFacts.sound(entries)]
      end

      def this_version(kept)
        journal = kept.fetch("journal")
        journal.each { |entry| @photos[entry["id"].downcase] = entry["photo"].unpack1("m0") if entry["photo"] }
        [kept["plan"], journal.map { |entry| GarmentFacts.entry(entry) }]
      end

      # Every field as if it were typed, so that nothing comes in that could not be typed.
      def read_all(document)
        fields = ClosureFields::ALL.select { |field| document.key?(field.path) }
                                   .to_h { |field| [field.path, field.dump(read(field, document[field.path]))] }
        lists = ClosureFields::LISTS.to_h { |path, list| [path, rows(list, document.fetch(path))] }
        { **fields, **lists, "swatch.accepted" => document["swatch.accepted"]&.to_s,
          "settled" => settled(document["settled"].to_h) }
      end

      def settled(kept)
        kept.slice(*STAGES.keys).transform_values { |figures| GarmentFacts.figures(figures) }
      end

      def rows(list, rows)
        raise refused("At most #{list.most} of #{list.path} on one run.") if rows.size > list.most

        rows.to_h do |id, row|
          raise KeyError, id unless id.match?(Form::ClosureForm::ROW_ID)

          [id, row.slice(*list.row.members.map(&:to_s)).to_h { |name, value| [name, member(list, name, value)] }]
        end
      end

      def member(list, name, value)
        return nil if value.nil? && list.optional.include?(name.to_sym)
        return value if list.choices[name.to_sym]&.key?(value)
        raise KeyError, name if list.choices.key?(name.to_sym)

        if list.lengths.include?(name.to_sym)
          length = Typing::Notation.read(value.to_s, unit: :mm, field: list.path)
          Refusal.unless_valid { |check| Placket::Run::PLACE.check(check, list.path, length) }
          return Field.decimal(length)
        end

        name == "weight" ? Integer(value).clamp(0, 9) : Field.clean(value)[0, Field::LONGEST_TEXT]
      end

      # Version 1 kept test holes and ticks in the closure, and settled stages as fingerprints, which say nothing here.
      def first_version(kept)
        swatches = kept.fetch("swatches").map { |swatch| swatch(swatch) }
        steps = kept.fetch("steps_done").map do |key|
          GarmentFacts.entry({ "id" => SecureRandom.uuid, "kind" => "step", "step" => key.to_s,
                               "happened_at" => LONG_AGO })
        end
        accepted = kept["swatches"].index { |swatch| swatch["accepted"] }
        [kept.fetch("fields").merge(first_lists(kept), "swatch.accepted" => accepted && swatches[accepted].id), swatches + steps]
      end

      # @return [Hash{String => Hash}] rows of each list by an id, which they had none of
      def first_lists(kept)
        pins = kept.fetch("pins").map do |pin|
          { "at" => pin.fetch("at_mm"), "label" => pin["label"], "weight" => pin.fetch("weight", 0) }
        end
        keep_outs = kept.fetch("keep_outs").map do |item|
          { "from" => item.fetch("from_mm"), "to" => item.fetch("to_mm"), "label" => item["label"] }
        end
        { "placket.pins" => pins, "placket.keep_outs" => keep_outs }.transform_values do |rows|
          rows.each_with_index.to_h { |row, index| ["row#{index + 1}", row] }
        end
      end

      def swatch(old)
        set = { "opening.length" => "opening", "recipe.stitch_width" => "stitch_width",
                "recipe.stitch_length" => "stitch_length" }
              .transform_values { |name| { "mm" => old.fetch(name) } }
        GarmentFacts.entry({ "id" => SecureRandom.uuid, "kind" => "swatch", "happened_at" => old.fetch("sewn_at"),
                "data" => { **old.slice("passes", "measured", "symptoms", "note"),
                  "with" => { **set, "recipe.tension" => old["tension"].to_s, "recipe.stabiliser" => old["stabiliser"] } } })
      end
    end
  end
end
