# frozen_string_literal: true

# Workrooms are all there are on this server: the sample and people's own; or those of them that an account belongs to.
#
#   Store::Workrooms.new(db).begin(name: "Heron Loft").slug   # => "heron-loft"
#   Store::Workrooms.new(db, account: 7).all                  # => what account 7 owns, sews in or looks on

require_relative "../../lib/nimble_eyelet"
require_relative "asking"
require_relative "errors"
require_relative "scope"
require_relative "workroom"

module NimbleEyelet
  module Store
    class Workrooms
      MOST = 100

      # @param db [Sequel::Database]
      # @param now [Time] of the application's clock
      # @param account [Integer, nil] whose they are; nil where nobody signs in
      def initialize(db, now: Time.now, account: nil)
        @db = db
        @now = now
        @account = account
      end

      # @return [Array<Workroom>] those not put away, people's own first
      def all = rows.order(:sample, :name, :id).map { |row| Workroom.new(@db, row, now: @now) }

      # @return [Array<Integer>, nil] ids of those that the account owns; nil where nobody signs in, and all are
      #   one's own
      def owned
        @account && @db[:members].where(account_id: @account, role: "owner").select_map(:workroom_id)
      end

      # @param slug [String]
      # @return [Workroom]
      # @raise [Missing]
      def find(slug) = Workroom.new(@db, statement.call(slug: slug) || raise(Missing), now: @now)

      # @param closure_id [Integer]
      # @return [Workroom, nil] the one it belongs to; closures are numbered over all of them
      def of_closure(closure_id) = of(:closures, closure_id)
      def of_machine(machine_id) = of(:machines, machine_id)
      def of_garment(garment_id) = of(:garments, garment_id)

      # The one that addresses from before there were several mean.
      #
      # @return [Workroom, nil]
      def first = rows.order(:id).first&.then { |row| Workroom.new(@db, row, now: @now) }

      # @param name [String] clean
      # @param sample [Boolean]
      # @param settings [Hash{Symbol => Object}] further columns, of WorkroomFields
      # @return [Workroom] empty
      # @raise [Refusal] when there are too many
      def begin(name:, sample: false, **settings)
        row = @db.as(Asking::ALL) do
          @db.transaction do
            # One at a time, so that no address is given twice.
            @db.run("LOCK TABLE workrooms IN EXCLUSIVE MODE")
            room_for(name)
            id = @db[:workrooms].insert(name: name, slug: free_slug(name), sample: sample, **settings)
            owner = @account || @db[:accounts].where(keeper: true).get(:id)
            @db[:members].insert(workroom_id: id, account_id: owner, role: "owner") if owner
            @db[:workrooms].where(id: id).first
          end
        end
        Workroom.new(@db, row, now: @now)
      end

      # Puts a workroom away; it is emptied out with the waste basket.
      #
      # @param workroom [Workroom]
      # @raise [Stale]
      def put_away(workroom, revision:)
        changed = rows.where(id: workroom.id, revision: revision).update(removed_at: Sequel::CURRENT_TIMESTAMP)
        raise Stale, find(workroom.slug) if changed.zero?
      end

      # The newest that was put away comes back as it was left.
      #
      # @param slug [String]
      # @return [Workroom]
      # @raise [Missing]
      def take_back(slug)
        raise Missing if own.where(slug: slug).exclude(removed_at: nil).update(removed_at: nil).zero?

        find(slug)
      end

      # @return [Array<Workroom>] put away and not yet emptied out
      def put_away_ones
        own.exclude(removed_at: nil).reverse(:removed_at).map { |row| Workroom.new(@db, row, now: @now) }
      end

      private

      def own
        return @db[:workrooms] unless @account

        @db[:workrooms].where(id: @db[:members].where(account_id: @account).select(:workroom_id))
      end

      def rows = own.where(removed_at: nil)

      # By its address alone: who may come in was looked at before, see Http::Rights.
      def statement
        Scope::STATEMENTS_OF.call(@db)[:read_workroom] ||=
          @db[:workrooms].where(removed_at: nil, slug: :$slug).prepare(:first, :read_workroom)
      end

      def room_for(name)
        return if (owned&.size || @db[:workrooms].count) < MOST

        raise Refusal.field("workroom.name", name, "There are #{MOST} workrooms: put one away first.")
      end

      def of(table, id)
        row = rows.where(id: @db[table].where(id: id).select(:workroom_id)).first
        row && Workroom.new(@db, row, now: @now)
      end

      def free_slug(name)
        plain = name.unicode_normalize(:nfkd).gsub(/\p{M}/, "").downcase.gsub(/[^a-z0-9]+/, "-")
        base = plain.gsub(/\A-+|-+\z/, "")[0, 40].to_s.delete_suffix("-")
        base = "workroom" if base.empty?
        taken = @db[:workrooms].where(Sequel.like(:slug, "#{base}%")).select_map(:slug)
        [base, *(2..(taken.size + 2)).map { |number| "#{base}-#{number}" }].find { |slug| !taken.include?(slug) }
      end
    end
  end
end
