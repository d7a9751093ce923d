# frozen_string_literal: true

# Blobs finds what is darker than its surroundings: pieces that hang together, each with its size, its middle and its
# moments. Source: connected components from runs of rows with joined sets (Rosenfeld and Pfaltz 1966); moments of
# area (Hu 1962).
#
#   Blobs.dark(raster).map(&:area)

require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # area - Integer, px; x, y - Float, px, its middle; left, top, right, bottom - Integer, px, inclusive
    # long, short - Float, px, half axes of the ellipse with the same moments
    class Blob < Value.of(:area, :x, :y, :left, :top, :right, :bottom, :long, :short)
      # @return [Float] 1 for whatever fills its own ellipse, as discs and ellipses do
      def fullness = area / (Math::PI * [long * short, 1e-6].max)
    end

    class Blobs
      # Brightness is compared within squares of so many pixels and their neighbours.
      SQUARE = 24
      # Darker than so much of the light around it.
      BLOB_DARK = 0.72

      # @param raster [Raster]
      # @param least [Integer] px of area: smaller pieces are left out
      # @return [Array<Blob>]
      def self.dark(raster, least: 12) = new(raster, light(raster)).all(least)

      # How light it is around each square: what an eighth of its pixels, and of those around it, exceed.
      def self.light(raster)
        wide = (raster.width / SQUARE.to_f).ceil
        tall = (raster.height / SQUARE.to_f).ceil
        own = Array.new(tall) { |row| Array.new(wide) { |column| bright(raster, column * SQUARE, row * SQUARE) } }
        own.each_index.map do |row|
          own[row].each_index.map do |column|
            near = own[[row - 1, 0].max..(row + 1)].flat_map { |line| line[[column - 1, 0].max..(column + 1)] }.sort
            (near[near.size * 3 / 4] * BLOB_DARK).round
          end
        end
      end

      def self.bright(raster, left, top)
        seen = (top...[top + SQUARE, raster.height].min).step(3).flat_map do |row|
          (left...[left + SQUARE, raster.width].min).step(3).map { |column| raster.pixel(column, row) }
        end.sort
        seen[seen.size * 7 / 8]
      end
      private_class_method :light, :bright

      # @param raster [Raster]
      # @param below [Array<Array<Integer>>] for each square, row by row: what is darker belongs to a piece
      def initialize(raster, below)
        @raster = raster
        @below = below
        @parents = []
        @sums = []
      end

      # @param least [Integer] px
      # @return [Array<Blob>]
      def all(least)
        before = []
        @raster.height.times { |row| before = join(before, runs(row), row) }
        gathered.filter_map { |sums| blob(sums) if sums[0] >= least }
      end

      private

      # Where it is dark in a row: first and last column of each stretch.
      def runs(row)
        below = @below[row / SQUARE]
        place = row * @raster.width
        bytes = @raster.bytes
        found = []
        from = nil
        column = 0
        while column < @raster.width
          dark = bytes.getbyte(place + column) < below[column / SQUARE]
          if dark
            from ||= column
          elsif from
            found << [from, column - 1]
            from = nil
          end
          column += 1
        end
        found << [from, column - 1] if from
        found
      end

      # Each stretch takes the number of those it touches in the row before.
      def join(before, now, row)
        first = 0
        now.map do |from, to|
          number = nil
          first += 1 while first < before.size && before[first][1] < from
          at = first
          while at < before.size && before[at][0] <= to
            number = number ? unite(number, before[at][2]) : root(before[at][2])
            at += 1
          end
          number ||= fresh
          add(number, from, to, row)
          [from, to, number]
        end
      end

      def fresh
        @parents << @parents.size
        @sums << [0, 0.0, 0.0, 0.0, 0.0, 0.0, Float::INFINITY, Float::INFINITY, -1, -1]
        @parents.size - 1
      end

      def root(number)
        number = @parents[number] = @parents[@parents[number]] while @parents[number] != number
        number
      end

      def unite(one, other)
        first, second = [root(one), root(other)].minmax
        @parents[second] = first
        first
      end

      # Sums of 1, x, y, x², y², xy, and the box.
      def add(number, from, to, row)
        sums = @sums[number]
        count = to - from + 1
        across = (from + to) * count / 2.0
        sums[0] += count
        sums[1] += across
        sums[2] += row * count
        sums[3] += (square_sum(to) - square_sum(from - 1))
        sums[4] += row * row * count
        sums[5] += row * across
        sums[6] = from if from < sums[6]
        sums[7] = row if row < sums[7]
        sums[8] = to if to > sums[8]
        sums[9] = row
      end

      def square_sum(last) = last * (last + 1) * ((2 * last) + 1) / 6.0

      def gathered
        @sums.each_index.group_by { |number| root(number) }.map do |first, members|
          members.each_with_object(@sums[first].dup.fill(0.0, 0..5)) do |member, all|
            sums = @sums[member]
            6.times { |at| all[at] += sums[at] }
            all[6] = [all[6], sums[6]].min
            all[7] = [all[7], sums[7]].min
            all[8] = [all[8], sums[8]].max
            all[9] = [all[9], sums[9]].max
          end
        end
      end

      def blob(sums)
        area, across, down, xx, yy, xy = sums
        x = across / area
        y = down / area
        # A pixel is a square, and has a moment of its own.
        wide = (xx / area) - (x * x) + (1 / 12r).to_f
        tall = (yy / area) - (y * y) + (1 / 12r).to_f
        slant = (xy / area) - (x * y)
        middle = (wide + tall) / 2
        off = Math.hypot((wide - tall) / 2, slant)
        Blob.new(area: area.to_i, x: x, y: y, left: sums[6], top: sums[7], right: sums[8], bottom: sums[9],
                 long: 2 * Math.sqrt(middle + off), short: 2 * Math.sqrt([middle - off, 0].max))
      end
    end
  end
end
