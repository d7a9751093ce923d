# frozen_string_literal: true

# Track is what of a row's demands a search for any row at all goes by, in whole numbers: the grid, what is blocked,
# what is fixed. It can be walked from its other end, and with one demand left out.
#
#   track.mirrored.first                 # => -540, when the last head is fixed at 540
#   track.with(pins: []).fits?(212)      # => true
#
# A head is the first hole of a cluster; a hole that stands alone is a cluster of one. A stretch is two marks of the
# grid, by number, and all between them.

module NimbleEyelet
  module Spacing
    class Track
      # low, high - Integer, where a head may be; step - Integer, of the grid; together, inner - Integer, of a cluster
      # least, most - Integer, from one head to the next; most may be nil
      # first, last - Integer, of a head, nil when free; pins, sewn - Array<Integer>, sorted: each is a hole
      # blocked - Array<[Integer, Integer]>, for any hole; blocked_first, blocked_last - for the outermost holes
      KNOWN = %i[low high step together inner least most first last pins sewn blocked blocked_first blocked_last].freeze

      attr_reader(*KNOWN)

      # What is open does not hang on these.
      LOOSE = %i[first last least most].freeze
      private_constant :LOOSE

      # @param fields [Hash{Symbol => Object}] all of KNOWN
      def initialize(**fields) = take(fields)

      # @return [Track] with some fields changed
      def with(**changes)
        return Track.new(**@fields, **changes) unless (changes.keys - LOOSE).empty?

        dup.tap { |track| track.send(:take, { **@fields, **changes }) }
      end

      # @return [Track] walked from its other end: a head at 12 lies at -12 there
      def mirrored
        @mirrored ||= with(low: -high, high: -low, first: last && -last, last: first && -first,
                           blocked: turned(blocked), blocked_first: turned(blocked_last),
                           blocked_last: turned(blocked_first), pins: pins.reverse.map { |pin| span - pin },
                           sewn: sewn.map { |place| span - place })
      end

      # @return [Integer] from a cluster's first hole to its last
      def span = inner * (together - 1)

      # @return [Integer] the last mark that a head can have
      def top = high.div(step)

      # @return [Array<Array<Integer>>] for each pin, in order, the heads whose cluster has a hole at it
      def groups = @groups ||= pins.map { |pin| members.map { |away| pin - away }.select { |head| room?(head) }.sort }

      # @return [Array<Array(Integer, Integer)>] what no head lies inside of, as its first hole and the others see it
      def closed = @closed ||= closing
      def closed_first = @closed_first ||= blocked_first == blocked ? closed : closing(0 => blocked_first)
      def closed_last = @closed_last ||= blocked_last == blocked ? closed : closing((together - 1) => blocked_last)

      # Whether a head may lie there. What is sewn stays, whatever is in the way.
      def fits?(head, closed = self.closed)
        room?(head) && (sewn_at.key?(head) || closed.none? { |from, to| head > from && head < to })
      end

      def fits_first?(head) = fits?(head, closed_first)
      def fits_last?(head) = fits?(head, closed_last)

      # Whether the head of a group may be the next after one of the group before it: two holes that are sewn are as
      # near as they are.
      #
      # @param group [Integer, nil] of the head before
      def next_to?(from, to, group)
        return false if most && to - from > most

        to - from >= least || (!group.nil? && sewn_at.key?(to) && sewn_at.key?(pins[group]) && from <= pins[group])
      end

      # @return [Array<Array(Integer, Integer)>] stretches of the grid open to heads
      def free(closed = self.closed) = (@free ||= {})[closed] ||= open_stretches((closed + straddling).sort)

      # @param stretches [Array<Array(Integer, Integer)>] in order, apart
      # @return [Array<Array(Integer, Integer)>] what of them is open
      def clipped(stretches)
        free = self.free
        stretches.each_with_object([]) do |(low, high), found|
          index = free.bsearch_index { |stretch| stretch[1] >= low } or break found
          while (stretch = free[index]) && stretch[0] <= high
            found << [[stretch[0], low].max, [stretch[1], high].min]
            index += 1
          end
        end
      end

      def sewn?(place) = sewn_at.key?(place)

      private

      def take(fields)
        @fields = fields
        @mirrored = nil
        KNOWN.each { |field| instance_variable_set(:"@#{field}", fields.fetch(field)) }
      end

      def sewn_at = @sewn_at ||= sewn.to_h { |place| [place, true] }
      def members = @members ||= Array.new(together) { |member| member * inner }
      def turned(stretches) = stretches.map { |from, to| [span - to, span - from] }

      # On the run, and at no pin's cost: a cluster that straddles a pin has to have a hole at it.
      def room?(head)
        return false unless head.between?(low, high)

        inner.zero? || pins.none? { |pin| pin.between?(head, head + span) && !members.include?(pin - head) }
      end

      # By the number of a cluster's hole, what is blocked to it if not the same as to all.
      def closing(otherwise = {})
        members.each_with_index.flat_map do |away, member|
          otherwise.fetch(member, blocked).map { |from, to| [from - away, to - away] }
        end
      end

      # Heads that hit a pin are looked at one by one, as its group.
      def straddling = inner.zero? ? [] : pins.map { |pin| [pin - span - 1, pin + 1] }

      def open_stretches(closed)
        from = -(-low).div(step)
        stretches = []
        closed.each do |start, finish|
          up_to = start.div(step)
          stretches << [from, [up_to, top].min] if up_to >= from && from <= top
          from = [from, -(-finish).div(step)].max
        end
        from <= top ? stretches << [from, top] : stretches
      end
    end
  end
end
