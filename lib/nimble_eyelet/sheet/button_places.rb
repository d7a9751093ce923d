# frozen_string_literal: true

# ButtonPlaces are where each button goes: through the finished hole as it really lies, or from the plan; and what it
# would do to the closure to take the one for the other, in the stretch from each button to the next.
#
#   ButtonPlaces.of(sheet).rows.map(&:difference)   # => [0 mm, -12 mm, …]

require_relative "../length/length"
require_relative "../value"
require_relative "sheet"

module NimbleEyelet
  # number - Integer; through, planned - Length from the top edge; difference - Length, through the hole less the plan
  # stretch - Length or nil, so much longer the holes lie apart up to the next than the buttons of the plan would
  ButtonPlace = Value.of(:number, :through, :planned, :difference, :stretch)

  # rows - Array<ButtonPlace>, from the top
  class ButtonPlaces < Value.of(:rows)
    # So little is within what a hand marks.
    NOTHING = Length.mm(1r / 2)

    # @param sheet [Sheet]
    # @return [ButtonPlaces, nil] nothing without buttons, or while holes do not fit or are more or fewer than planned
    def self.of(sheet)
      return unless sheet.layout && sheet.plan.button.fastens?

      unsewn = sheet.facts.with(holes: [], mishaps: [])
      planned = (unsewn == sheet.facts ? sheet : Sheet.of(sheet.plan, unsewn)).layout&.holes.to_a
      holes = sheet.layout.holes
      return if planned.size != holes.size

      new(rows: rows(holes, planned.map(&:button)))
    end

    def self.rows(holes, planned)
      off = holes.zip(planned).map { |hole, button| hole.button - button }
      holes.each_with_index.map do |hole, index|
        ButtonPlace.new(number: hole.number, through: hole.button, planned: planned[index], difference: off[index],
                        stretch: off[index + 1] && (off[index + 1] - off[index]))
      end
    end
    private_class_method :rows

    # @return [Boolean] whether it matters by which of the two a button is marked
    def differ? = rows.any? { |row| row.difference.abs > NOTHING }

    # @return [ButtonPlace, nil] the stretch that suffers most when buttons are marked from the plan
    def worst = rows.select { |row| row.stretch && row.stretch.abs > NOTHING }.max_by { |row| row.stretch.abs }
  end
end
