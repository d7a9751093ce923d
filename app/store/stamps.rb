# frozen_string_literal: true

# Stamps tell in one statement whether anything else could be said of a closure, a garment or a session than before:
# they change with the plan, its garment, machine and house, and with every fact of the workroom.
#
#   Store::Stamps.new(db).closure("marsh-walk", 1)   # => "k3f9.41.…"
#
# Numbers alone come round again in a database that was put back by hand; when a plan was made, and the id of a fact, do
# not. Stamps begin from the address, as {Workrooms} does.

require_relative "errors"
require_relative "scope"

module NimbleEyelet
  module Store
    class Stamps
      OF_CLOSURE = <<~SQL
        concat_ws('.', (SELECT id FROM identity), c.version, m.revision, m.learned_from, w.revision, md5(g.name),
          (SELECT extract(epoch FROM r.made_at) FROM revisions r
            WHERE r.workroom_id = w.id AND r.closure_id = c.id AND r.number = c.position),
          (SELECT j.id FROM journal j WHERE j.workroom_id = w.id ORDER BY j.seq DESC LIMIT 1),
          (SELECT md5(string_agg(s.id || ':' || s.revision, ' ' ORDER BY s.id)) FROM stabilisers s
            WHERE s.workroom_id = w.id AND s.removed_at IS NULL))
      SQL

      CLOSURE = <<~SQL.freeze
        SELECT #{OF_CLOSURE} AS stamp FROM workrooms w
        JOIN closures c ON c.workroom_id = w.id AND c.removed_at IS NULL
        JOIN garments g ON g.workroom_id = w.id AND g.id = c.garment_id
        JOIN machines m ON m.workroom_id = w.id AND m.id = c.machine_id
        WHERE w.slug = :slug AND w.removed_at IS NULL AND c.id = :id
      SQL

      GARMENT = <<~SQL.freeze
        SELECT concat_ws(' ', g.id, g.name, md5(g.note), g.archived_at, g.template,
          (SELECT md5(string_agg(p.id::text, ' ' ORDER BY p.id)) FROM garment_photos p
            WHERE p.workroom_id = w.id AND p.garment_id = g.id AND p.removed_at IS NULL), string_agg(#{OF_CLOSURE}, ' ' ORDER BY c.id)) AS stamp FROM workrooms w
        JOIN garments g ON g.workroom_id = w.id AND g.removed_at IS NULL
        LEFT JOIN closures c ON c.workroom_id = w.id AND c.garment_id = g.id AND c.removed_at IS NULL
        LEFT JOIN machines m ON m.workroom_id = w.id AND m.id = c.machine_id
        WHERE w.slug = :slug AND w.removed_at IS NULL AND g.id = :id
        GROUP BY w.id, g.id, g.name, g.note, g.archived_at, g.template
      SQL

      # What a machine is set to, and how long steps take, is read off the facts of the whole workroom.
      SESSION = <<~SQL.freeze
        SELECT concat_ws(' ', s.id, s.revision, s.ended_at, sm.name, sm.revision, w.revision,
          (SELECT j.id FROM journal j WHERE j.workroom_id = w.id ORDER BY j.seq DESC LIMIT 1),
          string_agg(#{OF_CLOSURE}, ' ' ORDER BY sc.place)) AS stamp FROM workrooms w
        JOIN sittings s ON s.workroom_id = w.id
        JOIN machines sm ON sm.workroom_id = w.id AND sm.id = s.machine_id
        LEFT JOIN sitting_closures sc ON sc.workroom_id = w.id AND sc.sitting_id = s.id
        LEFT JOIN closures c ON c.workroom_id = w.id AND c.id = sc.closure_id AND c.removed_at IS NULL
        LEFT JOIN garments g ON g.workroom_id = w.id AND g.id = c.garment_id
        LEFT JOIN machines m ON m.workroom_id = w.id AND m.id = c.machine_id
        WHERE w.slug = :slug AND w.removed_at IS NULL AND s.id = :id
        GROUP BY w.id, w.revision, s.id, s.revision, s.ended_at, sm.name, sm.revision
      SQL

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param slug [String] of the workroom
      # @param id [Integer]
      # @return [String]
      # @raise [Missing]
      def closure(slug, id) = stamp(:stamp_of_closure, CLOSURE, slug, id)
      def garment(slug, id) = stamp(:stamp_of_garment, GARMENT, slug, id)
      def session(slug, id) = stamp(:stamp_of_session, SESSION, slug, id)

      private

      def stamp(name, sql, slug, id)
        statements = Scope::STATEMENTS_OF.call(@db)
        statement = statements[name] ||= @db.fetch(sql, slug: :$slug, id: :$id).prepare(:first, name)
        statement.call(slug: slug, id: id)&.fetch(:stamp) || raise(Missing)
      end
    end
  end
end
