# frozen_string_literal: true

# Button is one button as measured in the hand: its shape, its largest width, its height without
# the shank, and how it is attached.
#
#   button = Button.new(shape: "flat", diameter: Length.mm(18), thickness: Length.mm(3),
#                       attachment: "four_holes", hole_spacing: Length.mm(3), hole_diameter: Length.mm(1.8))
#   button.half_perimeter   # 21 mm

require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../typing/limits"
require_relative "../value"
require_relative "button_shape"

module NimbleEyelet
  # key - String; name - String; holes - Integer, number of holes
  Attachment = Value.of(:key, :name, :holes)

  ATTACHMENTS = [
    Attachment.new(key: "two_holes", name: "two holes", holes: 2),
    Attachment.new(key: "four_holes", name: "four holes", holes: 4),
    Attachment.new(key: "shank", name: "shank", holes: 0)
  ].to_h { |attachment| [attachment.key, attachment] }.freeze

  # width - Length or nil, the smallest width of a shape that is not round
  # outline - Outline or nil, of a shape with many corners
  class Button < Value.of(:name, :shape, :attachment, :diameter, :thickness, :hole_spacing, :hole_diameter, :width,
                          :outline, name: "", width: nil, outline: nil)
    # @return [ButtonShape]
    def form = ButtonShape.fetch(shape)

    def holes = ATTACHMENTS.fetch(attachment).holes
    def shank? = holes.zero?

    # Height without the shank; for balls it follows from the diameter.
    # @return [Length]
    def height
      case shape
      when "ball" then diameter
      when "half_ball" then diameter / 2
      else thickness
      end
    end

    # @return [Length] largest width: measured, or from the corners
    def across = cornered? ? outline.largest_width : diameter

    # @return [Length] smallest width: measured, from the corners, or the diameter of what is round
    def narrow
      return outline.caliper_width if cornered?

      form.measured?(:width) && width ? width : diameter
    end

    # @return [Length] H, half-perimeter of the smallest section the button can be turned to
    def half_perimeter = form.half_perimeter(diameter, height, narrow)

    # @return [Array<Array(Float, Float)>] outline of that section, mm
    def section = form.section(diameter, height, narrow)

    # @return [Array<Array(Float, Float)>, nil] the button from the front, middle at 0; nothing when round
    def face
      return form.face(diameter, height, narrow) unless cornered?

      lows, highs = outline.points.transpose.map(&:minmax).transpose
      outline.points.map { |point| point.each_index.map { |axis| (point[axis] - ((lows[axis] + highs[axis]) / 2)).to_f.round(3) } }
    end

    # Middle of each hole seen from the front.
    # @return [Array<Array(Float, Float)>] x and y in mm from the middle of the button
    def hole_places
      half = hole_spacing.to_f / 2
      { 2 => [[-half, 0.0], [half, 0.0]],
        4 => [[-half, -half], [half, -half], [half, half], [-half, half]] }.fetch(holes, [])
    end

    # Distance from the middle to the outer edge of a hole.
    # @return [Float] mm
    def hole_reach
      reach = holes == 4 ? hole_spacing.to_f * Math.sqrt(2) / 2 : hole_spacing.to_f / 2
      reach + (hole_diameter.to_f / 2)
    end

    # @return [self]
    # @raise [Refusal] naming every field that cannot be as given
    def validate
      Refusal.unless_valid do |check|
        sized = { "button.diameter" => across, "button.thickness" => height, "button.width" => width || narrow }.map do |field, length|
          Typing::Limits.check(check, field, length)
        end
        check_thickness(check) if sized.all?
        check_holes(check) if sized.all? && !shank?
      end
      self
    end

    private

    def cornered? = form.measured?(:outline) && !outline.nil?

    def check_thickness(check)
      check.expect("button.thickness", height, height <= across,
                   Sentence["A button is not thicker than it is wide: at most %s. Turn it and measure again.", across])
      check.expect("button.width", narrow, narrow <= across,
                   Sentence["The smallest width is not more than the largest, %s.", across])
    end

    def check_holes(check)
      sound = { "button.hole_spacing" => hole_spacing, "button.hole_diameter" => hole_diameter }.map do |field, length|
        Typing::Limits.check(check, field, length)
      end
      return unless sound.all?

      check.expect("button.hole_spacing", hole_spacing, hole_spacing >= hole_diameter,
                   Sentence["Holes %s wide run into each other: the spacing, middle to middle, is at least that.",
                            hole_diameter])
      check.expect("button.hole_spacing", hole_spacing, 2 * hole_reach < narrow.to_f,
                   Sentence["The holes would lie outside a button %s wide: measure from the middle of one hole " \
                            "to the middle of its neighbour.", narrow])
    end
  end
end
