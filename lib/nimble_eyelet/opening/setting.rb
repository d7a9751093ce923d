# frozen_string_literal: true

# Setting is what the hands do to get an opening out of a foot or a machine: clamp and click, stop
# at a mark, press the key at a distance, or sew between chalk lines. Each says whether its figure
# means the opening or the overall length.
#
#   setting = Opening::Setting.of(foot: foot, machine: machine, button: button, length: Length.mm(23), ends: ends)
#   setting.says.in(:mm)   # "Stop at the 26 mm mark."
#   setting.gives          # 23.5 mm, the opening that comes of it

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../machine/foot"
require_relative "../value"
require_relative "school"

module NimbleEyelet
  module Opening
    # How the length of a hole is set. reads - String, "opening" or "overall"
    SettingMethod = Value.of(:key, :name, :reads)

    SETTING_METHODS = [
      SettingMethod.new(key: "clamp", name: "button clamped in the foot", reads: "opening"),
      SettingMethod.new(key: "scale", name: "marks on the foot", reads: "overall"),
      SettingMethod.new(key: "key", name: "reverse key", reads: "opening"),
      SettingMethod.new(key: "lines", name: "chalk lines", reads: "opening")
    ].to_h { |by| [by.key, by] }.freeze

    # short - Sentence, a few words for a table
    # by - SettingMethod; reads - String, what the figure means; figure - Length to go by
    # gives - Length, the opening that results; overall - Length, that with both ends
    # clicks - Integer; pitch - Length between two marks, or nil; says - Sentence; cautions - Array<Caution>
    class Setting < Value.of(:by, :reads, :figure, :gives, :overall, :says, :short, clicks: 0, pitch: nil,
                             cautions: [])
      # @param foot [Foot] fitted for the holes
      # @param machine [Machine]
      # @param button [Button]
      # @param length [Length] opening wanted
      # @param ends [Ends]
      # @param straight [Boolean] a straight-stitch box along drawn lines
      # @return [Setting]
      def self.of(foot:, machine:, button:, length:, ends:, straight: false)
        by = straight ? "lines" : Setting.method_for(foot, machine)
        Setting.public_send(by, SettingRequest.new(foot: foot, button: button, length: length, ends: ends))
      end

      def self.method_for(foot, machine)
        return "clamp" if foot.type.clamps
        return "key" if machine.type.stores

        foot.type.marks ? "scale" : "lines"
      end

      # The foot's own length and as many clicks as it takes to reach the opening.
      def self.clamp(request)
        click = request.foot.click
        clicks = [((request.length - request.unclicked) / click).ceil, 0].max
        gives = request.unclicked + (click * clicks)
        new(by: SETTING_METHODS.fetch("clamp"), reads: "opening", figure: request.gap, gives: gives,
            overall: gives + request.ends.both, clicks: clicks,
            short: Sentence["%s and #{Setting.counted(clicks)}", request.gap], says: Setting.clamped(request.gap, clicks, click),
            cautions: [Setting.longer(gives, request), Setting.too_large(request)].compact)
      end

      def self.clamped(gap, clicks, click)
        return Sentence["Clamp the foot on %s and leave it there.", gap] if clicks.zero?

        Sentence["Clamp the foot on %s, then open it by #{Setting.counted(clicks)} of %s.", gap, click]
      end

      # The nearest mark at or above.
      def self.scale(request)
        foot = request.foot
        extra = foot.scale_reads == "opening" ? Length.zero : request.ends.both
        mark = (request.length + extra).round_up_to(foot.scale_pitch)
        new(by: SETTING_METHODS.fetch("scale"), reads: foot.scale_reads, figure: mark, gives: mark - extra,
            overall: mark - extra + request.ends.both, pitch: foot.scale_pitch,
            short: Sentence["the %s mark", mark],
            says: Sentence["Stop at the %s mark: the marks of this foot count #{SCALE_READS.fetch(foot.scale_reads)}.", mark])
      end

      def self.key(request)
        new(by: SETTING_METHODS.fetch("key"), reads: "opening", figure: request.length, gives: request.length, overall: request.overall,
            short: Sentence["key at %s", request.length],
            says: Sentence["At the first hole, press the reverse key when the first bead is %s long: the opening, without its ends. " \
                           "Every further hole repeats it.", request.length])
      end

      def self.lines(request)
        new(by: SETTING_METHODS.fetch("lines"), reads: "opening", figure: request.length, gives: request.length, overall: request.overall,
            short: Sentence["lines %s apart", request.length],
            says: Sentence["Chalk two lines %s apart for the opening; the ends are sewn outside them, %s in all.",
                           request.length, request.overall])
      end

      def self.counted(clicks) = clicks == 1 ? "one click" : "#{clicks} clicks"

      def self.longer(gives, request)
        over = gives - request.length
        return if over <= request.foot.click

        Caution.new(rule: "foot", says: Sentence["Clamped on this button the foot already makes %s, %s more than asked.", gives, over],
                    instead: Sentence["Clamp a flat stand-in %s wide instead.", request.length - request.foot.allowance])
      end

      def self.too_large(request)
        largest = request.foot.largest_button
        return unless largest && request.gap > largest

        Caution.new(rule: "carriage", says: Sentence["The foot opens to %s at most; this wants %s.", largest, request.gap],
                    instead: "Use the sliding scale foot and stop at its mark, or a machine that remembers a length.")
      end
    end

    # What a foot is asked for.
    class SettingRequest < Value.of(:foot, :button, :length, :ends)
      def gap = Opening.clamp_gap(button)
      def overall = length + ends.both
      def unclicked = gap + foot.allowance
    end
  end
end
