# frozen_string_literal: true

# ButtonShape is the table of button shapes: the cross-section that has to pass through the slit, its
# half-perimeter H, and its outline for drawing.
#
#   shape = ButtonShape.fetch("domed")
#   shape.half_perimeter(Length.mm(18), Length.mm(5))   # 19.77 mm
#
# A slit of cut length L opens to a loop of perimeter 2L, so a button passes when the
# half-perimeter H of its smallest cross-section is not more than L.

require_relative "../length/length"
require_relative "../value"
require_relative "section"

module NimbleEyelet
  # key, name - String; clampable - Boolean, lies flat in a carriage foot; end_on - Boolean, passes tip first
  # fastens - Boolean, a button; opens - Boolean, a slit is cut for it; tied - Boolean, it is drawn through and tied
  # noun - String, what it is called in a sentence; ease - Length or nil, where it is not the cloth's
  # attached - String or nil, key of an Attachment: how it is mostly sewn on, where that is not through holes
  # hollow - Boolean, thick only at its rim; height - Symbol, what its height is: :thickness, :diameter, :half_diameter
  # measured  - Array of what a person measures besides the diameter: :thickness, :width, :outline
  # across    - String, what the diameter is called for this shape
  # formula   - String, the formula for H
  # half      - Proc(d, t, w) -> Float mm, of diameter, thickness and smallest width
  # outline   - Proc(d, t, w) -> Array of [x, y] in mm, the section with its middle at x = 0
  # front     - Proc(d, t, w) -> the same for the button seen from the front, or nil where it is round
  # usual     - Proc(d) -> mm, how thick one of this diameter mostly is, by the look of a box of them
  class ButtonShape < Value.of(:key, :name, :measured, :formula, :passes, :half, :outline, across: "Diameter",
                               front: nil, clampable: true, end_on: false, hollow: false, height: :thickness,
                               fastens: true, opens: true, tied: false, noun: "button", ease: nil,
                               attached: nil, usual: ->(d) { 1 + (d / 9) })
    HALF_MILLIMETRE = Length.mm(1r / 2)

    # @param diameter [Length] largest width
    # @param thickness [Length] height without shank
    # @param width [Length] smallest width
    # @return [Length] half-perimeter of the passing section, rounded up to the micrometre
    def half_perimeter(diameter, thickness, width)
      Length.at_least(half.call(diameter.to_f, thickness.to_f, width.to_f))
    end

    # @param diameter [Length]
    # @return [Length] to half a millimetre: how thick one so wide is taken to be until somebody measures it
    def usual_thickness(diameter)
      [usual_of(diameter), diameter].min
    end

    # @return [Array<Array(Float, Float)>] points in mm, y downward, closing on the first
    def section(diameter, thickness, width) = drawn(outline, diameter, thickness, width)

    # @return [Array<Array(Float, Float)>, nil] the button from the front; nothing for a disc
    def face(diameter, thickness, width) = front && drawn(front, diameter, thickness, width)

    def measured?(what) = measured.include?(what)

    # @return [ButtonShape]
    # @raise [KeyError] for a shape not in the table
    def self.fetch(key) = BUTTON_SHAPES.fetch(key)

    private

    def usual_of(diameter)
      thick = Length.mm(usual.call(diameter.millimetres)).round_to(HALF_MILLIMETRE)
      thick.zero? ? HALF_MILLIMETRE : thick
    end

    def drawn(form, *lengths) = form.call(*lengths.map(&:to_f)).map { |point| point.map { |figure| figure.round(3) } }
  end

  BUTTON_SHAPES = [
    ButtonShape.new(
      key: "rounded", name: "flat disc, rounded edge", measured: %i[thickness],
      formula: "H = (D − T) + πT/2", passes: "edge on, as a bar with round ends",
      half: ->(d, t, _w) { d - t + (Math::PI * t / 2) }, outline: ->(d, t, _w) { Section.stadium_outline(d, t) }
    ),
    ButtonShape.new(
      key: "flat", name: "flat disc, square edge", measured: %i[thickness],
      formula: "H = D + T, at most πD/2", passes: "edge on, as a rectangle of diameter by thickness",
      half: ->(d, t, _w) { Section.at_most_flat(d, d + t) }, outline: ->(d, t, _w) { Section.disc_outline(d, t) }
    ),
    ButtonShape.new(
      key: "rimmed", name: "rimmed disc", hollow: true, measured: %i[thickness],
      formula: "H = D + T, T over the rim, at most πD/2", passes: "edge on, rim first, as a rectangle of diameter by rim",
      half: ->(d, t, _w) { Section.at_most_flat(d, d + t) },
      outline: ->(d, t, _w) { d + t > Math::PI * d / 2 ? Section.disc_outline(d, t) : Section.rimmed_outline(d, t) }
    ),
    ButtonShape.new(
      key: "domed", name: "domed, flat back", measured: %i[thickness], usual: ->(d) { d * 3 / 10 },
      formula: "H = (D + arc) / 2, arc over chord D with rise T; above D/2 chord and arc of a ball cut at the back",
      passes: "edge on, as a dome on a flat back",
      half: ->(d, t, _w) { Section.dome_outline_length(d, t) / 2 }, outline: ->(d, t, _w) { Section.dome_outline(d, t) }
    ),
    ButtonShape.new(
      key: "half_ball", attached: "shank", name: "half ball", measured: [], clampable: false, height: :half_diameter,
      formula: "H = (D + πD/2) / 2", passes: "edge on, as half a circle",
      half: ->(d, _t, _w) { (d + (Math::PI * d / 2)) / 2 }, outline: ->(d, _t, _w) { Section.segment_outline(d, d / 2) }
    ),
    ButtonShape.new(
      key: "ball", attached: "shank", name: "ball", measured: [], clampable: false, height: :diameter,
      formula: "H = πD/2", passes: "any way round, as a full circle",
      half: ->(d, _t, _w) { Math::PI * d / 2 }, outline: ->(d, _t, _w) { Section.circle(d) }
    ),
    ButtonShape.new(
      key: "square", name: "square or rectangle", measured: %i[width thickness], across: "Longer side",
      formula: "H = shorter side + T, at most half the outline", passes: "narrow side first, as a rectangle of shorter side by thickness",
      half: ->(d, t, w) { w + [t, d].min }, outline: ->(_d, t, w) { Section.rectangle_outline(w, t) },
      front: ->(d, _t, w) { Section.rectangle_outline(d, w) }
    ),
    ButtonShape.new(
      key: "polygon", name: "many corners", measured: %i[outline thickness],
      formula: "H = smallest caliper width + T", passes: "turned to its narrowest, as a rectangle of that width by thickness",
      half: ->(_d, t, w) { w + t }, outline: ->(_d, t, w) { Section.rectangle_outline(w, t) }
    ),
    ButtonShape.new(
      key: "irregular", name: "irregular", measured: %i[width thickness], across: "Largest width",
      formula: "H = smallest width + T", passes: "turned to its narrowest, as a rectangle of that width by thickness",
      half: ->(_d, t, w) { w + t }, outline: ->(_d, t, w) { Section.rectangle_outline(w, t) },
      front: ->(d, _t, w) { Section.ellipse_outline(d, w) }
    ),
    ButtonShape.new(
      key: "bar", name: "bar or toggle", end_on: true, measured: %i[thickness], across: "Length",
      usual: ->(d) { d / 4 },
      formula: "H = πd/2, d its thickness", passes: "end on, as a circle as wide as it is thick",
      half: ->(_d, t, _w) { Math::PI * t / 2 }, outline: ->(_d, t, _w) { Section.circle(t) },
      front: ->(d, t, _w) { Section.stadium_outline(d, t) }
    ),
    # What is no button: it goes through and stays, and nothing is sewn on for it.
    ButtonShape.new(
      key: "cord", name: "cord or drawstring", fastens: false, tied: true, ease: Length.mm(2), measured: [], across: "Thickness", noun: "cord",
      clampable: false, height: :diameter, formula: "πd/2", passes: "as a circle",
      half: ->(d, _t, _w) { Math::PI * d / 2 }, outline: ->(d, _t, _w) { Section.circle(d) }
    ),
    ButtonShape.new(
      key: "ribbon", name: "ribbon, belt or strap", fastens: false, tied: true, ease: Length.mm(1.5), measured: %i[thickness], across: "Width",
      noun: "ribbon", usual: ->(_d) { 1 }, clampable: false, formula: "w + T", passes: "edge on, as a rectangle of width by thickness",
      half: ->(d, t, _w) { d + t }, outline: ->(d, t, _w) { Section.rectangle_outline(d, t) },
      front: ->(d, _t, _w) { Section.rectangle_outline(d, d / 2) }
    ),
    ButtonShape.new(
      key: "hook", name: "hook, by its wire", fastens: false, ease: Length.mm(2), measured: [], across: "Wire", noun: "hook",
      clampable: false, height: :diameter, formula: "wire Ø", passes: "as its wire", half: ->(d, _t, _w) { d },
      outline: ->(d, _t, _w) { Section.circle(d) }
    ),
    ButtonShape.new(
      key: "ring", name: "ring, the whole of it", fastens: false, ease: Length.mm(1), measured: %i[thickness], across: "Outer width",
      noun: "ring", usual: ->(d) { d / 8 }, clampable: false, formula: "outer width + wire Ø", passes: "edge on, as a bar of wire",
      half: ->(d, t, _w) { d + t }, outline: ->(d, t, _w) { Section.rectangle_outline(d, t) }
    ),
    # Nothing goes through at all: what is sewn holds layers together.
    ButtonShape.new(
      key: "bar_tack", name: "nothing: a bar tack", fastens: false, opens: false, ease: Length.zero, measured: [],
      across: "Length of the tack",
      noun: "tack", clampable: false, height: :half_diameter, formula: "as long as its place wants",
      passes: "it holds layers together",
      half: ->(d, _t, _w) { d }, outline: ->(d, _t, _w) { Section.rectangle_outline(d, 2.0) }
    )
  ].to_h { |shape| [shape.key, shape] }.freeze
end
