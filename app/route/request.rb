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
        app.post(AT) { json({ **first_answer(taken), found: found_here }) }
        app.post("#{AT}/keep") { show(closures.find(keep(taken)), status: 201) }
      end

      module Helpers
        # Nothing is written.
        def first_answer(taken)
          @present = Presenter.new(taken.plan.unit.to_sym)
          first = first_sheet(taken)
          View::FirstAnswer.of(taken, first, first.sheet.faults, present)
        rescue Refusal => e
          View::FirstAnswer.of(taken, nil, e.faults, present)
        end

        # A line of so many words may be a search.
        SEARCH = (1..3)
        MOST_FOUND = 3

        # Buttons of the stash that have every word, and how many test holes.
        def found_here
          words = body_hash["text"].to_s.scan(/[[:alnum:]]+/)
          return { buttons: [], tests: 0 } unless SEARCH.cover?(words.size) && words.join.length >= 3

          { buttons: stash.matching(words.join(" ")).order(:name).limit(MOST_FOUND).select_map(:name),
            tests: book.count(words.join(" ")) }
        end

        def taken
          last = View::WorkroomView.last(workroom.last_used).to_h
          form = Form::RequestForm.new(workroom.unit, machines: machines_to_sew_on, last: last, words: own_words)
          form.read(body_hash["text"], body_hash.fetch("chosen", {}))
        end

        def first_sheet(taken)
          FirstSheet.of(taken.plan, workroom.house_for(taken.plan.unit.to_sym), guessed: taken.guessed,
                                                                                memory: Store::Closure::PARTS)
        end

        # Whoever has no machine here yet gets one that can be corrected.
        def keep(taken)
          plan = first_sheet(taken).plan
          db.transaction do
            machine = taken.machine.id ? taken.machine : machines.one(machines.add(taken.machine).machine.id)
            closures.create(workroom.garment_named(free_garment(taken)), plan.with(machine: machine))
          end
        end

        # A garment that is there already is added to, as long as it has no such part; any other gets a name nobody has.
        def free_garment(taken)
          all = workroom.garments
          known = all.find { |one| one[:name] == taken.own }
          return taken.own if known && known[:closures].none? { |one| one[:name] == taken.plan.name }

          Store::FreeName.of(taken.garment, all.map { |one| one[:name] })
        end

        def machines_to_sew_on = @machines_to_sew_on ||= machines.all.sort_by { |one| one.practice ? 1 : 0 }

        # What of the workroom is named in the line: garments, machines, and what is on its shelves.
        def own_words
          [*named_here(:garments).map { |row| own_garment(row[:name]) },
           *machines_to_sew_on.map { |one| own_word(one.name, "machine", "machine.id" => one.id.to_s) },
           *%w[button cloth thread].flat_map { |section| own_of_shelf(section) }]
        end

        def named_here(table) = workroom.named_in(table, body_hash["text"])

        def own_of_shelf(section)
          rows = named_here(:"#{section}s")
          View::PicksView.of(section, rows, rows.size, present)[:items].map do |item|
            sets = item[:fields].reject { |_, typed| typed.empty? }.transform_keys { |name| "#{section}.#{name}" }
            own_word(item[:name], section == "cloth" ? "fabric" : section, sets)
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
