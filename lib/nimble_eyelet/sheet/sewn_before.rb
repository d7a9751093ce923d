# frozen_string_literal: true

# SewnBefore is the newest good test hole of another closure on the same machine and like cloth, and what is
# otherwise here.
#
#   sheet.before.changes   # => [PlanChange(path: "recipe.stitch_length", from: 0.4 mm, to: 0.45 mm)]

require_relative "../length/length"
require_relative "../plan/plan"
require_relative "../swatch/sewn_with"
require_relative "../value"

module NimbleEyelet
  # swatch - Swatches::Swatch; closure - Integer or nil, of another book; changes - Array<PlanChange> from then to now
  class SewnBefore < Value.of(:swatch, :closure, :changes)
    # @param earlier [Array<Swatches::EarlierSwatch>] newest first
    # @param set [Hash{String => Object}] what a test hole sewn now is sewn with, told by the machine that teaches
    # @return [SewnBefore, nil]
    def self.of(earlier, set)
      found = earlier.find do |one|
        one.swatch.clean? && Swatches::SewnWith::ALIKE.all? do |path|
          one.swatch.sewn_with[path] == set[path]
        end
      end or return
      held = found.swatch.sewn_with
      changes = Swatches::SewnWith::SAID.filter_map do |path|
        PlanChange.new(path: path, from: held[path], to: set[path]) if held.key?(path) && held[path] != set[path]
      end
      new(swatch: found.swatch, closure: found.closure, changes: changes + correction(found.swatch, set))
    end

    # The lengths may be others, what is added to them may not.
    def self.correction(swatch, set)
      return [] unless swatch.sewn_with["setting.set"] && set["setting.set"]

      was = swatch.sewn_with["setting.set"] - swatch.opening
      now = set["setting.set"] - set["opening.length"]
      (was - now).abs > ROUNDED ? [PlanChange.new(path: "opening.correction", from: was, to: now)] : []
    end
    # Marks of a scale round so much away.
    ROUNDED = Length.mm(1r / 2)
    private_class_method :correction

    # Test holes of so many days are recent.
    RECENT_DAYS = 90

    # @param today [String, nil] ISO 8601
    # @return [Boolean]
    def recent?(today)
      return false unless today && swatch.sewn_at

      now, sewn = [today, swatch.sewn_at].map { |day| Time.utc(*day[0, 10].split("-").map(&:to_i)) }
      now - sewn <= RECENT_DAYS * 86_400
    end

    # @return [Boolean] whether all that makes the hole is as it was then, whatever cloth and thread are called
    def as_sewn? = changes.all? { |change| change.path.end_with?(".name") }

    # @return [Hash{String => Object}] value by path, as it was then, where it is otherwise now
    def as_then = changes.select { |change| set_by_then?(change.path) }.to_h { |change| [change.path, change.from] }

    private

    def set_by_then?(path) = path == "opening.correction" || Swatches::SewnWith.by_then?(path)
  end
end
