# frozen_string_literal: true

require_relative "../app_helper"

# What goes out as a file comes back as it was, whatever it is; and the file is read however it was saved.
class FilesTest < AppTest
  CORNERS = Outline.read("0 0, 20 0, 20.5 12.25, 0 12", unit: :mm, field: "button.outline")
  LETTERS = [*"a".."z", " ", ",", ";", "\"", "'", "=", "+", "-", "@", "é", "ß", "漢", "–", "0"].freeze

  def random = @random ||= Random.new(20_261_123)
  def words = Array.new(random.rand(1..20)) { LETTERS.sample(random: random) }.join.strip

  def item
    shape = BUTTON_SHAPES.keys.sample(random: random)
    wide = random.rand(80..400)/10r
    button = Button.new(name: "#{words} #{random.rand(10**6)}", shape: shape, attachment: ATTACHMENTS.keys.sample(random: random),
                        diameter: Length.mm(wide), thickness: Length.mm((wide / random.rand(2..6)).round(2)),
                        width: shape == "square" ? Length.mm(wide * 3 / 4) : nil, hole_spacing: Length.mm(2),
                        hole_diameter: Length.mm(1r),
                        outline: shape == "polygon" ? CORNERS : nil)
    StashButton.new(button: tidy(button), owned: random.rand(0..500),
                    colour: Buttons::COLOURS.keys.sample(random: random), note: words)
  end

  # A ball is as thick as it is wide, and corners give their own width: so they are read back.
  def tidy(button)
    button = button.with(thickness: button.diameter) if %w[ball half_ball].include?(button.shape)
    button.with(name: button.name.strip)
  end

  def read(text) = Document::StashCsv::Reader.new(StringIO.new(text.b)).to_a

  def test_any_button_comes_back_from_the_file_as_it_went
    items = Array.new(300) { item }.uniq { |one| one.button.name }.select { |one| sound?(one) }

    assert_operator items.size, :>, 200
    rows = read(Document::StashCsv.header + items.map { |one| Document::StashCsv.line(one) }.join)
    items.zip(rows) do |before, row|
      assert_empty row.faults.map { |fault| [fault.field, fault.allowed.to_s] }, before.button.name.inspect
      assert_equal before, row.item
    end
  end

  def sound?(item)
    item.validate
  rescue Refusal
    false
  end

  # No cell that leaves here is run by a spreadsheet.
  def test_no_cell_begins_like_a_formula
    200.times do
      line = Document::StashCsv.line(item)

      CSV.parse_line(line).each { |cell| refute_match(/\A[=+\-@]/, cell.to_s, line) }
    end
  end

  def test_a_file_is_read_however_it_was_saved
    plain = "name,shape,attachment,diameter_mm,thickness_mm\npearl,flat,shank,12.5,3\n"
    forms = { "as it is" => plain, "with a mark" => "\uFEFF#{plain}", "from another system" => plain.gsub("\n", "\r\n"),
              "semicolons and decimal commas" => plain.tr(",", ";").tr(".", ","), "tabs" => plain.tr(",", "\t"),
              "no last line feed" => plain.chomp,
              "other order" => "shape,diameter_mm,attachment,thickness_mm,name\nflat,12.5,shank,3,pearl\n",
              "quoted" => "name,shape,attachment,diameter_mm,thickness_mm\n\"pearl\",\"flat\",\"shank\",\"12.5\",\"3\"\n",
              "capitals and spaces" => "Name, Shape ,Attachment,DIAMETER_MM,thickness_mm\npearl,flat,shank,12.5,3\n" }
    forms.each do |how, text|
      row = read(text).first

      assert_equal ["pearl", Length.mm(12.5r), Length.mm(3)],
                   [row.item.button.name, row.item.button.diameter, row.item.button.thickness], how
    end
    ["name\xE9,shape\n".b, plain.encode("UTF-16LE"), "\x00\x01\x02"].each { |text| assert_raises(Refusal) { read(text) } }
  end

  def test_a_line_that_never_ends_is_one_bad_row_and_not_all_memory
    rows = read("name,shape,attachment,diameter_mm\n#{'x' * 100_000}\npearl,ball,shank,12\n")

    assert_equal "pearl", rows.last.item.button.name
    assert_operator rows.size, :<=, 5
    rows[0..-2].each { |row| assert_nil row.item }
  end

  # Any closure anybody can save comes back from a garment file as it went.
  def test_any_closure_comes_back_from_its_garment_file
    garments = Store::Garments.new(workroom)
    28.times do |turn|
      change((turn % 7) + 1)
      garment = garments.find(db[:closures].where(id: (turn % 7) + 1).get(:garment_id))
      content = Document::GarmentFile.read(Document::GarmentFile.write(garment))

      garment.closures.zip(content.closures) do |closure, (plan, entries)|
        assert_equal closure.plan.with(machine: closure.plan.machine.with(id: nil, practice: false)), plan
        assert_equal closure.entries.map(&:to_a), entries.map(&:to_a)
      end
    end
  end

  # Something a person might do to a closure next.
  def change(id)
    pins = Array.new(random.rand(0..2)) do |at|
      { "at" => (200 + (at * 57)).to_s, "label" => words, "weight" => random.rand(0..9).to_s }
    end
    bodies = [{ "placket" => { "keep_outs" => [{ "from" => "30.25", "to" => "1 1/2in", "label" => words }] } },
              { "button" => { "name" => words } },
              { "button" => { "diameter" => "#{random.rand(8..20)}.#{random.rand(10)}" } },
              { "thread" => { "tex" => "Nm 37", "bobbin" => "half" } },
              { "placket" => { "pins" => pins } },
              { "opening" => { "school" => Opening::SCHOOLS.keys.sample(random: random), "ease" => "1/32" } },
              { "recipe" => { "stitch_length" => "0.5", "tension" => "2.5" } },
              { "cloth" => { "frays" => "yes", "seams" => "2" } }]
    save(bodies.sample(random: random), id: id)
    if random.rand < 0.2
      enter({ kind: "swatch", closure: id, passes: "passes", measured: "20.1", note: words,
              with: closure(id)["sheet"]["swatch"]["with"] })
    end
    act(:put, "settled/#{STAGES.keys.sample(random: random)}", nil, id: id)
  end
end
