# frozen_string_literal: true

# What a garment takes: to buy, to wind, to lay ready; as JSON and as CSV.

require "csv"
require_relative "../../lib/nimble_eyelet"
require_relative "../presenter"

module NimbleEyelet
  module View
    module SuppliesView
      # @param supplies [Array<Supply>]
      # @param present [Presenter]
      # @return [Array<Hash>]
      def self.of(supplies, present)
        supplies.map do |one|
          { kind: one.kind, title: Supplies::SUPPLY_KINDS.fetch(one.kind), name: one.name, count: one.count,
            length: length(one, present),
            says: present.words(one.says), owned: one.owned, lacks: one.lacks,
            reserved: one.reserved, elsewhere: one.elsewhere, to_lay: one.to_lay }
        end
      end

      # Thread is counted in metres, or in yards.
      def self.length(supply, present)
        supply.kind == "thread" ? present.told(Tool::SPOOL.at(supply.length)) : present.length(supply.length)
      end

      # @return [String] one row a thing; what begins like a formula is text
      def self.csv(supplies, present)
        CSV.generate(row_sep: "\r\n") do |csv|
          csv << %w[kind name count length_mm owned laid_by to_buy note]
          supplies.each do |one|
            csv << [one.kind, plain(one.name), one.count, one.length&.to_f&.round, one.owned, one.owned && one.reserved,
                    one.lacks, plain(present.words(one.says))]
          end
        end
      end

      def self.plain(text) = text.to_s.match?(/\A[=+\-@\t\r]/) ? "'#{text}" : text
      private_class_method :length, :plain
    end
  end
end
