# frozen_string_literal: true

# Rehearsals keeps what somebody practised on a practice machine, and reads off it what is due again. It is kept apart
# from the journal: nothing that was practised is known of a real machine or a garment.
#
#   rehearsals.keep(id: "6f0c…", machine: 3, exercise: "hole", alone: true, seconds: 84, slips: ["lever_up"],
#                   ratings: { "lever" => 1, "place" => 3 })
#   rehearsals.memory(3).due.map(&:key)   # => ["lever"]

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "skill_memory"

module NimbleEyelet
  module Store
    class Rehearsals
      # One exercise that was done. slips - Array<String>; done_at - Time
      Practised = Value.of(:exercise, :alone, :seconds, :slips, :ratings, :done_at)

      # Of whoever asks, where people sign in: each has a memory of their own.
      MINE = <<~SQL
        SELECT r.exercise, r.alone, r.seconds, r.slips::text AS slips, r.ratings::text AS ratings, r.done_at FROM rehearsals r
         WHERE r.workroom_id = :workroom AND r.machine_id = :machine
           AND r.account_id IS NOT DISTINCT FROM (CASE WHEN current_setting('nimble.who', true) ~ '^[0-9]+$'
                                                       THEN current_setting('nimble.who', true)::integer END)
         ORDER BY r.done_at DESC LIMIT 1000
      SQL

      # When a hole was last sewn on it for real, and what went wrong there.
      SEWN = <<~SQL
        SELECT max(j.happened_at) FILTER (WHERE j.kind = 'hole_sewn') AS last FROM journal j
          JOIN closures c ON c.workroom_id = j.workroom_id AND c.id = j.closure_id
         WHERE j.workroom_id = :workroom AND c.machine_id = :machine AND NOT j.imported
           AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = j.workroom_id AND w.about = j.id AND w.kind = 'withdrawal')
      SQL
      # What was done on it for real, each kind of step once a day.
      DONE = <<~SQL
        SELECT regexp_replace(j.step_key, '-at-.*$', '') AS step, max(j.happened_at) AS at FROM journal j
          JOIN closures c ON c.workroom_id = j.workroom_id AND c.id = j.closure_id
         WHERE j.workroom_id = :workroom AND c.machine_id = :machine AND j.kind IN ('step', 'hole_sewn') AND j.step_key IS NOT NULL
           AND NOT j.imported AND j.happened_at > now() - interval '3 years'
           AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = j.workroom_id AND w.about = j.id AND w.kind = 'withdrawal')
         GROUP BY 1, date_trunc('day', j.happened_at) ORDER BY 2 DESC LIMIT 1000
      SQL
      WENT_WRONG = <<~SQL
        SELECT j.data->'with'->>'mishap.what' AS mishap, j.happened_at FROM journal j
          JOIN closures c ON c.workroom_id = j.workroom_id AND c.id = j.closure_id
         WHERE j.workroom_id = :workroom AND c.machine_id = :machine AND j.kind = 'mishap' AND NOT j.imported
           AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = j.workroom_id AND w.about = j.id AND w.kind = 'withdrawal')
         ORDER BY j.happened_at DESC LIMIT 100
      SQL

      # @param scope [Scope]
      # @param now [Time]
      def initialize(scope, now: Time.now)
        @scope = scope
        @now = now
      end

      # The same one sent again is known.
      #
      # @param id [String] UUID, made by whoever practised
      # @param machine [Integer]
      # @param slips [Array<String>] keys of Rehearsal::SLIPS, or of looks
      # @param ratings [Hash{String => Integer}] by skill
      def keep(id:, machine:, exercise:, alone:, seconds:, slips:, ratings:)
        row = { id: id, machine_id: machine, exercise: exercise, alone: alone, seconds: seconds, done_at: @now,
                slips: Sequel.lit("?::jsonb", JSON.generate(slips)), ratings: Sequel.lit("?::jsonb", JSON.generate(ratings)) }
        @scope.upsert(:rehearsals, [row], target: [:id], update: { exercise: Sequel[:excluded][:exercise] },
                                          where: Sequel.lit("false"))
      end

      # @param machine [Integer]
      # @return [Array<Practised>] the newest first
      def of(machine)
        @scope.ask(:rehearsals_mine, MINE, machine: machine).map do |row|
          Practised.new(**row.slice(:exercise, :alone, :seconds, :done_at), slips: JSON.parse(row[:slips]), ratings: JSON.parse(row[:ratings]))
        end
      end

      # @param machine [Integer]
      # @return [Time, nil] of the last hole that was sewn on it for real
      def sewn_at(machine) = @scope.ask(:rehearsals_sewn, SEWN, machine: machine).first[:last]

      # What was practised, and what was done for real, taken together: reality teaches what to practise, and never
      # the other way round.
      #
      # @param machine [Integer]
      # @return [SkillMemory]
      def memory(machine)
        practised = of(machine).flat_map do |one|
          one.ratings.map { |skill, rating| SkillReview.new(skill: skill, rating: rating, at: one.done_at) }
        end
        SkillMemory.new(practised + for_real(machine), now: @now)
      end

      private

      # What went wrong that day was no success.
      def for_real(machine)
        wrong = went_wrong(machine)
        spoiled = wrong.map { |one| [one.skill, one.at.to_date] }
        wrong + went_well(machine).reject { |one| spoiled.include?([one.skill, one.at.to_date]) }
      end

      def went_well(machine)
        @scope.ask(:rehearsals_done, DONE, machine: machine).flat_map do |row|
          SKILLS_OF_STEP.fetch(row[:step], []).map do |skill|
            SkillReview.new(skill: skill, rating: Rehearsal::Attempt::GOOD, at: row[:at])
          end
        end
      end

      # @param by [Symbol] of a skill: its steps, or its mishaps
      # @return [Hash{String => Array<String>}] each of them to keys of skills
      def self.skills_by(by)
        pairs = Rehearsal::SKILLS.values.flat_map { |skill| skill.public_send(by).map { |one| [one, skill.key] } }
        pairs.group_by(&:first).transform_values { |list| list.map(&:last) }.freeze
      end
      private_class_method :skills_by

      SKILLS_OF_STEP = skills_by(:steps)
      SKILLS_OF_MISHAP = skills_by(:mishaps)
      private_constant :SKILLS_OF_STEP, :SKILLS_OF_MISHAP

      def went_wrong(machine)
        @scope.ask(:rehearsals_wrong, WENT_WRONG, machine: machine).flat_map do |row|
          SKILLS_OF_MISHAP.fetch(row[:mishap], []).map do |skill|
            SkillReview.new(skill: skill, rating: Rehearsal::Attempt::MISSED, at: row[:happened_at])
          end
        end
      end
    end
  end
end
