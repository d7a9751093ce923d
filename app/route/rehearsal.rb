# frozen_string_literal: true

# Rehearsal: practised on a practice machine of one's own kind, hands and eyes. Whatever is practised is answered from
# the acts alone; nothing is kept until it is done, and nothing of it ever in the journal.

require_relative "../../lib/nimble_eyelet"
require_relative "../store/errors"
require_relative "../view/rehearsal"

module NimbleEyelet
  module Route
    module RehearsalRoutes
      AT = "/api/workrooms/:slug/closures/:id"

      def self.registered(app)
        app.helpers Helpers
        app.get("#{AT}/rehearsal") { json(offered(practised_sheet)) }
        app.post("#{AT}/rehearsal") { json(rehearsed(practised_sheet)) }
        app.post("#{AT}/eyes") { json(seen_with_eyes(practised_sheet)) }
        app.post("#{AT}/rehearsals") { keep_rehearsal(practised_sheet) }
        app.get("/api/workrooms/:slug/machines/:id/rehearsal") { json(due_on(number(params["id"]))) }
      end

      module Helpers
        # @raise [Refusal] where the holes do not fit: then nothing can be practised
        def practised_sheet
          sheet = sheet_of(params["id"])
          raise Refusal, sheet.faults if sheet.layout.nil?

          sheet
        end

        def offered(sheet)
          View::RehearsalView.of(sheet, rehearsals, present, settings.now, own: own_samples(sheet))
        end

        def rehearsed(sheet)
          work = Simulation::PracticeWork.of(sheet)
          View::RehearsalView.attempt(attempt(work), work, present)
        end

        def due_on(machine)
          View::RehearsalView.due(machines.find(machine).machine, rehearsals, settings.now)
        end

        def attempt(work) = Rehearsal::Attempt.of(exercise(work), work, acts(work))

        def exercise(work)
          Rehearsal::Exercise.fetch(work, body_hash.fetch("exercise"))
        rescue KeyError
          raise Refusal.field("rehearsal.exercise", body_hash["exercise"].to_s[0, 40], "There is no such exercise for this machine.")
        end

        def acts(work)
          choices = Simulation::PracticeChoices.of(work)
          body_hash.fetch("acts", []).map { |act| practice_act(act, choices, work) }
        end

        # Only what the machine can be set to, and what can lie there.
        def practice_act(typed, choices, work)
          to = practice_state(typed["to"])
          known = case typed["act"]
                  when "set" then choices.fetch(typed["part"], []).include?(to)
                  when "lay" then work.places.include?(to)
                  else true
                  end
          raise Refusal.field("rehearsal.act", "#{typed['part']} #{typed['to']}".strip[0, 60], "This machine has no such setting.") unless known

          Simulation::PracticeAct.new(act: typed["act"], part: typed["part"], to: to, degrees: typed.fetch("degrees", 0).to_i,
                                      seconds: typed.fetch("seconds", 0).to_f, hard: typed.fetch("hard", false),
                                      across: typed.fetch("across", 0).to_f, along: typed.fetch("along", 0).to_f)
        end

        def practice_state(text)
          mm = text && text[%r{\Amm:(\d{1,4}(?:/\d{1,6})?)\z}, 1]
          mm ? Length.mm(mm.to_r) : text
        end

        def eye_sample(sheet)
          eyes = Rehearsal::Eyes.new(sheet)
          raise Refusal.field("rehearsal.exercise", "eyes", "There is nothing to look at here.") unless eyes.offered?

          own = body_hash["own"]
          return [eyes, eyes.own(own_swatch(sheet, own))] if own

          [eyes, eyes.sample(seed: body_hash.fetch("seed"), level: body_hash.fetch("level"))]
        end

        def own_swatch(sheet, id)
          sheet.facts.swatches.find { |swatch| swatch.id == id.downcase }&.looked || raise(Store::Missing)
        end

        # Those that somebody looked at, and of which there is a photo.
        def own_samples(sheet)
          looked = sheet.facts.swatches.map(&:looked).select { |swatch| swatch.looks.size >= LOOKED_AT }
          photos.of(looked.map(&:id)).keys.then do |seen|
            looked.select do |swatch|
              seen.include?(swatch.id)
            end.map { |swatch| { id: swatch.id, number: swatch.number } }
          end
        end
        # Answers that make a test hole worth a second look.
        LOOKED_AT = 3

        def seen_with_eyes(sheet)
          eyes, sample = eye_sample(sheet)
          seen = body_hash["seen"] or return View::RehearsalView.eyes(sample, sheet)

          View::RehearsalView.judged(sample, seen, body_hash["change"].to_s, eyes.advice(sample), present)
        end

        # Judged here from what was done, never as the page says.
        def keep_rehearsal(sheet)
          slips, ratings = body_hash["exercise"] == "eyes" ? judged_eyes(sheet) : judged_hands(sheet)
          rehearsals.keep(id: uuid(body_hash["id"]), machine: sheet.plan.machine.id, exercise: body_hash["exercise"], alone: body_hash["alone"],
                          seconds: body_hash["seconds"], slips: slips, ratings: ratings)
          json(View::RehearsalView.due(sheet.plan.machine, rehearsals, settings.now), status: 201)
        end

        def judged_eyes(sheet)
          _, sample = eye_sample(sheet)
          seen = body_hash.fetch("seen", {})
          [sample.misjudged(seen), sample.ratings(seen, body_hash["change"].to_s)]
        end

        def judged_hands(sheet)
          found = attempt(Simulation::PracticeWork.of(sheet))
          [found.slips.map { |one| one.slip.key }, found.ratings(alone: body_hash["alone"])]
        end
      end
    end
  end
end
