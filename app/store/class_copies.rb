# frozen_string_literal: true

# ClassCopies gives a workroom out to a class: each pupil gets one of their own with the same machines, shelves, and
# garments as they were planned, and whoever teaches looks on.
#
#   Store::ClassCopies.new(db, workroom).give(["Ana", "Bo"], teacher: 7)   # => [{ pupil: "Ana", token: "…" }, …]

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "asking"
require_relative "closures"
require_relative "members"
require_relative "workroom_copy"
require_relative "workrooms"

module NimbleEyelet
  module Store
    class ClassCopies
      # So many of one workroom.
      MOST = 120
      LONGEST_NAME = 80

      # How far one pupil is. pupil - String; slug - String; joined - Boolean; closures - Integer; tested - Integer,
      # with a test hole; finished - Integer; last - Time or nil, of the last fact
      Progress = Value.of(:pupil, :slug, :joined, :closures, :tested, :finished, :last)

      FAR = <<~SQL
        SELECT k.pupil, w.id, w.slug,
          EXISTS (SELECT 1 FROM members m WHERE m.workroom_id = w.id AND m.role = 'owner') AS joined,
          (SELECT max(j.noted_at) FROM journal j WHERE j.workroom_id = w.id AND NOT j.imported) AS last
          FROM class_copies k JOIN workrooms w ON w.id = k.copy_id AND w.removed_at IS NULL
         WHERE k.workroom_id = :workroom ORDER BY k.pupil, w.id
      SQL

      # @param db [Sequel::Database]
      # @param workroom [Workroom] that is the template
      # @param now [Time]
      def initialize(db, workroom, now: Time.now)
        @db = db
        @from = workroom
        @now = now
      end

      # @param pupils [Array<String>] names, clean
      # @param teacher [Integer] account
      # @return [Array<Hash>] pupil, slug and token of the invitation, said once
      # @raise [Refusal]
      def give(pupils, teacher:)
        given = @db[:class_copies].where(workroom_id: @from.id).count
        if given + pupils.size > MOST
          raise Refusal.field("class.pupils", pupils.join(", "), "A class has at most #{MOST} pupils; #{given} have their copy.")
        end

        # Each by itself: others begin workrooms meanwhile.
        @db.as(Asking::ALL) { pupils.map { |pupil| @db.transaction { one(pupil, teacher) } } }
      end

      # In the name of whoever asks: a pupil who does not let them look on any more is left out.
      #
      # @return [Array<Progress>]
      def progress = @from.scope.ask(:class_progress, FAR).map { |row| far(row) }

      private

      def one(pupil, teacher)
        name = "#{@from.name} · #{pupil}"[0, LONGEST_NAME]
        room = Workrooms.new(@db, now: @now, account: teacher).begin(name: name, **@from.settings.except(:name))
        WorkroomCopy.new(@db, @from).into(room)
        # Its owner is whoever comes in by the invitation.
        @db[:members].where(workroom_id: room.id, account_id: teacher).update(role: "looks_on")
        @db[:class_copies].insert(workroom_id: @from.id, copy_id: room.id, pupil: pupil)
        token = Members.new(room.scope, @db, now: @now).invite(role: "owner", name: pupil, by: teacher)
        { pupil: pupil, slug: room.slug, token: token }
      end

      # Only where something happened a sheet is worked out: nothing else is finished.
      def far(row)
        room = Workrooms.new(@db, now: @now).find(row[:slug])
        standing = room.scope.standing(:closures)
        happened = room.scope[:journal].exclude(closure_id: nil).select(:closure_id)
        closures = Closures.new(room)
        begun = standing.where(id: happened).order(:id).select_map(:id).map { |id| closures.find(id) }
        tested = begun.count { |one| one.facts.swatches.any? }
        finished = begun.count { |one| one.sheet.progress&.finished? }
        Progress.new(**row.slice(:pupil, :slug, :joined, :last), closures: standing.count, tested: tested, finished: finished)
      end
    end
  end
end
