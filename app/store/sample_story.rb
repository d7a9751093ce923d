# frozen_string_literal: true

# SampleStory is what happened to one set of buttonholes of the sample: test holes sewn and looked at, settings
# changed by them, steps done one after the other as their list gives them out. It writes what a person's browser
# would have sent, and nothing else.
#
#   Store::SampleStory.new(workroom, part, now: Time.now).happen

require "digest"
require_relative "../../lib/nimble_eyelet"
require_relative "../form/journal_form"
require_relative "../field/plain_value"
require_relative "closures"
require_relative "journal"

module NimbleEyelet
  module Store
    class SampleStory
      DAY = 24 * 60 * 60
      # Seconds from one step to the next.
      PACE = 70

      # @param workroom [Workroom]
      # @param part [Hash] one entry of db/sample/story.yml
      # @param now [Time]
      def initialize(workroom, part, now:)
        @part = part
        @unit = workroom.unit
        @closures = Closures.new(workroom)
        @journal = Journal.new(workroom.scope)
        @id = named(workroom.scope)
        @now = now
        @clock = now - (part.fetch("began") * DAY) - (DAY / 4)
        @told = 0
      end

      def happen
        decide(@part.fetch("decided"))
        @part.fetch("tests").each { |test| sew_test(test) }
        return unless @part["sewn"]

        sew(@part["sewn"])
        decide(@part.fetch("decided_after"))
      end

      private

      def named(scope)
        scope.standing(:closures).join(:garments, workroom_id: :workroom_id, id: :garment_id)
             .where(Sequel[:garments][:name] => @part.fetch("garment"), Sequel[:closures][:name] => @part.fetch("closure"))
             .get(Sequel[:closures][:id])
      end

      def closure = @closures.find(@id)

      def change(&) = @closures.change(@id, version: closure.version, &)

      # A stage is decided on what the ones before it say, so one after the other.
      def decide(stages)
        stages.each do |word|
          change { |now| now.plan.with(settled: now.plan.settled.merge(word => Stage.fetch(word).answer(now.sheet))) }
        end
      end

      def sew_test(test)
        tell_steps(closure.sheet) { |step| step.name.start_with?("accept") }
        swatch = log(test)
        change { |now| now.plan.changed(advice(now.sheet)) } if test["advised"]
        return unless test["accepted"]

        change { |now| AcceptedSettings.accepting(now.facts.swatches.find { |one| one.id == swatch }, now.sheet) }
        decide(%w[recipe swatch])
      end

      def advice(sheet) = sheet.diagnosis.changes.map(&:sets).reduce({}, :merge)

      def log(test)
        time = later.utc.iso8601(3)
        body = { **test.slice("passes", "measured", "looks", "note"), "kind" => "swatch", "symptoms" => [],
                 "with" => PlainValue.dump_all(closure.sheet.sewn_with), "happened_at" => time, "sent_at" => time }
        entry = Form::JournalForm.new(@unit, now: @clock).read(new_id, body)
        add(entry)
        entry.id
      end

      # So many holes, or everything to the end.
      def sew(holes)
        sheet = closure.sheet
        left = holes == "all" ? nil : sheet.progress.steps.select(&:hole).drop(holes).map { |step| step.figures["hole.at"] }
        tell_steps(sheet) { |step| left&.include?(step.figures["hole.at"]) }
      end

      # The steps of the list as it was given out, up to the first of which the block says so; those done with other
      # figures are done again.
      def tell_steps(sheet)
        progress = sheet.progress
        progress.steps.take_while { |step| !yield(step) }.each do |step|
          next if progress.done.include?(step.key) && !progress.outdated.key?(step.key)

          add(told(step, sheet.facts.id_for(step)))
        end
      end

      def told(step, id)
        hole = step.hole
        Sewing::Entry.new(id: id, kind: hole ? "hole_sewn" : "step", happened_at: later, step: step.key, at: hole&.at,
                          opening: hole&.opening, done_with: step.figures, moves: step.moves)
      end

      def add(entry) = @journal.add(entry, closure_id: @id, machine_id: closure.plan.machine.id)

      # It never happens after now.
      def later = @clock = [@clock + PACE, @now].min

      def new_id
        @told += 1
        Digest::SHA256.hexdigest("#{@id} #{@told}")[0, 32].unpack("A8A4A4A4A12").join("-")
      end
    end
  end
end
