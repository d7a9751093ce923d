# frozen_string_literal: true

# Run is the line the holes sit on as a person describes it: its length from the datum (the top
# finished edge), where the first and last hole go or how many there are, which points must have a
# hole, and which stretches must not.
#
#   run = Placket::Run.new(run_length: Length.mm(620), use: "shirt", orientation: "vertical", extension: Length.mm(18),
#                          edge: "ten", grid: "millimetre", seat: "upper")
#   run.grid_ruler.step   # 1 mm

require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/ruler"
require_relative "../spacing/demands"
require_relative "../typing/limit"
require_relative "../value"
require_relative "place"

module NimbleEyelet
  module Placket
    # What the closure is for, with the gap that is usual there.
    # thing - String, what it is called in a sentence; child - Boolean, a child wears it
    # button - Length or nil, the diameter that is usual
    Use = Value.of(:key, :name, :usual_gap, :least_gap, :most_gap, thing: "garment", child: false, button: nil)

    USES = [
      Use.new(key: "shirt", name: "shirt or blouse", button: Length.mm(23r / 2), usual_gap: Length.mm(85),
              least_gap: Length.mm(70), most_gap: Length.mm(100)),
      Use.new(key: "coat", name: "jacket or coat", button: Length.mm(23), usual_gap: Length.mm(110),
              least_gap: Length.mm(90), most_gap: Length.mm(150)),
      Use.new(key: "small", name: "small opening", usual_gap: Length.mm(28),
              least_gap: Length.mm(15), most_gap: Length.mm(40)),
      Use.new(key: "children", name: "children's wear", button: Length.mm(23r / 2), usual_gap: Length.mm(60),
              least_gap: Length.mm(50), most_gap: Length.mm(70), child: true),
      Use.new(key: "knitwear", name: "cardigan or knitwear", button: Length.mm(18), usual_gap: Length.mm(75),
              least_gap: Length.mm(50), most_gap: Length.mm(100)),
      Use.new(key: "trousers", name: "trousers or skirt", button: Length.mm(17), usual_gap: Length.mm(75), least_gap: Length.mm(30),
              most_gap: Length.mm(100)),
      Use.new(key: "bedding", name: "cover or bedding", button: Length.mm(16), usual_gap: Length.mm(150), least_gap: Length.mm(100), most_gap: Length.mm(200),
              thing: "cover"),
      Use.new(key: "curtain", name: "curtain", usual_gap: Length.mm(120), least_gap: Length.mm(80),
              most_gap: Length.mm(200), thing: "curtain"),
      Use.new(key: "bag", name: "bag", button: Length.mm(18), usual_gap: Length.mm(60), least_gap: Length.mm(15), most_gap: Length.mm(150), thing: "bag")
    ].to_h { |use| [use.key, use] }.freeze

    ORIENTATIONS = { "vertical" => "along the edge", "horizontal" => "across the edge" }.freeze

    # How far the outer end of a hole stays from the finished edge; people were taught differently.
    # Whoever goes by the pattern's centre line keeps to that, and only off the edge where a hole would tear out.
    EDGE_SCHOOLS = { "ten" => Length.mm(10), "six" => Length.mm(6), "thirteen" => Length.mm(13),
                     "pattern" => Length.zero }.freeze
    EDGE_NAMES = EDGE_SCHOOLS.to_h { |key, length| [key, Sentence["%s", length]] }
                             .merge("pattern" => "the pattern's centre line").freeze

    # A button sits this far below the upper end of a vertical hole.
    SEAT_BELOW = Length.mm(3)

    # Where the button sits in a vertical hole.
    SEATS = { "upper" => Sentence["%s below the upper end", SEAT_BELOW], "centre" => "in the middle" }.freeze

    # How holes follow each other.
    Pattern = Value.of(:key, :name, :says)

    PATTERNS = [
      Pattern.new(key: "even", name: "evenly", says: "Every gap as much like the others as can be."),
      Pattern.new(key: "clusters", name: "in clusters", says: "Two or more close together, then a long gap."),
      Pattern.new(key: "ribbon", name: "for a ribbon", says: "Equal steps and an even number: both ends come out on the same side.")
    ].to_h { |pattern| [pattern.key, pattern] }.freeze

    # The first hole on a collar stand often lies across while the rest run along.
    FIRST_LIES = { "as_rest" => "like the rest", "across" => "across, on the collar stand" }.freeze

    # Which front lies on top.
    OVERLAPS = { "right" => "right over left", "left" => "left over right" }.freeze

    # @param overlap [String] key of OVERLAPS
    # @return [String] the one of its mirror image
    def self.mirrored(overlap) = OVERLAPS.keys.find { |other| other != overlap }

    # Of a side that closes right over left the finished edge is at the right, as it is seen right side up with its top
    # away; that of the other side is at the left.
    #
    # @param overlap [String] key of OVERLAPS
    # @return [Boolean]
    def self.edge_at_right?(overlap) = overlap == "right"

    # One row of holes, or two mirrored on either side of the centre line.
    ROWS = { "single" => "one row", "double" => "two mirrored rows" }.freeze

    # More wishes than anybody has for one row; each makes it longer to weigh them all.
    MOST_WISHES = 2

    # What a pin holds: the button stops the gaping, so it is the button unless somebody says otherwise.
    HOLDS = { "button" => "the button", "hole" => "the hole's middle" }.freeze

    # id - String, what the row is known by; at - Length from the datum; label - String, such as "fullest point"
    # weight - Integer, how strongly a hole is wanted there; 0 is a must; holds - String, key of HOLDS
    class Pin < Value.of(:at, id: "", label: "", weight: 0, holds: "button")
      def must? = weight.zero?
      def hole? = holds == "hole"
    end

    # What lies in the way: a ridge only tilts the foot, a no-go takes no hole.
    OBSTACLES = { "no_go" => "no hole here", "ridge" => "only a ridge" }.freeze
    # A seam given as one place is kept clear by this on either side.
    SEAM = Length.mm(5)
    # From here on the strip of one side takes more sheets than anybody cares to lay together.
    LONG_RUN = Length.mm(700)

    # id - String, what the row is known by; from - Length from the datum; to - Length, or nil for a seam at one place
    # label - String, such as "pocket"; kind - String, key of OBSTACLES
    class KeepOut < Value.of(:from, to: nil, id: "", label: "", kind: "no_go")
      def ridge? = kind == "ridge"

      # @return [Length] where it begins and ends, a seam with its allowance
      def upper = to ? from : from - SEAM
      def lower = to || (from + SEAM)
    end

    # first, last - Length or nil; count, count_most - Integer or nil; wished_gap - Length or nil
    # least_gap, most_gap - Length or nil, which no gap may pass; pattern - String, key of PATTERNS
    # together - Integer, holes of a cluster; inner_gap - Length or nil, between them
    # stand - Length or nil, height of a collar stand above the front, whose hole lies across at half of it
    # drop - Length or nil, from the stand's button to the first on the front
    # place - String, key of PLACES; first_lies, overlap, rows - String; offset - Length of each of two rows from the
    #   centre line
    class Run < Value.of(:run_length, :use, :orientation, :extension, :edge, :grid, :seat, first: nil, last: nil,
                         count: nil, wished_gap: nil, pins: [], keep_outs: [], count_most: nil, least_gap: nil,
                         most_gap: nil,
                         pattern: "even", together: 2, inner_gap: nil, first_lies: "as_rest", overlap: "right", rows: "single",
                         offset: Length.mm(60), place: "front", stand: nil, drop: nil)
      gap = Typing::Limit.length(5, 500)
      place = Typing::Limit.length(0, 3000, open: true)
      LIMITS = {
        run_length: place, first: place, last: place, wished_gap: gap, least_gap: gap, most_gap: gap, inner_gap: gap,
        extension: Typing::Limit.length(0, 200, open: true), offset: Typing::Limit.length(0, 300, open: true),
        count: Typing::Limit.whole(1..Spacing::MOST_HOLES), count_most: Typing::Limit.whole(1..Spacing::MOST_HOLES),
        together: Typing::Limit.whole(2..6), stand: Typing::Limit.length(15, 80), drop: Typing::Limit.length(30, 150)
      }.freeze
      # From the button of a collar stand to the first on the front: 60 to 75.
      USUAL_DROP = Length.mm(65)
      # Where a row of a list may lie.
      PLACE = Typing::Limit.length(0, 3000)
      # Rows of each list.
      MOST = { pins: 20, keep_outs: 50 }.freeze

      def vertical? = orientation == "vertical"
      def usage = USES.fetch(use)
      def measured_from = PLACES.fetch(place).measured_from
      def grid_ruler = Ruler.fetch(grid)
      def edge_distance = EDGE_SCHOOLS.fetch(edge)
      def gap_wished = wished_gap || usage.usual_gap
      def clustered? = pattern == "clusters"
      def double? = rows == "double"

      # @return [Boolean] whether the first hole lies otherwise than the rest
      def first_across? = vertical? && (first_lies == "across" || !stand.nil?)

      # @return [Length, nil] where the hole of the collar stand lies
      def stand_place = stand && (stand / 2)

      # @return [Run] without its collar stand: what is spaced evenly
      def front
        return self unless stand

        with(stand: nil, drop: nil, first_lies: "as_rest", first: first || (stand_place + (drop || USUAL_DROP)),
             count: count && [count - 1, 1].max, count_most: count_most && [count_most - 1, 1].max)
      end

      def long? = run_length > LONG_RUN
      def musts = pins.select(&:must?)

      # @return [Array<KeepOut>] that take no hole
      def no_goes = keep_outs.reject(&:ridge?)

      # Checks what can be checked without knowing the hole.
      #
      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limit.check_all(check, "placket", self, LIMITS)
          check.expect("placket.count_most", count_most, count_most.nil? || (!count.nil? && count_most >= count),
                       "This is the upper end of a range: not less than how many, and at most #{Spacing::MOST_HOLES}.")
          check_places(check)
        end
        self
      end

      private

      def check_places(check)
        { "placket.first" => first, "placket.last" => last }.each do |field, place|
          check.expect(field, place, place.nil? || place <= run_length, Sentence["The edge is %s long.", run_length])
        end
        if first && last
          check.expect("placket.last", last, last >= first,
                       Sentence["The last hole lies below the first, which is at %s.", first])
        end
        if least_gap && most_gap
          check.expect("placket.most_gap", most_gap, most_gap >= least_gap, Sentence["Not less than the least gap, %s.", least_gap])
        end
        check_pins(check)
        keep_outs.each { |keep_out| check_keep_out(check, keep_out) }
      end

      def check_pins(check)
        check.expect("placket.pins", "", pins.map(&:at).uniq.size == pins.size, "Two pins stand on one spot: one is enough.")
        wishes = pins.count { |pin| !pin.must? }
        check.expect("placket.pins", wishes, wishes <= MOST_WISHES,
                     "At most #{MOST_WISHES} wishes on one run; pins that must be hit may be more.")
        pins.each { |pin| check_pin(check, pin) }
      end

      def check_pin(check, pin)
        least = first || Length.zero
        most = last || run_length
        check.expect("placket.pins.#{pin.id}.at", pin.at, pin.at.between?(least, most),
                     Sentence["A pin lies on the edge between the first and the last hole, from %s to %s.", least, most])
      end

      def check_keep_out(check, keep_out)
        path = "placket.keep_outs.#{keep_out.id}"
        on_run = Sentence["This lies beyond the edge, which is %s long.", run_length]
        return unless check.expect("#{path}.from", keep_out.from, keep_out.from <= run_length, on_run) && keep_out.to

        check.expect("#{path}.to", keep_out.to, keep_out.to > keep_out.from,
                     Sentence["Write more than %s here, where it begins; or leave this empty for a seam at that place.",
                              keep_out.from])
        check.expect("#{path}.to", keep_out.to, keep_out.to <= run_length, on_run)
      end
    end
  end
end
