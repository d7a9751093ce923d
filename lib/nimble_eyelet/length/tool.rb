# frozen_string_literal: true

# Tool is what somebody holds who keeps to a length: scissors cut to the next mark and never short, a line is drawn
# about so long, and the tail of a thread is measured on the hand. The length itself stays what it is; only what is
# read is rounded, in the marks of whoever reads it.
#
#   Sentence["Have a cord for each hole: %s long.", Tool::SCISSORS.at(Length.mm(290))].in(:in)   # … 11 1/2 in long.

require_relative "../value"
require_relative "length"
require_relative "wording"

module NimbleEyelet
  # A length that is read by a tool. length - Length; tool - Tool
  class ToolLength < Value.of(:length, :tool)
    # @param unit [Symbol] :mm, :cm or :in
    # @return [String] figure and unit
    def in(unit) = tool.words(length, unit)

    # @return [Float] mm, as it is before anybody rounds it
    def to_f = length.to_f
  end

  # marks - Hash{Symbol => Length} by :mm and :in; up - Boolean, never short; says - Hash{Symbol => Symbol}, by the unit
  #   of whoever reads, the one that stands behind the figure where it is another
  class Tool < Value.of(:marks, :up, says: {})
    # @param length [Length]
    # @return [ToolLength]
    def at(length) = ToolLength.new(length: length, tool: self)

    # @param length [Length]
    # @param unit [Symbol] :mm, :cm or :in
    # @return [Length] on a mark of this tool
    def kept(length, unit)
      mark = marks.fetch(unit == :in ? :in : :mm)
      up ? length.round_up_to(mark) : length.round_to(mark)
    end

    # @param length [Length]
    # @param unit [Symbol] :mm, :cm or :in
    # @return [String] figure and unit
    def words(length, unit)
      Wording.by_hand(kept(length, unit), says.fetch(unit, unit))
    end

    SCISSORS = new(marks: { mm: Length.mm(5), in: Length.inches(1r / 4) }, up: true)
    CHALK_LINE = new(marks: { mm: Length.mm(1), in: Length.inches(1r / 8) }, up: false)
    HAND_SPAN = new(marks: { mm: Length.mm(10), in: Length.inches(1r / 2) }, up: false,
                    says: { mm: :cm })
    # What comes off a spool, and what a spool holds.
    SPOOL = new(marks: { mm: Length.mm(100), in: Length.inches(18) }, up: true, says: { mm: :m, cm: :m, in: :yd })
    FULL_SPOOL = SPOOL.with(marks: { mm: Length.mm(10_000), in: Length.inches(360) })
  end
end
