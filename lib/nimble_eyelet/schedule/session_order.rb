# frozen_string_literal: true

# SessionOrder is the order of a session: one person, one machine, several closures, each a chain of blocks. It ends as
# early as it can, with the least changeovers and the least waiting for what dries.
#
#   order = Schedule::SessionOrder.of(chains, costs: costs, from: { "foot" => "carriage" })
#   order.seconds              # 7260, until the machine is back
#   order.proven?              # true, no order ends earlier
#   order.moments.map(&:kind)  # => ["set", "work", "work", "wait", …]

require_relative "../value"
require_relative "session_search"
require_relative "session_table"

module NimbleEyelet
  module Schedule
    # One stretch of a session.
    #
    # kind - "set", "work" or "wait"; from, to - Integer seconds from now; chain, block - keys, nil unless something is
    #   worked on
    # needs - Hash of what the machine is set to in it; dry_at - Integer, when what was worked on is dry, nil if nothing
    #   dries
    SessionMoment = Value.of(:kind, :from, :to, :needs, chain: nil, block: nil, dry_at: nil)

    # moments - Array<SessionMoment>, one after the other; seconds - Integer, until the machine is back
    # bound - Integer, no order ends earlier; one_by_one, by_stages - Integer seconds of the two plain orders
    # changing, waiting - Integer seconds of it; labels - Integer, points looked at
    class SessionOrder < Value.of(:moments, :seconds, :bound, :one_by_one, :by_stages, :changing, :waiting, :labels)
      # @param chains [Array<WorkChain>]
      # @param from [Hash{String => Object}] what the machine is set to now, by part
      # @param costs [ChangeoverCosts]
      # @param first [Object, nil] key of the chain whose next block was begun, and is gone on with
      # @param most [Integer] points to look at
      # @return [SessionOrder] never later than one closure after the other, and than stage by stage
      def self.of(chains, costs:, from: {}, first: nil, most: SessionSearch::MOST_LABELS)
        working(chains, from, costs, chains.index { |chain| chain.key == first }) do |_, search, plain|
          found = search.run(orders: plain, first: chains.index { |chain| chain.key == first }, most: most)
          [found.last, found.bound, found.labels]
        end
      end

      # The order that somebody wishes, the machine changed when it is best for it.
      #
      # @param wish [Array<Object>] keys of chains, one for each block
      # @return [SessionOrder]
      def self.wished(chains, wish, costs:, from: {})
        keys = chains.map(&:key)
        working(chains, from, costs) do |_, search, _|
          last = search.along(wish.map { |key| keys.index(key) })
          [last, search.ends(last), 0]
        end
      end

      def self.working(chains, from, costs, first = nil)
        table = SessionTable.new(chains, from, costs)
        search = SessionSearch.new(table)
        plain = [one_after_the_other(chains), stage_by_stage(chains)].map do |order|
          first ? begun(order, first) : order
        end
        last, bound, labels = yield(table, search, plain)
        one_by_one, by_stages = plain.map { |order| search.ends(search.plainly(order)) }
        told = SessionTelling.new(table, chains).moments(last)
        new(moments: told, seconds: search.ends(last), bound: bound, one_by_one: one_by_one, by_stages: by_stages,
            labels: labels, **%w[set wait].zip(%i[changing waiting]).to_h do |kind, name|
              [name, told.select do |one|
                one.kind == kind
              end.sum { |one| one.to - one.from }]
            end)
      end

      # @return [Array<Integer>] chain numbers
      def self.one_after_the_other(chains) = chains.each_index.flat_map { |chain| [chain] * chains[chain].blocks.size }

      # Chains that have come further go on with their stage when the others have caught up.
      def self.stage_by_stage(chains)
        most = chains.map { |chain| chain.blocks.size }.max.to_i
        most.downto(1).flat_map { |left| chains.each_index.select { |chain| chains[chain].blocks.size >= left } }
      end

      # What was begun comes first, everything else as before.
      def self.begun(order, first) = [first] + order.dup.tap { |rest| rest.delete_at(rest.index(first)) }

      private_class_method :working, :begun, :one_after_the_other, :stage_by_stage

      # @return [Boolean] whether no order ends earlier
      def proven? = gap.zero?

      # @return [Integer] seconds that an order might still end earlier by
      def gap = seconds - bound
    end

    # SessionTelling turns the end of a search into what happens when.
    class SessionTelling
      def initialize(table, chains)
        @table = table
        @chains = chains
      end

      # @param last [SessionPoint]
      # @return [Array<SessionMoment>]
      def moments(last)
        points = [last]
        points.unshift(points.first.before) while points.first.before
        told = points.each_cons(2).flat_map { |before, point| told(before, point) }
        told + moving(last.clock, last.at, @table.neutral)
      end

      private

      def told(before, point)
        set = moving(before.clock, before.at, point.at)
        from = before.clock + @table.between[before.at][point.at]
        (set + waiting(from, point)) << worked(before, point)
      end

      def moving(from, at, to)
        seconds = @table.between[at][to]
        at == to ? [] : [SessionMoment.new(kind: "set", from: from, to: from + seconds, needs: @table.configs[to])]
      end

      def waiting(from, point)
        if point.began > from
          [SessionMoment.new(kind: "wait", from: from, to: point.began,
                             needs: @table.configs[point.at])]
        else
          []
        end
      end

      def worked(before, point)
        chain = @chains[point.chain]
        block = chain.blocks[before.done[point.chain]]
        SessionMoment.new(kind: "work", from: point.began, to: point.clock, needs: @table.configs[point.at], chain: chain.key,
                          block: block.key, dry_at: block.dries.positive? ? point.clock + block.dries : nil)
      end
    end
  end
end
