# frozen_string_literal: true

# Facts are what happened at the table, read off the journal: test holes sewn and looked at, steps
# done, holes sewn, notes. Nothing of it is ever changed; what was entered by mistake is withdrawn
# by another entry.
#
#   facts = Sewing::Facts.of(entries)
#   facts.entry_of(step)              # => Entry or nil, that says it was done
#   facts.steps["mark"].done_with     # => { "opening.length" => 22.5 mm }, what it was done with

require_relative "../length/length"
require_relative "../placket/run"
require_relative "../placket/sewn_hole"
require_relative "../swatch/swatch"
require_relative "../value"
require_relative "../work/step"
require_relative "../work/step_key"
require_relative "fact_id"
require_relative "mishap"
require_relative "rescue"

module NimbleEyelet
  module Sewing
    # One entry of the journal.
    #
    # id - String; kind - String, one of KINDS; happened_at - Time
    # about - String or nil, id of the entry it withdraws; step - String or nil, key of a step
    # at, opening - Length or nil, of a hole; done_with - Hash of path to Length or String, what it was done with
    # moves - Hash of machine part to its state afterwards, nil for neutral; swatch - Swatches::Swatch or nil
    # note - String
    class Entry < Value.of(:id, :kind, :happened_at, about: nil, step: nil, at: nil, opening: nil, done_with: {},
                                                     moves: {}, swatch: nil, note: "")
      KINDS = %w[swatch step hole_sewn machine_part mishap note withdrawal].freeze
      # Kinds that say that a step was done.
      STEPS = %w[step hole_sewn].freeze
      # Kinds of what was done to holes, or went wrong there.
      DONE = [*STEPS, "mishap"].to_h { |kind| [kind, true] }.freeze

      def step? = STEPS.include?(kind)

      # @return [Mishap, nil] what went wrong
      def mishap = kind == "mishap" ? MISHAPS[done_with[WHAT]] : nil

      # @return [String] when it happened, to the second, as a test hole has it
      def at_second = happened_at.getutc.strftime("%Y-%m-%dT%H:%M:%SZ")

      # @return [Length, nil] what was measured when it went wrong
      def measured = done_with[MEASURED]

      # @return [Boolean] whether a hole lies elsewhere than it was planned, and it is known which and where
      def moved? = mishap&.hole == "fixed" && !at.nil? && !measured.nil?

      WHAT = "mishap.what"
      MEASURED = "mishap.measured"
    end

    # swatches - Array<Swatches::Swatch>, oldest first; steps - Hash of key to Entry, the newest that stands
    # holes - Array<Placket::SewnHole> by place
    # earlier - Array<Swatches::EarlierSwatch> of other closures, newest first
    # mishaps - Array<Entry> of what went wrong, oldest first
    # today - String, ISO 8601, or nil: to tell what is recent
    # looked_at - Array<Swatches::Swatch>, holes in the garment that were measured: they teach as a test hole does
    # told - Hash of step key to how often it was told that it is done, whatever became of that
    # closure - Integer or nil, whose facts they are
    class Facts < Value.of(swatches: [], steps: {}, holes: [], earlier: [], looked_at: [], mishaps: [], today: nil,
                           told: {}, closure: nil)
      # From the edge to a hole: the widest extension, and a row of buttons beyond its centre line.
      FARTHEST_IN = Length.mm(500)
      # Nor does a zigzag swing farther.
      WIDEST = Length.mm(50)
      private_constant :FARTHEST_IN, :WIDEST

      def self.none = new

      # @param entries [Array<Entry>] oldest first, withdrawn ones among them
      # @param on [Hash] as {#on} takes it
      # @return [Facts]
      def self.of(entries, **on) = read(entries).on(**on)

      # @param entries [Array<Entry>] oldest first, withdrawn ones among them
      # @return [Facts] of whatever machine: simulated test holes are among them
      def self.read(entries)
        withdrawn = entries.filter_map(&:about).to_h { |id| [id, true] }
        done = entries.select { |entry| Entry::DONE.key?(entry.kind) && !withdrawn.key?(entry.id) }
        looked_at, swatches = swatches(entries.filter_map(&:swatch), withdrawn).partition(&:in_garment?)
        new(swatches: swatches, looked_at: looked_at, steps: steps(done), holes: holes(done),
            mishaps: done.select(&:mishap), told: told(entries))
      end

      # @param practice [Boolean] whether it is a practice machine; to a real one what was sewn on such a machine is
      #   nothing
      # @return [Facts] as they count for one closure on one machine
      def on(closure: nil, earlier: [], practice: false, today: nil)
        count = practice ? ->(_) { true } : ->(swatch) { !swatch.simulated }
        with(swatches: swatches.select(&count), looked_at: looked_at.select(&count), closure: closure, today: today,
             earlier: earlier.select { |one| one.swatch.simulated == practice })
      end

      def self.told(entries)
        entries.filter_map { |entry| [entry.step, place(entry)] if entry.step? && entry.step }.tally
               .group_by { |(step, at), _| key_of(step, at) }.transform_values { |all| all.sum(&:last) }
      end

      # What a mishap makes to be done again counts only from then on.
      def self.steps(done)
        done.each_with_object({}) do |entry, steps|
          steps[placed(entry)] = entry if entry.step? && entry.step
          next unless entry.mishap

          happened = entry.step && Work::StepKey.parse(entry.step).name
          entry.mishap.again_at(happened).each { |name| steps.delete(entry.at ? Work::Step.key_at(name, entry.at) : name) }
          elsewhere(entry, steps) if entry.moved?
        end
      end

      # A hole that lies elsewhere is sewn there, and nowhere else.
      def self.elsewhere(entry, steps)
        (Rescue::HOLE + Rescue::CUT + %w[cord]).each do |name|
          done = steps.delete(Work::Step.key_at(name, entry.at)) or next
          steps[Work::Step.key_at(name, entry.measured)] = done.with(at: entry.measured,
                                                                     done_with: { "hole.at" => entry.measured })
        end
      end

      # In the order they were sewn; what was looked at again stands with the first look.
      def self.swatches(all, withdrawn)
        standing = all.reject { |swatch| withdrawn.key?(swatch.id) }
        in_garment, first = Swatches::Swatch.together(all, standing).partition(&:in_garment?)
        numbered = first.each_with_index.map { |swatch, index| swatch.with(number: index + 1) }
        (numbered + in_garment).reject { |swatch| withdrawn.key?(swatch.id) }
      end

      # Steps of a hole go by its place. Older entries name its number, and its place among their figures.
      def self.placed(entry) = key_of(entry.step, place(entry))
      def self.place(entry) = entry.at || entry.done_with["hole.at"]

      def self.key_of(step, at)
        key = at.is_a?(Length) ? Work::StepKey.parse(step) : nil
        key&.numbered? ? Work::Step.key_at(key.name, at) : step
      end

      # A hole sewn twice at one place counts as it was sewn last; what went wrong moves it, changes it or takes it
      # away.
      def self.holes(done)
        done.each_with_object({}) do |entry, holes|
          holes[entry.at] = sewn(entry, holes[entry.at]) if entry.kind == "hole_sewn"
          gone_wrong(entry, holes) if entry.mishap&.hole && entry.at
        end.values.sort_by(&:at)
      end

      def self.sewn(entry, before)
        known = across(entry.done_with) || before.to_h.slice(:from_edge, :lies)
        Placket::SewnHole.new(at: entry.at, opening: entry.opening || before&.opening,
                              width: width(entry.done_with) || before&.width, **known)
      end

      # What a fact of another hand says of it counts only where a hole can lie so.
      def self.across(told)
        from_edge, lies = told.values_at("hole.from_edge", "hole.lies")
        within = from_edge.is_a?(Length) && from_edge.between?(Length.zero, FARTHEST_IN)
        { from_edge: from_edge, lies: lies } if within && Placket::ORIENTATIONS.key?(lies)
      end

      def self.width(told)
        width = told["recipe.stitch_width"]
        width if width.is_a?(Length) && width.between?(Length.zero, WIDEST)
      end

      def self.gone_wrong(entry, holes)
        was = holes[entry.at]
        case entry.mishap.hole
        when "gone" then holes.delete(entry.at)
        when "other" then holes[entry.at] = was.with(opening: entry.measured) if was && entry.measured
        when "fixed"
          return unless entry.measured

          holes.delete(entry.at)
          opening = was&.opening || entry.opening
          was ||= Placket::SewnHole.new(at: entry.at)
          holes[entry.measured] = was.with(at: entry.measured, opening: opening)
        end
      end
      private_class_method :told, :holes, :placed, :place, :key_of, :swatches, :steps, :elsewhere, :gone_wrong, :sewn, :across, :width

      # @param step [Work::Step]
      # @return [Entry, nil] that says it was done; older ones know a button by its own place
      def entry_of(step)
        return steps[step.key] if steps.key?(step.key) || step.name != "button"

        steps.each_value.find do |entry|
          older = Work::StepKey.parse(entry.step)
          older.numbered? && older.name == "button" && entry.done_with["hole.button"] == step.figures["hole.button"]
        end
      end

      # @param step [Work::Step]
      # @param ahead [Integer] how often it is to be done before that
      # @return [String] what the fact will be called that says it was done
      def id_for(step, ahead: 0)
        times = told.fetch(step.key, 0) + ahead
        way_out = Work::StepKey.parse(step.key)
        mishap = way_out.mishap && mishaps.find { |entry| way_out.out_of?(entry.id) }
        return FactId.of("step", closure, step.key, times) if mishap.nil? || times.positive?

        FactId.both(FactId.way_out(way_out.number), mishap.id)
      end

      # @param at [Length] place of a hole
      # @return [String, nil] key of PASSES: how the button went through it, as it was said last
      def through(at) = looked_at.reverse.find { |swatch| swatch.passes && swatch.sewn_with["hole.at"] == at }&.passes

      # @return [Hash{Length => Length}] of holes cut where they should not be, from where they were planned to where
      #   they lie
      def displaced
        mishaps.select(&:moved?).to_h { |entry| [entry.at, entry.measured] }
      end

      # @return [Integer] holes of the row that were begun again or taken out since the last test hole was sewn
      def spoiled
        tested = swatches.filter_map(&:sewn_at).max.to_s
        mishaps.count do |entry|
          entry.at && entry.mishap.spoils? && (entry.happened_at.nil? || entry.at_second > tested)
        end
      end

      # @return [Array<Length>] where holes were cut and closed up again: nothing can be sewn there
      def closed_up
        mishaps.select { |entry| entry.mishap.hole == "gone" && entry.measured }.map(&:measured)
      end

      # @return [Array<Placket::SewnHole>] holes as if none had been displaced
      def holes_as_planned
        displaced.invert.then { |planned| holes.map { |hole| hole.with(at: planned.fetch(hole.at, hole.at)) } }
      end
    end
  end
end
