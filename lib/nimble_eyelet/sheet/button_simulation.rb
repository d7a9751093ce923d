# frozen_string_literal: true

# ButtonSimulation sews a button on before it is sewn on: every penetration, what it takes, and how far the button may
# lie off its place for every needle and width of this machine.
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

      swings = sheet.attaching.swings
      widths = swings.widths(width || sheet.plan.attach.width)
      path = Stitches::ButtonPath.sew(swings.sewn(widths).with(off: [off.to_f, across.to_f]))
      top, bobbin = thread(sheet, path)
      new(path: path, top: top, bobbin: bobbin, map: map(swings), seconds: seconds(path, swings.machine))
    end

    def self.seconds(path, machine)
      (path.points.size * 60.0 / (machine.top_speed * SLOW)) + (PLACING * path.parts.size)
    end

    # Down through the button, its shank and half of the cloth, and up again, for each stitch; below, half of the cloth.
    # Source: sum of the parts of the way, 15 % waste and 100 mm for each tail.
    def self.thread(sheet, path)
      half = sheet.plan.cloth.stack.to_f / 2
      deep = sheet.plan.button.height.to_f + sheet.attaching.shank.to_f + half
      [with_tails(path, path.travel, deep), with_tails(path, path.parts.sum(&:travel), half)]
    end

    def self.with_tails(path, across, deep)
      sewn = across + (path.points.size * 2 * deep)
      Length.mm(sewn * (1 + Stitches::WASTE.to_f)) + (Stitches::TAIL * path.tails)
    end

    def self.map(swings)
      cells = SIZES.flat_map { |size| widths(swings).map { |width| cell(swings, size, width) } }
      needle = swings.needle.size
      ForgivenMap.new(cells: cells, best: cells.max_by { |one| [one.forgives.round(6), one.size == needle ? 1 : 0, one.size] })
    end

    # Steps of the dial around the spacing, as far as the machine goes.
    def self.widths(swings)
      middle = swings.widths(nil).values.first
      (-AROUND..AROUND).map do |number|
        swings.widths([middle + (swings.machine.width_step * number), Length.zero].max).values.first
      end.uniq
    end

    def self.cell(swings, size, width)
      forgives = Stitches::ButtonPath.forgives(swings.sewn(swings.widths(width), size: size))
      ForgivenCell.new(size: size, width: width, forgives: forgives)
    end
    private_class_method :seconds, :thread, :with_tails, :map, :widths, :cell
  end
end
