# frozen_string_literal: true

# GarmentFile is a garment as a file of its own: JSON with everything said about its closures, what
# happened at the table, and the machines. docs/garment.schema.json describes it.
#
#   text = Document::GarmentFile.write(garment)
#   Document::GarmentFile.read(text).closures   # => [[Plan, [Sewing::Entry, …]], …]

require "json"
require_relative "../field/field"
require_relative "../field/machine_fields"
require_relative "../field/plain_value"
require_relative "../field/plan_document"
require_relative "../store/journal_rows"
require_relative "garment_file_reader"

module NimbleEyelet
  module Document
    module GarmentFile
      FORMAT = "nimble-eyelet-garment"
      VERSION = 2

      # @param garment [Store::Garment]
      # @param photos [Hash{String => String}] JPEG by the test hole it is of
      # @param pictures [Array<String>] JPEG of the garment itself
      # @return [String] the same for the same garment
      def self.write(garment, photos = {}, pictures = [])
        machines = garment.closures.map { |closure| closure.plan.machine }.uniq(&:name).sort_by(&:name)
        JSON.pretty_generate(
          { "format" => FORMAT, "version" => VERSION, "made_by" => "Nimble Eyelet #{NimbleEyelet::VERSION}",
            "name" => garment.name, "note" => garment.note, "photos" => pictures.map { |bytes| [bytes].pack("m0") },
            "machines" => machines.map { |machine| machine_out(machine) },
            "closures" => garment.closures.map { |closure| closure_out(closure, photos) } }
        ) << "\n"
      end

      # @param text [String]
      # @return [GarmentFileReader::Content]
      # @raise [Refusal] with the field "file" and what is wrong
      def self.read(text) = GarmentFileReader.new(text, format: FORMAT, version: VERSION).content

      def self.closure_out(closure, photos)
        { "machine" => closure.plan.machine.name, "plan" => PlanDocument.dump(closure.plan).except(PlanDocument::MACHINE),
          "journal" => closure.entries.map { |entry| entry_out(entry).merge(photo_out(photos[entry.id])) } }
      end

      # As text that any program can read back.
      def self.photo_out(bytes) = bytes ? { "photo" => [bytes].pack("m0") } : {}

      def self.entry_out(entry)
        { "id" => entry.id, "kind" => entry.kind, "about" => entry.about, "step" => entry.step,
          "at" => entry.at && Field.decimal(entry.at),
          "opening" => entry.opening && Field.decimal(entry.opening), "moves" => PlainValue.dump_all(entry.moves),
          "data" => Store::JournalRows.data(entry), "happened_at" => entry.happened_at.utc.iso8601(3) }.compact
      end

      def self.machine_out(machine)
        dump = ->(fields, thing) { fields.to_h { |name, field| [name.to_s, field.dump(thing[name])] } }
        dump.call(MachineFields::MACHINE, machine)
            .merge("styles" => machine.styles,
                   "feet" => machine.feet.map { |foot| dump.call(MachineFields::FOOT, foot) })
      end
      private_class_method :closure_out, :photo_out, :entry_out, :machine_out
    end
  end
end
