# frozen_string_literal: true

# Cloth is the cloth under the needle: its kind, its weight and thickness, how far it stretches,
# and how many layers lie at the hole.
#
#   cloth = Cloth.new(kind: "light_woven", thickness: Length.mm(0.25), layers: 2, interfacing: Length.mm(0.2),
#                     weight: 110, stretch: 0)
#   cloth.stack   # 0.7 mm

require_relative "../value"
require_relative "../refused"
require_relative "../measure"

module NimbleEyelet
  # One kind of cloth with the figures typical for it.
  #
  # weight - Integer g/m²; thickness - Length of one layer; stretch - Integer percent
  # nap - Boolean, pile or fluff; heat - Boolean, takes a hot iron; fray - Boolean
  # marking - String, what to mark it with; example - String
  ClothKind = Value.define(:key, :name, :weight, :thickness, :stretch, :nap, :heat, :fray, :marking, :example)

  CLOTH_KINDS = [
    ClothKind.new(key: "light_woven", name: "light woven", weight: 120, thickness: Length.mm(0.25), stretch: 0,
                  nap: false, heat: true, fray: true, marking: "chalk, or a wash-away pen tried on a scrap",
                  example: "shirting, lawn, light linen"),
    ClothKind.new(key: "heavy_woven", name: "heavy woven", weight: 320, thickness: Length.mm(0.7), stretch: 0,
                  nap: false, heat: true, fray: true, marking: "chalk", example: "canvas, denim, coating, flannel"),
    ClothKind.new(key: "knit", name: "knit", weight: 200, thickness: Length.mm(0.6), stretch: 30,
                  nap: false, heat: true, fray: false, marking: "wash-away pen tried on a scrap",
                  example: "jersey, rib, interlock"),
    ClothKind.new(key: "sheer", name: "sheer", weight: 50, thickness: Length.mm(0.12), stretch: 0,
                  nap: false, heat: true, fray: true, marking: "thread tacks",
                  example: "voile, organza, chiffon"),
    ClothKind.new(key: "leather", name: "leather, vinyl or coated", weight: 500, thickness: Length.mm(1), stretch: 0,
                  nap: false, heat: false, fray: false, marking: "chalk or a wax-free pencil: needle holes stay",
                  example: "garment leather, vinyl, waxed or coated cotton"),
    ClothKind.new(key: "pile", name: "pile or felted", weight: 300, thickness: Length.mm(1.4), stretch: 5,
                  nap: true, heat: false, fray: false, marking: "thread tacks",
                  example: "corduroy, velvet, towelling, fleece, felted wool")
  ].to_h { |kind| [kind.key, kind] }.freeze

  # weight - Integer g/m²; stretch - Integer percent; layers - Integer of cloth at the hole
  Cloth = Value.define(:name, :kind, :weight, :thickness, :layers, :interfacing, :stretch, name: "") do
    # @return [ClothKind]
    def type = CLOTH_KINDS.fetch(kind)

    # @return [Length] thickness of all layers and the interfacing at the hole
    def stack = (thickness * layers) + interfacing

    # What the cloth's own fold takes from the opening: half the stack.
    # @return [Length]
    def fold = stack / 2

    # How much further the opening reaches when the cloth gives: 1 + 0.3 × stretch.
    # @return [Rational]
    def give = 1 + (Cloth::STRETCH_SHARE * stretch / 100)

    # @return [self]
    # @raise [Refused]
    def sound!
      Refused.unless_sound do |check|
        Measure::Limits.check(check, "cloth.thickness", thickness)
        Measure::Limits.check(check, "cloth.interfacing", interfacing)
        Cloth::COUNTS.each do |name, range|
          check.that("cloth.#{name}", self[name], range.cover?(self[name]),
                     "This takes a whole number from #{range.min} to #{range.max}.")
        end
      end
      self
    end
  end

  # Share of the cloth's stretch that a slit takes part in.
  Cloth::STRETCH_SHARE = 3r / 10

  Cloth::COUNTS = { weight: 10..1500, layers: 1..12, stretch: 0..200 }.freeze
end
