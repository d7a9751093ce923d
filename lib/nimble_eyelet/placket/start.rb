# frozen_string_literal: true

# Beginning is where a machine begins a hole, and which end of the garment lies away from the person;
# a start mark is where the needle goes in first. Where nobody has watched the machine yet, marks for
# both ends are given.
#
#   beginning = Placket::Beginning.of(machine, style)
#   beginning.marks(hole, run)   # [StartMark, …], one when it is known

require_relative "../value"
require_relative "run"

module NimbleEyelet
  module Placket
    # along - Length from the top edge; from_edge - Length from the finished edge
    # at - String, the end it lies at: "upper", "lower", "outer", "inner" or "middle"
    StartMark = Value.of(:along, :from_edge, :at)

    # begins - Symbol: :near or :far from the chair, :middle of a long side, nil until it was watched
    # tack_first - Boolean, at the very end and not at the slit's; outer_away - Boolean, the outer or upper end lies
    #   away
    # side - String or nil, "left" or "right", which bead first
    class Beginning < Value.of(:begins, :tack_first, :outer_away, :side)
      # @param machine [Machine]
      # @param style [Style]
      # @return [Beginning]
      def self.of(machine, style)
        outer_away = (style.near == style.far && !style.corded) || machine.eye_end == "far"
        if MIDDLE.include?(style.near)
          return new(begins: :middle, tack_first: false, outer_away: outer_away,
                     side: machine.first_side)
        end
        return of_a_tack(style) unless style.opens
        if style.by_hand
          return new(begins: :near, tack_first: true, outer_away: outer_away,
                     side: machine.first_side || "left")
        end

        tacks = style.near == style.far && style.near == :tack && !(machine.straight_first && machine.type.programmed)
        new(begins: machine.begins, tack_first: tacks && machine.type.tack_first?, outer_away: outer_away,
            side: machine.first_side)
      end

      # A programme mostly sews a tack away from the person first; by hand it is sewn forward, toward them.
      def self.of_a_tack(style)
        new(begins: style.by_hand ? :far : :near, tack_first: true, outer_away: true, side: nil)
      end

      # Ends of styles that are begun in the middle of a long side, or anywhere round.
      MIDDLE = %i[box ring].freeze
      private_constant :MIDDLE
      private_class_method :of_a_tack

      # @return [Boolean]
      def known? = !begins.nil?

      # @param hole [Hole]
      # @param run [Run]
      # @return [Array<StartMark>] one, or both while nobody has watched
      def marks(hole, run)
        return [beside(hole, run)] if begins == :middle

        outer, inner = both(hole, run)
        return [outer, inner] unless known?

        [(begins == :far) == outer_away ? outer : inner]
      end

      # What lies away from the person, in words.
      # @param hole [Hole]
      # @return [String]
      def away(hole)
        return hole.vertical? ? "the top" : "the finished edge" if outer_away

        hole.vertical? ? "the lower end" : "the body of the garment"
      end

      # Where the finished edge lies while a hole is sewn, right side up. Of the buttonhole side that closes right over
      # left it lies to the right as long as the top is away.
      #
      # @param hole [Hole]
      # @param overlap [String] key of Run::OVERLAPS
      # @return [String] "away", "near", "left" or "right", as the person sees it
      def edge_lies(hole, overlap)
        return outer_away ? "away" : "near" unless hole.vertical?

        Placket.edge_at_right?(overlap) == outer_away ? "right" : "left"
      end

      private

      def both(hole, run)
        hole.vertical? ? along(hole, run) : across(hole, run)
      end

      def along(hole, run)
        edge = run.extension - hole.out_outer
        upper, lower = tack_first ? [hole.from, hole.to] : [hole.open_from, hole.open_to]
        [mark(upper, edge, "upper", run), mark(lower, edge, "lower", run)]
      end

      def across(hole, run)
        outer, inner = tack_first ? [hole.sewn_outer, hole.sewn_inner] : [hole.out_outer, hole.out_inner]
        [mark(hole.at, run.extension - outer, "outer", run), mark(hole.at, run.extension - inner, "inner", run)]
      end

      # The box begins in the middle of a long side, half its width beside the cut line.
      def beside(hole, run)
        return mark(hole.middle, run.extension - hole.out_outer - (hole.width / 2), "middle", run) if hole.vertical?

        mark(hole.at - (hole.width / 2), run.extension - ((hole.out_outer + hole.out_inner) / 2), "middle", run)
      end

      # On a mark somebody can find with a ruler.
      def mark(along, from_edge, at, run)
        step = run.grid_ruler.finest
        StartMark.new(along: along.round_to(step), from_edge: from_edge.round_to(step), at: at)
      end
    end
  end
end
