# frozen_string_literal: true

# Ledger keeps what on the machine is away from neutral, and how each thing goes back.
#
#   ledger = Ledger.empty.changed("tension" => "3")
#   ledger.entries.map(&:name)   # => ["presser foot", "top tension"]

require_relative "../value"

module NimbleEyelet
  # One thing on a machine that can be away from neutral.
  #
  # neutral - String, what it is when nothing is moved; back - String, the step that puts it back
  MachinePart = Value.of(:key, :name, :neutral, :back)

  MACHINE_PARTS = [
    MachinePart.new(key: "button_in_foot", name: "button in the foot", neutral: "none", back: "Take the button out of the foot."),
    MachinePart.new(key: "lever", name: "sensing lever", neutral: "up", back: "Push the sensing lever up."),
    MachinePart.new(key: "memory", name: "stored length", neutral: "cleared",
                    back: "Clear the stored length: select a straight stitch."),
    MachinePart.new(key: "feed_dogs", name: "feed under the button", neutral: "feeding",
                    back: "Let the cloth feed again. Dropped feed dogs rise only at the next stitch: sew one on a scrap."),
    MachinePart.new(key: "tension", name: "top tension", neutral: "your usual", back: "Turn the top tension back to your usual."),
    MachinePart.new(key: "width", name: "stitch width", neutral: "your usual", back: "Set the stitch width to your usual."),
    MachinePart.new(key: "length", name: "stitch length", neutral: "your usual", back: "Set the stitch length to your usual."),
    MachinePart.new(key: "foot", name: "presser foot", neutral: "general zigzag foot",
                    back: "Machine off, hands clear: fit the general zigzag foot.")
  ].to_h { |part| [part.key, part] }.freeze

  # part - MachinePart; now - Length or String
  class LedgerEntry < Value.of(:part, :now)
    def name = part.name
  end

  # state - Hash of part key to what it is now; a part that is absent is neutral
  class Ledger < Value.of(:state)
    def self.empty = new(state: {}.freeze)

    # @param changes [Hash{String => Length, String, nil}] nil puts a part back to neutral
    # @return [Ledger]
    def changed(changes) = Ledger.new(state: state.merge(changes).compact.freeze)

    # @return [Array<LedgerEntry>] in the order in which they are put back
    def entries
      MACHINE_PARTS.each_value.filter_map { |part| LedgerEntry.new(part: part, now: state[part.key]) if state.key?(part.key) }
    end

    def empty? = state.empty?
  end
end
