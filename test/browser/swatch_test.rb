# frozen_string_literal: true

require_relative "../browser_helper"
require "vips"

# A closure of one's own on a machine nobody knows: doing only what the station says until the row is sewn,
# then the next one; and the book where all of it is found.
class SwatchStationTest < BrowserTest
  def test_on_a_simulated_machine_only_what_is_said_leads_to_acceptance
    begin_workroom("Heron Loft")
    put_machine("Heron", "memory", "max_width" => "7", "length_step" => "0.05")
    begin_closure("marsh coat", "front")
    real = page.current_path
    practise
    sewn = accepted_after

    assert_selector "[data-frozen]", text: said("frozen_note.which_was_simulated")
    go "5"

    assert_selector "[data-frozen]", text: said("photo_panel.as_it_was_sewn", "everything is set")
    # The next closure on that machine begins where this one ended.
    begin_closure("marsh waistcoat", "front")
    practise
    go "5"

    assert_selector "[data-sewn-before]", text: said("sewn_before.practised_before")
    go "6"

    assert_operator accepted_after, :<=, sewn + 3
    # The real one has seen nothing of it.
    visit real
    go "6"

    assert_button said("swatch.practise_this")
    assert_selector "[data-advice=fresh]"
    assert_no_selector "[data-frozen]"
    assert_no_selector "[data-practice]"
    assert_no_selector "ol > li span.badge"
  end

  def test_the_book_finds_compares_and_shows
    [[1, "first"], [2, "second"], [5, "third"]].each do |id, note|
      enter({ kind: "swatch", closure: id, machine: 4, with: closure(id)["sheet"]["swatch"]["with"], passes: "passes", note: note })
    end
    visit "#{ROOM}/swatches"

    assert_selector "[data-leaf]", count: 3
    assert_violates_nothing
    fill_in said("swatches_page.words"), with: "linen"

    assert_selector "[data-leaf]", count: 2
    all("label", text: "compare").each(&:click)

    assert_selector "[data-compare] td.font-semibold", minimum: 1
    fill_in said("swatches_page.words"), with: "flanel"

    assert_text said("swatches_page.none_like_this")
    click_on said("swatches_page.show_all")
    select said("cloth_kind.pile_or_felted"), from: said("cloth.kind_of_cloth")

    assert_selector "[data-leaf]", count: 1, text: "third"
    click_on said("swatch_leaf.add_a_photo")
    picture = File.join(Dir.mktmpdir, "scrap.jpg")
    (Vips::Image.black(600, 400, bands: 3) + [200, 180, 140]).cast(:uchar).copy(interpretation: :srgb).jpegsave(picture)
    find("input[type=file][capture]", visible: :all).attach_file(picture)

    assert_selector "[data-photo] img[alt$='as it was sewn']"
    find("button[aria-label^='#{said('photo_panel.point_of', '1')}']").send_keys :right, :right
    fill_in said("photo_panel.from_point_to_point"), with: "25 mm"
    click_on said("photo_panel.mark_them")

    assert_text said("photo_panel.on_the_scale_of")
    visit "#{ROOM}/closures/5/swatch"

    assert_selector "ol > li", text: "third"
  end

  private

  # On a practice machine whose ways are known here.
  def practise
    go "6"
    click_on said("swatch.practise_this")

    assert_selector "[data-practice]"
    db[:machines].where(practice: true).update(stand_in: 4711)
  end

  # @return [Integer] test holes until the row may be sewn, and accepted
  def accepted_after
    1.upto(14) do |number|
      assert_selector "[data-advice=fresh]"
      count = all("ol > li span.badge", text: "simulated", minimum: 0).size
      again = page.has_button?(said("swatch.look_at_it_again"), wait: 0)
      click_on again ? said("swatch.look_at_it_again") : said("swatch.sew_it_on_the")
      if again
        assert_no_button(said("swatch.look_at_it_again"))
      else
        assert_selector("ol > li span.badge", text: "simulated", count: count + 1)
      end

      assert_saved
      assert_selector "[data-advice=fresh]"
      if page.has_button?(said("advice.use_these_settings"), wait: 0)
        click_on said("advice.use_these_settings")

        assert_answer said("advice.accepted_sew_the_row")
        return number
      end
      [said("advice.make_them_all"), said("advice.make_this_change")].find do |name|
        page.has_button?(name, wait: 0)
      end&.then { |name| first(:button, name).click }

      assert_saved
    end
    flunk("never accepted: #{find('[data-answer]').text} #{all('ol > li').map(&:text).join(' | ')}")
  end
end
