# frozen_string_literal: true

# Ballot weighs options by rules: no rule decides alone, each gives points for and against, and what was
# said for and against stays readable.
#
#   scores = Recipes::Ballot.rank(STYLES, STYLE_RULES, situation) { |style| "no programme" unless … }
#   scores.find(&:possible?).option

require_relative "../value"

module NimbleEyelet
  module Recipes
    # Points from which a rule has an option as good as chosen or as good as ruled out.
    STRONG = 5

    # name, asks, says - String; asks is when it speaks, in words; applies - Proc(*context) -> Boolean
    # votes - Hash of option key to points
    Rule = Value.of(:name, :asks, :applies, :votes, :says)

    # What an option gets, and why.
    #
    # option - what was weighed, with a key and a name; speaks_for, against - Array<Rule>
    # obstacle - String or nil, why it cannot be had at all
    class Score < Value.of(:key, :option, :points, :speaks_for, :against, obstacle: nil)
      def possible? = obstacle.nil?

      # Rules that pull strongly both ways; what they disagree about is shown, not hidden.
      # @return [Array<Array(Rule, Rule)>]
      def conflicts
        strong = ->(rule) { rule.votes[key].abs >= STRONG }
        speaks_for.select(&strong).product(against.select(&strong))
      end

      # @return [Array<Rule>] what spoke for it, the strongest first
      def reasons = speaks_for.sort_by { |rule| -rule.votes.fetch(key) }
    end

    module Ballot
      # @param options [Hash{String => Object}]
      # @param rules [Array<Rule>]
      # @param context [Array<Object>] what the rules look at
      # @yieldparam option [Object]
      # @yieldreturn [String, nil] why it cannot be had
      # @return [Array<Score>] every option, the most points first, as listed where they are equal
      def self.rank(options, rules, *context, &obstacle)
        speaking = rules.select { |rule| rule.applies.call(*context) }
        options.map { |key, option| score(key, option, speaking, obstacle&.call(option)) }
               .each_with_index.sort_by { |score, index| [-score.points, index] }.map(&:first)
      end

      def self.score(key, option, speaking, obstacle)
        votes = speaking.select { |rule| rule.votes.key?(key) }
        up, down = votes.partition { |rule| rule.votes[key].positive? }
        Score.new(key: key, option: option, points: votes.sum do |rule|
          rule.votes[key]
        end, speaks_for: up, against: down, obstacle: obstacle)
      end
      private_class_method :score
    end
  end
end
