# frozen_string_literal: true

# SewingSession is one or several closures sewn on one machine, from what it is set to now until it is back: everything
# that is left to do, in the order that ends first, with the machine set between as it has to be.
#
#   session = SewingSession.of(parts, ledger: ledger)
#   session.steps.first.step.does   # => "Fit a new needle: universal 80/12."
#   session.order.seconds           # 5400
#
# What the machine is set to already is not asked for again; what the next closure needs is not put back first.

require_relative "../machine/ledger"
require_relative "../schedule/pace"
require_relative "../schedule/session_order"
require_relative "../sewing/changeover"
require_relative "../sewing/facts"
require_relative "../sewing/rescuing"
require_relative "../sewing/steps"
require_relative "../value"
require_relative "aftermath"
require_relative "session_work"

module NimbleEyelet
  # One thing to do in a session.
  #
  # id - String, the same as long as it is left to do; part - SessionPart, nil for what is the machine's alone
  # block - String, of Work::BLOCKS, or "rescue"; step - Work::Step
  # also - Array of [SessionPart, Step] that are so already, and are kept as done with it
  # ledger - Ledger after it; seconds - Float; mishaps - Array<String>, keys of what can go wrong here
  SessionStep = Value.of(:id, :part, :block, :step, :ledger, :seconds, also: [], mishaps: [])

  class SewingSession
    # Seconds that what is sealed dries, where the label says nothing else.
    DRYING = 1200

    # @return [Array<SessionPart>]
    attr_reader :parts

    # @return [Schedule::SessionOrder] as it is sewn; and the best there is
    attr_reader :order, :best

    # @return [Machine]
    attr_reader :machine

    # @return [Ledger] as the machine stands
    attr_reader :ledger

    # @return [Array<SessionWork>]
    attr_reader :works

    # @return [Schedule::Pace] of whoever sews
    attr_reader :pace

    # @param parts [Array<SessionPart>] on one machine, each with holes that fit
    # @param machine [Machine, nil] that they are sewn on; that of the first of them where nothing is said
    # @param ledger [Ledger] of the machine
    # @param costs [Hash{String => Integer}] seconds of a changeover, by part
    # @param drying [Integer] seconds
    # @param pace [Schedule::Pace]
    # @param wish [Array<Array(Integer, String)>] closure and block, in the order somebody wants
    # @param now [Time, nil]
    # @return [SewingSession]
    def self.of(parts, machine: machine_of(parts), ledger: Ledger.empty, costs: Sewing::Changeover::SECONDS,
                drying: DRYING, pace: Schedule::Pace.usual, wish: [], now: nil)
      new(parts, machine, ledger, costs, pace, wish) do |part|
        SessionWork.new(part, pace: pace, drying: drying, now: now)
      end
    end

    def self.machine_of(parts) = parts.first && parts.first.sheet.plan.machine
    private_class_method :machine_of

    def initialize(parts, machine, ledger, costs, pace, wish, &)
      @parts = parts
      @machine = machine
      @ledger = ledger
      @pace = pace
      @works = parts.map(&)
      solve(costs, wish)
    end

    # @return [Array<SessionStep>] what is left to do
    def steps
      @steps ||= rescues.then { |first| first + SessionWriter.new(self, first.last&.ledger || @ledger).steps }
    end

    # @return [Integer] seconds that the wished order takes longer than the best
    def wish_costs = order.seconds - best.seconds

    # @return [Array(Float, Float)] seconds of hands and machine, in eight of ten cases; what dries is not among them
    def range
      @pace.range(steps.map { |one| [one.step.name, one.seconds] })
    end

    # @return [SessionWork]
    def work(key) = @works.find { |one| one.part.key == key }

    private

    def solve(seconds, wish)
      costs = Sewing::Changeover.costed(seconds)
      chains = @works.map(&:chain).reject { |chain| chain.blocks.empty? }
      from = Sewing::Changeover.needs(@ledger.state)
      @best = Schedule::SessionOrder.of(chains, from: from, costs: costs, first: begun)
      own = wished(chains, wish)
      @order = own ? Schedule::SessionOrder.wished(chains, own, from: from, costs: costs) : @best
    end

    # What was begun on the machine is gone on with.
    def begun
      first = @works.filter_map { |work| work.blocks.first }
      (first.find(&:under_the_foot?) || first.find { |block| block.begun && block.machine? })&.part&.key
    end

    # The wish as far as it still can be kept, and then what it says nothing about.
    def wished(chains, wish)
      return if wish.empty?

      left = chains.to_h { |chain| [chain.key, chain.blocks.map(&:key)] }
      known = wish.uniq.select { |key, block| left.fetch(key, []).include?(block) }.map(&:first)
      known + chains.flat_map { |chain| [chain.key] * (chain.blocks.size - known.count(chain.key)) }
    end

    # The newest mishap first: what went wrong in the middle of putting something right comes before that.
    def rescues
      state = @ledger
      open_rescues.flat_map do |part, entry|
        steps = Sewing::Rescuing.steps(entry.id, entry.done_with[Sewing::Entry::WHAT], at: entry.at,
                                        says: Aftermath.of(part.sheet, entry), material: part.material)
        steps.reject { |step| part.sheet.facts.steps.key?(step.key) }.map do |step|
          state = state.changed(step.moves)
          rescue_step(part, step, state)
        end
      end
    end

    def rescue_step(part, step, state)
      SessionStep.new(id: "#{part.key}:rescue:#{step.key}", part: part, block: step.block, step: step, ledger: state,
                      seconds: step.seconds(1).to_f,
                      mishaps: mishaps(part, step))
    end

    def mishaps(part, step)
      Sewing::Rescuing.at(step.name, part.sheet.plan.machine, sewn: part.sewn, material: part.material).map(&:key)
    end

    def open_rescues
      happened = @parts.flat_map { |part| part.sheet.facts.mishaps.map { |entry| [part, entry] } }
      happened.sort_by { |_, entry| entry.happened_at.to_f }.reverse
    end
  end

  # SessionWriter writes the steps of a session down as its order says, and keeps book of the machine meanwhile.
  class SessionWriter
    # @param session [SewingSession]
    # @param state [Ledger] to begin with
    def initialize(session, state)
      @session = session
      @state = state
      @blocks = session.works.to_h { |work| [work.part.key, work.blocks.to_h { |block| [block.key, block] }] }
      @written = Hash.new(0)
      @noted = Hash.new { |all, key| all[key] = [] }
    end

    # @return [Array<SessionStep>]
    def steps
      moments = @session.order.moments
      found = moments.each_with_index.flat_map do |moment, index|
        case moment.kind
        when "set" then ready(moments.drop(index + 1))
        when "work" then worked(@blocks.fetch(moment.chain).fetch(moment.block))
        else []
        end
      end
      found + put_back + notes
    end

    private

    # The machine is made ready for the machine work that comes next; for none it is put back.
    def ready(rest)
      following = rest.find { |moment| moment.kind == "work" && block_of(moment).machine? }
      following ? set(block_of(following)) : put_back
    end

    def block_of(moment) = @blocks.fetch(moment.chain).fetch(moment.block)

    def worked(block)
      done = block.machine? ? set(block) : []
      written = block.hands.map { |step| write(block.part, block.key, step) }
      also = so_already(block)
      first = (done + written).first
      return done + written if also.empty? || first.nil?

      (done + written).map { |one| one.equal?(first) ? one.with(also: also) : one }
    end

    # What is otherwise than this block needs it.
    def set(block)
      away(block) + block.setters.filter_map do |step|
        left(block, step)&.then do |left|
          write(block.part, block.key, left)
        end
      end
    end

    # Of what sets the machine only what is needed, and is not so already.
    def left(block, step)
      supplied = step.moves.select { |part, state| block.needs.key?(part) && block.needs[part] == state }
      return (step unless @state.so?(supplied)) unless step.sets_only?

      step.with(operations: step.operations.select { |one| one.sets.keys.intersect?(block.needs.keys) }).left_on(@state)
    end

    # What another closure left on the machine, and nobody here sets.
    def away(block)
      left = @state.entries.map(&:part).reject { |part| part.passing || kept?(part.key, block) }
      (@state.in_the_way(block.needs) + left).map { |part| machine_step(part, block.key) }
    end

    def kept?(part, block)
      block.needs.key?(part) && (block.needs[part] == @state.state[part] || block.sets?(part))
    end

    def so_already(block)
      work = @session.work(block.part.key)
      noted = @noted[block.part.key]
      found = block.setters.reject { |step| work.done?(step) || noted.include?(step.key) }
      found.map { |step| [block.part, step.noted] }
    end

    def put_back = @state.entries.map { |entry| machine_step(entry.part, "end") }

    def notes
      @session.works.filter_map do |work|
        note = work.note or next
        write(work.part, "end", note).with(also: work.put_backs.map { |step| [work.part, step.noted] })
      end
    end

    def machine_step(part, block)
      write(nil, block, Sewing::Steps.back(part, @session.machine))
    end

    def write(part, block, step)
      @state = @state.changed(step.moves)
      @noted[part.key] << step.key if part
      id = "#{part ? part.key : 'machine'}:#{block}:#{step.key}"
      again = @written[id] += 1
      SessionStep.new(id: again > 1 ? "#{id}:#{again}" : id, part: part, block: block, step: step, ledger: @state,
                      seconds: seconds(part, step),
                      mishaps: mishaps(part, step))
    end

    def mishaps(part, step)
      about = part ? { sewn: part.sewn, material: part.material } : {}
      Sewing::Rescuing.at(step.name, @session.machine, **about).map(&:key)
    end

    def seconds(part, step)
      return @session.work(part.key).seconds(step) if part

      group, = Sewing::Changeover::GROUPS.find { |_, some| some.include?(step.moves.keys.first) }
      group ? Sewing::Changeover::SECONDS.fetch(group).to_f : step.seconds(1).to_f
    end
  end
end
