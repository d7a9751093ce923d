# frozen_string_literal: true

# SessionCalendar is a session as a calendar reads it: one entry as long as it takes, with what to lay ready, and one
# for every time something has to dry. Times are those of the wall clock where it is read.
#
#   Document::SessionCalendar.new(record, Time.new(2026, 12, 1, 14), now: Time.now).render   # => String, an iCalendar file (RFC 5545)

require_relative "../../lib/nimble_eyelet"
require_relative "../presenter"

module NimbleEyelet
  module Document
    class SessionCalendar
      # Calendars are read in steps of so many seconds.
      STEP = 5 * 60
      # A wait that is shorter is sat out.
      SHORT = 10 * 60
      # How long before somebody is reminded.
      REMIND = "-PT15M"

      # @param record [Store::SessionRecord]
      # @param at [Time] when it begins
      # @param now [Time] calendars take the newer of two entries
      def initialize(record, at, now:)
        @record = record
        @session = record.session
        @at = at
        @now = now
      end

      # @return [String]
      def render
        # Here, not above: it brings a third of a second of another framework to every start, and few ask for it.
        require "icalendar"
        calendar = Icalendar::Calendar.new
        calendar.prodid = "-//Nimble Eyelet//NONSGML Sessions//EN"
        calendar.add_event(sewing)
        waits.each_with_index { |wait, index| calendar.add_event(drying(wait, index + 1)) }
        calendar.to_ical
      end

      private

      def sewing
        event("sewing", 0, rounded(SessionForecast.of(@session).seconds)) do |one|
          one.summary = "Buttonholes at #{@record.machine[:name]}"
          one.description = [closures, ready].join("\\n\\n")
          one.alarm do |alarm|
            alarm.action = "DISPLAY"
            alarm.summary = one.summary
            alarm.description = one.summary
            alarm.trigger = REMIND
          end
        end
      end

      def drying(wait, number)
        event("drying-#{number}", wait.from, [rounded(wait.to - wait.from), STEP].max) do |one|
          one.summary = "Fray sealant dries"
          one.transp = "TRANSPARENT"
        end
      end

      # A session that is taken in again is the same entry, at its new time.
      def event(name, from, seconds)
        Icalendar::Event.new.tap do |one|
          one.uid = "session-#{@record.id}-#{name}@nimble-eyelet"
          one.dtstamp = Icalendar::Values::DateTime.new(@now.utc, "tzid" => "UTC")
          one.dtstart = Icalendar::Values::DateTime.new(wall_clock(from))
          one.dtend = Icalendar::Values::DateTime.new(wall_clock(from + seconds))
          yield one
        end
      end

      def wall_clock(seconds) = (@at + seconds).strftime("%Y%m%dT%H%M%S")
      def rounded(seconds) = (seconds / STEP.to_f).ceil * STEP
      def waits = @session.order.moments.select { |one| one.kind == "wait" && one.to - one.from >= SHORT }
      def closures = @record.closures.map(&:called).join("\\n")

      def ready
        ["Lay ready:", *SessionKit.of(@session).map { |item| "- #{Presenter.new(:mm).words(item.name)}" }].join("\\n")
      end
    end
  end
end
