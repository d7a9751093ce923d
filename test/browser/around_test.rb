# frozen_string_literal: true

require_relative "../browser_helper"

# What shows somebody round: the tour of the example, and the page that says what this is.
class AroundTest < BrowserTest
  def at(stop) = assert_selector("[data-tour='#{stop}']")

  def test_the_tour_is_walked_left_and_taken_up
    narrow
    visit "/"
    click_button said("workrooms_page.show_me_around")
    at 1
    2.times do |stop|
      click_button said("tour_card.go_on")
      at stop + 2
    end

    assert_selector "nav li[data-stage=button]"
    visit current_path
    at 3

    assert_violates_nothing
    within("[data-tour]") { click_button said("tour_card.leave") }

    assert_no_selector "[data-tour]"
    wide
    click_button said("help.help")
    click_button said("workrooms_page.show_me_around")
    at 3
    6.times do |stop|
      click_button said("tour_card.go_on")
      at stop + 4
    end
    click_button said("tour_card.end")

    assert_no_selector "[data-tour]"
    assert_equal "#{ROOM}/swatches", current_path
  end

  def test_what_is_new_is_told
    visit "/about"

    assert_selector "[data-version]", text: VERSION
    assert_selector "[data-changes] li", minimum: 3
    assert_violates_nothing
  end
end
