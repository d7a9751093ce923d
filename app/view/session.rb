# frozen_string_literal: true

# session: what is left to do, one step after the other, with all a screen needs that has no connection: figures to hand
# back, the machine after it, and the ways out of what can go wrong.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/plain_value"
require_relative "../presenter"
require_relative "sewing"
require_relative "session_step"

module NimbleEyelet
  module View
    # What the facts of a session will be called, in the order in which its steps are given out: what is done twice in
    # it makes two facts.
    class FactIds
      # @param record [Store::SessionRecord]
      def initialize(record)
        @record = record
        @ahead = Hash.new(-1)
      end

      # @param step [Work::Step]
      # @param part [SessionPart, nil] nil for what is done on the machine alone
      # @return [String]
      def next(step, part)
        ahead = @ahead[[part&.key, step.key]] += 1
        return part.sheet.facts.id_for(step, ahead: ahead) if part

        Sewing::FactId.of("session", @record.id, step.key, @record.told.fetch(step.key, 0) + ahead)
      end
    end

    # What a machine is set to changes little from step to step: each thing is sent once, and steps name it by number.
    class Things
      # @return [Array<Hash>]
      attr_reader :all

      def initialize
        @all = []
        @numbers = {}
        @present = Presenter.new(:mm)
      end

      # @param ledger [Ledger]
      # @return [Array<Integer>]
      def numbers(ledger)
        ledger.entries.map do |entry|
          @numbers[[entry.part.key, entry.now]] ||= @all.push(SewingView.set(entry, @present)).size - 1
        end
      end
    end

    module SessionView
      # @param record [Store::SessionRecord]
      # @param now [Time]
      # @return [Hash]
      def self.of(record, now) = { **told(now), **composed(record, now) }

      # @param now [Time]
      # @return [Hash] what is true of this moment alone
      def self.told(now) = { told_at: now.utc.iso8601 }

      # @param now [Time] from which moments count
      # @return [Hash] what holds as long as nothing happens
      def self.composed(record, now)
        session = record.session
        things = Things.new
        forecast = SessionForecast.of(session)
        { **kept(record), as_of: now.utc.iso8601, closures: record.closures.map { |one| closure(one, record) },
          last: last(record), steps: steps(record, things, forecast), things: things.all,
          ledger: SewingView.ledger(session.ledger, Presenter.new(:mm)),
          threaded: threaded(session.ledger), order: order(record),
          forecast: forecast(forecast, Presenter.new(unit(session))), kit: kit(session),
          mishaps: mishaps(session) }
      end

      # Before the hole that the bobbin does not last for, that is said at its first step.
      def self.steps(record, things, forecast)
        ids = FactIds.new(record)
        short = forecast.threads.flat_map(&:changes)
        record.session.steps.map do |one|
          at = one.step.figures["hole.at"] unless one.step.key == "test-sew"
          known = at || one.step.key == "test-sew"
          here = short.find { |change| known && change.part == one.part && change.at == at }
          short.delete(here)
          SessionStepView.of(one, ids, things, bobbin: !here.nil?)
        end
      end

      # Sessions that go on, each with what of its machine is away from its usual.
      #
      # @param under_way [Store::UnderWay]
      # @return [Array<Hash>]
      def self.open(under_way)
        left = under_way.machines.to_h { |machine| [machine.id, SewingView.ledger(machine.ledger, Presenter.new(:mm))] }
        under_way.sessions.map do |one|
          { **one.to_h, begun_at: one.begun_at.utc.iso8601, ledger: left.fetch(one.machine_id, []) }
        end
      end

      def self.kept(record)
        { id: record.id, revision: record.revision, machine: { id: record.machine[:id], name: record.machine[:name] },
          begun_at: record.begun_at.utc.iso8601, ended_at: record.ended_at&.utc&.iso8601,
          drying_minutes: record.drying / 60, costs: costs(record) }
      end

      def self.closure(closure, record)
        sheet = sheet_of(record, closure.id) || closure.sheet
        { id: closure.id, name: closure.plan.name, **called(sheet), garment: closure.garment_name,
          unit: closure.unit.to_s,
          run_length: sheet.plan.placket.run_length.to_f, measured_from: sheet.plan.placket.measured_from,
          holes: holes(sheet, Presenter.new(closure.unit)),
          **so_far(sheet.progress), with: PlainValue.dump_all(sheet.sewn_with),
          waits: (waits(closure) if record.waiting.include?(closure)) }
      end

      def self.holes(sheet, present) = sheet.layout ? sheet.layout.holes.map { |hole| hole(hole, sheet, present) } : []

      def self.called(sheet) = { noun: sheet.sewn, passes: sheet.plan.button.form.noun }

      def self.so_far(progress)
        progress ? { done: progress.done.size, steps: progress.steps.size } : { done: 0, steps: 0 }
      end

      # Why it cannot be sewn yet.
      def self.waits(closure)
        said = closure.sheet.faults.map { |fault| Presenter.new(closure.unit).words(fault.allowed) }
        said.first || "Its holes do not fit yet."
      end

      def self.hole(hole, sheet, present)
        beginning = sheet.beginning
        { number: hole.number, at: hole.at.to_f, from: hole.from.to_f, to: hole.to.to_f, vertical: hole.vertical?,
          sewn: hole.sewn, button: hole.button.to_f,
          starts: hole.starts.map { |start| start.along.to_f }, away: beginning.away(hole),
          begins: beginning.begins&.to_s, side: beginning.side,
          edge: { lies: beginning.edge_lies(hole, sheet.plan.placket.overlap), text: from_edge(hole, present) } }
      end

      # How far in from the finished edge the needle goes in, where that is one figure.
      def self.from_edge(hole, present)
        found = hole.starts.map(&:from_edge).uniq
        found.size == 1 ? present.length(found.first)[:text] : nil
      end

      def self.last(record)
        { entries: record.last.map { |row| row[:id] }, step: record.last.first && record.last.first[:step_key] }
      end

      def self.threaded(ledger) = ledger.state["top_thread"]&.to_s

      def self.order(record)
        session = record.session
        order = session.order
        best = session.best
        { seconds: order.seconds, proven: best.proven?, gap: best.gap, one_by_one: best.one_by_one,
          by_stages: best.by_stages, changing: order.changing,
          waiting: order.waiting, wished: !record.wish.empty?, wish_costs: session.wish_costs,
          moments: order.moments.map { |moment| moment(moment, sheet_of(record, moment.chain)) },
          blocks: order.moments.filter_map { |moment| [moment.chain, moment.block] if moment.chain } }
      end

      # As it was worked out for the session; nothing where its holes do not fit.
      def self.sheet_of(record, closure) = record.session.work(closure)&.part&.sheet

      # What is worked by hand has no test, and is called what it is.
      def self.block(key, sheet) = key == "row" && sheet&.way ? "#{sheet.sewn.capitalize}s" : Work::BLOCKS[key]

      def self.moment(moment, sheet)
        { kind: moment.kind, from: moment.from, to: moment.to, closure: moment.chain, block: moment.block,
          says: block(moment.block, sheet),
          needs: moment.needs.map do |part, state|
            "#{Sewing::Changeover::PART_NAMES.fetch(part)}: #{state.split('|').reject(&:empty?).join(', ')}"
          end,
          dry_at: moment.dry_at }
      end

      def self.forecast(found, present)
        { seconds: found.seconds, least: found.least.round, most: found.most.round, changing: found.changing,
          waiting: found.waiting,
          working: found.working.map { |closure, seconds| { closure: closure, seconds: seconds } },
          threads: found.threads.map { |need| thread(need, present) } }
      end

      def self.thread(need, present)
        top, bobbin, left = need.to_h.values_at(:top, :bobbin, :left).map { |length| present.words(Tool::SPOOL.at(length)) }
        { name: need.name, top: top, bobbin: bobbin, left: left, full: need.full,
          changes: need.changes.map { |change| { closure: change.part.key, hole: change.number } } }
      end

      def self.kit(session)
        items = SessionKit.of(session)
        present = Presenter.new(unit(session))
        SessionKit::KIT_KINDS.filter_map do |kind, title|
          of_kind = items.select { |item| item.kind == kind }
          if of_kind.any?
            { title: title, items: of_kind.map do |item|
              { name: present.words(item.name), lacks: item.lacks }
            end }
          end
        end
      end

      # What it is measured in as a whole: as everything in it is, and millimetres where that differs.
      def self.unit(session)
        units = session.parts.map { |part| part.sheet.plan.unit }.uniq
        units.one? ? units.first.to_sym : :mm
      end

      # Rows of what can go wrong, with the way out of it, for whoever has no connection just then: one for each way
      # there is among the closures.
      def self.mishaps(session)
        closures = session.parts.group_by(&:material).transform_values { |parts| parts.map(&:key) }
        Sewing::MISHAPS.slice(*session.steps.flat_map(&:mishaps)).values.flat_map do |mishap|
          closures.keys.group_by { |material| mishap.way_out(material) }.values.map do |alike|
            mishap(mishap, alike.first).merge(closures: closures.values_at(*alike).flatten)
          end
        end
      end

      def self.mishap(mishap, material)
        { key: mishap.key, says: mishap.says, asks: mishap.asks, of_a_hole: mishap.of_a_hole?,
          again: mishap.again, moves: mishap.moves, steps: way_out(mishap, material) }
      end

      # As it will be given out; only the id of what went wrong is still to come.
      def self.way_out(mishap, material)
        present = Presenter.new(:mm)
        told = Sewing::Rescuing.steps(Work::StepKey::ID_TO_COME, mishap.key, material: material)
        told.zip(mishap.way_out(material)).map do |step, row|
          { id: Sewing::FactId.way_out(Work::StepKey.parse(step.key).number), key: step.key, part: step.part,
            does: present.words(step.does), how: present.words(step.how), caution: step.caution, moves: step.moves,
            asks: row.asks }
        end
      end

      def self.costs(record)
        record.costs.map do |part, seconds|
          { part: part, name: Sewing::Changeover::PART_NAMES.fetch(part), seconds: seconds,
            usual: Sewing::Changeover::SECONDS.fetch(part) }
        end
      end
      private_class_method :called, :steps, :kept, :closure, :so_far, :waits, :hole, :last, :threaded, :order, :moment, :block, :sheet_of,
                           :forecast, :thread, :kit, :mishaps, :mishap, :way_out, :costs
    end
  end
end
