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
  # perforates - Boolean, needle holes stay and tear; washed - Boolean, as a rule
  # pressure - String, of the foot
  ClothKind = Value.define(:key, :name, :weight, :thickness, :stretch, :nap, :heat, :fray, :marking, :example, :perforates, :washed,
                           :pressure, perforates: false, washed: true, pressure: "usual foot pressure")

  # Cloth that the foot pushes along wants less of it.
  LIGHTER = "foot pressure one step lighter"

  CLOTH_KINDS = [
    ClothKind.new(key: "light_woven", name: "light woven", weight: 120, thickness: Length.mm(0.25), stretch: 0,
                  nap: false, heat: true, fray: true, marking: "chalk, or a wash-away pen tried on a scrap",
                  example: "shirting, lawn, light linen"),
    ClothKind.new(key: "heavy_woven", name: "heavy woven", weight: 320, thickness: Length.mm(0.7), stretch: 0,
                  nap: false, heat: true, fray: true, marking: "chalk", example: "canvas, denim, coating, flannel"),
    ClothKind.new(key: "knit", name: "knit", weight: 200, thickness: Length.mm(0.6), stretch: 30,
                  nap: false, heat: true, fray: false, marking: "wash-away pen tried on a scrap",
                  example: "jersey, rib, interlock", pressure: LIGHTER),
    ClothKind.new(key: "sheer", name: "sheer", weight: 50, thickness: Length.mm(0.12), stretch: 0,
                  nap: false, heat: true, fray: true, marking: "thread tacks",
                  example: "voile, organza, chiffon"),
    ClothKind.new(key: "leather", name: "leather or vinyl", weight: 500, thickness: Length.mm(1), stretch: 0,
                  nap: false, heat: false, fray: false, marking: "chalk or a wax-free pencil: needle holes stay",
                  example: "garment leather, suede, vinyl", perforates: true, washed: false),
    ClothKind.new(key: "coated", name: "coated or waxed", weight: 250, thickness: Length.mm(4r / 10), stretch: 0,
                  nap: false, heat: false, fray: false, marking: "chalk or a wax-free pencil: needle holes stay",
                  example: "waxed cotton, oilcloth, laminated cloth", perforates: true, washed: false),
    ClothKind.new(key: "quilted", name: "quilted", weight: 260, thickness: Length.mm(3), stretch: 0,
                  nap: false, heat: true, fray: true, marking: "chalk, or thread tacks", example: "quilted cotton, padded lining",
                  pressure: LIGHTER),
    ClothKind.new(key: "pile", name: "pile or felted", weight: 300, thickness: Length.mm(1.4), stretch: 5,
                  nap: true, heat: false, fray: false, marking: "thread tacks",
                  example: "corduroy, velvet, towelling, fleece, felted wool", pressure: LIGHTER)
  ].to_h { |kind| [kind.key, kind] }.freeze

  # weight - Integer g/m²; stretch - Integer percent; layers - Integer of cloth at the hole
  # seams - Integer, further layers of seams and facings at the hole
  # frays, iron, washed - "yes", "no", or nil to go by the kind
  Cloth = Value.define(:name, :kind, :weight, :thickness, :layers, :interfacing, :stretch, :seams, :frays, :iron, :washed,
                       name: "", seams: 0, frays: nil, iron: nil, washed: nil) do
    # @return [ClothKind]
    def type = CLOTH_KINDS.fetch(kind)

    # @return [Length] thickness of all layers and the interfacing at the hole
    def stack = (thickness * (layers + seams)) + interfacing

    def frays? = said(frays, type.fray)
    def iron? = said(iron, type.heat)
    def washed? = said(washed, type.washed)

    # From the top down.
    # @return [Array<Array(String, Length)>] what each layer is, and its thickness
    def build
      found = ([["cloth", thickness]] * layers) + ([["seam layer", thickness]] * seams)
      interfacing.zero? ? found : found.insert(1, ["interfacing", interfacing])
    end

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

    private

    def said(answer, usual) = answer.nil? || answer.empty? ? usual : answer == "yes"
  end

  # Answers to what a person may know better than the kind.
  Cloth::ANSWERS = { "yes" => "yes", "no" => "no" }.freeze

  # Share of the cloth's stretch that a slit takes part in.
  Cloth::STRETCH_SHARE = 3r / 10

  Cloth::COUNTS = { weight: 10..1500, layers: 1..12, stretch: 0..200, seams: 0..12 }.freeze
end
