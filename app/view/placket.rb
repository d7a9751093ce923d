# frozen_string_literal: true

# placket: the holes in their places, the marks, and the checks of edge and extension.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module PlacketView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash, nil] nothing while the holes do not fit
      def self.of(sheet, present)
        layout = sheet.layout or return
        { holes: layout.holes.map { |hole| hole(hole, present) }, long: layout.run.long?,
          edge: edge(layout.edge, present), **GAPS.to_h { |gap| [gap, present.length(layout[gap])] },
          grid: present.length(layout.run.grid_ruler.step),
          binding: layout.binding.map { |demand| present.words(demand) }, unseen: present.length(Placket::UNSEEN),
          loop: loop(sheet), marking: sheet.plan.cloth.marking, measured_from: layout.run.measured_from,
          because: present.reasons(layout.because), cautions: present.cautions(layout.cautions) }
      end

      # Where loops hang at the edge instead.
      def self.loop(sheet)
        base, reach = sheet.other_ways.loop
        base && { base: base.to_f, reach: reach.to_f }
      end

      GAPS = %i[mean_gap smallest_gap largest_gap evenness].freeze

      # What else the run could be: takes solving, and is asked for when somebody looks.
      #
      # @return [Hash]
      def self.spacings(sheet, present)
        layout = sheet.layout or return { alternatives: [], because: [] }
        { alternatives: layout.alternatives.map { |item| alternative(item, layout, present) },
          because: present.reasons([layout.because_even].compact) }
      end

      # @return [String] for the knot
      def self.short(sheet, _present)
        holes = sheet.layout&.holes or return "does not fit"
        Placket::LayoutWords.so_many(holes.size, sheet.sewn)
      end

      LENGTHS = %i[at gap from to open_from open_to button out_outer out_inner opening].freeze

      def self.hole(hole, present)
        LENGTHS.to_h { |name| [name, present.length(hole[name])] }
               .merge(inside: present.length(hole.out_inner.abs), edge: present.length(hole.marked_edge),
                      number: hole.number, pinned: hole.pinned,
                      lies: hole.lies, sewn: hole.sewn, cautions: present.cautions(hole.cautions),
                      starts: hole.starts.map { |start| start(start, present) })
      end

      def self.start(start, present)
        { at: start.at, along: present.length(start.along), from_edge: present.length(start.from_edge) }
      end

      def self.edge(edge, present)
        { extension_needed: present.length(edge.extension_needed), to_edge: present.length(edge.to_edge),
          to_edge_needed: present.length(edge.to_edge_needed) }
      end

      def self.alternative(item, layout, present)
        { count: item.count, pattern: item.pattern, smallest: present.length(item.smallest),
          largest: present.length(item.largest), fits: item.fits?,
          places: item.places.map(&:to_f),
          chosen: item.count == layout.holes.size && item.pattern == layout.run.pattern }
      end
      private_class_method :hole, :start, :edge, :alternative
    end
  end
end
