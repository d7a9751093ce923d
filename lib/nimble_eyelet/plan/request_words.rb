# frozen_string_literal: true

# RequestWords is what sewists call garments, their parts, fabrics and buttons, and what each of it means for a plan.
#
#   RequestWords::ALL.find { |word| word.phrase == "cuff" }.sets   # => { "placket.place" => "cuff" }

require_relative "../typing/request"

module NimbleEyelet
  module RequestWords
    # Kind of garment => words, each with the place it is mostly closed at.
    GARMENTS = {
      "shirt" => { "front" => ["shirt", "blouse", "dress", "smock", "tunic", "pyjama", "pajama", "nightshirt",
                               "overshirt", "shirtdress", "kurta", "kaftan", "nightdress", "nightie", "nightgown",
                               "gown", "housecoat", "jumpsuit", "playsuit", "boilersuit", "coverall", "overall",
                               "pinafore", "dressing gown", "boiler suit", "top", "tank top", "camisole", "bodice"] },
      "coat" => { "front" => ["coat", "jacket", "blazer", "parka", "overcoat", "raincoat", "cape", "duffel", "cloak",
                              "anorak", "peacoat", "bomber", "shacket", "poncho", "trench coat", "trench", "chore coat",
                              "pea coat"],
                  "pulled_front" => %w[waistcoat gilet vest jerkin bodywarmer] },
      "knitwear" => { "knit_band" => %w[cardigan cardi henley jumper sweater pullover polo] },
      "children" => { "front" => %w[romper bib onesie sleepsuit] },
      "trousers" => { "waistband" => %w[trouser trousers jeans short skirt kilt pants chinos culottes dungaree] },
      "bedding" => { "edge" => ["duvet", "duvet cover", "pillow", "pillowcase", "pillow case", "cushion", "cushion cover",
                                "quilt cover", "bedding"] },
      "curtain" => { "edge" => %w[curtain blind drape] },
      "bag" => { "tab" => %w[bag tote pouch satchel rucksack purse] },
      "small" => { "tab" => %w[strap belt hat apron], "front" => %w[hood] }
    }.freeze
    # It may also be where something lies on another garment.
    GIVES_WAY = %w[top].freeze
    # Whatever it is, a child wears it.
    WEARERS = { "children" => ["baby", "baby's", "toddler", "toddler's", "child", "childs", "child's", "children",
                               "children's", "kid", "kid's"] }.freeze

    GARMENT_PARTS = {
      "front" => ["front", "front edge", "placket", "front placket"],
      "cuff" => %w[cuff],
      "stand" => ["collar stand", "stand", "neckband", "collar band"],
      "collar_point" => ["collar point", "button-down collar"], "sleeve_slit" => ["sleeve slit", "sleeve placket", "sleeve opening"],
      "waistband" => %w[waistband], "fly" => %w[fly], "tab" => ["tab", "flap", "epaulette", "pocket flap"],
      "double_breasted" => ["double-breasted", "double breasted"], "knit_band" => ["button band", "band"]
    }.freeze

    # Fibres say little of how heavy a fabric is: they give way to a weave.
    FIBRES = { "light_woven" => %w[cotton linen silk viscose rayon bamboo hemp polyester lyocell modal cupro],
               "heavy_woven" => %w[wool], "knit" => %w[merino] }.freeze
    FABRICS = {
      "light_woven" => ["poplin", "lawn", "batiste", "chambray", "shirting", "flannel", "gingham", "seersucker",
                        "muslin", "cambric", "double gauze", "percale", "satin", "quilting cotton", "habotai", "crepe",
                        "woven", "calico", "oxford", "broadcloth", "sateen", "cheesecloth", "challis",
                        "taffeta", "brushed cotton", "winceyette"],
      "heavy_woven" => ["denim", "canvas", "twill", "gabardine", "drill", "tweed", "worsted", "coating", "duck",
                        "wool coating", "suiting", "ripstop", "melton", "hopsack", "upholstery",
                        "herringbone", "houndstooth", "boucle", "bouclé", "brocade", "ticking"],
      "knit" => ["jersey", "rib", "ribbed", "knit", "interlock", "sweatshirt", "french terry", "ponte"],
      "sheer" => %w[chiffon organza georgette voile tulle organdie lace],
      "leather" => ["leather", "suede", "nappa", "faux leather"],
      "waxed" => ["waxed", "waxed cotton", "waxed canvas", "oilskin"],
      "coated" => ["coated", "coated canvas", "laminated", "oilcloth", "vinyl", "pvc", "softshell", "pul"],
      "quilted" => %w[quilted padded],
      "pile" => ["velvet", "velveteen", "corduroy", "cord fabric", "fleece", "felt", "felted", "felted wool",
                 "boiled wool", "fur", "terry", "towelling", "moleskin", "needlecord", "loden", "sherpa"]
    }.freeze

    # What a garment is mostly made of, where nobody says so.
    MOSTLY = { "knit" => %w[cardigan cardi henley jumper sweater pullover polo onesie sleepsuit],
               "heavy_woven" => ["coat", "jacket", "blazer", "overcoat", "duffel", "peacoat", "pea coat", "chore coat", "shacket",
                                 "trench", "trench coat", "waistcoat", "jeans"] }.freeze

    # What is otherwise than its kind mostly is.
    CARE = { "cloth.washed" => ["corduroy", "cord fabric", "needlecord", "moleskin", "fleece", "sherpa", "terry",
                                "towelling"],
             "cloth.iron" => %w[terry towelling] }.freeze

    SHAPES = { "domed" => %w[domed dome], "ball" => %w[ball], "half_ball" => ["half ball", "half-ball"], "bar" => %w[toggle],
               "square" => %w[square], "rimmed" => %w[rimmed], "ribbon" => ["ribbon"], "cord" => %w[cord drawstring], "hook" => %w[hook],
               "flat" => ["square-edged"], "ring" => ["ring"] }.freeze
    # What a button is made of is its name.
    MATERIALS = %w[brass metal wooden wood horn plastic coconut corozo resin pearl mother-of-pearl bone glass
                   vintage covered].freeze
    # Words for fabric too: they name a button only right before that word.
    ALSO_FABRIC = %w[leather silk linen fabric velvet shell cord].freeze
    # One is hammered on, and stands off as a shank does.
    JEANS_BUTTON = { "button.name" => "jeans buttons", "button.attachment" => "shank" }.freeze
    # Other ways to close, by what people call them.
    CLOSED_BY = { "press_stud" => ["press stud", "snap", "popper"],
                  "hand_worked" => ["hand-worked", "hand worked", "hand-worked buttonhole", "hand worked buttonhole",
                                    "worked by hand"],
                  "bound" => ["bound", "bound buttonhole", "bound hole"], "faced_window" => ["faced window"],
                  "in_seam" => ["in-seam", "in seam", "in-seam buttonhole"],
                  "fabric_loop" => ["rouleau", "rouleau loop", "button loop", "fabric loop", "loop"],
                  "thread_loop" => ["thread loop"], "hook_and_loop" => ["hook and loop", "hook-and-loop"] }.freeze
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
            Typing::RequestWord.new(phrase: phrase, kind: "garment", weak: GIVES_WAY.include?(phrase),
                                    sets: { "placket.use" => use, GARMENT_PLACE => place })
          end
        end
      end
    end

    def self.materials
      said = [*MATERIALS.map { |word| [word, word] }, *ALSO_FABRIC.map { |word| ["#{word} button", word] }]
      said.map do |phrase, word|
        Typing::RequestWord.new(phrase: phrase, kind: "material", sets: { "button.name" => "#{word} buttons" })
      end << Typing::RequestWord.new(phrase: "jeans button", kind: "material", sets: JEANS_BUTTON)
    end

    def self.care(phrase) = CARE.select { |_, phrases| phrases.include?(phrase) }.transform_values { "yes" }
    private_class_method :rows, :garments, :materials, :care

    # Where a garment is mostly closed; a part that is named goes before it.
    GARMENT_PLACE = "garment.place"

    # The front of a waistcoat is pulled, and that of a cardigan has a band.
    FRONTS = %w[pulled_front knit_band].freeze

    ALL = [*garments, *rows("part", GARMENT_PARTS, "placket.place"), *rows("fabric", FIBRES, "cloth.kind", weak: true),
           *rows("fabric", FABRICS, "cloth.kind").map { |word| word.with(sets: { **word.sets, **care(word.phrase) }) },
           *rows("shape", SHAPES, "button.shape"),
           *SHANKED.map do |phrase|
             Typing::RequestWord.new(phrase: phrase, kind: "attachment", sets: { "button.attachment" => "shank" })
           end,
           *rows("wearer", WEARERS, "placket.use"), *rows("way", CLOSED_BY, "recipe.way"),
           *materials, *rows("lap", LAPS, "placket.overlap"), *rows("lies", LIES, "placket.orientation")].freeze

    def self.singular(words) = words.downcase.split.map { |word| word.delete_suffix("s") }
    private_class_method :singular

    # @param request [Typing::Request]
    # @return [String, nil] kind of the fabric that such a garment is mostly made of
    def self.mostly(request)
      named = singular(request.words_of("garment"))
      MOSTLY.find { |_, garments| garments.any? { |one| (singular(one) - named).empty? } }&.first
    end

    # @param request [Typing::Request]
    # @return [Hash{String => String}] by path, as it would be typed into a new set of buttonholes
    def self.typed(request)
      sets = request.sets
      worn = request.findings.find { |one| one.kind == "wearer" }&.sets || {}
      usual = sets[GARMENT_PLACE] || ("front" if worn.any?)
      said = sets["placket.place"]
      place = said == "front" && FRONTS.include?(usual) ? usual : said || usual
      kind = sets["cloth.kind"]
      { **sets.except(GARMENT_PLACE), **worn, "placket.place" => place,
        "cloth.name" => kind && !sets.key?("cloth.name") ? request.words_of("fabric") : nil }.compact
    end
  end
end
