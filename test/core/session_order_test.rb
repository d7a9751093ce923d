# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/sessions"

# The order of a session: one person, one machine, several closures.
class SessionOrderTest < CoreTest
  Sessions = Support::Sessions
  USUAL = Sewing::Changeover::USUAL

  def block(key, seconds, **more) = Schedule::WorkBlock.new(key: key, seconds: seconds, **more)
  def chain(key, *blocks, **more) = Schedule::WorkChain.new(key: key, blocks: blocks, **more)

  def order(chains, **more) = Schedule::SessionOrder.of(chains, costs: USUAL, **more)
  def wished(chains, wish) = Schedule::SessionOrder.wished(chains, wish, costs: USUAL)

  def test_no_order_of_a_small_session_ends_earlier
    150.times do |number|
      chains, from = Sessions.small(random)
      found = order(chains, from: from)

      assert_equal Sessions::Everything.new(chains, from).best, found.seconds, "session #{number}"
      assert_predicate found, :proven?
    end
  end

  # What is told is what happens: one thing after the other, nothing before it is dry, every block once and in its
  # order.
  def test_what_is_told_can_be_done_and_is_no_worse_than_plain_orders
    25.times do
      chains = Sessions.chains(random, random.rand(1..6))
      found = order(chains, from: {}, most: 400)

      assert_operator found.seconds, :<=, [found.one_by_one, found.by_stages].min
      assert_operator found.bound, :<=, found.seconds
      followed(chains, found)
      wish = found.moments.filter_map(&:chain)
      own = wished(chains, wish)

      assert_equal found.seconds, own.seconds
      assert_operator wished(chains, chains.flat_map { |one|
        [one.key] * one.blocks.size
      }).seconds, :>=, found.bound
    end
  end

  def test_while_one_dries_the_machine_is_changed_and_the_other_sewn
    row = { "foot" => "carriage" }
    one = chain("cape", block("row", 600, needs: row), block("seal", 60, dries: 1200), block("open", 100))
    other = chain("smock", block("row", 900, needs: { "foot" => "scale" }), block("open", 120))
    found = order([one, other])

    assert_equal "set cape cape set smock smock set wait cape", found.moments.map { |moment| moment.chain || moment.kind }.join(" ")
    assert_equal [60 + 600 + 60 + 1200 + 100, 180, 60], [found.seconds, found.changing, found.waiting]
    assert_equal 60 + 600 + 60 + 1200 + 100 + 60 + 900 + 120 + 60, found.one_by_one
    dry = order([chain("cape", block("open", 100), dry_in: 300)], from: row)

    assert_equal([["set", 0, 60], ["wait", 60, 300], ["work", 300, 400]], dry.moments.map do |moment|
      [moment.kind, moment.from, moment.to]
    end)
    assert_equal([0, true], order([]).then { |none| [none.seconds, none.proven?] })
  end

  def test_what_a_changeover_takes_can_be_said
    assert_equal 180, Sewing::Changeover.costs("needle" => 180).fetch("needle")
    assert_equal ["session.costs.needle"], refused { Sewing::Changeover.costs("needle" => -1) }.keys
    assert_equal ["session.costs.lamp"], refused { Sewing::Changeover.costs("lamp" => 5) }.keys
    assert_equal 60, USUAL.between({ "foot" => "a", "top_thread" => "x" }, { "foot" => "b" }), "the thread stays on"
    assert_equal 150, USUAL.between({}, { "foot" => "b", "top_thread" => "x" })
  end

  # A bound that is too late once would prove a wrong order: at every point of the best way it is no later than the end.
  def test_no_bound_is_later_than_what_can_be_reached_from_there
    40.times do
      chains, from = Sessions.small(random)
      table = Schedule::SessionTable.new(chains, from, USUAL)
      search = Schedule::SessionSearch.new(table)
      found = search.run
      point = found.last
      while point
        bound = Schedule::SessionBounds.new(table).earliest(point.clock, point.done, point.at, point.ready)

        assert_operator bound, :<=, found.ends
        point = point.before
      end
      everything = Sessions::Everything.new(chains, from).best

      assert_operator Schedule::SessionBounds.new(table).earliest(0, [0] * chains.size, table.now, table.dry), :<=,
                      everything
    end
  end

  # What was begun comes first, whatever would be quicker; and it says how much quicker nothing is.
  def test_what_was_begun_is_gone_on_with
    25.times do
      chains = Sessions.chains(random, random.rand(2..4))
      first = chains.sample(random: random).key
      found = order(chains, first: first)

      assert_equal first, found.moments.find(&:chain).chain
      assert_operator found.seconds, :>=, order(chains).seconds
      assert_operator found.seconds, :<=, [found.one_by_one, found.by_stages].min
      followed(chains, found)
    end
  end

  # The parts of a machine that are changed together are one; what is as its owner has it is none.
  def test_what_a_machine_is_set_to_is_seen_by_what_is_changed_together
    state = { "foot" => "carriage", "button_in_foot" => "the button", "width" => "4.5", "tension" => "3",
              "top_thread" => "silk",
              "bobbin_thread" => "silk", "lever" => "down", "feed_dogs" => nil }
    needs = Sewing::Changeover.needs(state)

    assert_equal %w[bobbin foot settings top_thread], needs.keys.sort
    assert_empty Sewing::Changeover.needs({ "lever" => "down", "memory" => "22" }), "they are no changeover"
    other = Sewing::Changeover.needs(state.merge("button_in_foot" => "a stand-in"))

    assert_equal 60, USUAL.between(needs, other)
    assert_equal 0, USUAL.between(needs, Sewing::Changeover.needs(state))
    three = [{}, needs, other]

    three.product(three, three).each do |one, two, last|
      assert_operator USUAL.between(one, last), :<=,
                      USUAL.between(one, two) + USUAL.between(two, last)
    end
  end

  private

  def followed(chains, found)
    clock = 0
    at = {}
    dry = Hash.new(0)
    found.moments.each do |moment|
      assert_equal clock, moment.from
      clock = moment.to
      if moment.kind == "set"
        assert_equal USUAL.between(at, moment.needs), moment.to - moment.from
        at = moment.needs
      elsif moment.kind == "work"
        work(chains, moment, at, dry)
      end
    end

    assert_equal [found.seconds, {}], [clock, at], "and the machine is back"
    assert_equal(chains.map { |one| one.blocks.map(&:key) }, chains.map do |one|
      found.moments.select do |moment|
        moment.chain == one.key
      end.map(&:block)
    end)
  end

  def work(chains, moment, at, dry)
    block = chains.find { |one| one.key == moment.chain }.blocks.find { |one| one.key == moment.block }

    assert_operator moment.from, :>=, dry[moment.chain]
    assert_equal block.seconds, moment.to - moment.from
    assert_equal block.needs, at if block.machine?
    dry[moment.chain] = moment.to + block.dries
  end
end
