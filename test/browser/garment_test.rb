# frozen_string_literal: true

require "pdf-reader"
require "vips"
require_relative "../browser_helper"

# A garment as a whole: called otherwise, noted on, photographed, copied for another size, printed at once, archived.
class GarmentPageTest < BrowserTest
  AT = "#{ROOM}/garments/1".freeze

  def photo
    Tempfile.create(["smock", ".jpg"]) do |file|
      (Vips::Image.black(600, 400,
                         bands: 3) + [200, 180, 140]).cast(:uchar).copy(interpretation: :srgb).jpegsave(file.path)
      yield file.path
    end
  end

  def note = find_field(said("garment_note.note"))

  def test_a_note_is_never_lost_and_nobody_elses_is_overwritten
    visit AT

    assert_field said("garment_note.note")
    offline(true)
    note.set("Sleeves to the elbow.")
    find("h1").click

    assert_button said("garment_note.save")
    offline(false)
    visit AT

    assert_equal "Sleeves to the elbow.", note.value, "the browser kept it"
    eventually { assert_equal "Sleeves to the elbow.", db[:garments].where(id: 1).get(:note), "and saves it now" }
    assert_no_button said("garment_note.save")
    note.set("Sleeves to the wrist.")
    call(:patch, "/api/garments/1", { note: "Hem by hand.", note_was: "Sleeves to the elbow." })
    find("h1").click

    assert_text "Hem by hand."
    click_button said("garment_note.keep_mine")

    assert_no_text "Hem by hand."
    eventually { assert_equal "Sleeves to the wrist.", db[:garments].where(id: 1).get(:note) }
    visit AT

    assert_equal "Sleeves to the wrist.", note.value
    assert_no_button said("garment_note.save")
  end

  def test_a_garment_is_called_otherwise_photographed_and_copied_for_another_size
    narrow
    visit AT
    click_button said("garment_page.rename")
    fill_in said("garment_page.name"), with: "felted waistcoat"
    click_button said("garment_page.save_the_name")

    assert_selector "[role=alert]"
    fill_in said("garment_page.name"), with: "marsh shirt"
    click_button said("garment_page.save_the_name")

    assert_selector "h1", text: "marsh shirt"
    photo { |path| find("[data-garment-photos] input[type=file]", visible: :all).attach_file(path) && assert_selector("[data-garment-photos] img") }
    click_button said("garment_photos.delete", "1")

    assert_no_selector "[data-garment-photos] img"
    click_button said("garment_photos.put_it_back")

    assert_selector "[data-garment-photos] img"
    find("summary", text: said("copy_garment.open")).click unless has_field?(said("copy_garment.longer"), wait: 0)
    find("[data-path='garment.name']").set("marsh shirt, large")
    fill_in said("copy_garment.longer"), with: "wide"
    click_button said("copy_garment.copy")

    assert_selector "[role=alert]", text: said("look_at_it.write_a_length")
    fill_in said("copy_garment.longer"), with: "4 cm"
    click_button said("copy_garment.copy")

    assert_selector "h1", text: "marsh shirt, large"
    assert_selector "[role=status]", text: said("begun.not_copied", "pins")
    lengths = ->(id) { call(:get, "/api/garments/#{id}")["closures"].map { |one| closure(one["id"])["plan"]["placket.run_length"]["mm"] } }

    assert_equal lengths.call(1).map { |one| one + 40 }, lengths.call(URI(current_url).path[/\d+\z/])
    assert_violates_nothing
  end

  def test_a_garment_is_started_from_a_template
    visit AT
    find("[data-path='garment.name']").set("any smock")
    check said("copy_garment.as_a_template")
    click_button said("copy_garment.keep")

    assert_selector "h1", text: "any smock"
    visit ROOM

    assert_text said("garments.templates")
    assert_no_selector "[data-garments] h3", text: "any smock"
    assert_violates_nothing
    within("[data-templates]") { click_link "any smock" }
    within("[data-template]") do
      find("[data-path='garment.name']").set("smock for summer")
      click_button said("copy_garment.start")
    end

    assert_selector "h1", text: "smock for summer"
    assert_no_selector "[data-template]"
    visit ROOM

    assert_selector "[data-garments] h3", text: "smock for summer"
  end

  def test_what_is_done_is_archived_and_comes_back
    visit AT
    text = PDF::Reader.new(StringIO.new(call(:get, "/api/garments/1/sheets.pdf") && last_response.body)).pages.map(&:text).join

    assert_link said("garment_page.print_all_sheets")
    assert_includes text, "left cuff"
    click_button said("garment_page.archive")

    assert_button said("garment_page.back")
    visit ROOM

    assert_selector "[data-garments] h3", minimum: 1
    assert_no_selector "[data-garments] h3", text: "linen field smock"
    check said("garments.archived", "1")

    assert_selector "[data-garments] h3", text: "linen field smock"
    visit AT
    click_button said("garment_page.back")

    assert_button said("garment_page.archive")
    assert_violates_nothing
  end
end
