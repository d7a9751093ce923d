# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/printed"

# A bag with bar tacks and a coat with corded holes and buttons on pins: planned from an empty workroom, sewn in one
# session and recorded.
class BagAndCoatTest < BrowserTest
  include Printed

  def test_a_bag_and_a_coat_are_planned_sewn_in_a_session_and_recorded
    begin_workroom("Heron Shed")
    put_machine("Heron", "memory", "max_width" => "7", "length_step" => "0.05")
    pick("fieldset", "bar_tack")
    fill_in said("machine_programmes.its_own_bar_tack"), with: "1"
    find_field(said("machine_programmes.its_own_bar_tack")).send_keys(:tab)

    assert_selector "[role=alert]", text: "at least 2 mm"
    fill_in said("machine_programmes.its_own_bar_tack"), with: "12"
    find_field(said("machine_programmes.its_own_bar_tack")).send_keys(:tab)

    assert_selector "[role=status]", text: said("machine_page.all_saved")
    bag = plan_bag
    coat, eyelets = plan_coat
    sew_all([bag, coat, eyelets])
    recorded(coat)
  end

  private

  def id_here = page.current_url[%r{closures/(\d+)}, 1].to_i
  def room = "/api/workrooms/#{@home.delete_prefix('/w/')}"

  # One figure, from the place over the key to the step, the strip and the card.
  def plan_bag
    begin_closure("shopper bag", "handle ends", "shape" => "bar_tack", "cloth" => "kind:heavy_woven", "use" => "bag",
                  "place" => "strap_ends")

    assert_selector "nav li[data-stage]", count: 8
    go "2"
    type "button.diameter", "9"

    assert_saved
    go "3"

    assert_answer "9 mm"
    key = find("[data-setting]").text[/is ([\d.]+ mm) long/, 1]

    assert_equal "8.2 mm", key
    assert_selector "[data-setting]", text: said("setting.clear_the_it_has", "12 mm")
    assert_violates_nothing
    go "4"
    { run_length: "300", count: "3" }.each { |name, text| type("placket.#{name}", text) }

    assert_answer "3 tacks"
    assert_saved
    go "6"

    assert_selector "[data-look=fit]", text: said("look.how_long_did_it")
    assert_no_selector "[data-look=space]"
    go "7"

    assert_text "Sew a test tack on a matching scrap: key at #{key}."
    assert_no_text said("opened.how_the_holes_are")
    go "9" # eight stages: nothing lies there
    go "8"

    assert_link said("print.card_and_marks", "Tack")
    assert_includes printed_text(call(:get, "#{room}/closures/#{id_here}/card.pdf")), "press the reverse key when it is #{key} long"
    assert_includes printed_text(call(:get, "#{room}/closures/#{id_here}/strip.pdf")), said("strip.each_long", "3 tacks", "9 mm")
    id_here
  end

  def plan_coat
    begin_closure("loden coat", "front", "shape" => "ball", "cloth" => "kind:heavy_woven", "use" => "coat",
                  "place" => "pulled_front")
    coat = id_here
    call(:patch, "#{room}/closures/#{coat}/plan",
         { "button.diameter" => "16", "button.attachment" => "shank", "button.name" => "loden ball",
           "recipe.style" => "corded",
           "placket.run_length" => "500", "placket.count" => "3", "placket.grid" => "half_millimetre" }, match(coat))
    visit "#{@home}/closures/#{coat}/attach"
    pick "[data-path='attach.shank_by']", "pin"

    assert_saved
    click_button said("attach.plan_the_eyelets_as")

    assert_answer "3 holes"
    assert_selector "header", text: said("attach.eyelets", "front")
    [coat, id_here]
  end

  # The first hole by hand on the screen, the rest as fast as they can be told.
  def sew_all(ids)
    session = call(:post, "#{room}/sessions", { closures: ids })["id"]
    visit "#{@home}/sessions/#{session}"

    assert_selector "[data-answer]", text: said("session_page.until_the_machine_is")
    assert_selector "h2", text: said("supplies.shopping_list")
    assert_text "shopper bag"
    opened = nil
    until (found = call(:get, "#{room}/sessions/#{session}"))["steps"].empty?
      found["steps"].each do |step|
        opened = look(session, step) if step["opens"] && opened.nil?
        told(found, step, session)
      end
    end

    refute_nil opened
    visit "#{@home}/sessions/#{session}"

    assert_selector "[data-answer]", text: said("session_page.all_done_and_the")
    ids.each { |id| assert_equal 0, closure_of(id)["sheet"]["sewing"]["passed_over"] }
  end

  # The button is put through before the step is pressed, and an uncut end is asked about first.
  def look(session, step)
    visit "#{@home}/sessions/#{session}/sew"

    assert_selector "[data-through]"
    click_button "tight"

    assert_text said("through.is_it_cut_right")
    click_button said("through.yes_it", "tight")

    assert_text said("through.noted_it_counts_as")
    assert_selector "[data-status]", text: /told|saved/i
    step["hole"]
  end

  def told(found, step, session)
    step["enter"].each do |entry|
      body = entry.merge("with" => entry.fetch("with", {}).merge("sitting.id" => session.to_s),
                         "machine" => found["machine"]["id"],
                         "happened_at" => Time.now.utc.iso8601, "sent_at" => Time.now.utc.iso8601)
      call(:put, "#{room}/journal/#{SecureRandom.uuid}", body)

      assert_operator last_response.status, :<, 300, last_response.body
    end
  end

  def closure_of(id) = call(:get, "#{room}/closures/#{id}")

  def recorded(coat)
    garment = closure_of(coat)["garment"]["id"]
    text = printed_text(call(:get, "#{room}/garments/#{garment}/record.pdf"))

    ["loden coat", said("attach.eyelets", "front"), "corded", said("care.the_buttons_come_off"),
     said("record_pdf.through_the_holes")].each do |word|
      assert_includes text, word
    end
    assert_includes printed_text(call(:get, "#{room}/garments/#{garment}/supplies.pdf")), "loden ball"
  end
end
