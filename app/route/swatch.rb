# frozen_string_literal: true

# Test holes: what is asked about one, drawn; and sewn on the machine that stands in.

require_relative "../../lib/nimble_eyelet"
require_relative "../device/stand_in_machine"
require_relative "../form/journal_form"
require_relative "../store/closures"
require_relative "../store/free_name"
require_relative "../store/journal"
require_relative "../view/advice"
require_relative "../view/swatch"

module NimbleEyelet
  module Route
    module SwatchRoutes
      AT = "/api/workrooms/:slug/closures/:id"

      def self.registered(app)
        app.helpers Helpers
        # What to do next takes weighing: it is asked for where it is looked at.
        app.get("#{AT}/advice") { json(View::AdviceView.of(sheet_of(params["id"]), present)) }
        app.get("#{AT}/looks") { json(View::SwatchView.pictures(sheet_of(params["id"]))) }
        app.post("#{AT}/stand-in") { sew_on_stand_in(number(params["id"])) }
        app.post("#{AT}/practice") { practise(closures.find(number(params["id"]))) }
      end

      module Helpers
        # The same on a practice machine: a garment and buttonholes of their own, so that nothing comes back. Those that
        # are there with the same plan are gone on with.
        def practise(closure)
          id = db.transaction do
            machine = workroom.machines.practising(closure.plan.machine.id)
            garment = workroom.garment_named("#{PRACTICE}#{closure.garment_name}"[0, Field::LONGEST_TEXT])
            plan = closure.plan.with(machine: machine, accepted: nil, settled: {})
            there = closures.of_garment(garment)
            there.find { |one| wishes(one.plan) == wishes(plan) }&.id || closures.create(garment, named(plan, there))
          end
          show(closures.find(id), status: 201)
        end

        def wishes(plan) = plan.with(name: "", accepted: nil, settled: {})

        def named(plan, others) = plan.with(name: Store::FreeName.of(plan.name, others.map { |one| one.plan.name }))
        PRACTICE = "Practice: "

        # Sent twice it is one hole.
        def sew_on_stand_in(id)
          closure = closures.find(id)
          hole, again = body_hash.values_at("id", "again").map { |one| one&.downcase }
          raise Store::Missing unless closure.plan.machine.practice && (again.nil? || practised?(closure, again))

          unless journal.find(hole)
            journal.add(simulated(closure, hole, again), closure_id: id, machine_id: closure.plan.machine.id,
                                                         plan_version: closure.version, device: device)
          end
          show(closures.find(id))
        end

        def practised?(closure, hole) = closure.facts.swatches.any? { |swatch| swatch.id == hole && swatch.simulated }

        # With what is set now; a second look is at the same hole, sewn as it was, whatever is set by now.
        def simulated(closure, hole, again)
          first = again && closure.facts.swatches.find { |swatch| swatch.id == again }
          sheet = first ? Sheet.of(AcceptedSettings.accepting(first, closure.sheet), closure.facts) : closure.sheet
          report = stand_in_for(closure).sew(sheet, closure: closure.id, hole: again || hole, look: hole)
          with = first ? first.sewn_with : sheet.sewn_with
          Form::JournalForm.new(closure.unit, now: settings.now).simulated(hole, with, report, again: again)
        end

        def stand_in_for(closure)
          Device::StandInMachine.new(seed: workroom.machines.stand_in(closure.plan.machine.id))
        end
      end
    end
  end
end
