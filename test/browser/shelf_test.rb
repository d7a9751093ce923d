# frozen_string_literal: true

require_relative "../browser_helper"

# The shelves of cloths, threads and stabilisers, and where they are filled in.
class ShelfPageTest < BrowserTest
  def test_a_cloth_is_put_on_the_shelf_changed_and_put_away
    visit "#{ROOM}/shelves/cloths"
    click_on said("shelf_page.another_cloth")
    find_field(said("closure_fields.kind_of_cloth")).select said("cloth_kind.pile_or_felted")

    assert_field "weight", with: "300"
    click_on said("shelf_form.keep_it")

    assert_selector "[role=alert]", text: said("field.this_needs_a_name")
    find_field("fabric").set "heron fleece"
    click_on said("shelf_form.keep_it")

    assert_selector "main li", text: "heron fleece"
    assert_violates_nothing
    fill_in said("shelf_page.search"), with: "heron"

    assert_selector "main li", count: 1
    click_on said("shelf_page.put_away", "heron fleece")

    assert_no_selector "main li"
    click_on said("shelf_page.put_it_back")

    assert_selector "main li", text: "heron fleece"
    open_station "cloth"
    select "heron fleece, pile or felted, 300 g/m²"

    assert_answer said("cloth_kind.pile_or_felted")
  end

  # A table with columns of somebody's own comes in once they are said, and is known the next time.
  def test_a_table_of_ones_own_comes_in
    visit "#{ROOM}/shelves/cloths"
    click_on said("shelf_page.from_a_file")
    with_file("stoffe.csv", "Stoff;Art;Dicke\nheron drill;heavy woven;0,9\n") do |path|
      find("input[type=file]").attach_file(path)

      assert_selector "[role=status]", text: said("shelf_csv.which_name")
      { "Stoff" => "name", "Art" => "kind", "Dicke" => "thickness" }.each do |given, ours|
        within("[data-columns] label", text: given) { find("option[value=#{ours}]").select_option }

        assert_no_selector "[data-columns] select:disabled"
      end
      assert_violates_nothing
      click_on said("shelf_import.take_them_in")

      assert_selector "main li", text: "heron drill"
      click_on said("shelf_page.from_a_file")
      find("input[type=file]").attach_file(path)

      assert_selector "[data-import]", text: "1 as they are"
    end
  end

  def test_a_stabiliser_on_the_shelf_is_at_hand_at_the_cloth_station
    visit "#{ROOM}/shelves/stabilisers"

    assert_selector "main li", text: "crisp tear-away"
    click_on said("shelf_page.another_stabiliser")
    find_field("stabiliser").set "marsh film"
    find_field(said("shelf_fields.kind_of_stabiliser")).select said("stabiliser.wash_away_film")
    click_on said("shelf_form.keep_it")

    assert_selector "main li", text: "marsh film"
    open_station "cloth"

    film = find("label", text: "marsh film").find("input")

    assert_equal [true, true], [film.checked?, film.disabled?]
    assert_violates_nothing
  end
end
