# frozen_string_literal: true

require_relative "all_done"
require_relative "cloth_acts"
require_relative "machine_acts"
require_relative "piece"

module NimbleEyelet
  module Support
    # The table, its machine and what lies on it. It does what hands do, whatever made them do it, and keeps what cannot
    # be done there and what has come out otherwise than it was planned.
    class Workplace
      include MachineActs
      include ClothActs
      include AllDone

      Wrong = Struct.new(:what, :where, :more)

      # @return [Array<Wrong>]
      attr_reader :wrong

      # @return [Hash{String => String}] part of the machine to what it is; absent as its owner has it
      attr_reader :state

      # @param machine [Machine]
      def initialize(machine)
        @machine = machine
        @state = {}
        @wrong = []
        @at = nil
      end

      # What is set comes before the needle goes, what it leaves on the dials after.
      ORDER = Hash.new(1).merge("unclamp" => 0, "lever_down" => 0, "store" => 2, "turned" => 2).freeze

      # @param acts [Array<Array(String, String…)>] what to do, and with what
      # @param piece [Piece, nil] whose step it is
      # @param place [String, nil] of its hole
      # @param where [String] said of what goes wrong
      def perform(acts, piece:, place:, where:)
        @piece = piece
        @place = place
        @where = where
        acts.each_with_index.sort_by do |(act, *), index|
          [ORDER[act], index]
        end.each { |(act, *with), _| send(:"do_#{act}", *with) }
      end

      # What of the machine goes by itself when something goes wrong: it is switched off, or its programme was
      # interrupted.
      FORGETS = %w[power_gone lost_under_foot lost_out bobbin_under jammed needle_struck tack_goes_on].freeze
      INTERRUPTS = %w[lost_under_foot lost_out mid_cycle mid_programme thread_out bobbin_under jammed needle_struck
                      tack_goes_on].freeze
      # Where the hands lift the foot and with it the lever before anything is said.
      LIFTS = %w[lost_out mid_cycle mid_programme thread_out bobbin_under jammed needle_struck short_uncut place_uncut tack_place
                 place_closed].freeze
      # After these nothing of the hole is left.
      GONE = %w[place_uncut tack_place place_closed].freeze

      # Something went wrong: what it does to machine and cloth by itself.
      # @param mishap [String]
      def happen(mishap, piece, place, elsewhere: nil)
        @state = @state.except("memory") if FORGETS.include?(mishap)
        set("cycle", "in its middle") if INTERRUPTS.include?(mishap)
        set("lever", "usual") if LIFTS.include?(mishap)
        piece.done[:wrong] += 1
        piece.undone(place, elsewhere) if GONE.include?(mishap) || elsewhere
        @undone = [piece.key, place]
        @under = nil
      end

      def initialize_copy(other)
        super
        @wrong = []
      end

      # @return [Array<Wrong>] with what is wrong now that everything is done
      def finished(pieces)
        @where = "in the end"
        (@state.keys - %w[top_thread bobbin_thread cycle]).each { |part| wrong!(:machine_left, part, @state[part]) }
        pieces.each { |piece| whole(piece) }
        @wrong
      end

      private

      def wrong!(what, *more) = @wrong << Wrong.new(what, @where, more)
      def unless_so(right, what, *more) = right || wrong!(what, *more)
      def set(part, value) = @state = @state.merge(part => (value unless value == "usual")).compact
    end
  end
end
