# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../../app/document/strip_labels"

# How a closure begins: with what is usual for its place, and fitting from the first moment.
class BeginTest < AppTest
  def begin_with(plan, name: SecureRandom.hex(4))
    call(:post, "/api/closures", { garment: "gull coat", name: name, plan: plan }).tap { assert_status 201 }
  end

  def test_every_place_begins_as_it_is_usual_there_and_its_holes_fit
    Placket::PLACES.each_value do |place|
      begun = begin_with({ "placket.place" => place.key,
                           **(place.tacked ? { "button.shape" => "bar_tack" } : { "button.diameter" => "11mm" }) })
      place.fills.each do |path, typed|
        kept = begun["plan"][path]
        kept = kept["mm"].to_s.delete_suffix(".0") if kept.is_a?(Hash)

        assert_equal typed, kept.to_s, "#{place.key}: #{path}"
      end

      assert_empty begun["sheet"]["faults"], place.key
      assert_operator begun["sheet"]["placket"]["holes"].size, :>=, 1
      reasons = begun["sheet"]["placket"]["because"].map { |reason| reason["says"] }

      said = place.says.respond_to?(:in) ? place.says.in(:mm) : place.says

      assert_includes reasons, said, "the reason stays beside the answer"
    end
  end

  def test_what_is_typed_wins_over_what_is_usual
    cuff = begin_with({ "placket.place" => "cuff", "placket.run_length" => "70mm",
                        "placket.orientation" => "vertical" })

    assert_equal ["70 mm", "vertical"], [cuff["plan"]["placket.run_length"]["text"],
                                         cuff["plan"]["placket.orientation"]]
  end

  # Another place afterwards changes nothing by itself: what is usual there is offered, and taken in one change.
  def test_what_is_usual_at_another_place_is_offered
    assert_empty begin_with({ "placket.place" => "cuff" })["usual"]
    save({ placket: { place: "cuff", extension: "16" } })
    offered = closure["usual"]

    assert_equal %w[placket.count placket.first placket.orientation placket.run_length], offered.keys.sort
    assert_equal 620, closure["plan"]["placket.run_length"]["mm"]
    save({ "placket.pins" => db[:pins].where(closure_id: 1).select_map(:key).to_h { |key| [key, nil] },
           "placket.keep_outs" => db[:keep_outs].where(closure_id: 1).select_map(:key).to_h { |key| [key, nil] },
           "placket.last" => "", **offered })

    assert_status 200
    assert_empty closure["usual"]
    assert_equal([30], closure["sheet"]["placket"]["holes"].map { |hole| hole["at"]["mm"] })
    act(:post, "undo")

    assert_equal offered, closure["usual"]
  end

  # Whatever goes through, on every machine there is: stages, steps and strip of its own.
  def test_whatever_goes_through_begins_whole_on_every_machine
    machines = db[:machines].where(workroom_id: 1).select_order_map(:id)
    BUTTON_SHAPES.each_value.with_index do |shape, index|
      begun = begin_with({ "button.shape" => shape.key, "machine.id" => machines[index % machines.size] })
      words = begun["sheet"]["stages"].map { |stage| stage["word"] }

      assert_empty begun["sheet"]["faults"], shape.key
      assert_equal shape.fastens, words.include?("attach"), shape.key
      assert_equal shape.noun, begun["sheet"]["button"]["noun"]
      unless shape.fastens
        assert_equal shape.noun.capitalize, begun["sheet"]["stages"].find { |stage|
          stage["word"] == "button"
        }["title"]
      end

      assert_equal "%PDF", call(:get, "/api/closures/#{begun['id']}/strip.pdf")[0, 4]
      assert_equal "%PDF", call(:get, "/api/closures/#{begun['id']}/hole-card.pdf")[0, 4]
    end
  end

  # The closures something happened with last come first, and machines on which something is left set.
  def test_under_way_is_what_was_touched_last
    assert_empty call(:get, "/api/under-way")["closures"]
    save({ button: { diameter: "19" } }, id: 5)
    enter({ **step("needle")["enter"], machine: 4 })
    found = call(:get, "/api/under-way")

    assert_equal([1, 5], found["closures"].map { |item| item["id"] })
    assert_equal "sewing", found["closures"].first["station"]
    assert_equal([["Lapwing", ["needle"]]], found["machines"].map do |item|
      [item["name"], item["ledger"].map do |entry|
        entry["name"]
      end]
    end)
  end

  # A label that would lie on another goes below it; those of the two columns do not mind each other.
  def test_labels_keep_apart
    pen = Struct.new(:texts) { def text(x, y, words, size) = texts << [x, y, words, size] }.new([])
    labels = Document::StripLabels.new(40.0)
    labels.add(9, 24, "24 mm", 3)
    labels.add(2, 24, "1", 4)
    labels.add(9, 25, "needle 35 mm", 2.4)
    labels.add(9, 60, "60 mm", 3)
    labels.draw(pen)
    drawn = pen.texts.to_h { |x, y, words, _| [words, [x, y.round(2)]] }

    assert_equal({ "1" => [42.0, 24], "24 mm" => [49.0, 24], "needle 35 mm" => [49.0, 26.8], "60 mm" => [49.0, 60] },
                 drawn)
  end
end
