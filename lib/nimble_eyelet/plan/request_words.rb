# frozen_string_literal: true

# RequestWords is what sewists call garments, their parts, fabrics and buttons, and what each of it means for a plan.
#
#   RequestWords::ALL.find { |word| word.phrase == "cuff" }.sets   # => { "placket.place" => "cuff" }

require_relative "../typing/request"

module NimbleEyelet
  module RequestWords
    # Kind of garment => words, each with the place it is mostly closed at.
    GARMENTS = {
      "shirt" => { "front" => %w[shirt blouse dress smock tunic pyjama pajama nightshirt overshirt shirtdress kurta] },
      "coat" => { "front" => %w[coat jacket blazer parka overcoat raincoat cape duffel cloak anorak],
                  "pulled_front" => %w[waistcoat gilet vest] },
      "knitwear" => { "knit_band" => %w[cardigan henley jumper sweater pullover polo] },
      "children" => { "front" => %w[romper baby toddler child children kid dungaree bib onesie] },
      "trousers" => { "waistband" => %w[trouser trousers jeans short skirt kilt pants chinos] },
      "bedding" => { "edge" => ["duvet", "duvet cover", "pillow", "pillowcase", "cushion", "cushion cover", "quilt cover", "bedding"] },
      "curtain" => { "edge" => %w[curtain blind drape] },
      "bag" => { "tab" => %w[bag tote pouch satchel rucksack purse] },
      "small" => { "tab" => %w[strap belt hat], "front" => %w[hood] }
    }.freeze

    GARMENT_PARTS = {
      "front" => ["front", "front edge", "placket", "front placket"],
      "cuff" => %w[cuff],
      "stand" => ["collar stand", "stand", "neckband", "collar band"],
      "collar_point" => ["collar point", "button-down collar"], "sleeve_slit" => ["sleeve slit", "sleeve placket", "sleeve opening"],
      "waistband" => %w[waistband], "fly" => %w[fly], "tab" => ["tab", "flap", "epaulette", "pocket flap"],
      "double_breasted" => ["double-breasted", "double breasted"], "knit_band" => ["button band", "band"]
    }.freeze

    # Fibres say little of how heavy a fabric is: they give way to a weave.
    FIBRES = { "light_woven" => %w[cotton linen silk viscose rayon bamboo hemp polyester], "heavy_woven" => %w[wool],
               "knit" => %w[merino] }.freeze
    FABRICS = {
      "light_woven" => ["poplin", "lawn", "batiste", "chambray", "shirting", "flannel", "gingham", "seersucker",
                        "muslin", "cambric", "double gauze", "percale", "satin", "quilting cotton", "habotai", "crepe",
                        "viyella", "woven"],
      "heavy_woven" => ["denim", "canvas", "twill", "gabardine", "drill", "tweed", "worsted", "coating", "duck",
                        "wool coating", "suiting", "ripstop", "melton", "hopsack", "upholstery"],
      "knit" => ["jersey", "rib", "ribbed", "knit", "interlock", "sweatshirt", "french terry", "ponte"],
      "sheer" => %w[chiffon organza georgette voile tulle organdie],
      "leather" => ["leather", "suede", "nappa", "faux leather"],
      "waxed" => ["waxed", "waxed cotton", "waxed canvas", "oilskin"],
      "coated" => ["coated", "coated canvas", "laminated", "oilcloth", "vinyl", "pvc", "softshell", "pul"],
      "quilted" => %w[quilted padded],
      "pile" => ["velvet", "velveteen", "corduroy", "cord fabric", "fleece", "felt", "felted", "felted wool",
                 "boiled wool", "fur", "terry", "towelling", "moleskin", "needlecord", "loden"]
    }.freeze

    SHAPES = { "domed" => %w[domed dome], "ball" => %w[ball], "half_ball" => ["half ball", "half-ball"], "bar" => %w[toggle],
               "square" => %w[square], "rimmed" => %w[rimmed], "ribbon" => ["ribbon"], "cord" => %w[cord drawstring], "hook" => %w[hook],
               "flat" => ["square-edged"], "ring" => ["ring"] }.freeze
    # Balls and domes are mostly sewn on by a shank.
    SHANKED = ["shank", "shanked", "with a shank", "with shank", "on a shank"].freeze
    LAPS = { "right" => ["women's", "womens", "ladies", "ladies'", "right over left"],
             "left" => ["men's", "mens", "boy's", "boys", "left over right"] }.freeze
    LIES = { "vertical" => %w[vertical upright vertically], "horizontal" => %w[horizontal sideways horizontally] }.freeze

    def self.rows(kind, table, path, weak: false)
      table.flat_map do |key, phrases|
        phrases.map { |phrase| Typing::RequestWord.new(phrase: phrase, kind: kind, sets: { path => key }, weak: weak) }
      end
    end

    def self.garments
      GARMENTS.flat_map do |use, places|
        places.flat_map do |place, phrases|
          phrases.map do |phrase|
            Typing::RequestWord.new(phrase: phrase, kind: "garment", sets: { "placket.use" => use, GARMENT_PLACE => place })
          end
        end
      end
    end
    private_class_method :rows, :garments

    # Where a garment is mostly closed; a part that is named goes before it.
    GARMENT_PLACE = "garment.place"

    ALL = [*garments, *rows("part", GARMENT_PARTS, "placket.place"), *rows("fabric", FIBRES, "cloth.kind", weak: true),
           *rows("fabric", FABRICS, "cloth.kind"), *rows("shape", SHAPES, "button.shape"),
           *SHANKED.map do |phrase|
             Typing::RequestWord.new(phrase: phrase, kind: "attachment", sets: { "button.attachment" => "shank" })
           end,
           *rows("lap", LAPS, "placket.overlap"), *rows("lies", LIES, "placket.orientation")].freeze

    # @param request [Typing::Request]
    # @return [Hash{String => String}] by path, as it would be typed into a new set of buttonholes
    def self.typed(request)
      sets = request.sets
      place = sets["placket.place"] || sets[GARMENT_PLACE]
      kind = sets["cloth.kind"]
      { **sets.except(GARMENT_PLACE), "placket.place" => place,
        "cloth.name" => kind && !sets.key?("cloth.name") ? request.words_of("fabric") : nil }.compact
    end
  end
end
