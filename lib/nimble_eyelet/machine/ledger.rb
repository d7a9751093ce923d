# frozen_string_literal: true

# Ledger keeps what on the machine is away from neutral, and how each thing goes back.
#
#   ledger = Ledger.empty.changed("tension" => "3")
#   ledger.entries.map(&:name)   # => ["presser foot", "top tension"]

require_relative "../older_words"
require_relative "../style/style"
require_relative "../value"
require_relative "foot"
require_relative "needle"

module NimbleEyelet
  # One thing on a machine that can be away from neutral.
  #
  # neutral - String, what it is when nothing is moved; back - String, the step that puts it back
  # hands_near - Boolean, hands come near the needle for it; stays - Boolean, nobody puts it back: it is known, and that
  #   is all
  # goes_with - String or nil, key of the part that takes it along when it goes back
  # passing - Boolean, it comes and goes within a hole: it is needed for the sewing, and never set for a row
  # names - Proc from a state that is a key to what it is called, or nil
  class MachinePart < Value.of(:key, :name, :neutral, :back, hands_near: false, stays: false, goes_with: nil,
                               passing: false, names: nil)
    # @param state [Length, String, nil] as a ledger keeps it
    # @return [Length, String, nil] as people read it
    def called(state) = (names && state.is_a?(String) && names.call(state)) || state

    # @param notches [Integer] of the balance from its middle
    # @return [String, nil] nothing in its middle
    def self.notches(notches)
      return if notches.zero?

      count = notches.abs == 1 ? "1 notch" : "#{notches.abs} notches"
      "#{count} to the side sewn #{notches.positive? ? 'towards' : 'away from'} you"
    end
  end

  # What a selector stands at beside the straight stitch: a style of STYLES, or one of these.
  SELECTED = { "zigzag" => "zigzag", "bar_tack_programme" => "the bar tack" }.freeze

  MACHINE_PARTS = [
    MachinePart.new(key: "button_in_foot", name: "button in the foot", neutral: "none", back: "Take the button out of the foot."),
    MachinePart.new(key: "foot_opened", name: "foot opened further", neutral: "not", back: "Push the foot together again.",
                    goes_with: "button_in_foot"),
    MachinePart.new(key: "lever", name: "buttonhole lever", neutral: "up", back: "Push the buttonhole lever up.", passing: true),
    MachinePart.new(key: "cycle", name: "programme", neutral: "at its first part", back: "Take the machine back to the start of a buttonhole.", stays: true,
                    passing: true),
    MachinePart.new(key: "memory", name: "stored length", neutral: "forgotten", back: "Clear the memory."),
    MachinePart.new(key: "cover_plate", name: "cover plate", neutral: "off", back: "Take the cover plate off the feed dogs.",
                    hands_near: true),
    MachinePart.new(key: "feed_dogs", name: "feed dogs", neutral: "feeding",
                    back: "Raise the feed dogs. They rise only at the next stitch: sew one on a scrap."),
    MachinePart.new(key: "selector", name: "selector", neutral: "straight stitch",
                    back: "Turn the selector back to straight stitch, needle up.",
                    names: ->(state) { SELECTED[state] || STYLES[state]&.then { |style| "the buttonhole: #{style.name}" } }),
    MachinePart.new(key: "bobbin_finger", name: "bobbin finger", neutral: "not threaded", back: "Take the bobbin thread out of its finger.",
                    hands_near: true),
    MachinePart.new(key: "balance", name: "balance", neutral: "in the middle", back: "Turn the balance back to the middle.",
                    names: ->(state) { MachinePart.notches(state.to_i) if state.match?(/\A-?\d+\z/) }),
    MachinePart.new(key: "foot_pressure", name: "foot pressure", neutral: "your usual",
                    back: "Turn the foot pressure back to your usual."),
    MachinePart.new(key: "speed", name: "speed limiter", neutral: "your usual", back: "Set the speed limiter back to your usual."),
    MachinePart.new(key: "tension", name: "top tension", neutral: "your usual", back: "Turn the top tension back to your usual."),
    MachinePart.new(key: "width", name: "stitch width", neutral: "your usual", back: "Set the stitch width to your usual."),
    MachinePart.new(key: "length", name: "stitch length", neutral: "your usual", back: "Set the stitch length to your usual."),
    MachinePart.new(key: "needle", name: "needle", neutral: "your usual", back: "Put your usual needle back.",
                    hands_near: true, names: ->(state) { Needle.called(state) }),
    MachinePart.new(key: "foot", name: "presser foot", neutral: "your usual foot", back: "Put your usual foot back.", hands_near: true,
                    names: ->(state) { FOOT_KINDS[state]&.name }),
    MachinePart.new(key: "top_thread", name: "top thread", neutral: "whatever is on it", back: "Leave the thread on.", stays: true),
    MachinePart.new(key: "bobbin_thread", name: "bobbin", neutral: "whatever is on it", back: "Leave the bobbin in.", stays: true)
  ].to_h { |part| [part.key, part] }.freeze

  # part - MachinePart; now - Length or String
  class LedgerEntry < Value.of(:part, :now)
    def name = part.name
  end

  # state - Hash of part key to what it is now; a part that is absent is neutral, and UNKNOWN is never as anybody wants
  #   it
  class Ledger < Value.of(:state)
    # What a part is when nobody can say: the machine was off, and may have kept it or not.
    UNKNOWN = "unknown"

    def self.empty = new(state: {}.freeze)

    # @param state [Hash{String => Length, String, nil}] as it was kept, by this version or an earlier one
    # @return [Ledger]
    def self.kept(state) = empty.changed(OlderWords.states(state))

    # @param changes [Hash{String => Length, String, nil}] nil puts a part back to neutral
    # @return [Ledger]
    def changed(changes) = Ledger.new(state: state.merge(changes).compact.freeze)

    # @return [Array<LedgerEntry>] in the order in which they are put back
    def entries
      MACHINE_PARTS.each_value.filter_map do |part|
        LedgerEntry.new(part: part, now: state[part.key]) if state.key?(part.key) && !part.stays && !state.key?(part.goes_with)
      end
    end

    # @param needs [Hash{String => Length, String, nil}]
    # @return [Array<MachinePart>] what comes and goes within a hole, and is in the way of these needs now
    def in_the_way(needs)
      MACHINE_PARTS.each_value.select do |part|
        part.passing && needs.key?(part.key) && needs[part.key].nil? && state[part.key]
      end
    end

    # @param part [MachinePart]
    # @return [Hash{String => nil}] for #changed: it goes back, and what it takes along
    def self.put_back(part)
      gone = MACHINE_PARTS.each_value.select { |one| [one.key, one.goes_with].include?(part.key) }
      gone.to_h { |one| [one.key, nil] }
    end

    # @return [Boolean] whether nothing has to be put back
    def empty? = entries.empty?

    # @param changes [Hash{String => Length, String, nil}]
    # @return [Boolean] whether all of this is so already
    def so?(changes) = changes.all? { |part, wanted| state[part] == wanted && wanted != UNKNOWN }
  end
end
