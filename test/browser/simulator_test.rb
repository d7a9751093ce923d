# frozen_string_literal: true

require_relative "../browser_helper"

# The hole sewn on the table: playing, stepping, turning the dials, comparing; and the figures of the cloth.
class SimulatorTest < BrowserTest
  def simulator = find("section[aria-label='#{said('simulator.see_it_sewn')}']")

  def turn(label, to)
    slider = simulator.find("label", text: /\A#{label}/).find("input")
    page.execute_script("arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input', { bubbles: true }))",
                        slider, to)
  end

  # How much of a strip of the canvas is cloth still, of the bead on that side.
  def bare(side, canvas: 0)
    assert_selector "section[aria-label='See it sewn'] canvas", minimum: canvas + 1
    page.evaluate_script(<<~JS)
      (() => { const drawn = document.querySelectorAll("section[aria-label='See it sewn'] canvas")[#{canvas}], canvas = document.createElement('canvas')
        canvas.width = drawn.width; canvas.height = drawn.height
        const pen = canvas.getContext('2d', { willReadFrequently: true })
        pen.drawImage(drawn, 0, 0)
        // The hole lies along the canvas: the left-hand side is the lower one.
        const y = Math.round(canvas.height * (#{side == :left ? 0.62 : 0.38})), x = Math.round(canvas.width * 0.3), tall = Math.round(canvas.width * 0.4)
        const dots = pen.getImageData(x, y, tall, 1).data, cloth = pen.getImageData(2, 2, 1, 1).data
        let open = 0
        for (let dot = 0; dot < tall; dot += 1) if (dots[dot * 4 + 2] - dots[dot * 4] < 20) open += 1
        return open / tall })()
    JS
  end

  def test_a_hole_is_played_stepped_and_scrubbed
    open_station "recipe"

    assert_selector "[data-stitch]", text: said("simulator.stitch_of", "132", "132", "lock")
    click_button said("simulator.to_the_start")

    assert_selector "[data-stitch]", text: said("simulator.stitch_of", "0", "132", "start")
    3.times { click_button said("simulator.one_stitch_on") }
    click_button said("simulator.one_stitch_back")

    assert_selector "[data-stitch]", text: "Stitch 2 of 132"
    select said("machine_kind.far_tack"), from: said("simulator.part")

    assert_selector "[data-stitch]", text: "Stitch 66 of 132"
    select said("simulator.times"), from: said("simulator.speed")
    click_button said("simulator.play")

    assert_selector "[data-stitch]", text: said("simulator.stitch_of", "132", "132", "lock")
    assert_selector "button[aria-label='#{said('simulator.play')}']"
    assert_violates_nothing
  end

  def test_dials_make_beads_gappy_full_and_unlike_each_other
    open_station "recipe"

    assert_selector "[data-cover]", text: "left-hand side: full"
    full = bare(:left)
    turn said("simulator.stitch_length"), "0.8"

    assert_selector "[data-cover]", text: /left-hand side: gappy.*right-hand side: gappy/
    assert_operator bare(:left), :>, full
    click_button said("simulator.as_the_recipe")
    click_button said("simulator.set_this_one_beside")
    turn said("simulator.feed_off_balance"), "30"

    assert_selector "[data-cover]", text: /left-hand side: gappy.*right-hand side: piled up/
    assert_operator bare(:left), :>, bare(:right)
    assert_equal 2, simulator.all("canvas").size
    assert_in_delta bare(:left, canvas: 1), bare(:right, canvas: 1), 0.12
    assert_no_selector "header [role=status]", text: "Saving"
  end

  # It takes no picture away and turns no dial back.
  def test_what_comes_in_meanwhile_leaves_the_dials_as_they_are
    open_station "recipe"
    turn said("simulator.stitch_length"), "0.8"

    assert_selector "[data-cover]", text: /left-hand side: gappy/
    page.execute_script("arguments[0].dataset.mine = 'yes'", simulator.find("canvas"))
    log_swatch({ passes: "tight" })

    assert_selector "nav [data-stage=swatch]", text: "1 sewn"
    assert_selector "[data-cover]", text: /left-hand side: gappy/
    assert simulator.has_selector?("canvas[data-mine]")
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
    find("[data-setting=style]").click
    unfold said("scores.why_not_another", "style")

    assert_selector "[data-score=keyhole]", text: said("scores.against", said("style_rules.an_eyelet_has_nothing"))
  end

  def test_who_knows_no_figures_weighs_folds_and_pulls
    open_station "cloth"
    unfold said("feel.i_know_none_of")
    fill_in "Grams", with: "1.8"
    fill_in said("feel.side_of_the_square"), with: "10cm"
    click_button "Use 180 g/m²"

    assert_saved
    assert_equal "180", find("input[data-path='cloth.weight']").value
    fill_in said("feel.pulled_to"), with: "90mm"

    assert_selector "[role=alert]", text: said("cloth_feel.from_where_it_was")
    assert_link said("feel.or_print_a_scale")
    click_button said("feel.it_shines_sticks_or")

    assert_selector "select[data-path='cloth.iron'] option:checked", text: "no"
    assert_saved
    find("body").send_keys "7"

    assert_text "Tear-away under the hole"
  end
end
