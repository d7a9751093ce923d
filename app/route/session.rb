# frozen_string_literal: true

# A session at the machine: begun, looked at, changed and ended. What is done in it goes into the journal.

require "time"
require_relative "../../lib/nimble_eyelet"
require_relative "../document/session_calendar"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/sessions"
require_relative "../store/under_way"
require_relative "../view/session"

module NimbleEyelet
  module Route
    module SessionRoutes
      AT = "/api/workrooms/:slug/sessions"

      def self.registered(app)
        app.helpers Helpers
        app.get(AT) { json(View::SessionView.open(Store::UnderWay.new(workroom))) }
        app.post(AT) { show_session(sessions.begin(body_hash.fetch("closures")), status: 201) }
        app.get("#{AT}/:id") { read_session(number(params["id"])) }
        app.get("#{AT}/:id/session.ics") { calendar_of(number(params["id"])) }
        changing(app)
      end

      def self.changing(app)
        app.patch("#{AT}/:id") do
          seen_session do |id, revision|
            sessions.change(id, revision: revision, **wanted_of_session)
          end
        end
        app.post("#{AT}/:id/ended") { seen_session { |id, revision| sessions.end(id, revision: revision) } }
      end

      module Helpers
        # What a field of date and time gives.
        WHEN = /\A\d{4}-\d\d-\d\dT\d\d:\d\d\z/

        def calendar_of(id)
          at = params["at"].to_s
          begins = at.match?(WHEN) && Time.strptime(at, "%Y-%m-%dT%H:%M")
          raise Refusal.field("session.at", at[0, 40], "Say the day and the time.") unless begins

          record = sessions.find(id)
          sends("session.ics", of: record.machine[:name], kept: "attachment")
          Document::SessionCalendar.new(record, begins, now: settings.now).render
        rescue ArgumentError
          raise Refusal.field("session.at", at[0, 40], "There is no such day or time.")
        end

        # Seconds that a session is kept as it was ordered: its moments count from then.
        KEPT = 60

        # Ordering a session takes long. While nothing happens in the workroom it stays as it was ordered, and only the
        # time now is put before it.
        def read_session(id)
          now = settings.now
          composed = settings.composed.of([stamps.session(params["slug"], id), now.to_i / KEPT]) do
            JSON.generate(View::SessionView.composed(sessions.find(id), now))
          end
          content_type :json
          halt 200, "#{JSON.generate(View::SessionView.told(now)).chop},#{composed[1..]}"
        end

        def show_session(record, status: 200)
          etag_of(record.revision)
          json(View::SessionView.of(record, settings.now), status: status)
        end

        def seen_session
          show_session(yield(number(params["id"]), revision_seen))
        rescue Store::Stale => e
          halt Problem.new(412, "This session was changed or ended in another place meanwhile.",
                           session: View::SessionView.of(e.current, settings.now)).render
        end

        def wanted_of_session
          { closures: body_hash["closures"], drying: body_hash["drying_minutes"]&.then do |minutes|
            minutes * 60
          end, costs: body_hash["costs"],
            wish: body_hash["wish"]&.map { |step| step.values_at("closure", "block") } }
        end
      end
    end
  end
end
