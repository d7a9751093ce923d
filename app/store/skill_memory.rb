# frozen_string_literal: true

# SkillMemory says what is due again: each skill on a schedule of its own, from how well it went and how long ago. It
# follows from all reviews each time it is asked for, so that only what happened is kept.
#
#   memory = Store::SkillMemory.new([SkillReview.new(skill: "lever", rating: 1, at: Time.now)])
#   memory.due           # => ["lever"]
#   memory.missed_last   # => ["lever"]
#
# Source: the schedule of the fsrs gem, "Free Spaced Repetition Scheduler", version 4.5 of its published formulas.

require "fsrs"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Store
    # skill - String, key of Rehearsal::SKILLS; rating - Integer, from 1 (again) to 3 (good); at - Time
    SkillReview = Value.of(:skill, :rating, :at)

    class SkillMemory
      # What is remembered less surely than this is due.
      WANTED = 0.8

      # @param reviews [Array<SkillReview>]
      # @param now [Time]
      def initialize(reviews, now: Time.now)
        @now = now
        @reviews = reviews.sort_by(&:at).group_by(&:skill)
        @scheduler = Fsrs::Scheduler.new.tap { |one| one.p.request_retention = WANTED }
        @cards = @reviews.transform_values { |list| card(list) }
      end

      # @return [Array<String>] skills that are due, the longest due first
      def due = @cards.select { |_, card| card.due <= utc(@now) }.sort_by { |_, card| card.due }.map(&:first)

      # @return [Array<String>] skills that went wrong the last time
      def missed_last = @reviews.select { |_, list| list.last.rating == 1 }.keys

      # @return [Array<String>] skills that were practised at all
      def known = @cards.keys

      # @param skill [String]
      # @return [Float, nil] chance that it is remembered now; nothing where it was never practised
      def chance(skill)
        card = @cards[skill] or return
        days = [(utc(@now) - card.last_review).to_f, 0.0].max
        # Source: as above, the forgetting curve with decay −0.5 and factor 19/81.
        (1 + (19.0 / 81 * days / card.stability))**-0.5
      end

      private

      def card(list)
        list.reduce(Fsrs::Card.new) do |card, review|
          reviewed = after(card, review)
          # What went well the first time is not asked for again ten minutes later.
          if reviewed.state == Fsrs::State::LEARNING && review.rating > 1
            after(reviewed,
                  review.with(rating: 3))
          else
            reviewed
          end
        end
      end

      def after(card, review) = @scheduler.repeat(card, utc(review.at)).fetch(review.rating).card

      # The gem counts days between times of this kind alone.
      def utc(time) = time.to_time.utc.to_datetime
    end
  end
end
