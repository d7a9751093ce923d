# frozen_string_literal: true

# SessionForecast is what a session takes: minutes, thread and bobbins, and where a bobbin has to be changed so that
# none runs out within a hole.
#
#   forecast = SessionForecast.of(session)
#   forecast.seconds             # 5400
#   forecast.threads.first.changes.map(&:number)   # => [3], before hole 3

require_relative "../length/length"
require_relative "../thread/bobbin"
require_relative "../value"

module NimbleEyelet
  # Before which hole a bobbin is changed. part - SessionPart; at - Length, its place; number - Integer; nil for the
  # test hole
  BobbinChange = Value.of(:part, :at, :number)

  # One thread over the whole session. name - String; top, bobbin - Length for the holes still to be sewn
  # left - Length on the bobbin by now; full - Boolean, nobody said how much: taken as full
  # changes - Array<BobbinChange>
  ThreadNeed = Value.of(:name, :top, :bobbin, :left, :full, :changes)

  # seconds - Integer until the machine is back; least, most - Float, in eight of ten cases
  # working - Hash of closure to seconds; changing, waiting - Integer; threads - Array<ThreadNeed>
  class SessionForecast < Value.of(:seconds, :least, :most, :working, :changing, :waiting, :threads)
    # Steps that take thread for a hole.
    SEWN_WITH_IT = %w[sew test-sew].freeze

    # @param session [SewingSession]
    # @return [SessionForecast]
    def self.of(session)
      order = session.order
      hands = session.steps.sum(&:seconds)
      seconds = order.seconds + session.steps.select { |one| one.block == "rescue" }.sum(&:seconds).round
      least, most = session.range.map { |end_of| [seconds + end_of - hands, 0].max }
      new(seconds: seconds, least: least, most: most, changing: order.changing, waiting: order.waiting,
          threads: threads(session), working: working(order))
    end

    def self.working(order)
      order.moments.select { |moment| moment.kind == "work" }.group_by(&:chain)
           .transform_values { |all| all.sum { |moment| moment.to - moment.from } }
    end

    # Test holes and holes in the order they are sewn, by the thread they are sewn with.
    def self.threads(session)
      sewn = session.steps.select { |one| one.part && SEWN_WITH_IT.include?(one.step.name) }
      sewn.group_by { |one| thread_of(one.part) }.map { |name, all| need(name, all, session) }
    end

    def self.thread_of(part) = part.sheet.plan.thread.spool

    def self.need(name, steps, session)
      sharing = session.parts.select { |part| thread_of(part) == name }
      threads = sharing.map { |part| part.sheet.plan.thread }
      thread = threads.find { |one| !one.bobbin.empty? } || threads.first
      left = left_by_now(thread, sharing, session)
      of_holes = steps.map { |one| session.work(one.part.key).reckoning }
      top, bobbin = %i[top bobbin].map { |side| of_holes.sum(Length.zero, &side) }
      ThreadNeed.new(name: name, top: top, bobbin: bobbin, left: left, full: thread.bobbin.empty?,
                     changes: changes(steps, left, session, thread))
    end

    # What was said to be on the bobbin, less what the holes sewn since took; changed where it had to be.
    def self.left_by_now(thread, sharing, session)
      said = thread.bobbin.empty? ? Bobbin.full(thread) : Bobbin.left(thread.bobbin, thread)
      taken = sharing.flat_map { |part| [session.work(part.key).reckoning.bobbin] * sewn_by_now(part) }
      taken.reduce(said) { |left, wanted| (wanted > left ? Bobbin.full(thread) : left) - wanted }
    end

    def self.sewn_by_now(part)
      facts = part.sheet.facts
      facts.holes.size + (facts.steps.key?("test-sew") ? 1 : 0)
    end

    def self.changes(steps, left, session, thread)
      steps.each_with_object([]) do |one, changes|
        wanted = session.work(one.part.key).reckoning.bobbin
        if wanted > left
          changes << BobbinChange.new(part: one.part, at: one.step.hole&.at, number: number(one))
          left = Bobbin.full(thread)
        end
        left -= wanted
      end
    end

    def self.number(one) = one.part.sheet.layout.holes.find { |hole| hole.at == one.step.hole&.at }&.number
    private_class_method :working, :threads, :thread_of, :need, :left_by_now, :sewn_by_now, :changes, :number
  end
end
