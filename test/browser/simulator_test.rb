# frozen_string_literal: true

require_relative "../browser_helper"

# The hole sewn on the table: playing, stepping, turning the dials, comparing; and the figures of the cloth.
class SimulatorTest < BrowserTest
  def simulator = find("section[aria-label='See it sewn']")

  def turn(label, to)
    slider = simulator.find("label", text: /\A#{label}/).find("input")
    page.execute_script("arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input', { bubbles: true }))",
                        slider, to)
  end

  # How much of a strip of the canvas is cloth still, of the bead on that side.
  def bare(side, canvas: 0)
    page.evaluate_script(<<~JS)
      (() => { const drawn = document.querySelectorAll('canvas')[#{canvas}], canvas = document.createElement('canvas')
        canvas.width = drawn.width; canvas.height = drawn.height
        const pen = canvas.getContext('2d', { willReadFrequently: true })
        pen.drawImage(drawn, 0, 0)
        // The hole lies along the canvas: the left bead is the lower one.
        const y = Math.round(canvas.height * (#{side == :left ? 0.62 : 0.38})), x = Math.round(canvas.width * 0.3), tall = Math.round(canvas.width * 0.4)
        const dots = pen.getImageData(x, y, tall, 1).data, cloth = pen.getImageData(2, 2, 1, 1).data
        let open = 0
        for (let dot = 0; dot < tall; dot += 1) if (dots[dot * 4 + 2] - dots[dot * 4] < 20) open += 1
        return open / tall })()
    JS
  end

  def test_a_hole_is_played_stepped_and_scrubbed
    open_station "recipe"

    assert_selector "[data-stitch]", text: "Stitch 132 of 132, lock"
    click_button "To the start"

    assert_selector "[data-stitch]", text: "Stitch 0 of 132, start"
    3.times { click_button "One stitch on" }
    click_button "One stitch back"

    assert_selector "[data-stitch]", text: "Stitch 2 of 132"
    select "far tack", from: "Part"

    assert_selector "[data-stitch]", text: "Stitch 66 of 132"
    select "16 times", from: "Speed"
    click_button "Play"

    assert_selector "[data-stitch]", text: "Stitch 132 of 132, lock"
    assert_selector "button[aria-label=Play]"
    assert_violates_nothing
  end

  def test_dials_make_beads_gappy_full_and_unlike_each_other
    open_station "recipe"

    assert_selector "[data-cover]", text: "left bead: full"
    full = bare(:left)
    turn "Stitch length", "0.8"

    assert_selector "[data-cover]", text: /left bead: gappy.*right bead: gappy/
    assert_operator bare(:left), :>, full
    click_button "As the recipe"
    click_button "Set this one beside"
    turn "Feed off balance", "30"

    assert_selector "[data-cover]", text: /left bead: gappy.*right bead: piled up/
    assert_operator bare(:left), :>, bare(:right)
    assert_selector "canvas", count: 2
    assert_in_delta bare(:left, canvas: 1), bare(:right, canvas: 1), 0.12
    assert_no_selector "header [role=status]", text: "Saving"
  end

  def test_thicker_thread_lengthens_the_stitch_and_the_bobbin_is_held_against_the_row
    open_station "cloth"
    type "thread.tex", "No. 40"
    find("input[data-path='thread.tex']").send_keys :tab

    assert_saved
    type "thread.bobbin", "3 m"
    find("input[data-path='thread.bobbin']").send_keys :tab
    find("body").send_keys "5"

    assert_selector "[data-setting=stitch_length]", text: "0.65 mm"
    assert_text "Tex 75 polyester"

    assert_selector "[data-bobbin]", text: /It lasts for \d of 7 holes/
    find("summary", text: "Why not another style?").click

    assert_selector "[data-score=keyhole]", text: "Against: An eyelet has nothing to seat."
  end

  def test_who_knows_no_figures_weighs_folds_and_pulls
    open_station "cloth"
    find("summary", text: "I know none of these figures").click
    fill_in "Grams", with: "1.8"
    fill_in "Side of the square", with: "10cm"
    click_button "Use 180 g/m²"

    assert_saved
    assert_equal "180", find("input[data-path='cloth.weight']").value
    fill_in "Pulled to", with: "90mm"

    assert_selector "[role=alert]", text: "From where it was to three times that."
    assert_link "Or print a scale to pull it along."
    click_button "It shines, sticks or shrinks"

    assert_selector "select[data-path='cloth.iron'] option:checked", text: "no"
    assert_saved
    find("body").send_keys "7"

    assert_text "Stabilise under every hole: tear-away"
  end
end
