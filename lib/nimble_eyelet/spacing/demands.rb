# frozen_string_literal: true

# Demands is what a row of holes has to meet, in lengths, before anything is solved: where the first
# and the last may be, which places must have a hole, which must not, and how far apart neighbours are.
#
#   demands = Spacing::Demands.new(count: 7, grid: Length.mm(1), from: Length.mm(15), to: Length.mm(600),
#                                  first: Spacing::RowEnd.new(at: Length.mm(24), fixed: true),
#                                  last: Spacing::RowEnd.new(at: Length.mm(540), fixed: true), least_gap: Length.mm(40))

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Spacing
    # More than any garment has; a larger count is a slip of the finger.
    MOST_HOLES = 60

    # Where a row begins or ends. fixed - Boolean; otherwise it is only wished for.
    RowEnd = Value.of(:at, :fixed)

    # A hole near here would be good. weight - Integer from 1, how strongly
    SoftPin = Value.of(:at, :weight)

    # A stretch that no hole's place may lie in; both of its ends are allowed.
    Blocked = Value.of(:from, :to, label: "")

    # How strongly the first and the last hole keep to where they are wished.
    END_WEIGHT = 10_000

    # from, to - Length, no place lies outside; pins - Array<Length>; soft_pins - Array<SoftPin>
    # blocked - Array<Blocked> for every hole; blocked_first - Array<Blocked> for the first, when it lies otherwise
    # least_gap, most_gap - Length, the latter may be nil; together - Integer, holes of a cluster
    # inner - Length between two holes of a cluster
    # sewn - Array<Length>, holes that are there already: open whatever is blocked, as near to each other as they are
    class Demands < Value.of(:count, :grid, :from, :to, :first, :last, :least_gap,
                             most_gap: nil, pins: [], sewn: [], soft_pins: [], blocked: [], blocked_first: nil,
                             together: 1, inner: Length.zero)
      # @return [Length] how far the last hole of a cluster lies below its first
      def span = inner * (together - 1)

      # @return [Integer] clusters, or holes where they stand alone
      def heads = count / together
    end
  end
end
