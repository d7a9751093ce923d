# frozen_string_literal: true

# ClothKind is the table of kinds of cloth, each with the figures typical for it.
#
#   CLOTH_KINDS.fetch("pile").nap   # => true

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  # One kind of cloth with the figures typical for it.
  #
  # weight - Integer g/m²; thickness - Length of one layer; stretch - Integer percent
  # nap - Boolean, pile or fluff; heat - Boolean, takes a hot iron; fray - Boolean
  # marking - String, what to mark it with; unmark - String, how the marks come out; example - String
  # perforates - Boolean, needle holes stay and tear; hide - Boolean, real leather; washed - Boolean, as a rule
  # pressure - String, of the foot; knitted, thick, fine - Boolean, what the recipe goes by
  # padded - Boolean, two fingers press it together; heavy_wear - Boolean, its buttons are pulled hard
  # ink - Boolean, its marks come out in water; proof - Boolean, it keeps water out
  ClothKind = Value.of(:key, :name, :weight, :thickness, :stretch, :nap, :heat, :fray, :marking, :unmark, :example,
                       perforates: false, hide: false, washed: true, pressure: "usual foot pressure", knitted: false,
                       thick: false, fine: false, heavy_wear: false, ink: false, padded: false, proof: false)

  # What marks nearly everything, and how it comes out.
  CHALK = "chalk"
  CHALK_OUT = "Brush the chalk off."
  # Cloth that the foot pushes along wants less of it.
  LIGHTER = "foot pressure one step lighter"

  CLOTH_KINDS = [
    ClothKind.new(key: "light_woven", name: "light woven", weight: 120, thickness: Length.mm(0.25), stretch: 0,
                  nap: false, heat: true, fray: true,
                  marking: "chalk, or a wash-away pen tried on a scrap", ink: true,
                  unmark: "Brush the chalk off; dab pen marks out with cold water.",
                  example: "shirting, lawn, light linen"),
    ClothKind.new(key: "heavy_woven", thick: true, heavy_wear: true, name: "heavy woven", weight: 320,
                  thickness: Length.mm(0.7), stretch: 0,
                  nap: false, heat: true, fray: true,
                  marking: CHALK, unmark: CHALK_OUT, example: "canvas, denim, coating, flannel"),
    ClothKind.new(key: "knit", knitted: true, name: "knit", weight: 200, thickness: Length.mm(0.6), stretch: 30,
                  nap: false, heat: true, fray: false,
                  marking: "a wash-away pen tried on a scrap", ink: true,
                  unmark: "Dab the pen marks out with cold water.",
                  example: "jersey, rib, interlock", pressure: LIGHTER),
    ClothKind.new(key: "sheer", fine: true, name: "sheer", weight: 50, thickness: Length.mm(0.12), stretch: 0,
                  nap: false, heat: true, fray: true,
                  marking: "thread tacks",
                  unmark: "Pull the tacking threads out.",
                  example: "voile, organza, chiffon"),
    ClothKind.new(key: "leather", heavy_wear: true, name: "leather or suede", hide: true, weight: 500,
                  thickness: Length.mm(1), stretch: 0,
                  nap: false, heat: false, fray: false,
                  marking: "chalk or a wax-free pencil: needle holes stay",
                  unmark: "Rub the chalk off with a soft cloth.",
                  example: "garment leather, suede", perforates: true, washed: false),
    ClothKind.new(key: "waxed", name: "waxed or oiled, woven", thick: true, proof: true, heavy_wear: true, weight: 280,
                  thickness: Length.mm(4r / 10), stretch: 0,
                  nap: false, heat: false, fray: true,
                  marking: "chalk: it brushes off, and wax does not", washed: false,
                  unmark: "Brush the chalk off.",
                  example: "waxed cotton, oiled canvas"),
    ClothKind.new(key: "coated", name: "film-coated", proof: true, weight: 250, thickness: Length.mm(4r / 10), stretch: 0,
                  nap: false, heat: false, fray: false,
                  marking: "chalk or a wax-free pencil: needle holes stay",
                  unmark: "Rub the chalk off with a soft cloth.",
                  example: "vinyl, oilcloth, laminated cloth", perforates: true, washed: false),
    ClothKind.new(key: "quilted", thick: true, padded: true, name: "quilted", weight: 260, thickness: Length.mm(3), stretch: 0,
                  nap: false, heat: true, fray: true,
                  marking: "chalk, or thread tacks", example: "quilted cotton, padded lining",
                  unmark: "Brush the chalk off, or pull the tacking threads out.",
                  pressure: LIGHTER),
    ClothKind.new(key: "pile", thick: true, padded: true, name: "pile or felted", weight: 300, thickness: Length.mm(1.4), stretch: 5,
                  nap: true, heat: false, fray: false, washed: false,
                  marking: "thread tacks",
                  unmark: "Pull the tacking threads out.",
                  example: "corduroy, velvet, towelling, fleece, felted wool", pressure: LIGHTER)
  ].to_h { |kind| [kind.key, kind] }.freeze
end
