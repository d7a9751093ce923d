# frozen_string_literal: true

# Setting is what the hands do to get an opening out of a foot or a machine: clamp and click, stop
# at a mark, press the key at a distance, or sew between chalk lines. Each says whether its figure
# means the opening or the overall length.
#
#   setting = Opening::Setting.of(foot: foot, machine: machine, button: button, length: Length.mm(23), ends: ends)
#   setting.says.in(:mm)   # "Stop at the 26 mm mark."
#   setting.gives          # 23.5 mm, the opening that comes of it

require_relative "school"

module NimbleEyelet
  module Opening
    # How the length of a hole is set. reads - String, "opening" or "overall"
    Way = Value.define(:key, :name, :reads)

    WAYS = [
      Way.new(key: "clamp", name: "button clamped in the foot", reads: "opening"),
      Way.new(key: "scale", name: "marks on the foot", reads: "overall"),
      Way.new(key: "key", name: "reverse key", reads: "opening"),
      Way.new(key: "lines", name: "chalk lines", reads: "opening")
    ].to_h { |way| [way.key, way] }.freeze

    # short - Said, a few words for a table
    # way - Way; reads - String, what the figure means; figure - Length to go by
    # gives - Length, the opening that results; overall - Length, that with both ends
    # clicks - Integer; pitch - Length between two marks, or nil; says - Said; cautions - Array<Caution>
    Setting = Value.define(:way, :reads, :figure, :gives, :overall, :says, :short, :clicks, :pitch, :cautions, clicks: 0, pitch: nil,
cautions: []) do
      # @param foot [Foot] fitted for the holes
      # @param machine [Machine]
      # @param button [Button]
      # @param length [Length] opening wanted
      # @param ends [Ends]
      # @param straight [Boolean] a straight-stitch box along drawn lines
      # @return [Setting]
      def self.of(foot:, machine:, button:, length:, ends:, straight: false)
        way = straight ? "lines" : Setting.way_of(foot, machine)
        Setting.public_send(way, Wanted.new(foot: foot, button: button, length: length, ends: ends))
      end

      def self.way_of(foot, machine)
        return "clamp" if foot.kind == "carriage_foot"
        return "key" if machine.kind == "memory"

        foot.kind == "sliding_scale_foot" ? "scale" : "lines"
      end

      # The foot's own length and as many clicks as it takes to reach the opening.
      def self.clamp(wanted)
        click = wanted.foot.click
        clicks = [((wanted.length - wanted.unclicked) / click).ceil, 0].max
        gives = wanted.unclicked + (click * clicks)
        new(way: WAYS.fetch("clamp"), reads: "opening", figure: wanted.gap, gives: gives,
            overall: gives + wanted.ends.both, clicks: clicks,
            short: Said["%s and #{Setting.counted(clicks)}", wanted.gap], says: Setting.clamped(wanted.gap, clicks, click),
            cautions: [Setting.longer(gives, wanted), Setting.too_large(wanted)].compact)
      end

      def self.clamped(gap, clicks, click)
        return Said["Clamp the foot on %s and leave it there.", gap] if clicks.zero?

        Said["Clamp the foot on %s, then open it by #{Setting.counted(clicks)} of %s.", gap, click]
      end

      # The nearest mark at or above.
      def self.scale(wanted)
        foot = wanted.foot
        extra = foot.scale_reads == "opening" ? Length.zero : wanted.ends.both
        mark = (wanted.length + extra).round_up_to(foot.scale_pitch)
        new(way: WAYS.fetch("scale"), reads: foot.scale_reads, figure: mark, gives: mark - extra,
            overall: mark - extra + wanted.ends.both, pitch: foot.scale_pitch,
            short: Said["the %s mark", mark],
            says: Said["Stop at the %s mark: the marks of this foot count #{SCALE_READS.fetch(foot.scale_reads)}.", mark])
      end

      def self.key(wanted)
        new(way: WAYS.fetch("key"), reads: "opening", figure: wanted.length, gives: wanted.length, overall: wanted.overall,
            short: Said["key at %s", wanted.length],
            says: Said["At the first hole, press the reverse key when the first bead is %s long: the opening, without its ends. " \
                       "Every further hole repeats it.", wanted.length])
      end

      def self.lines(wanted)
        new(way: WAYS.fetch("lines"), reads: "opening", figure: wanted.length, gives: wanted.length, overall: wanted.overall,
            short: Said["lines %s apart", wanted.length],
            says: Said["Chalk two lines %s apart for the opening; the ends are sewn outside them, %s in all.",
                       wanted.length, wanted.overall])
      end

      def self.counted(clicks) = clicks == 1 ? "one click" : "#{clicks} clicks"

      def self.longer(gives, wanted)
        over = gives - wanted.length
        return if over <= wanted.foot.click

        Caution.new(rule: "foot", says: Said["Clamped on this button the foot already makes %s, %s more than asked.", gives, over],
                    instead: Said["Clamp a flat stand-in %s wide instead.", wanted.length - wanted.foot.allowance])
      end

      def self.too_large(wanted)
        largest = wanted.foot.largest_button
        return unless largest && wanted.gap > largest

        Caution.new(rule: "carriage", says: Said["The foot opens to %s at most; this wants %s.", largest, wanted.gap],
                    instead: "Use the sliding scale foot and stop at its mark, or a machine that remembers a length.")
      end
    end

    # What a foot is asked for.
    Wanted = Value.define(:foot, :button, :length, :ends) do
      def gap = Opening.clamp_gap(button)
      def overall = length + ends.both
      def unclicked = gap + foot.allowance
    end
  end
end
