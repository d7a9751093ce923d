# frozen_string_literal: true

# SessionWork is what is left to do on one closure of a session, in its blocks: what the hands do, what the machine is
# set to for it, and how long it takes.
#
#   work = SessionWork.new(part, pace: Schedule::Pace.usual, drying: 1200)
#   work.blocks.map(&:key)   # => ["stay", "row", "seal", "open", "buttons"]

require_relative "../machine/ledger"
require_relative "../schedule/work_chain"
require_relative "../sewing/changeover"
require_relative "../sewing/material"
require_relative "../sheet/hole_simulation"
require_relative "../value"
require_relative "../work/block"
require_relative "../work/step"

module NimbleEyelet
  # key - Integer, id of the closure; name, garment - String; sheet - Sheet whose holes fit
  class SessionPart < Value.of(:key, :name, :garment, :sheet)
    # @return [String] what is made at every place: a hole, a tack, a loop
    def sewn = sheet.sewn

    # @return [Sewing::Material]
    def material = Sewing::Material.of(sheet.plan.cloth, sheet.recipe.stitched)
  end

  # What is left of one block. part - SessionPart; key - String, of Work::BLOCKS
  # setters - Array<Step> that set the machine for it; hands - Array<Step> still to be done
  # needs - Hash of machine part to state, nil where the machine is not used; begun - Boolean
  class SessionBlock < Value.of(:part, :key, :setters, :hands, :needs, :begun)
    def machine? = !needs.nil?

    # @return [Boolean] whether its cloth lies under the foot, and has to come out before anything else
    def under_the_foot? = begun && hands.first.operations.any? { |operation| operation.key == "lift_out" }

    # @param part [String] of the machine
    # @return [Boolean] whether a step of it sets that part
    def sets?(part) = setters.any? { |step| step.moves.key?(part) }
  end

  class SessionWork
    # What is sealed in a block dries after it: sealed, and the block that waits for it.
    DRIES_BEFORE = { "seal" => %w[open dry], "open" => %w[buttons dry-after] }.freeze
    SEALED = { "open" => "seal", "buttons" => "seal-after" }.freeze

    # @return [SessionPart]
    attr_reader :part

    # @param part [SessionPart]
    # @param pace [Schedule::Pace]
    # @param drying [Integer] seconds that what is sealed dries
    # @param now [Time, nil] to know how long something has been drying
    def initialize(part, pace:, drying:, now: nil)
      @part = part
      @pace = pace
      @drying = drying
      @now = now
      @progress = part.sheet.progress
    end

    # @return [Array<SessionBlock>] with something left to do, in order
    def blocks = @blocks ||= order.filter_map { |key| block(key) }

    # @return [Schedule::WorkChain]
    def chain
      Schedule::WorkChain.new(key: part.key, dry_in: dry_in, blocks: blocks.map { |block| work_block(block) })
    end

    # @return [Step, nil] the last one, while it is open
    def note = steps("end").find { |step| step.key == "note" && !done?(step) }

    # @return [Array<Step>] that put the machine back, and were not done for this closure
    def put_backs = @progress.steps.select { |step| step.block == "end" && step.sets_only? && !done?(step) }

    # @param step [Step]
    # @return [Boolean]
    def done?(step) = @progress.done.include?(step.key)

    # @param step [Step]
    # @return [Array(String, Float)] its name, and seconds it mostly takes
    def usual(step)
      seconds = step.seconds(part.sheet.layout.holes.size)
      seconds += reckoning.seconds if %w[sew test-sew].include?(step.name)
      [step.name, seconds]
    end

    # @return [Float] seconds
    def seconds(step) = @pace.seconds(*usual(step))

    # @return [Stitches::Reckoning] of one hole
    def reckoning = @reckoning ||= HoleSimulation.of(part.sheet).reckoning

    private

    # On a finished edge the buttons come first.
    def order
      keys = Work::BLOCKS.keys.grep_v("end")
      part.sheet.plan.attach.first? ? ["buttons", *(keys - ["buttons"])] : keys
    end

    def steps(key) = by_block.fetch(key, [])
    def by_block = @by_block ||= @progress.steps.group_by(&:block)

    def block(key)
      setters, hands = steps(key).partition(&:sets_only?)
      open = hands.reject { |step| done?(step) }
      return if open.empty?

      needs = Work::Step.needed(open)
      setters = needs.empty? ? [] : setters_for(needs, setters, open)
      SessionBlock.new(part: part, key: key, setters: setters, hands: open, begun: open.size < hands.size,
                       needs: needs.empty? ? nil : needs)
    end

    # Its own, and from the rest of the list what sets a part as it is needed that no step of its own sets: needle and
    # thread of the row for the buttons, and for a machine that forgot the length the test hole that teaches it.
    def setters_for(needs, own, open)
      lacking = needs.compact.reject do |part, _|
        MACHINE_PARTS.fetch(part).passing || own.any? do |step|
          step.moves.key?(part)
        end
      end
      others = (@progress.steps - own - open).select { |step| lacking.any? { |part, state| step.moves[part] == state } }
      @progress.steps.select { |step| own.include?(step) || others.include?(step) }
    end

    def work_block(block)
      seconds = block.hands.sum { |step| seconds(step) }.round
      Schedule::WorkBlock.new(key: block.key, seconds: seconds, dries: dries?(block.key) ? @drying : 0,
                              needs: block.machine? ? Sewing::Changeover.needs(block.needs.compact) : nil)
    end

    def dries?(block)
      following, waits = DRIES_BEFORE[block]
      following && steps(following).any? { |step| step.key == waits && !done?(step) }
    end

    # What was sealed a while ago is dry the sooner.
    def dry_in
      first = blocks.first&.key
      before = DRIES_BEFORE.find { |_, (following, _)| following == first }&.first
      return 0 unless before && dries?(before)

      sealed = part.sheet.facts.steps[SEALED.fetch(first)]&.happened_at
      sealed && @now ? (@drying - (@now - sealed)).clamp(0, @drying).round : 0
    end
  end
end
