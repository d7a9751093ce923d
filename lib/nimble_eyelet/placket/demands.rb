# frozen_string_literal: true

# Demands is what a row of holes has to meet, in lengths, before anything is solved: where the first
# and the last may be, which places must have a hole, which must not, and how far apart neighbours are.
#
#   demands = Placket::Demands.new(count: 7, grid: Length.mm(1), from: Length.mm(15), to: Length.mm(600),
#                                  first: Placket::End.new(at: Length.mm(24), fixed: true),
#                                  last: Placket::End.new(at: Length.mm(540), fixed: true), least_gap: Length.mm(40))

require_relative "../value"
require_relative "../measure"

module NimbleEyelet
  module Placket
    # Where a row begins or ends. fixed - Boolean; otherwise it is only wished for.
    End = Value.define(:at, :fixed)

    # A hole near here would be good. weight - Integer from 1, how strongly
    Soft = Value.define(:at, :weight)

    # A stretch that no hole's place may lie in; both of its ends are allowed.
    Shut = Value.define(:from, :to, :label, label: "")

    # How strongly the first and the last hole keep to where they are wished.
    END_WEIGHT = 10_000

    # from, to - Length, no place lies outside; pins - Array<Length>; wishes - Array<Soft>
    # shut - Array<Shut> for every hole; shut_first - Array<Shut> for the first, when it lies otherwise
    # least_gap, most_gap - Length, the latter may be nil; together - Integer, holes of a cluster
    # inner - Length between two holes of a cluster
    Demands = Value.define(:count, :grid, :from, :to, :first, :last, :least_gap, :most_gap, :pins, :wishes, :shut,
                           :shut_first, :together, :inner,
                           most_gap: nil, pins: [], wishes: [], shut: [], shut_first: nil, together: 1, inner: Length.zero) do
      # @return [Length] how far the last hole of a cluster lies below its first
      def span = inner * (together - 1)

      # @return [Integer] clusters, or holes where they stand alone
      def heads = count / together
    end
  end
end
