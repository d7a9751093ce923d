# frozen_string_literal: true

# One line that says what needs buttonholes: the first answer to it, and kept as a garment with its buttonholes.

require_relative "../../lib/nimble_eyelet"
require_relative "../form/request_form"
require_relative "../store/free_name"
require_relative "../view/first_answer"
require_relative "../view/picks"
require_relative "../view/workroom"

module NimbleEyelet
  module Route
    module RequestRoutes
      AT = "/api/workrooms/:slug/request"

      def self.registered(app)
        app.helpers Helpers
        app.post(AT) { json(first_answer(taken)) }
        app.post("#{AT}/keep") { show(closures.find(keep(taken)), status: 201) }
      end

      module Helpers
        # Nothing is written.
        def first_answer(taken)
          sheet = sheet_for(taken.plan)
          View::FirstAnswer.of(taken, sheet, sheet.faults, present)
        rescue Refusal => e
          View::FirstAnswer.of(taken, nil, e.faults, present)
        end

        def taken
          form = Form::RequestForm.new(workroom.unit, machines: machines_to_sew_on, last: View::WorkroomView.last(workroom.last_used).to_h,
                                                      words: own_words)
          long_enough(form.read(body_hash["text"], body_hash.fetch("chosen", {})))
        end

        def sheet_for(plan) = Sheet.of(plan.in(workroom.house_for(workroom.unit)).validate, Sewing::Facts.none)

        # Edges in mm that are tried where nobody has said how long it is.
        EDGES = [60, 90, 120, 160, 220, 300, 420, 600, 900, 1200].freeze

        def long_enough(taken)
          return taken if %w[said chosen].include?(taken.origins["placket.run_length"]) || sheet_for(taken.plan).layout

          longer = EDGES.map { |mm| Length.mm(mm) }.select { |length| length > taken.plan.placket.run_length }
          longer.lazy.map do |length|
            Form::RequestForm.on(taken, length)
          end.find { |one| sheet_for(one.plan).layout } || taken
        rescue Refusal
          taken
        end

        # Whoever has no machine here yet gets one that can be corrected.
        def keep(taken)
          db.transaction do
            machine = taken.machine.id ? taken.machine : machines.one(machines.add(taken.machine).machine.id)
            plan = taken.plan.with(machine: machine)
            plan.in(workroom.house_for(workroom.unit)).validate
            closures.create(workroom.garment_named(free_garment(taken)), plan)
          end
        end

        # A garment that is there already is added to, as long as it has no such part; any other gets a name nobody has.
        def free_garment(taken)
          known = workroom.garments.find { |one| one[:name] == taken.typed["garment.name"] }
          return known[:name] if known && known[:closures].none? { |one| one[:name] == taken.part }

          Store::FreeName.of(taken.garment, workroom.garments.map { |one| one[:name] })
        end

        def machines_to_sew_on = machines.all.sort_by { |one| one.practice ? 1 : 0 }

        # Names of the workroom: its garments, machines, and what lies on its shelves.
        def own_words
          [*workroom.garments.map { |one| own_garment(one[:name]) },
           *machines_to_sew_on.map { |one| own_word(one.name, "machine", "machine.id" => one.id.to_s) },
           *{ "button" => "buttons", "cloth" => "cloths", "thread" => "threads" }.flat_map do |section, shelf|
             of_shelf(section, shelf)
           end]
        end

        def of_shelf(section, shelf)
          rows = workroom.shelf(shelf.to_sym)
          View::PicksView.of(section, rows, rows.size, present)[:items].map do |item|
            kind = section == "cloth" ? "fabric" : section
            own_word(item[:name], kind, item[:fields].to_h do |name, typed|
              ["#{section}.#{name}", typed]
            end.reject { |_, typed| typed.empty? })
          end
        end

        # A garment of one's own is of the kind its name says.
        def own_garment(name)
          said = Typing::RequestReader.read(name, words: RequestWords::ALL, unit: workroom.unit).sets
          own_word(name, "garment", { **said.slice("placket.use", RequestWords::GARMENT_PLACE), "garment.name" => name })
        end

        def own_word(name, kind, sets) = Typing::RequestWord.new(phrase: name.downcase, kind: kind, sets: sets)
      end
    end
  end
end
