# frozen_string_literal: true

# rehearsal: what can be practised for one closure, the practice machine at one moment, and what was seen with eyes.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/plain_value"
require_relative "figures"

module NimbleEyelet
  module View
    module RehearsalView
      # What is seen, in words.
      SEEN = {
        "dark" => "The machine is off.", "stuck" => "The thread jams: the needle does not move.", "no_fabric" => "The needle moves. There is no fabric.",
        "no_thread" => "The needle moves. There is no thread in it.", "no_needle" => "The needle broke.", "stopped" => "It stops.",
        "waits" => "It beeps and waits.", "finished_already" => "This hole is complete. Nothing moves.", "bobbin_out" => "The bobbin is empty: nothing holds.",
        "sewn_on" => "This pair is done.", "touches" => "The needle touches the rim.", "place_lost" => "It has lost its place.",
        "foot_in_the_way" => "The presser foot is down: the fabric does not move.", "no_such_part" => "Your machine has no such part.",
        "out_of_reach" => "The fabric lies over the bobbin: take it out first."
      }.freeze
      HEARD = { "hum" => "The motor hums.", "beep" => "Beep.", "click" => "Click.", "thud" => "The foot comes down, or up.", "snap" => "Snap!",
                "grind" => "It grinds." }.freeze

      # @param sheet [Sheet] whose holes fit
      # @param rehearsals [Store::Rehearsals]
      # @param own [Array<Hash>] one's own test holes that have a photo
      # @return [Hash]
      def self.of(sheet, rehearsals, present, now, own:)
        work = Simulation::PracticeWork.of(sheet)
        machine = sheet.plan.machine
        memory = rehearsals.memory(machine.id)
        done = rehearsals.of(machine.id)
        exercises = Rehearsal::Exercise.all(work)
        { machine: { id: machine.id, name: machine.name, kind: machine.type.name },
          exercises: exercises.map { |one| exercise(one, work, memory, done) },
          suggested: suggested(exercises, memory), own: own,
          eyes: Rehearsal::Eyes.new(sheet).offered?, bench: bench(work, sheet, present),
          level: Rehearsal::Eyes.level(done.select { |one| one.exercise == "eyes" }.map { |one| one.slips.size }),
          row: done.first(ROW).map { |one| practised(one) }, **due(machine, rehearsals, now, memory) }
      end

      # So many of what was practised are drawn.
      ROW = 24

      # @param machine [Machine]
      # @param rehearsals [Store::Rehearsals]
      # @return [Hash] what is due before a session on it
      def self.due(machine, rehearsals, now, memory = rehearsals.memory(machine.id))
        since = rehearsals.sewn_at(machine.id)
        { due: Rehearsal::SKILLS.values_at(*memory.due).compact.map { |skill| { key: skill.key, name: skill.name } },
          months: since && ((now - since) / MONTH).floor,
          minutes: Rehearsal::Suggestion::MINUTES, practised: memory.known.any?,
          weak: weak(rehearsals.of(machine.id), memory) }
      end
      MONTH = 30.44 * 86_400

      # At which steps to look twice, and why: what went wrong when it was practised last.
      def self.weak(done, memory)
        memory.missed_last.filter_map do |key|
          skill = Rehearsal::SKILLS[key] or next
          slip = done.flat_map(&:slips).filter_map { |one| Rehearsal::SLIPS[one] }.find { |one| one.skill == key }
          { key: key, name: skill.name, steps: skill.steps, does: slip&.does }
        end
      end

      def self.exercise(one, work, memory, done)
        last = done.find { |practised| practised.exercise == one.key }
        { **one.to_h.slice(:key, :name, :says, :minutes), due: memory.due.intersect?(one.skills), lays: lays(one, work),
          done: done.count { |practised| practised.exercise == one.key }, slips: last&.slips&.size }
      end

      # Holes and pairs that the exercise sews.
      def self.lays(one, work)
        pairs = one.goals.include?("button")
        work.places.select { |place| one.goals.include?(place) || (pairs && place.start_with?("pair")) }
      end

      # What is worth the few minutes before a session.
      def self.suggested(exercises, memory)
        chances = memory.known.to_h { |skill| [skill, memory.chance(skill)] }
        Rehearsal::Suggestion.of(exercises, chances).map(&:key)
      end

      def self.practised(one)
        { exercise: one.exercise, slips: one.slips.size, alone: one.alone, done_at: one.done_at.utc.iso8601 }
      end

      # The machine as it is built, with the hole and the button of the plan.
      def self.bench(work, sheet, present)
        { parts: Simulation::PracticeChoices.of(work).map { |part, choices| part(part, choices, work, present) },
          **built(work), hole: hole(work), button: button(work), thread: sheet.plan.thread.thickness.to_f,
          figure: figure(work, present) }
      end

      def self.built(work)
        { partwise: work.partwise?, by_hand: work.by_hand?, senses: work.machine.type.senses, stores: work.stores?,
          clamped: work.clamped?, corded: work.corded?, reset: work.machine.reset_words }
      end

      # What the key is pressed at, where one is pressed.
      def self.figure(work, present) = work.stores? ? present.length(work.figure) : nil

      def self.part(key, choices, work, present)
        machine_part = MACHINE_PARTS.fetch(key)
        { key: key, name: machine_part.name,
          choices: choices.map { |to| { to: told(to), label: called(machine_part, to, work.machine, present) } } }
      end

      def self.called(part, to, machine, present)
        return present.words(part.called(to)).to_s if to
        return part.neutral unless part.key == "tension"

        "#{present.number(machine.neutral_tension)}, #{part.neutral}"
      end

      # @param to [Length, String, nil] state of a part
      # @return [String, nil] as it goes over the wire
      def self.told(to) = to.is_a?(Length) ? "mm:#{to.millimetres}" : to

      def self.hole(work)
        return unless work.hole?

        path = work.path
        xs, ys = path.points.transpose
        { start: micro([path.points.first]), slit: micro(path.shape.slit), box: micro([xs.minmax, ys.minmax]),
          keyed: keyed(work) }
      end

      # Where the line for the key lies.
      def self.keyed(work) = work.stores? ? (work.keyed_at * 1000).round : nil

      def self.button(work)
        return unless work.button?

        path = work.sewn_on(nil)
        sewn = path.sewn
        across = { hole: sewn.hole, across: work.order.button.across.to_f }
        { holes: micro(path.parts.flat_map(&:aims).uniq), **across.transform_values { |figure| (figure * 1000).round },
          pairs: path.parts.map { |part| { name: part.name, at: micro([middle(part.aims.uniq)]) } } }
      end

      def self.middle(points) = points.transpose.map { |figures| figures.sum / figures.size }
      def self.micro(points) = points.flatten.map { |figure| (figure * 1000).round }

      # @param attempt [Rehearsal::Attempt]
      # @param work [Simulation::PracticeWork]
      # @param present [Presenter]
      # @return [Hash]
      def self.attempt(attempt, work, present)
        { exercise: attempt.exercise.key, goals: attempt.exercise.goals.size, reached: attempt.reached,
          done: attempt.done?, whole: attempt.whole?, step: step(attempt.step, present), state: state(attempt.state),
          happened: attempt.last && happened(attempt.last), slips: attempt.slips.map { |one| slip(one) },
          watch: attempt.watch&.slip&.key, ahead: ahead(attempt, work) }
      end

      def self.step(step, present)
        step && { says: present.words(step.says), skill: step.skill, act: act(step.act) }
      end

      def self.act(act)
        { act: act.act, part: act.part, to: told(act.to), degrees: act.degrees, seconds: act.seconds.to_f.round(4),
          across: act.across, along: act.along }
      end

      KEPT = %i[power foot_down angle stretch spent threading tails carriage cord needle_whole jammed pieces under off
                turned aside shut].freeze

      def self.state(state)
        { **state.to_h.slice(*KEPT), needle_down: state.needle_down?, bobbin: state.bobbin.positive?,
          parts: state.parts.transform_values { |to| told(to) },
          sewn: state.sewn.map { |name, piece| piece(name, piece) } }
      end

      def self.piece(name, piece)
        { name: name, points: micro(piece.points), before: micro(piece.before), finished: piece.finished,
          spoiled: piece.spoiled }
      end

      def self.happened(happened)
        { seen: noticed(happened.seen, SEEN), heard: noticed(happened.heard, HEARD), laid: happened.laid.size }
      end

      def self.noticed(keys, words) = keys.map { |key| { key: key, says: words.fetch(key) } }

      def self.slip(moment)
        { act: moment.act, **moment.slip.to_h.slice(:key, :skill, :says, :does, :costs, :minutes),
          about: moment.about.map { |part| MACHINE_PARTS[part]&.name || ABOUT.fetch(part) } }
      end
      # What is turned within a hole and is no part of a ledger.
      ABOUT = { "aside" => "needle position", "turned" => "half turn of the fabric" }.freeze

      # What the pedal does when it goes down now: drawn while it is held, and worked out again when it is let go.
      def self.ahead(attempt, work)
        return if attempt.done?

        needle = Simulation::NeedleWork.new(work)
        found = needle.ahead(attempt.state)
        rates = { rate: false, hard: true }.transform_values { |hard| needle.rate(attempt.state, hard).round(4) }
        { points: micro(found.laid), **rates, stops: stops(found), heard: found.heard }
      end

      # After how many turns it stops by itself: what breaks the needle is one more than what is sewn.
      def self.stops(found)
        found.laid.size + (found.heard.include?("snap") ? 1 : 0) if found.seen.include?("stopped")
      end

      # @param sample [Rehearsal::EyeSample]
      # @param sheet [Sheet]
      # @return [Hash] to look at; the truth is not in it
      def self.eyes(sample, sheet)
        return looked_at(sample) if sample.through.nil?

        through = sample.through
        seen = { button: through.button, thick: through.thick, slit: through.slit&.round(3), box: rounded(through.box) }
        { lines: sample.lines.map { |line| micro(line) }, covers: rounded(sample.covers), box: rounded(sample.box),
          thread: sheet.plan.thread.thickness.to_f, bobbin: sample.bobbin.round(3), loops: sample.loops.round(3),
          through: seen, **looked_at(sample) }
      end

      # What is asked about it, and what can be changed.
      def self.looked_at(sample)
        { asked: sample.looks.keys, changes: Rehearsal::EYE_CHANGES.map { |key, name| { key: key, name: name } } }
      end

      def self.rounded(figures) = figures.map { |figure| figure.round(3) }

      # @return [Hash] what it really was, and what the advice would be
      def self.judged(sample, seen, change, advice, present)
        mends = sample.faults.empty? ? %w[nothing] : sample.faults.map(&:change)
        { truth: sample.looks, misjudged: sample.misjudged(seen), right: sample.right?(change), changes: mends,
          advice: advice && present.words(advice.says) }
      end
    end
  end
end
