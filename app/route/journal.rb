# frozen_string_literal: true

# The journal: what happened at the table is entered, shown as a log, and withdrawn.

require_relative "../../lib/nimble_eyelet"
require_relative "../form/journal_form"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/fact_list"
require_relative "../store/journal"
require_relative "../view/journal"

module NimbleEyelet
  module Route
    module JournalRoutes
      def self.registered(app)
        app.helpers Helpers
        app.get("/api/workrooms/:slug/closures/:id/journal") do
          before = params["before"]
          json(View::JournalView.of(journal.log(number(params["id"]), before: before && uuid(before)), present))
        end
        app.post("/api/workrooms/:slug/journal") { json({ entries: enter_all }) }
        app.put("/api/workrooms/:slug/journal/:entry") { enter }
      end

      module Helpers
        # One write; it never asks what the plan is by now. Sent twice it is one fact.
        def enter
          entry = said_to_happen(params["entry"], body_hash, settings.now)
          journal.add(entry, **belongs_to(entry, body_hash), plan_version: body_hash["plan"], device: device)
          json({ id: entry.id, kind: entry.kind, step: entry.step, about: entry.about, at: present.length(entry.at),
                 happened_at: entry.happened_at.utc.iso8601 })
        rescue Store::Clash
          halt Problem.new(409, "Something else was entered under this name already.").render
        end

        # All of them were sent at one moment.
        def enter_all
          now = settings.now
          facts = Store::FactList.new(journal, device: device, transaction: db.method(:transaction)) do |body|
            entry = said_to_happen(body["id"], body, now)
            [entry, belongs_to(entry, body)]
          end
          facts.enter(body_hash.fetch("entries"))
        end

        # What was measured is typed in the unit of its closure.
        def said_to_happen(id, body, now)
          unit = (closures.unit_of(body["closure"]) if body["measured"]) || workroom.unit
          Form::JournalForm.new(unit, now: now).read(id, body)
        end

        # A withdrawal belongs where the entry belongs that it is about.
        def belongs_to(entry, body)
          unless entry.kind == "withdrawal"
            alone = entry.kind == "machine_part" && body["machine"]
            raise Refusal.field("journal.closure", "", "Say which buttonholes this is about.") unless body["closure"] || alone

            looked_again(entry.swatch.again, body["closure"]) if entry.swatch&.again
            return { closure_id: body["closure"], machine_id: body["machine"] }
          end
          about = entry.about && journal.find(entry.about)
          raise Store::Missing if about.nil? || about[:kind] == "withdrawal"

          { closure_id: about[:closure_id], machine_id: about[:machine_id] }
        end

        # A second look is at a test hole of the same closure.
        def looked_again(entry, closure)
          first = journal.find(entry)
          return if first && first[:kind] == "swatch" && first[:closure_id] == closure

          raise Refusal.field("journal.again", entry, "There is no such test hole here: log this one by itself.")
        end
      end
    end
  end
end
