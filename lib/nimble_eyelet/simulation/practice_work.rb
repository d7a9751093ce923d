# frozen_string_literal: true

# PracticeWork is what a practice machine is told to sew: the hole and the button of one plan, stretch by stretch, and
# what each needs of the machine. Its figures are those of the plan and of nothing else.
#
#   work = Simulation::PracticeWork.of(sheet)
#   work.stretches.map(&:name)   # => ["near end", "left-hand side", "far end", "right-hand side"]

require_relative "../length/length"
require_relative "../sewing/row_state"
require_relative "../sheet/hole_simulation"
require_relative "../stitch/button_path"
require_relative "../stitch/path"
require_relative "../work/step"
require_relative "hole_stretch"

module NimbleEyelet
  module Simulation
    class PracticeWork
      # Stretches of a hole that is turned by hand, in the order of SEWN_BY_HAND, with what is turned for each.
      HAND_STRETCHES = [{ "aside" => false, "turned" => false }, { "aside" => true, "turned" => false },
                        { "aside" => false, "turned" => false }, { "aside" => true, "turned" => true },
                        { "aside" => false, "turned" => true }].freeze
      private_constant :HAND_STRETCHES

      # @return [Machine]
      attr_reader :machine

      # @return [Sewing::SewingOrder]
      attr_reader :order

      # @return [Hash{String => Length, String, nil}] machine part to what it has to be for the row, nil for its usual
      attr_reader :row

      # @return [Hash{String => Length, String, nil}] the same for a button
      attr_reader :for_button

      # @param sheet [Sheet] whose holes fit
      # @return [PracticeWork]
      def self.of(sheet) = new(sheet)

      def initialize(sheet)
        @order = sheet.order
        @machine = @order.machine
        state = Sewing::RowState.new(@order)
        @row = state.needs.freeze
        @shape = HoleSimulation.shape(sheet, Trial.new).with(twice: false)
        @opening = @shape.opening
        @swings = sheet.attaching.by_machine && sheet.plan.button.holes.positive? ? sheet.attaching.swings : nil
        @for_button = (@swings ? button_needs(sheet) : {}).freeze
        @own_width = sheet.plan.attach.width
        @stitched = {}
        @row_stretches = stretches.size
      end

      # @return [Boolean] whether its hole can be practised: satin that is sewn along a slit
      def hole? = @order.opens? && !@order.straight? && !@order.circle? && @order.way.nil?
      def button? = !@swings.nil? && @order.buttons?

      # @return [Boolean] whether the machine goes from stretch to stretch by itself
      def programmed? = machine.type.programmed && !machine.type.partwise && !by_hand?
      def partwise? = machine.type.partwise && !by_hand?
      def by_hand? = @order.by_hand?
      def clamped? = @order.clamped?
      def stores? = @order.stores?
      def corded? = @order.corded?

      # @return [Boolean] whether it stops at the end by itself
      def stops_itself? = programmed? && machine.stops == "machine"

      # @return [Length] what the key has to be pressed at, or what is clamped
      def figure = @order.setting.figure

      # @return [Float] mm of the slit that the setting gives
      attr_reader :opening

      # How far before the end of the first side the key is pressed: what the machine adds by itself.
      # @return [Float] mm
      def added = stores? ? @opening - figure.to_f : 0.0

      # @return [Integer] stitches of the first side at the line where the key is pressed
      def keyed_after
        first = stretches.first
        [first.ends - (added / first.feed.abs).round, 2].max
      end

      # @return [Float] mm along, where that line lies
      def keyed_at = stretches.first.then { |first| first.points[first.ends - 1].last - (added * (first.feed <=> 0)) }

      # @param opening [Float] mm
      # @param parts [Hash] of the machine, as they stand
      # @return [Array<HoleStretch>] of a hole of that opening, sewn by these dials, begun at the same mark
      def stretches(opening = @opening, parts = @row)
        dials = by_hand? ? [] : parts.values_at("selector", "width", "length")
        @stitched[[:hole, opening, dials]] ||= if straight_on?(parts)
                                                 Array.new(@row_stretches) do
                                                   straight
                                                 end
                                               else
                                                 hole(opening, dials)
                                               end
      end

      # @param parts [Hash] of the machine, as they stand
      # @return [Boolean] whether no buttonhole is selected, and it sews straight on
      def straight_on?(parts) = !by_hand? && parts["selector"] != @row["selector"]

      # @param parts [Hash] of the machine, as they stand
      # @return [Float] mm of the slit that comes of what is clamped
      def opening_of(parts)
        return @opening unless clamped?
        return (@opening * EMPTY).round(3) unless parts["button_in_foot"]

        (@opening + (clamped(parts) - clamped(@row))).round(6).clamp(1.0, 200.0)
      end
      # With nothing in the foot the stops stand close together.
      EMPTY = 0.4
      private_constant :EMPTY

      # @return [Stitches::Path] of the hole as it is planned
      def path = Stitches::Path.sew(@shape, machine)

      # @return [Integer] pairs of a button's holes
      def pairs = button? ? sewn_on(nil).parts.size : 0

      # @param width [String, nil] as the dial is set; nil for what the plan says
      # @return [Stitches::ButtonPath]
      def sewn_on(width)
        @stitched[[:button, width]] ||= Stitches::ButtonPath.sew(@swings.sewn(swung(width)))
      end

      # @param pair [Integer]
      # @return [String] the mark of the dial for it
      def pair_width(pair)
        from, to = sewn_on(nil).parts[pair].aims.uniq
        swing = from.zip(to).all? { |one, other| one != other } ? :diagonal : :straight
        machine.width_mark(@swings.widths(@own_width).fetch(swing))
      end

      # @return [Array<String>] marks of the width that are turned within a hole, or from pair to pair
      def turned_widths
        mended = programmed? ? stretches.map { |stretch| mended_by(stretch)["width"] } : []
        [*mended, *stretches.filter_map { |stretch| stretch.needs["width"] }, *(0...pairs).map { |pair| pair_width(pair) }].uniq
      end

      # How the dials stand while the rest of a hole is sewn by plain zigzag: of a side, and of an end.
      #
      # @param stretch [HoleStretch]
      # @return [Hash{String => String}]
      def mended_by(stretch)
        side = stretch.kind == :bead
        width = side ? @shape.bead : @shape.width
        settable = machine.width_settable(Length.mm(width.rationalize(1r / 100)))
        { "selector" => "zigzag", "width" => machine.width_mark(settable),
          "length" => side ? @row["length"] : "0" }
      end

      # @return [Array<String>] what can lie under the needle
      def places
        @places ||= [["hole", SCRAP_HOLES], ["pair", pairs]].flat_map { |what, all| Array.new(all) { |number| "#{what}-#{number}" } }
      end
      # Holes of a scrap.
      SCRAP_HOLES = 3

      # @param parts [Hash] of the machine, as they stand
      # @return [Boolean] whether its length is stored at the next press of the key
      def learning?(parts) = stores? && parts["memory"].nil?

      # More stitches on one place than this pile up, and the feed stalls.
      # @return [Integer]
      def most_stitches = @most_stitches ||= [PILED_UP, path.points.size * 2].max
      PILED_UP = 900
      private_constant :PILED_UP

      # @return [Float] mm of bobbin thread for one stitch, about
      def bobbin_stitch = @bobbin_stitch ||= (@shape.width / 2) + @order.cloth.stack.to_f

      # @return [Float] mm of bobbin thread for one hole
      def bobbin_hole = bobbin_stitch * stretches.sum { |one| one.points.size }

      private

      # What the dial says, it swings for every pair.
      def swung(width)
        widths = @swings.widths(@own_width)
        width ? widths.transform_values { Length.mm(width[/\A[\d.]+/].to_r) } : widths
      end

      # As the step that sews one on needs it.
      def button_needs(sheet)
        step = sheet.progress.steps.find { |one| one.name == "button" } or return {}
        Work::Step.needed([step])
      end

      def clamped(parts) = %w[button_in_foot foot_opened].sum { |part| parts[part].to_f }

      # As its dials stand; where one stands on somebody's usual nobody knows how wide that is.
      def dialled(dials)
        wanted = @row.values_at("selector", "width", "length")
        width, length = [[1, @shape.width], [2, @shape.length]].map do |index, usual|
          dials[index].nil? || dials[index] == wanted[index] ? usual : [dials[index].to_f, 0.1].max
        end
        { width: width, length: length }
      end

      # No buttonhole is selected: it sews straight on.
      def straight
        x, y = path.points.first
        HoleStretch.new(name: "straight stitch", kind: :bead, points: [[x, y], [x, y - STRAIGHT_FEED]], ends: 2)
      end
      STRAIGHT_FEED = 2.2
      private_constant :STRAIGHT_FEED

      def hole(opening, dials)
        sewn = Stitches::Path.sew(@shape.with(opening: opening, **(dials.empty? ? {} : dialled(dials))), machine)
        from = path.parts.first.points.first
        first = sewn.parts.first.points.first
        moved = [from[0] - first[0], from[1] - first[1]]
        gathered(sewn.parts).each_with_index.map { |parts, index| stretch(parts, index, moved) }
      end

      # The lock at either end is sewn in one go with what stands beside it; by hand the last one is turned for.
      def gathered(parts)
        by_hand? ? [*gathered_with_lock(parts[0...-1]), parts.last(1)] : gathered_with_lock(parts)
      end

      def gathered_with_lock(parts) = parts.slice_when { |one, other| one.kind != :lock && other.kind != :lock }.to_a

      def stretch(parts, index, (across, along))
        main = parts.find { |part| part.kind != :lock } || parts.first
        points = parts.flat_map(&:points).map { |x, y| [x + across, y + along] }
        after = parts.size > 1 && parts.last.kind == :lock ? parts.last.points.size : 0
        HoleStretch.new(name: main.name, kind: main.kind, points: points, ends: points.size - after, needs: by_hand? ? turned(index) : {})
      end

      def turned(index)
        way = HAND_STRETCHES.fetch(index, HAND_STRETCHES.last)
        return { "width" => "0", **way } if index == HAND_STRETCHES.size - 1

        end_of_hole = !way["aside"]
        recipe = @order.recipe
        width = end_of_hole ? recipe.stitch_width.value : recipe.manual_width&.value || recipe.stitch_width.value
        { "width" => machine.width_mark(width), "length" => end_of_hole ? "0" : machine.length_mark(recipe.stitch_length.value), **way }
      end
    end
  end
end
