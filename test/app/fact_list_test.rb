# frozen_string_literal: true

require_relative "../app_helper"

# What waited in a browser is told in lists: each fact once, in its order, whatever the way did to it.
class FactListTest < AppTest
  PHONE = "11111111-1111-4111-8111-111111111111"
  TABLET = "22222222-2222-4222-8222-222222222222"
  SESSION = "33333333-3333-4333-8333-333333333333"

  def setup
    super
    @machine = closure["machine"]["id"]
  end

  def uuid(number) = format("%08d-0000-4000-8000-000000000000", number)

  # @param ago [Numeric] seconds before it was sent
  def fact(number, ago: 0, sent: Time.now, **more)
    { id: uuid(number), n: number, kind: "machine_part", machine: @machine, step: "feed-dogs", moves: { "lever" => "down" }, happened_at: (sent - ago).iso8601(3),
      sent_at: sent.iso8601(3), **more }
  end

  def dogs(state) = { moves: { "feed_dogs" => state } }

  def tell(*facts, device: PHONE)
    call(:post, "/api/journal", { entries: facts }, "HTTP_X_DEVICE" => device)["entries"].map { |one| one["answer"] }
  end

  def dropped? = closure["sheet"]["ledger"].any? { |entry| entry["key"] == "feed_dogs" }

  def journal = db[:journal].where(id: (1..99).map { |number| uuid(number) })

  def test_each_fact_is_kept_once_and_answered
    facts = [fact(1, **dogs("dropped")), fact(2, **dogs(nil))]

    assert_equal %w[kept kept], tell(*facts)
    assert_equal %w[known known], tell(*facts)
    assert_equal 2, journal.count
    refute_predicate self, :dropped?
  end

  # A request that was long on its way, a clock that is put back, facts that overtake each other: the number holds.
  def test_order_is_that_of_the_browser
    turned = [[[1, 0.5, "dropped"], [2, 5, nil]], [[2, 1, nil], [1, 0.2, "dropped"]], [[1, -3600, "dropped"], [2, 7200, nil]]]
    turned.each_with_index do |told, browser|
      told.each do |n, ago, state|
        tell({ **fact(n + (browser * 10), ago: ago, **dogs(state)), n: n }, device: uuid(900 + browser))
      end

      assert_equal [1, 2], journal.where(device: uuid(900 + browser)).order(:happened_at, :seq).select_map(:n),
                   told.inspect
      refute_predicate self, :dropped?, told.inspect
    end
  end

  def test_an_age_that_is_more_than_a_day_out_is_taken_for_true
    tell(fact(1))
    tell(fact(2, ago: 3 * 86_400))

    assert_operator journal.where(n: 2).get(:happened_at), :<, journal.where(n: 1).get(:happened_at) - 86_400
  end

  def test_what_was_pressed_together_is_kept_together_or_not_at_all
    strange = { moves: { "antenna" => "up" } }
    first = [fact(1, press: SESSION, **dogs("dropped")), fact(2, press: SESSION, **strange), fact(3, **dogs(nil))]

    assert_equal %w[refused refused kept], tell(*first)
    assert_equal %w[refused], tell(fact(9, moves: {})), "a part that moved says which"
    assert_equal [3], journal.select_map(:n)
    second = [fact(4, ago: 9, press: TABLET), fact(5, ago: 9, press: TABLET)]

    assert_equal %w[kept kept], tell(*second)
    assert_equal 1, journal.where(press: TABLET).select_map(:happened_at).uniq.size, "one moment"
  end

  # Two tabs, two phones: the id was given out with the step.
  def test_one_doing_told_from_two_places_is_one_fact
    enter = step("stabilise")["enter"]
    told = { **enter, closure: SMOCK, happened_at: Time.now.iso8601(3), sent_at: Time.now.iso8601(3) }

    assert_equal ["kept"], tell({ n: 1, **told })
    assert_equal ["known"], tell({ n: 7, note: "seen by the tablet", **told }, device: TABLET)
    assert_equal 1, db[:journal].where(closure_id: SMOCK, step_key: "stabilise").count
    refute_equal enter["id"], step("stabilise")["enter"]["id"], "the next doing is another"
  end

  # What was taken back by one and done by the other, who had not heard of it, was done.
  def test_a_doing_that_was_taken_back_elsewhere_is_another
    enter = step("stabilise")["enter"]
    told = { **enter, closure: SMOCK, happened_at: Time.now.iso8601(3), sent_at: Time.now.iso8601(3) }
    tell({ n: 1, **told })
    back = { **fact(2), kind: "withdrawal", about: enter["id"] }.except(:machine, :step)

    assert_equal %w[kept], tell(back)
    assert_equal %w[known], tell({ **back, id: uuid(3), n: 3 }), "taken back twice is taken back"
    refute step("stabilise")["done"]
    assert_equal %w[known], tell({ n: 1, **told }), "sent again it is what it was"
    refute step("stabilise")["done"]
    assert_equal %w[kept], tell({ n: 1, **told }, device: TABLET)
    assert step("stabilise")["done"]
    # What a browser made up itself is told again only by itself, or by a page that took it over.
    tell(fact(8, **dogs("dropped")))
    tell({ **fact(9), kind: "withdrawal", about: uuid(8) }.except(:machine, :step, :moves))

    assert_equal %w[known], tell(fact(8, **dogs("dropped")).merge(n: 77), device: TABLET)
    refute_predicate self, :dropped?
  end
end
