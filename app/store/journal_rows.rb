# frozen_string_literal: true

# JournalRows turns entries of the journal as the database's JSON gives them into facts, and facts
# into what is kept.

require "time"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../field/plain_value"

module NimbleEyelet
  module Store
    module JournalRows
      # When an entry happened, as microseconds: to read a date off a text takes a third of reading an entry.
      HAPPENED = "(extract(epoch FROM j.happened_at) * 1000000)::bigint"

      # One entry as a JSON object, for a statement over the journal as j.
      JSON_OBJECT = <<~SQL.freeze
        jsonb_build_object('id', j.id, 'kind', j.kind, 'about', j.about, 'step', j.step_key, 'at', j.at_mm::text,
          'opening', j.opening_mm::text, 'moves', j.moves, 'data', j.data, 'happened_at', #{HAPPENED})
      SQL

      # What a test hole may be kept without.
      MAY_LACK = %w[looks again].freeze

      # @param object [Hash{String => Object}]
      # @return [Sewing::Entry]
      def self.entry(object)
        data = object["data"]
        Sewing::Entry.new(id: object["id"], kind: object["kind"], about: object["about"], step: object["step"],
                          at: length(object["at"]),
                          opening: length(object["opening"]), done_with: OlderWords.figures(PlainValue.load_all(data["with"])),
                          moves: PlainValue.load_all(object["moves"]), happened_at: moment(object["happened_at"]),
                          note: data["note"].to_s, swatch: object["kind"] == "swatch" ? swatch(object) : nil)
      end

      # @param told [Integer, String] microseconds, or as a file has it, in ISO 8601
      # @return [Time]
      def self.moment(told) = told.is_a?(Integer) ? Time.at(0, told, :microsecond).utc : Time.iso8601(told).utc

      # Test holes of other closures, as a statement over the journal as j gives them: newest first, as they were seen
      # last.
      #
      # @param objects [Array<Hash>, nil]
      # @return [Array<Swatches::EarlierSwatch>]
      def self.earlier(objects)
        closures = objects.to_a.to_h { |object| [object["id"], object["closure"]] }
        Swatches::Swatch.together(objects.to_a.map { |object| swatch(object) })
                        .map { |swatch| Swatches::EarlierSwatch.new(closure: closures[swatch.id], swatch: swatch.looked) }
      end

      # @return [Swatches::Swatch]
      def self.swatch(object)
        data = object["data"]
        set = OlderWords.figures(PlainValue.load_all(data["with"]))
        Swatches::Swatch.new(
          id: object["id"], passes: data["passes"], measured: length(data["measured"]), symptoms: data["symptoms"].to_a,
          looks: data["looks"].to_h, again: data["again"], simulated: Swatches::StandIn.id?(set["machine.id"]),
          opening: set["opening.length"], stitch_width: set["recipe.stitch_width"],
          stitch_length: set["recipe.stitch_length"],
          tension: set["recipe.tension"].to_r, stabiliser: set["recipe.stabiliser"], note: data["note"].to_s, sewn_with: set,
          sewn_at: moment(object["happened_at"]).iso8601
        )
      end

      # @param entry [Sewing::Entry]
      # @return [Hash{String => Object}] what of it is kept as data
      def self.data(entry)
        seen = entry.swatch&.then do |swatch|
          { "passes" => swatch.passes, "measured" => swatch.measured && Field.decimal(swatch.measured), "symptoms" => swatch.symptoms,
            "looks" => swatch.looks.empty? ? nil : swatch.looks,
            "again" => swatch.again }.reject { |name, value| value.nil? && MAY_LACK.include?(name) }
        end
        said = { "note" => entry.note, "with" => PlainValue.dump_all(entry.done_with) }
        { **seen.to_h, **said.reject { |_, value| value.empty? } }
      end

      def self.length(text) = text && Length.new(text.to_r)
      private_class_method :length, :swatch
    end
  end
end
