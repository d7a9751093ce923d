# frozen_string_literal: true

# SewnWith is what a test hole says it was sewn with, figure by figure: what beliefs reckon with has to be
# a length, a number or one of a table, wherever it came from.
#
#   SewnWith.faulty("setting.by" => "guess")   # => "setting.by"

require_relative "../length/length"
require_relative "../machine/foot"
require_relative "../opening/setting"
require_relative "../style/style"
require_relative "../thread/sewing_thread"
require_relative "../typing/limit"

module NimbleEyelet
  module Swatches
    module SewnWith
      LENGTHS = {
        "opening.length" => Typing::Limit.length(0, 200, open: true),
        "recipe.stitch_length" => Typing::Limit.length(0, 20, open: true),
        **%w[recipe.stitch_width recipe.width_wanted slit.slips hole.at].to_h { |path| [path, Typing::Limit.length(0, 5000)] },
        **%w[setting.set setting.hands setting.clamped slit.need foot.allowance].to_h { |path| [path, Typing::Limit.length(-500, 500)] }
      }.freeze
      NUMBERS = { "slit.give" => Typing::Limit.number(0.1..10), "thread.tex" => Typing::Limit.number(1..1000),
                  "recipe.tension" => Typing::Limit.number(0..20), "recipe.balance" => Typing::Limit.whole(-9..9),
                  "recipe.stay_layers" => Typing::Limit.whole(1..3) }.freeze
      TABLES = { "setting.by" => Opening::SETTING_METHODS, "thread.fibre" => SewingThread::DENSITIES, "recipe.style" => STYLES,
                 "recipe.foot" => FOOT_KINDS, "measured.with" => { "caliper" => true } }.freeze

      # @param figures [Hash{String => Object}] by path
      # @return [String, nil] path of the first that nothing can be reckoned with; what is not there is not asked for
      def self.faulty(figures) = figures.compact.find { |path, value| !sound?(path, value) }&.first

      def self.sound?(path, value)
        return value.is_a?(Length) && LENGTHS[path].hold?(value) if LENGTHS.key?(path)
        return number?(NUMBERS[path], Rational(value.to_s, exception: false)) if NUMBERS.key?(path)

        !TABLES.key?(path) || TABLES[path].key?(value)
      end

      def self.number?(limit, number) = number && limit.hold?(number) && (limit.kind != :whole || number.denominator == 1)
      private_class_method :sound?, :number?
    end
  end
end
