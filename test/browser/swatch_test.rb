# frozen_string_literal: true

require_relative "../browser_helper"
require "vips"

# A closure of one's own on a machine nobody knows: doing only what the station says until the row is sewn,
# then the next one; and the book where all of it is found.
class SwatchStationTest < BrowserTest
  def test_on_a_simulated_machine_only_what_is_said_leads_to_acceptance
    begin_workroom("Heron Loft")
    put_machine("Heron", "memory one-step", "Widest stitch, mm" => "7", "Length: between marks" => "0.05")
    db[:machines].update(stand_in: 4711)
    begin_closure("marsh coat", "front")
    go "6"
    click_on "No machine at hand"
    sewn = accepted_after

    assert_selector "[data-frozen]", text: "which was simulated"
    go "5"

    assert_selector "[data-frozen]", text: "everything is set as it was sewn"
    # The next closure on that machine begins where this one ended.
    begin_closure("marsh waistcoat", "front")
    go "6"
    click_on "No machine at hand"

    assert_button "Back to my own Heron"
    go "5"

    assert_selector "[data-sewn-before]", text: "Sewn before on the stand-in"
    go "6"

    assert_operator accepted_after, :<=, sewn + 3
  end

  def test_the_book_finds_compares_and_shows
    [[1, "first"], [2, "second"], [5, "third"]].each do |id, note|
      enter({ kind: "swatch", closure: id, machine: 4, with: closure(id)["sheet"]["swatch"]["with"], passes: "passes", note: note })
    end
    visit "#{ROOM}/swatches"

    assert_selector "[data-leaf]", count: 3
    assert_violates_nothing
    fill_in "Words", with: "linen"

    assert_selector "[data-leaf]", count: 2
    all("label", text: "compare").each(&:click)

    assert_selector "[data-compare] td.font-semibold", minimum: 1
    fill_in "Words", with: "flanel"

    assert_text "None like this"
    click_on "Show all"
    select "pile or felted", from: "Kind of cloth"

    assert_selector "[data-leaf]", count: 1, text: "third"
    click_on "Add a photo"
    picture = File.join(Dir.mktmpdir, "scrap.jpg")
    (Vips::Image.black(600, 400, bands: 3) + [200, 180, 140]).cast(:uchar).copy(interpretation: :srgb).jpegsave(picture)
    find("input[type=file][capture]", visible: :all).attach_file(picture)

    assert_selector "[data-photo] img[alt$='as it was sewn']"
    find("button[aria-label^='Point 1']").send_keys :right, :right
    fill_in "From point to point", with: "25 mm"
    click_on "Mark them"

    assert_text "on the scale of the photo"
    visit "#{ROOM}/closures/5/swatch"

    assert_selector "ol > li", text: "third"
  end

  private

  # @return [Integer] test holes until the row may be sewn, and accepted
  def accepted_after
    1.upto(14) do |number|
      assert_selector "[data-advice=fresh]"
      count = all("ol > li span.badge", text: "simulated", minimum: 0).size
      again = page.has_button?("Look again on the stand-in", wait: 0)
      click_on again ? "Look again on the stand-in" : "Sew it on the stand-in"
      if again
        assert_no_button("Look again on the stand-in")
      else
        assert_selector("ol > li span.badge", text: "simulated", count: count + 1)
      end

      assert_saved
      assert_selector "[data-advice=fresh]"
      if page.has_button?("Accept swatch", wait: 0)
        click_on "Accept swatch"

        assert_answer "Accepted: sew the row like this."
        return number
      end
      ["Make them all", "Make this change"].find { |name| page.has_button?(name, wait: 0) }&.then { |name| first(:button, name).click }

      assert_saved
    end
    flunk("never accepted: #{find('[data-answer]').text} #{all('ol > li').map(&:text).join(' | ')}")
  end
end
