# frozen_string_literal: true

# ButtonSimulation sews a button on before it is sewn on: every penetration, what it takes, and how far the button may lie
# off its place for every needle and width of this machine.
#
#   simulation = ButtonSimulation.of(sheet, off: Length.mm(0.3))
#   simulation.path.strikes.any?   # => false
#   simulation.map.best            # => cell with the most room

require_relative "../length/length"
require_relative "../stitch/button_path"
require_relative "../stitch/reckoning"
require_relative "../value"

module NimbleEyelet
  # One needle at one width. size - Integer; width - Length on the dial; forgives - Float mm
  ForgivenCell = Value.of(:size, :width, :forgives)

  # cells - Array<ForgivenCell>; best - ForgivenCell
  ForgivenMap = Value.of(:cells, :best)

  # path - Stitches::ButtonPath; top, bobbin - Length of thread for one button, with tails and waste
  # seconds - Float; map - ForgivenMap
  class ButtonSimulation < Value.of(:path, :top, :bobbin, :seconds, :map)
    # Buttons are sewn slowly, at this share of top speed; placing a pair takes so many seconds.
    SLOW = 0.15
    PLACING = 15
    # Widths beside the hole spacing that are worth a look, steps of the dial.
    AROUND = 3
    # Needles for sewing buttons on.
    SIZES = [70, 75, 80, 90, 100, 110].freeze

    # @param sheet [Sheet] of a button with holes
    # @param off [Length] how far the button lies off its place, along the swing
    # @param across [Length] and across it
    # @param width [Length, nil] another setting of the dial
    # @return [ButtonSimulation, nil] nothing for a button without holes
    def self.of(sheet, off: Length.zero, across: Length.zero, width: nil)
      return if sheet.plan.button.holes.zero?

      sewn = sewn(sheet, sheet.recipe.needle.value.size, set(sheet, width)).with(off: [off.to_f, across.to_f])
      path = Stitches::ButtonPath.sew(sewn)
      top, bobbin = thread(sheet, path)
      new(path: path, top: top, bobbin: bobbin, map: map(sheet),
          seconds: (path.points.size * 60.0 / (sheet.plan.machine.top_speed * SLOW)) + (PLACING * path.parts.size))
    end

    def self.set(sheet, width) = sheet.plan.machine.width_settable(width || sheet.plan.attach.width || span(sheet))

    def self.span(sheet)
      spacing = sheet.plan.button.hole_spacing
      diagonal = sheet.plan.button.holes == 4 && sheet.attaching.pattern.diagonal
      diagonal ? Length.mm(spacing.to_f * Math.sqrt(2)) : spacing
    end

    def self.sewn(sheet, size, width)
      plan = sheet.plan
      Stitches::ButtonSewn.new(spacing: plan.button.hole_spacing.to_f, hole: plan.button.hole_diameter.to_f, needle: size / 100.0,
                               width: width.to_f, anchor: plan.machine.anchor, stitches: sheet.attaching.stitches,
                               holes: plan.button.holes,
                               pattern: sheet.attaching.pattern.key, carried: plan.attach.carried?)
    end

    # Down through the button, its shank and half of the cloth, and up again, for each stitch; below, half of the cloth.
    # Source: sum of the parts of the way, 15 % waste and 100 mm for each tail.
    def self.thread(sheet, path)
      half = sheet.plan.cloth.stack.to_f / 2
      deep = sheet.plan.button.thickness.to_f + sheet.attaching.shank.to_f + half
      [with_tails(path, path.travel, deep), with_tails(path, path.parts.sum(&:travel), half)]
    end

    def self.with_tails(path, across, deep)
      sewn = across + (path.points.size * 2 * deep)
      Length.mm(sewn * (1 + Stitches::WASTE.to_f)) + (Stitches::TAIL * path.tails)
    end

    def self.map(sheet)
      cells = SIZES.flat_map { |size| widths(sheet).map { |width| cell(sheet, size, width) } }
      needle = sheet.recipe.needle.value.size
      ForgivenMap.new(cells: cells, best: cells.max_by { |one| [one.forgives.round(6), one.size == needle ? 1 : 0, one.size] })
    end

    # Steps of the dial around the spacing, as far as the machine goes.
    def self.widths(sheet)
      machine = sheet.plan.machine
      step = machine.width_step
      middle = machine.width_settable(span(sheet))
      (-AROUND..AROUND).map { |number| machine.width_settable([middle + (step * number), Length.zero].max) }.uniq
    end

    def self.cell(sheet, size, width)
      ForgivenCell.new(size: size, width: width, forgives: Stitches::ButtonPath.forgives(sewn(sheet, size, width)))
    end
    private_class_method :set, :span, :sewn, :thread, :with_tails, :map, :widths, :cell
  end
end
