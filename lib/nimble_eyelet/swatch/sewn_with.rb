# frozen_string_literal: true

# SewnWith is the table of what a hole is sewn with, figure by figure: what it may be, wherever it came from, whether an
# accepted test hole holds it, and what of it is compared, said and set as it was. A new one is a row here.
#
#   SewnWith.faulty("setting.by" => "guess")   # => "setting.by"
#   SewnWith::HELD                             # => ["machine.id", "recipe.style", …]

require_relative "../length/length"
require_relative "../machine/foot"
require_relative "../opening/setting"
require_relative "../style/style"
require_relative "../thread/sewing_thread"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  module Swatches
    # path - String; limit - Typing::Limit of a length or number, or nil; table - Hash of what it is chosen from, or nil
    # held - Boolean, an accepted test hole holds it for the row
    # shared - Boolean, a hole for which it was otherwise teaches nothing here
    # alike - Boolean, a hole sewn before is shown only where it is the same
    # said - Boolean, how it was otherwise then is said
    # back - nil, or when it is set as it was by whoever takes the hole: :dial always, :key where it is otherwise now
    # by_then - Boolean, one press sets it as a hole of another closure had it
    SewnWithRow = Value.of(:path, limit: nil, table: nil, held: false, shared: false, alike: false, said: false,
                           back: nil, by_then: false)

    module SewnWith
      def self.row(path, **more) = SewnWithRow.new(path: path, **more)
      private_class_method :row

      FIGURES = [
        row("machine.id", held: true, shared: true, alike: true),
        row("recipe.style", table: STYLES, held: true, shared: true, said: true, back: :key),
        row("recipe.foot", table: FOOT_KINDS, held: true, shared: true, said: true, back: :key),
        row("setting.hands", limit: Typing::Limit.length(-500, 500), held: true),
        row("opening.length", limit: Typing::Limit.length(0, 200, open: true), held: true),
        row("recipe.stitch_width", limit: Typing::Limit.length(0, 5000), held: true, said: true, back: :dial, by_then: true),
        row("recipe.stitch_length", limit: Typing::Limit.length(0, 20, open: true), held: true, said: true, back: :dial,
                        by_then: true),
        row("recipe.tension", limit: Typing::Limit.number(0..20), held: true, said: true, back: :dial, by_then: true),
        row("recipe.balance", limit: Typing::Limit.whole(-9..9), held: true, said: true, back: :dial, by_then: true),
        row("recipe.second_pass", held: true, said: true, back: :key, by_then: true),
        row("recipe.stabiliser", held: true, said: true, back: :key),
        row("recipe.stay_layers", limit: Typing::Limit.whole(1..3), held: true, said: true, back: :key),
        row("recipe.needle", held: true, said: true),
        row("thread.fibre", table: SewingThread::DENSITIES, held: true, shared: true, said: true),
        row("thread.tex", limit: Typing::Limit.number(1..1000), held: true, shared: true, said: true),
        row("cloth.kind", held: true, shared: true, alike: true),
        row("cloth.thickness", held: true, said: true), row("cloth.layers", held: true, said: true),
        row("cloth.name", said: true), row("thread.name", said: true),
        *%w[recipe.width_wanted slit.slips hole.at].map { |path| row(path, limit: Typing::Limit.length(0, 5000)) },
        *%w[setting.set setting.clamped slit.need foot.allowance].map do |path|
          row(path, limit: Typing::Limit.length(-500, 500))
        end,
        row("slit.give", limit: Typing::Limit.number(0.1..10)), row("slit.doubt", limit: Typing::Limit.number(0..75)),
        row("setting.by", table: Opening::SETTING_METHODS),
        row("measured.with", table: { "caliper" => true, "photo" => true }),
        row("measured.off", limit: Typing::Limit.number(0..5))
      ].to_h { |row| [row.path, row] }.freeze

      # Paths, by what is asked of them.
      HELD, SHARED, ALIKE, SAID = %i[held shared alike said].map do |what|
        FIGURES.each_value.select(&what).map(&:path).freeze
      end

      # @param how [Symbol] :dial or :key
      # @return [Array<String>] paths that are set as they were so
      def self.back(how) = FIGURES.each_value.select { |row| row.back == how }.map(&:path)

      # @return [Array<String>] paths of what somebody set by hand for a hole
      def self.set_by_hand = FIGURES.each_value.select(&:back).map(&:path)

      # @param path [String]
      # @return [Boolean] whether one press sets it as a hole of another closure had it
      def self.by_then?(path) = FIGURES[path]&.by_then || false

      # @param figures [Hash{String => Object}] by path
      # @return [String, nil] path of the first that nothing can be reckoned with; what is not there is not asked for
      def self.faulty(figures) = figures.compact.find { |path, value| !sound?(FIGURES[path], value) }&.first

      def self.sound?(row, value)
        return true unless row
        return row.table.key?(value) if row.table
        return true unless row.limit

        if row.limit.kind == :length
          value.is_a?(Length) && row.limit.hold?(value)
        else
          number?(row.limit,
                  Rational(value.to_s, exception: false))
        end
      end

      def self.number?(limit, number)
        number && limit.hold?(number) && (limit.kind != :whole || number.denominator == 1)
      end

      private_class_method :sound?, :number?
    end
  end
end
