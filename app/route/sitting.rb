# frozen_string_literal: true

# A sitting at the machine: begun, looked at, changed and ended. What is done in it goes into the journal.

require_relative "../../lib/nimble_eyelet"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/sittings"
require_relative "../store/under_way"
require_relative "../view/sitting"

module NimbleEyelet
  module Route
    module SittingRoutes
      AT = "/api/workrooms/:slug/sittings"

      def self.registered(app)
        app.helpers Helpers
        app.get(AT) { json(View::SittingView.open(Store::UnderWay.new(workroom))) }
        app.post(AT) { show_sitting(sittings.begin(body_hash.fetch("closures")), status: 201) }
        app.get("#{AT}/:id") { show_sitting(sittings.find(number(params["id"]))) }
        app.patch("#{AT}/:id") { seen_sitting { |id, revision| sittings.change(id, revision: revision, **wanted_of_sitting) } }
        app.post("#{AT}/:id/ended") { seen_sitting { |id, revision| sittings.end(id, revision: revision) } }
      end

      module Helpers
        def sittings = @sittings ||= Store::Sittings.new(workroom, now: settings.now)

        def show_sitting(record, status: 200)
          etag_of(record.revision)
          json(View::SittingView.of(record, settings.now), status: status)
        end

        def seen_sitting
          show_sitting(yield(number(params["id"]), revision_seen))
        rescue Store::Stale => e
          halt Problem.new(412, "This sitting was changed or ended in another place meanwhile.",
                           sitting: View::SittingView.of(e.current, settings.now)).render
        end

        def wanted_of_sitting
          { closures: body_hash["closures"], drying: body_hash["drying_minutes"]&.then do |minutes|
            minutes * 60
          end, costs: body_hash["costs"],
            wish: body_hash["wish"]&.map { |step| step.values_at("closure", "block") } }
        end
      end
    end
  end
end
