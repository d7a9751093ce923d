# frozen_string_literal: true

# Edge checks that the button stays on the cloth and the hole stays away from the finished edge.
#
#   Placket::Edge.of(run, button, holes).cautions   # => [] when all is well

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Placket
    # Beyond half the button, cloth to spare at the edge and above the first hole.
    BUTTON_MARGIN = Length.mm(6)
    # Nearer to the finished edge than this a hole tears out.
    EDGE_REFUSED = Length.mm(6)

    # Nearer than this nothing is sewn at all; and a bar tack stays so far from a folded edge.
    EDGE_LEAST = Length.mm(3)
    TACK_FROM_EDGE = Length.mm(2)
    # In a band narrower than this half of it is all the room there is.
    NARROW = Length.mm(20)

    # extension_needed - Length; to_edge - Length, outer end of the hole to the finished edge
    # to_edge_needed - Length; cautions - Array<Caution>
    class Edge < Value.of(:extension_needed, :to_edge, :to_edge_needed, :cautions)
      # @param run [Run]
      # @param button [Button]
      # @param holes [Holes]
      # @return [Edge]
      def self.of(run, button, holes)
        needed = [Edge.margin(button), run.edge_distance + holes.outer - holes.row_line].max + holes.row_line
        to_edge = run.extension - holes.outer
        new(extension_needed: needed, to_edge: to_edge, to_edge_needed: run.edge_distance,
            cautions: [extension_caution(run, needed), edge_caution(run, to_edge)].compact)
      end

      # Half the button and the margin: the least extension, and the least place of the first button. What is no
      # button overhangs nothing.
      # @return [Length]
      def self.margin(button) = button.fastens? ? (button.across / 2) + BUTTON_MARGIN : BUTTON_MARGIN

      # What is to stay free. A pattern speaks of its centre line, and of no end of the edge.
      #
      # @param run [Run]
      # @return [Length]
      def self.wanted(run) = [run.edge_distance, EDGE_REFUSED].max

      # What stays free between the stitches of a hole and either end of its edge: as to the finished edge beside it,
      # and no more than there is.
      #
      # @param run [Run]
      # @param button [Button]
      # @param footprint [Length] of a hole along the run
      # @return [Length]
      def self.end_room(run, button, footprint)
        wanted = button.opens? ? Edge.wanted(run) : TACK_FROM_EDGE
        wanted.clamp(Length.zero, [(run.run_length - footprint) / 2, Length.zero].max)
      end

      # @param run [Run]
      # @param button [Button]
      # @param holes [Array<Hole>]
      # @return [Array<Caution>] of the first hole to the top, and of the last to the other end
      def self.end_cautions(run, button, holes)
        return [] if run.run_length < NARROW || !button.opens?

        [["first", holes.first.from, "the #{run.measured_from}", "Move it down"],
         ["last", run.run_length - holes.last.to, "the other end", "Move it up"]]
          .filter_map { |which, free, edge, move| end_caution(which, free, edge, move, wanted(run)) }
      end

      def self.end_caution(which, free, edge, move, wanted)
        return if free >= wanted

        tears = free < EDGE_REFUSED ? ": it tears out there, do not sew it" : ""
        Caution.new(rule: "edge distance",
                    says: Sentence["The stitches of the #{which} hole come %s from #{edge}; at least %s is wanted#{tears}.", free, wanted],
                    instead: Sentence["#{move} by %s.", wanted - free])
      end

      def self.extension_caution(run, needed)
        return if run.extension >= needed

        Caution.new(rule: "extension",
                    says: Sentence["The extension is %s; this wants %s.", run.extension, needed],
                    instead: Sentence["Choose a smaller button, or widen the extension by %s.", needed - run.extension])
      end

      def self.edge_caution(run, to_edge)
        wanted = Edge.wanted(run)
        return if to_edge >= wanted

        turn = run.vertical? ? "" : ", or turn the holes to run vertically"
        tears = to_edge < EDGE_REFUSED ? ": it tears out there, do not sew it" : ""
        Caution.new(rule: "edge distance",
                    says: Sentence["The outer end comes %s from the finished edge; at least %s is wanted#{tears}.",
                                   to_edge, wanted],
                    instead: Sentence["Widen the extension by %s#{turn}.", wanted - to_edge])
      end
      private_class_method :extension_caution, :edge_caution, :end_caution
    end
  end
end
