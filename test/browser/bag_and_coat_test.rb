# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/printed"

# A bag with bar tacks and a coat with corded holes and buttons on pins: planned from an empty workroom, sewn in one session and
# recorded.
class BagAndCoatTest < BrowserTest
  include Printed

  def test_a_bag_and_a_coat_are_planned_sewn_in_a_session_and_recorded
    begin_workroom("Heron Shed")
    put_machine("Heron", "memory one-step", "Widest stitch, mm" => "7", "Length: between marks" => "0.05")
    check "bar tack, by its programme"
    fill_in "Its own bar tack is long", with: "1"
    find_field("Its own bar tack is long").send_keys(:tab)

    assert_selector "[role=alert]", text: "at least 2 mm"
    fill_in "Its own bar tack is long", with: "12"
    find_field("Its own bar tack is long").send_keys(:tab)

    assert_selector "[role=status]", text: "All saved"
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
    begin_closure("shopper bag", "handle ends", "What goes through" => "nothing: a bar tack", "Cloth" => "another, heavy woven",
                                                "Kind of garment" => "bag", "Place on it" => "ends of a strap")

    assert_selector "nav li[data-stage]", count: 8
    go "2"
    type "button.diameter", "9"

    assert_saved
    go "3"

    assert_answer "9 mm"
    key = find("[data-setting]").text[/is ([\d.]+ mm) long/, 1]

    assert_equal "8.2 mm", key
    assert_selector "[data-setting]", text: "Clear the 12 mm it has of its own"
    assert_violates_nothing
    go "4"
    { run_length: "300", count: "3" }.each { |name, text| type("placket.#{name}", text) }

    assert_answer "3 tacks"
    assert_saved
    go "6"

    assert_selector "fieldset", text: "How long did it come out?"
    assert_no_selector "fieldset", text: "The cloth between"
    go "7"

    assert_text "Sew a test tack on a scrap of the same layers, grain and stabiliser: key at #{key}."
    assert_no_text "How the holes are opened"
    go "9" # eight stages: nothing lies there
    go "8"

    assert_link "Tack card and marks"
    assert_includes printed_text(call(:get, "#{room}/closures/#{id_here}/card.pdf")), "press the reverse key when it is #{key} long"
    assert_includes printed_text(call(:get, "#{room}/closures/#{id_here}/strip.pdf")), "3 tacks, each 9 mm long"
    id_here
  end

  def plan_coat
    begin_closure("loden coat", "front", "What goes through" => "ball", "Cloth" => "another, heavy woven",
                                         "Kind of garment" => "jacket or coat", "Place on it" => "front that is pulled round the body")
    coat = id_here
    call(:patch, "#{room}/closures/#{coat}/plan",
         { "button.diameter" => "16", "button.attachment" => "shank", "button.name" => "loden ball", "recipe.style" => "corded",
           "placket.run_length" => "500", "placket.count" => "3", "placket.grid" => "half_millimetre" }, match(coat))
    visit "#{@home}/closures/#{coat}/attach"
    find("[data-path='attach.shank_by'] label", text: "eyelet and removable pin").click

    assert_saved
    click_button "Plan the eyelets as a closure of their own"

    assert_answer "3 holes"
    assert_selector "header", text: "front: eyelets"
    [coat, id_here]
  end

  # The first hole by hand on the screen, the rest as fast as they can be told.
  def sew_all(ids)
    session = call(:post, "#{room}/sessions", { closures: ids })["id"]
    visit "#{@home}/sessions/#{session}"

    assert_selector "[data-answer]", text: "until the machine is back"
    assert_selector "h2", text: "Counted, and to buy"
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

    assert_selector "[data-answer]", text: "All done, and the machine is as it was."
    ids.each { |id| assert_equal 0, closure_of(id)["sheet"]["sewing"]["passed_over"] }
  end

  # The button is put through before the step is pressed, and an uncut end is asked about first.
  def look(session, step)
    visit "#{@home}/sessions/#{session}/sew"

    assert_selector "[data-through]"
    click_button "tight"

    assert_text "Is it cut right up to both tacks?"
    click_button "Yes: it tight"

    assert_text "Noted: it counts as a test hole does."
    assert_selector "[data-status]", text: /told|saved/i
    step["hole"]
  end

  def told(found, step, session)
    step["enter"].each do |entry|
      body = entry.merge("with" => entry.fetch("with", {}).merge("sitting.id" => session.to_s), "machine" => found["machine"]["id"],
                         "happened_at" => Time.now.utc.iso8601, "sent_at" => Time.now.utc.iso8601)
      call(:put, "#{room}/journal/#{SecureRandom.uuid}", body)

      assert_operator last_response.status, :<, 300, last_response.body
    end
  end

  def closure_of(id) = call(:get, "#{room}/closures/#{id}")

  def recorded(coat)
    garment = closure_of(coat)["garment"]["id"]
    text = printed_text(call(:get, "#{room}/garments/#{garment}/record.pdf"))

    ["loden coat", "front: eyelets", "corded", "The buttons come off first", "Through the holes"].each do |word|
      assert_includes text, word
    end
    assert_includes printed_text(call(:get, "#{room}/garments/#{garment}/supplies.pdf")), "loden ball"
  end
end
