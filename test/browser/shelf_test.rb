# frozen_string_literal: true

require_relative "../browser_helper"

# The shelves of cloths, threads and stabilisers, and where they are filled in.
class ShelfPageTest < BrowserTest
  def test_a_cloth_is_put_on_the_shelf_changed_and_put_away
    visit "#{ROOM}/shelves/cloths"
    click_on "Another cloth"
    find_field("kind of cloth").select "pile or felted"

    assert_field "weight", with: "300"
    click_on "Keep it"

    assert_selector "[role=alert]", text: "This needs a name."
    find_field("cloth").set "heron fleece"
    click_on "Keep it"

    assert_selector "main li", text: "heron fleece"
    assert_violates_nothing
    fill_in "Search", with: "heron"

    assert_selector "main li", count: 1
    click_on "Put away heron fleece"

    assert_no_selector "main li"
    click_on "Put it back"

    assert_selector "main li", text: "heron fleece"
    open_station "cloth"
    select "heron fleece, pile or felted, 300 g/m²"

    assert_answer "pile or felted"
  end

  def test_a_stabiliser_on_the_shelf_is_at_hand_at_the_cloth_station
    visit "#{ROOM}/shelves/stabilisers"

    assert_selector "main li", text: "crisp tear-away"
    click_on "Another stabiliser"
    find_field("stabiliser").set "marsh film"
    find_field("kind of stabiliser").select "wash-away film"
    click_on "Keep it"

    assert_selector "main li", text: "marsh film"
    open_station "cloth"

    film = find("label", text: "marsh film").find("input")

    assert_equal [true, true], [film.checked?, film.disabled?]
    assert_violates_nothing
  end
end
