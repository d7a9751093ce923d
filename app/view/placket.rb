# frozen_string_literal: true

# placket: the holes in their places, the marks, and the checks of edge and extension.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module PlacketView
      # @param sheet [Sheet]
      # @param say [Presenter]
      # @return [Hash, nil] nothing while the holes do not fit
      def self.of(sheet, say)
        layout = sheet.layout or return
        { holes: layout.holes.map { |hole| hole(hole, say) }, edge: edge(layout.edge, say),
          mean_gap: say.length(layout.mean_gap), smallest_gap: say.length(layout.smallest_gap),
          largest_gap: say.length(layout.largest_gap), evenness: say.length(layout.evenness),
          grid: say.length(layout.run.grid_ruler.step),
          binding: layout.binding.map do |demand|
            say.words(demand)
          end, unseen: say.length(Placket::UNSEEN), marking: sheet.plan.cloth.type.marking,
          alternatives: layout.alternatives.map { |item| alternative(item, layout, say) },
          because: say.reasons(layout.because), cautions: say.cautions(layout.cautions) }
      end

      # @return [String] for the knot
      def self.short(sheet, _say)
        holes = sheet.layout&.holes or return "does not fit"
        "#{holes.size} #{holes.size == 1 ? 'hole' : 'holes'}"
      end

      LENGTHS = %i[at gap from to open_from open_to button out_outer out_inner].freeze

      def self.hole(hole, say)
        LENGTHS.to_h { |name| [name, say.length(hole[name])] }
               .merge(number: hole.number, pinned: hole.pinned, lies: hole.lies, cautions: say.cautions(hole.cautions))
      end

      def self.edge(edge, say)
        { extension_needed: say.length(edge.extension_needed), to_edge: say.length(edge.to_edge),
          to_edge_needed: say.length(edge.to_edge_needed) }
      end

      def self.alternative(item, layout, say)
        { count: item.count, pattern: item.pattern, smallest: say.length(item.smallest), largest: say.length(item.largest),
          fits: item.fits?, places: item.places.map(&:to_f),
          chosen: item.count == layout.holes.size && item.pattern == layout.run.pattern }
      end
      private_class_method :hole, :edge, :alternative
    end
  end
end
