# frozen_string_literal: true

# HoleSlit is the slit of a sewn hole: between its two sides and its two ends, cut or not.
#
#   slit = HoleSlit.of(grid, edges, half: 6.0)
#   slit.ends      # => [upper, lower], mm along
#   slit.crossed   # threads that lie across it, or nil where that is not seen

require_relative "../value"
require_relative "edge_search"
require_relative "hole_grid"
require_relative "unreadable"

module NimbleEyelet
  module PhotoReading
    # ends - Array(Float, Float), mm along; crossed - Integer or nil
    class HoleSlit < Value.of(:ends, :crossed)
      # How far from where the stitches end the slit begins, mm.
      NEAREST = 0.5
      SLIT_FARTHEST = 3.2
      # A step is looked for over so much of the slit, mm.
      STRETCH = 1.0
      # Grey values between slit and ends: that anything is seen, and that a single thread is.
      SLIT_LEAST_CONTRAST = 6
      CLEAR = 25
      # A slit that is narrower shows no single thread, mm.
      WIDE = 0.6
      # A cut slit is so much darker than fabric and thread, or they than it.
      SLIT_DARK = 0.62
      # On each side of the middle, in steps across.
      SLIT_CELLS = 2
      # Between these it is a thread across, mm.
      SLIT_THREAD = (0.08..0.75)
      # From slit to thread, how much of the difference makes one.
      SLIT_SHARE = 0.45
      # From where the stitches end inward, where nothing is open, mm.
      SLIT_CLOSED = [0.35, 0.6, 0.85].freeze

      # @param grid [HoleGrid]
      # @param edges [HoleEdges]
      # @param half [Float] mm from the middle, where no end is
      # @return [HoleSlit]
      # @raise [Unreadable]
      def self.of(grid, edges, half:) = SlitSearch.new(grid, edges, half).found

      class SlitSearch
        def initialize(grid, edges, half)
          @grid = grid
          @edges = edges
          @inside = grid.row(-half)..grid.row(half)
          middle = grid.column((edges.sides[1] + edges.sides[2]) / 2)
          @columns = (middle - SLIT_CELLS)..(middle + SLIT_CELLS)
        end

        # Where it changes most near one end and near the other.
        def found
          @mean = @grid.rows.map { |row| row[@columns].sum / @columns.size }
          @along = cut? ? farthest : @mean
          @open = middle(@along[@inside])
          @sewn = sewn
          raise Unreadable.for(:hole_unclear) if (@open - @sewn).abs < SLIT_LEAST_CONTRAST

          ends = @edges.ends.zip([1, -1]).map { |at, way| @grid.low(step_from(@grid.row(at), way)) }
          HoleSlit.new(ends: ends, crossed: crossed(ends))
        end

        private

        def middle(greys) = greys.sort[greys.size / 2]
        def mean(greys) = greys.sum / greys.size

        # Darker than all else, or lighter where white paper lies under it, however narrow it comes to its ends. Of a
        # slit that is not cut the fabric is seen.
        def cut?
          inside = middle(@mean[@inside])
          inside < SLIT_DARK * [fabric, thread].min || inside * SLIT_DARK > [fabric, thread].max
        end

        def farthest
          most = middle(@mean[@inside]) < thread ? :min : :max
          @grid.rows.map { |row| row[@columns].public_send(most) }
        end

        def fabric
          @fabric ||= mean(@grid.rows[@inside].flat_map { |row| row.first(10) + row.last(10) })
        end

        def thread
          sides = @edges.sides.each_slice(2)
          @thread ||= mean(sides.flat_map { |from, to| @grid.along(from + 0.2, to - 0.2)[@inside] })
        end

        # How light it is on the ends.
        def sewn
          rows = @edges.ends.zip([1, -1]).flat_map { |at, way| SLIT_CLOSED.map { |off| @grid.row(at + (way * off)) } }
          rows.map { |row| @along[row] }.sort[2, 2].sum / 2
        end

        # The row from which on it is more open than before, over as long a stretch as an end is.
        def step_from(row, way)
          sign = @open <=> @sewn
          near = (NEAREST / HoleGrid::ALONG).round..(SLIT_FARTHEST / HoleGrid::ALONG).round
          change = near.to_h { |off| [off, sign * step_at(row + (way * off), way, off)] }
          best = change.max_by(&:last).first
          # Where it begins farther in, it is no slit between two bars.
          raise Unreadable.for(:hole_unclear) if best == near.end
          return row + (way * best) if best == near.begin

          row + (way * (best + EdgeSearch.part(*change.values_at(best - 1, best, best + 1))))
        end

        # The mean after a row less the mean before.
        def step_at(row, way, off)
          count = (STRETCH / HoleGrid::ALONG).round
          before = [count, off - 2].min
          after = (1..count).sum { |more| value(row + (way * more)) } / count
          after - ((1..before).sum { |less| value(row - (way * less)) } / before)
        end

        def value(row) = @along[row.clamp(0, @along.size - 1)]

        # Threads that lie across a cut slit.
        def crossed(ends)
          return unless cut? && (@open - @sewn).abs > CLEAR && @edges.sides[2] - @edges.sides[1] > WIDE

          rows = (@grid.row(ends[0] + SLIT_THREAD.end)..@grid.row(ends[1] - SLIT_THREAD.end)).to_a
          rows.chunk_while { |one, other| thread?(one) == thread?(other) }
              .count { |chunk| thread?(chunk.first) && SLIT_THREAD.cover?(chunk.size * HoleGrid::ALONG) }
        end

        def thread?(row) = (@mean[row] - @open).abs > SLIT_SHARE * (@sewn - @open).abs
      end
      private_constant :SlitSearch
    end
  end
end
