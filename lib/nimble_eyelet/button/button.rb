# frozen_string_literal: true

# Button is one button as measured in the hand: its shape, its largest width, its height without
# the shank, and how it is attached.
#
#   button = Button.new(shape: "flat", diameter: Length.mm(18), thickness: Length.mm(3),
#                       attachment: "four_holes", hole_spacing: Length.mm(3), hole_diameter: Length.mm(1.8))
#   button.half_perimeter   # 21 mm

require_relative "../answer/reason"
require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../typing/limit"
require_relative "../value"
require_relative "button_shape"

module NimbleEyelet
  # key - String; name - String; holes - Integer, number of holes
  Attachment = Value.of(:key, :name, :holes)

  ATTACHMENTS = [
    Attachment.new(key: "two_holes", name: "two holes", holes: 2),
    Attachment.new(key: "four_holes", name: "four holes", holes: 4),
    Attachment.new(key: "shank", name: "shank", holes: 0),
    Attachment.new(key: "tunnel", name: "tunnel at the back", holes: 0)
  ].to_h { |attachment| [attachment.key, attachment] }.freeze

  # thickness - Length or nil, without the shank: nobody measured it, and it is taken to be as thick as such buttons are
  # width - Length or nil, the smallest width of a shape that is not round
  # outline - Outline or nil, of a shape with many corners
  # shank, shank_width - Length or nil, how high its own shank is and how wide across, where it has one and somebody
  #   measured it
  # tip - Length or nil, half the way round what is at the end of a cord or strap: knot, tip, buckle
  class Button < Value.of(:shape, :attachment, :diameter, :hole_spacing, :hole_diameter, name: "", thickness: nil,
                          width: nil, outline: nil, tip: nil, shank: nil, shank_width: nil)
    LIMITS = {
      diameter: Typing::Limit.length(0, 150, open: true), thickness: Typing::Limit.length(0, 150, open: true),
      width: Typing::Limit.length(0, 150, open: true), hole_spacing: Typing::Limit.length(0, 100, open: true),
      hole_diameter: Typing::Limit.length(0, 20, open: true), tip: Typing::Limit.length(0, 150, open: true),
      shank: Typing::Limit.length(0, 30), shank_width: Typing::Limit.length(0, 30)
    }.freeze

    # @return [ButtonShape]
    def form = ButtonShape.fetch(shape)

    def holes = ATTACHMENTS.fetch(attachment).holes
    def shank? = form.fastens && holes.zero?

    # @return [Boolean] whether it is sewn on and buttoned, not drawn through
    def fastens? = form.fastens

    # @return [Boolean] whether a slit is cut for it; for a bar tack none is
    def opens? = form.opens

    # @return [String] what is sewn for it: a hole or a tack
    def sewn = opens? ? "hole" : "tack"

    # What is said of holes, said of what is sewn here.
    # @param text [String]
    # @param sewn [String] what that is called
    # @return [String]
    def of_sewn(text, sewn = self.sewn)
      return text if sewn == "hole"

      text.gsub(/\b(?:hole|slit)(s?)\b/, "#{sewn}\\1").gsub(/\bHole(s?)\b/, "#{sewn.capitalize}\\1")
    end

    # Height without the shank; for balls it follows from the diameter.
    # @return [Length]
    def height
      { thickness: thickness || form.usual_thickness(across), diameter: diameter,
        half_diameter: diameter / 2 }.fetch(form.height)
    end

    # @return [Boolean] whether its thickness matters and nobody has measured it
    def guessed? = thickness.nil? && form.measured?(:thickness)

    # A guessed button may be a third thinner or thicker than it is taken to be.
    GUESSED_OFF = 1r / 3
    private_constant :GUESSED_OFF

    # @return [Array<Button>] itself; guessed, the thinnest and the thickest it may well be
    def likely
      return [self] unless guessed?

      [1 - GUESSED_OFF, 1 + GUESSED_OFF].map { |share| with(thickness: [height * share, across].min) }
    end

    # @return [Array<Caution>]
    def cautions
      return [] unless guessed?

      [Caution.new(rule: "guessed", says: Sentence["Nobody has measured how thick it is. It is taken to be %s.", height],
                   instead: "Measure it. A guess is the commonest cause of a hole that is too short.")]
    end

    # @return [Float] mm, by how much what has to pass is uncertain for want of measuring: they are two of it either way
    def doubt = likely.map { |one| one.half_perimeter.to_f }.minmax.reduce(:-).abs / 4

    # @return [Length] largest width: measured, or from the corners
    def across = cornered? ? outline.largest_width : diameter

    # @return [Length] smallest width: measured, from the corners, or the diameter of what is round
    def narrow
      return outline.caliper_width if cornered?

      form.measured?(:width) && width ? width : diameter
    end

    # @return [Length] H, half-perimeter of the smallest section it can be turned to; the largest of what has to pass
    def half_perimeter = [form.half_perimeter(diameter, height, narrow), tip].compact.max

    # @return [Array<Array(Float, Float)>] outline of that section, mm
    def section = form.section(diameter, height, narrow)

    # @return [Array<Array(Float, Float)>, nil] the button from the front, middle at 0; nothing when round
    def face
      return form.face(diameter, height, narrow) unless cornered?

      lows, highs = outline.points.transpose.map(&:minmax).transpose
      middle = lows.zip(highs).map { |low, high| (low + high) / 2 }
      outline.points.map { |point| point.zip(middle).map { |place, centre| (place - centre).to_f.round(3) } }
    end

    # @return [Float] how wide each hole is, mm
    def hole_size = hole_diameter.to_f

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
      reach + (hole_size / 2)
    end

    # @return [self]
    # @raise [Refusal] naming every field that cannot be as given
    def validate
      Refusal.unless_valid do |check|
        sized = { diameter: across, thickness: height,
                  width: width || (narrow if cornered?) }.compact.map do |name, length|
          LIMITS.fetch(name).check(check, "button.#{name}", length)
        end
        %i[tip shank shank_width].each do |name|
          length = public_send(name) and LIMITS.fetch(name).check(check, "button.#{name}", length)
        end
        check_widths(check) if sized.all?
        check_holes(check) if sized.all? && fastens? && holes.positive?
      end
      self
    end

    private

    def cornered? = form.measured?(:outline) && !outline.nil?

    def check_widths(check)
      check.expect("button.thickness", height, height <= across,
                   Sentence["A button is not thicker than it is wide: at most %s. Turn it and measure again.", across])
      check.expect("button.width", narrow, narrow <= across,
                   Sentence["The smallest width is not more than the largest, %s.", across])
      check.expect("button.shank_width", shank_width, !shank? || shank_width.nil? || shank_width <= across,
                   Sentence["A shank is not wider than its button: at most %s. Measure across its loop.", across])
    end

    def check_holes(check)
      return unless Typing::Limit.check_all(check, "button", self, LIMITS.slice(:hole_spacing, :hole_diameter))

      check.expect("button.hole_spacing", hole_spacing, hole_spacing >= hole_diameter,
                   Sentence["Holes %s wide run into each other: the spacing, middle to middle, is at least that.",
                            hole_diameter])
      check.expect("button.hole_spacing", hole_spacing, 2 * hole_reach < narrow.to_f,
                   Sentence["The holes would lie outside a button %s wide: measure from the middle of one hole " \
                            "to the middle of its neighbour.", narrow])
    end
  end
end
