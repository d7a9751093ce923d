# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/at_the_machine"

# Nobody answers, and the page is opened anew: what was seen last is there, what is typed waits, and all of it goes on
# by itself once somebody answers.
class AwayTest < BrowserTest
  include AtTheMachine

  def self.keeps_pages? = true

  PAGES = { "" => "front placket", "/stash" => "river shell 18", "/shelves/cloths" => "washed field linen",
            "/swatches" => "Swatch book", "/machines/4" => "Lapwing", "/closures/1/button" => "18" }.freeze

  def teardown
    world.serve(port: BrowserTest.port) unless world.serving?
    super
  end

  def test_a_server_that_is_away_at_first
    world.stop_serving
    begin
      visit "#{ROOM}/closures/1/button"
    rescue Selenium::WebDriver::Error::UnknownError
      # The page itself cannot be had.
    end
    world.serve(port: BrowserTest.port)
    visit ROOM

    assert_selector "h1", text: "Marsh Walk"
    world.stop_serving
    click_on "front placket"

    assert_text said("saved.the_server_does_not")
    world.serve(port: BrowserTest.port)

    assert_answer said("cloth_kind.light_woven")
  end

  def test_pages_open_anew_without_a_server_as_they_were_seen
    PAGES.each do |path, shows|
      look_at(path)

      assert_text shows
    end
    shell_kept
    world.stop_serving
    PAGES.each do |path, shows|
      look_at(path)

      assert_text shows
    end
    type "button.diameter", "19"

    assert_selector "[role=alert]", text: said("saved.the_server_does_not")
    world.serve(port: BrowserTest.port)

    assert_saved
    assert_equal "19 mm", closure["plan"]["button.diameter"]["text"]
  end

  # Only the workroom was opened with a connection: every stage of every garment opens without one, what is typed
  # waits, and a garment is noted on; back again nothing of it is lost.
  def test_ones_own_garments_are_read_and_changed_without_a_connection
    look_at("")
    shell_kept

    assert_selector "html[data-ahead=marsh-walk]"
    world.stop_serving
    { "/closures/1/placement" => "7 holes", "/closures/3/test" => "ribbed merino henley", "/closures/5/length" => "27",
      "/garments/2" => db[:garments].where(id: 2).get(:name) }.each do |path, shows|
      look_at(path)

      assert_text shows
    end
    look_at("/closures/5/button")
    type "button.diameter", "19"

    assert_selector "[role=alert]", text: said("saved.the_server_does_not")
    look_at("/closures/1/fabric")
    world.serve(port: BrowserTest.port)
    look_at("/closures/5/button")

    assert_saved
    assert_equal "19 mm", closure(5)["plan"]["button.diameter"]["text"]
  end

  private

  def look_at(path)
    visit "#{ROOM}#{path}"

    assert_selector "main h1"
    assert_no_selector "main[aria-busy=true]"
  end
end
