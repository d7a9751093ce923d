# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/at_the_machine"

# Three closures on two machines, sewn to the end with the connection lost, the server killed and things going wrong.
class SessionWalkTest < BrowserTest
  include AtTheMachine

  def self.keeps_pages? = true

  def test_a_session_is_walked_to_the_end_whatever_happens_meanwhile
    [*AVOCET, *CURLEW].each { |id| save({ placket: { count: "2", pins: [] } }, id: id) }
    hurry
    first = begin_session(AVOCET)
    visit "#{ROOM}/sessions/#{first}"

    assert_selector "[data-gain]", text: /One garment after the other would take .* longer/
    sew(first)
    shell_kept
    press_until("sew-at")
    go_wrong("thread_broke")
    2.times { press }

    assert_told

    # The cable is pulled, the lid closed and opened again.
    offline(true)
    3.times { press }

    assert_selector "[data-status]", text: said("sew_head.kept_here")
    at = here
    visit current_path

    assert_selector "[data-step='#{at}']"
    press
    offline(false)

    assert_told
    followed(first)

    # Killed in the middle, with something going wrong meanwhile; and the cable once more.
    other = here[/\A\d+/] == "5" ? "3" : "5"
    press_until("#{other}:row:sew-at")
    port = BrowserTest.port
    world.stop_serving
    press
    find("body").send_keys(:left)

    assert_includes here, "sew-at"
    go_wrong("lost_out")
    2.times { press }

    assert_includes here, "#{other}:row:"
    world.serve(port: port)

    assert_told
    press_until("nothing like it", most: 150) unless page.has_text?(said("sew_head.all_done"), wait: 0)

    assert_selector "[data-answer]", text: said("session_page.all_done_and_the")
    assert_told
    assert_equal 4, facts("hole_sewn").count, "each hole once"
    assert_equal 2, facts("mishap").count
    assert_empty call(:get, "/api/workroom/sessions/#{first}")["steps"]
    second_machine
  end

  private

  def second_machine
    second = begin_session(CURLEW)
    sew(second)
    press_until("sew-at")
    offline(true)
    2.times { press }
    offline(false)
    press_until("open:open-at")
    go_wrong("tack_cut")
    press_until("nothing like it")
    fill_in said("sew_page.how_long_is_the"), with: "26"
    find("[data-done]").click
    press_until("nothing like it")

    assert_selector "[data-answer]", text: said("session_page.all_done_and_the")
    assert_told
    assert_includes facts("hole_sewn").where(closure_id: 4).select_map(:opening_mm).map(&:to_f), 26.0
    assert_empty call(:get, "/api/workroom/under-way")["machines"]
  end

  # Another screen shows the same step, and what is done there is done here.
  def followed(session)
    at = here
    Capybara.using_session(:other) do
      sew(session)

      assert_selector "[data-step='#{at}']"
      press
    end

    assert_no_selector "[data-step='#{at}']"
  ensure
    Capybara.using_session(:other) { page.quit }
  end
end
