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
      # So many pupils at once, and so many of one workroom in all.
      AT_ONCE = 30
      MOST = 120

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

        @db.as(Asking::ALL) { @db.transaction { pupils.map { |pupil| one(pupil, teacher) } } }
      end

      # @return [Array<Progress>]
      def progress
        @db.as(Asking::ALL) { @from.scope.ask(:class_progress, FAR).map { |row| far(row) } }
      end

      private

      def one(pupil, teacher)
        room = Workrooms.new(@db, now: @now, account: teacher).begin(name: "#{@from.name} · #{pupil}"[0, 80], **@from.settings.except(:name))
        WorkroomCopy.new(@db, @from).into(room)
        # Its owner is whoever comes in by the invitation.
        @db[:members].where(workroom_id: room.id, account_id: teacher).update(role: "looks_on")
        @db[:class_copies].insert(workroom_id: @from.id, copy_id: room.id, pupil: pupil)
        { pupil: pupil, slug: room.slug,
token: Members.new(room.scope, @db, now: @now).invite(role: "owner", name: pupil, by: teacher) }
      end

      def far(row)
        room = Workrooms.new(@db, now: @now).find(row[:slug])
        closures = Closures.new(room)
        all = room.scope.standing(:closures).order(:id).select_map(:id).map { |id| closures.find(id) }
        Progress.new(pupil: row[:pupil], slug: row[:slug], joined: row[:joined], closures: all.size, last: row[:last],
                     tested: all.count { |closure| closure.facts.swatches.any? },
                     finished: all.count { |closure| closure.sheet.progress&.finished? })
      end
    end
  end
end
