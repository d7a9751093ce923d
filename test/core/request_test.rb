# frozen_string_literal: true

require_relative "../core_helper"

# One line that says what needs buttonholes: in any order, in metric and in inches, with slips of the pen. What it means
# is what a person means; what is not understood is said and never guessed.
class RequestTest < CoreTest
  SHIRT = { "placket.use" => "shirt", "placket.place" => "front" }.freeze

  # Line => what it means.
  LINES = {
    "shirt front, 7 buttons 11.5 mm, cotton poplin" =>
      { **SHIRT, "placket.count" => "7", "button.diameter" => "11.5 mm", "cloth.kind" => "light_woven",
"cloth.name" => "cotton poplin" },
    "coat cuff, 3 buttons 24L, wool" =>
      { "placket.use" => "coat", "placket.place" => "cuff", "placket.count" => "3", "button.diameter" => "24L",
"cloth.kind" => "heavy_woven" },
    "7 18mm buttons on a linen blouse" => { **SHIRT, "placket.count" => "7", "button.diameter" => "18mm", "cloth.name" => "linen" },
    "women's boiled wool jacket with four 25 mm domed buttons, 5 mm thick, spaced 90 mm apart" =>
      { "placket.use" => "coat", "placket.overlap" => "right", "cloth.kind" => "pile", "placket.count" => "4",
        "button.diameter" => "25 mm",
        "button.shape" => "domed", "button.thickness" => "5 mm", "placket.wished_gap" => "90 mm" },
    "duvet cover 6 buttons 3/4\"" => { "placket.use" => "bedding", "placket.place" => "edge", "placket.count" => "6", "button.diameter" => "3/4\"" },
    "toddler romper, jersey, 5 buttons 11 mm, edge 300 mm" =>
      { "placket.use" => "children", "cloth.kind" => "knit", "placket.count" => "5", "button.diameter" => "11 mm",
"placket.run_length" => "300 mm" },
    "bag strap leather one 20mm button" => { "placket.use" => "bag", "placket.place" => "tab", "cloth.kind" => "leather", "placket.count" => "1" },
    "shirt, seven 1/2 in buttons, flanel" => { **SHIRT, "placket.count" => "7", "button.diameter" => "1/2 in", "cloth.kind" => "light_woven" },
    "cardigan 8 x 15 mm rib knit" =>
      { "placket.use" => "knitwear", "placket.place" => "knit_band", "placket.count" => "8",
"button.diameter" => "15 mm", "cloth.name" => "rib knit" },
    "jeans waistband 17 mm button denim" =>
      { "placket.use" => "trousers", "placket.place" => "waistband", "button.diameter" => "17 mm",
"cloth.kind" => "heavy_woven" },
    "7 buttons 18" => { "placket.count" => "7", "button.diameter" => "18" },
    "18 mm" => { "button.diameter" => "18 mm" },
    "silk chiffon blouse, 9 ball buttons 10mm" =>
      { "cloth.kind" => "sheer", "cloth.name" => "silk chiffon", "button.shape" => "ball", "placket.count" => "9",
"button.diameter" => "10mm" },
    "coat 4 buttons 1 1/8\" horizontal, 100 mm apart, first at 60 mm" =>
      { "button.diameter" => "1 1/8\"", "placket.orientation" => "horizontal", "placket.wished_gap" => "100 mm",
"placket.first" => "60 mm" },
    "x6 buttons 15,5 mm pyjamas" => { **SHIRT, "placket.count" => "6", "button.diameter" => "15,5 mm" },
    "velvet jakcet 22mm" => { "placket.use" => "coat", "cloth.kind" => "pile", "button.diameter" => "22mm" },
    "collar stand, one button, 11.5mm" => { "placket.place" => "stand", "placket.count" => "1", "button.diameter" => "11.5mm" },
    "double-breasted coat, six 28 mm four-hole buttons" =>
      { "placket.place" => "double_breasted", "placket.count" => "6", "button.diameter" => "28 mm",
"button.attachment" => "four_holes" },
    "4 two-hole buttons 18 mm skirt" => { "placket.count" => "4", "button.attachment" => "two_holes", "placket.use" => "trousers" },
    "half a dozen toggles for a duffel coat, 45 mm" => { "placket.count" => "6", "button.shape" => "bar", "button.diameter" => "45 mm" },
    "a dozen buttons 9mm dress" => { "placket.count" => "12", "button.diameter" => "9mm", "placket.use" => "shirt" },
    "waistcoat 5 shank buttons ½\"" => { "placket.place" => "pulled_front", "button.attachment" => "shank", "button.diameter" => "½\"" },
    "men's shirt 7 buttons" => { **SHIRT, "placket.overlap" => "left", "placket.count" => "7" },
    "front 60 cm long, 7 buttons 12 mm" => { "placket.run_length" => "60 cm long".delete_suffix(" long"), "button.diameter" => "12 mm" },
    "raincoat waxed cotton 6 buttons 20 mm" => { "cloth.kind" => "waxed", "cloth.name" => "waxed cotton", "placket.use" => "coat" },
    "curtain, 4 eyelets, cord 4 mm" => { "placket.use" => "curtain", "button.shape" => "cord", "placket.count" => "4", "button.diameter" => "4 mm" },
    "cuff 2 buttons 11 mm vertical" => { "placket.place" => "cuff", "placket.orientation" => "vertical", "placket.count" => "2" },
    "five 5/8 in buttons, shirt in cotton lawn" => { "placket.count" => "5", "button.diameter" => "5/8 in", "cloth.name" => "cotton lawn" },
    "trouser fly 3 buttons 15mm twill" => { "placket.place" => "fly", "placket.use" => "trousers", "cloth.kind" => "heavy_woven" },
    "pocket flap, corduroy, 1 button 18mm" => { "placket.place" => "tab", "cloth.kind" => "pile", "placket.count" => "1" },
    # What is longer than any button is the edge, wherever it stands.
    "gilet 18 inch front, 6 buttons 3/4 in" =>
      { "placket.run_length" => "18 inch", "button.diameter" => "3/4 in", "placket.count" => "6",
"placket.place" => "pulled_front" },
    "cuff 60 mm, 2 buttons 11 mm" => { "placket.run_length" => "60 mm", "button.diameter" => "11 mm", "placket.count" => "2" },
    "cardigan front 8 x 15 mm" => { "placket.place" => "knit_band", "placket.count" => "8" },
    "62cm blouse with 7 Half inch brass buttons" =>
      { "placket.run_length" => "62cm", "button.diameter" => "1/2 in", "button.name" => "brass buttons",
"placket.count" => "7" },
    "coat, five covered buttons an inch and a half across" => { "button.diameter" => "1 1/2 in", "button.name" => "covered buttons" },
    "tweed jacket, 4 leather buttons three-quarter inch, bound buttonholes" =>
      { "cloth.name" => "tweed", "button.name" => "leather buttons", "button.diameter" => "3/4 in",
"recipe.way" => "bound" },
    # A top is one unless something else is named.
    "jersey top, 5 buttons 11 mm" => { **SHIRT, "cloth.kind" => "knit", "placket.count" => "5" },
    "top of the bag, 1 button 20 mm" => { "placket.use" => "bag", "placket.place" => "tab" },
    # Whatever it is, what a child wears is planned for a child.
    "denim dungarees for a toddler, 2 buttons 20 mm" =>
      { "placket.use" => "children", "placket.place" => "waistband", "cloth.name" => "denim", "placket.count" => "2" },
    "7 snaps for a romper" => { "placket.use" => "children", "recipe.way" => "press_stud", "placket.count" => "7" },
    "dress, 24 ball buttons 10 mm, rouleau loops" => { "recipe.way" => "fabric_loop", "button.shape" => "ball", "placket.count" => "24" },
    "thickness 4 mm, diameter 22 mm, wool coat" => { "button.thickness" => "4 mm", "button.diameter" => "22 mm", "placket.use" => "coat" }
  }.freeze

  # Line => what of it is not understood.
  UNREAD = {
    "shirt, glitter tulle" => ["glitter"], "sarong with 3 buttons" => ["sarong"], "cuff 20 mm, 2 buttons 11 mm" => ["20 mm"], "shirt 7 buttons 11.5 mm 40 mm" => ["40 mm"],
    "shirt coat" => [], "" => [], ", ; -" => [], "sarong zzzz 18 mm" => ["sarong zzzz"],
    "shirt tomorrow" => ["tomorrow"], "coat and cushion" => ["cushion"], "900 buttons" => ["900"], "7 buttons 11.5 mm by hand" => ["hand"]
  }.freeze

  def read(text, unit: :mm) = Typing::RequestReader.read(text, words: RequestWords::ALL, unit: unit)
  def left(text) = read(text).unread.map { |span| text[span.from...span.to] }

  def test_lines_mean_what_a_person_means
    LINES.each do |text, meant|
      found = RequestWords.typed(read(text))

      assert_equal meant, found.slice(*meant.keys), text
      assert_empty left(text), text
    end
  end

  def test_what_is_not_understood_is_said
    UNREAD.each { |text, words| assert_equal words, left(text), text.inspect }
  end

  SIZES = ["11.5 mm", "18mm", "24L", "3/4\"", "1 1/8 in", "15,5 mm", "2 cm"].freeze
  COUNTS = { "7" => "7", "three" => "3", "a dozen" => "12", "2" => "2" }.freeze
  GARMENT_WORDS = RequestWords::GARMENTS.flat_map do |use, places|
    places.values.flatten.map do |word|
      [word, use]
    end
  end.freeze
  FABRIC_WORDS = RequestWords::FABRICS.flat_map { |kind, words| words.map { |word| [word, kind] } }.freeze

  # The same things in any order, with any separator, and with a letter that slipped: 300 lines by chance.
  def test_order_and_slips_change_nothing
    300.times do
      garment, use = GARMENT_WORDS.sample(random: random)
      fabric, kind = FABRIC_WORDS.sample(random: random)
      size = SIZES.sample(random: random)
      count, number = COUNTS.to_a.sample(random: random)
      typed = random.rand < 0.3 ? slipped(fabric) : fabric
      text = [garment, typed, "#{count} buttons #{size}"].shuffle(random: random).join([", ", "; "].sample(random: random))
      found = RequestWords.typed(read(text))

      assert_equal [use, size, number], found.values_at("placket.use", "button.diameter", "placket.count"), text
      # Two letters may make another word of it: then that is said, or it stays unread.
      next if typed != fabric && (left(text).any? || read(text).findings.any?(&:meant))

      assert_equal kind, found["cloth.kind"], text
      assert_empty left(text), text
    end
  end

  # Spans lie in the line, in order, and none over another; whatever is typed.
  def test_any_line_at_all_is_read
    letters = [*"a".."z", *"0".."9", " ", " ", ",", ".", "/", "½", "\"", "-", "é", "😀", "\t", "x", "m"]
    500.times do
      text = Array.new(random.rand(60)) { letters.sample(random: random) }.join
      found = read(text, unit: %i[mm cm in].sample(random: random))
      spans = [*found.findings.map(&:span), *found.unread].sort_by(&:from)

      assert(spans.all? { |span| span.from < span.to && span.to <= text.length }, text)
      assert(spans.each_cons(2).all? { |one, other| one.to <= other.from }, text.inspect)
    end
  end

  private

  # Two letters changed places, in a word long enough to be known again.
  def slipped(word)
    return word if word.include?(" ") || word.length < 6

    at = 1 + random.rand(word.length - 3)
    word[at] == word[at + 1] ? word : word.dup.tap { |one| one[at, 2] = one[at, 2].reverse }
  end
end
