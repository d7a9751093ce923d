# frozen_string_literal: true

require_relative "../app_helper"

# A database of an earlier version comes up to date with what it holds, and each step can be taken back.
class MigrateTest < Minitest::Test
  include NimbleEyelet

  VERSIONS = Dir[File.join(Store::Database::MIGRATIONS, "*.rb")].map { |file| File.basename(file).to_i }.sort
  BEFORE_THE_JOURNAL = 7
  FOREVER = %i[closures buttons cloths machines feet].freeze

  def setup
    @db = Store::Database.connect(AppWorld.world.cluster.database("nimble_eyelet_migrate"))
    Sequel.extension :migration
    to(0)
    to(VERSIONS.last)
    Store::Sample.new(@db, story: false).first
  end

  def teardown
    to(0)
    @db.disconnect
  end

  def to(version)
    Sequel::Migrator.run(@db, Store::Database::MIGRATIONS, target: version)
    # Statements were prepared for the tables of then.
    @db.disconnect
  end

  def counts = FOREVER.to_h { |table| [table, @db[table].count] }
  def workroom = Store::Workrooms.new(@db).find("marsh-walk")

  def closures
    @db[:closures].where(removed_at: nil).order(:id).select_map(:id).map { |id| Store::Closures.new(workroom).find(id) }
  end

  # Everything about plans and facts, without what is told anew each time.
  def state
    columns = %i[closure_id number parent document]
    revisions = @db[:revisions].order(:closure_id, :number).select(*columns).all
    { plans: closures.map { |closure| [closure.plan, closure.entries, closure.version[/\d+\z/], closure.position] },
      revisions: revisions.map { |row| [*row.values[0, 3], row[:document].to_h] },
      journal: @db[:journal].order(:id).select_map(%i[id kind closure_id about step_key happened_at]) }
  end

  # Two servers that start on an empty database at once: one brings it up to date, the other waits for that.
  def test_servers_that_start_at_once_take_turns
    to(0)
    servers = Array.new(2) { Store::Database.connect(@db.uri) }
    servers.map { |db| Thread.new { Store::Database.migrate(db) } }.each(&:value)

    assert_equal VERSIONS.last, @db[:schema_info].get(:version)
  ensure
    servers&.each(&:disconnect)
  end

  # A real machine's settings were held by what the machine that stood in had sewn: they are let go, and it is noted.
  def test_what_was_only_practised_holds_nothing_real
    held = closures.first.id
    @db[:workrooms].update(sample: false)
    @db[:machines].update(practice: false)
    to(21)
    stood_in = { passes: "passes", with: { "machine.id" => "stand-in for 4" } }
    id = SecureRandom.uuid
    @db[:journal].insert(workroom_id: @db[:workrooms].get(:id), id: id, kind: "swatch", closure_id: held,
                         happened_at: Time.now, data: Sequel.pg_jsonb(stood_in))
    @db[:closures].where(id: held).update(accepted: id)
    to(VERSIONS.last)
    found = Store::Closures.new(workroom).find(held)

    assert_equal [nil, []], [found.plan.accepted, found.facts.swatches]
    assert_match(/practice machine/, found.entries.find { |entry| entry.kind == "note" }.note)
    @db[:journal].where(closure_id: held).delete
  end

  def test_every_step_goes_up_and_down_with_the_sample_in_it
    Store::Sample.new(@db).fresh
    before = counts
    VERSIONS[0..-2].reverse_each do |version|
      to(version)

      assert_equal before, counts, "down to #{version}"
    end
    VERSIONS.drop(1).each do |version|
      to(version)

      assert_equal before, counts, "up to #{version}"
    end
  end

  # What a person had before the newest fields existed is planned as it was.
  def test_what_was_kept_earlier_is_planned_as_before
    # Before a pin could hold a button it held the hole.
    @db[:pins].update(holds: "hole")
    @db[:closures].where(button_shape: %w[cord ribbon]).update(removed_at: Time.at(0))
    # And every hole was sewn by machine.
    @db[:closures].update(recipe_way: nil)
    places = closures.map { |closure| closure.sheet.layout.holes.map(&:at) }
    # Down past everything that came with habits and the solver, and up again.
    to(3)
    to(VERSIONS.last)

    assert_equal(places, closures.map { |closure| closure.sheet.layout.holes.map(&:at) })
    closures.each { |closure| assert closure.plan.in(closure.house).validate }
  end

  # A closure as the version before the journal kept it: a test hole, undone, another, ticks, a knot.
  def lived_in
    to(BEFORE_THE_JOURNAL)
    own = { workroom_id: 1, closure_id: 1 }
    first = @db[:revisions].where(closure_id: 1).get(:document).to_h
    swatch = lambda do |number, passes, accepted, minute|
      { "number" => number, "passes" => passes, "measured" => "22.1", "symptoms" => ["gappy"], "opening" => "22.5",
        "stitch_width" => "4.5",
        "stitch_length" => "0.4", "tension" => "3", "stabiliser" => "fusible", "note" => "n", "accepted" => accepted,
        "sewn_at" => "2026-11-20T10:0#{minute}:00Z" }
    end
    add = lambda do |number, parent, **changes|
      document = first.merge(@documents[parent] || {}).merge(changes.transform_keys(&:to_s))
      @documents[number] = document
      @db[:revisions].insert(**own, number: number, parent: parent, summary: "x",
                                    document: Sequel.pg_jsonb_wrap(document),
                                    made_at: Time.utc(2026, 11, 20, 10, number))
    end
    @documents = { 1 => first }
    wider = first["fields"].merge("button.diameter" => "19")
    add.call(2, 1, fields: wider)
    add.call(3, 2, swatches: [swatch.call(1, "tight", false, 1)])
    # Undone, and another test hole instead.
    add.call(4, 2, swatches: [swatch.call(1, "passes", false, 2)])
    add.call(5, 4, swatches: [swatch.call(1, "passes", true, 2)], knots: { "recipe" => "a" * 64 })
    add.call(6, 5, steps_done: %w[stabilise])
    add.call(7, 6, steps_done: %w[mark stabilise])
    add.call(8, 7, fields: wider.merge("button.diameter" => "20"))
    kept = @documents[8]
    @db[:swatches].insert(**own, **kept["swatches"][0].except("symptoms").transform_keys do |name|
      (%w[measured opening stitch_width stitch_length].include?(name) ? "#{name}_mm" : name).to_sym
    end, symptoms: Sequel.pg_array(["gappy"], :text))
    kept["steps_done"].each { |key| @db[:steps_done].insert(**own, key: key) }
    @db[:knots].insert(**own, stage: "recipe", fingerprint: "a" * 64)
    @db[:closures].where(id: 1).update(revision: 8, position: 8, button_diameter_mm: 20)
  end

  def test_swatches_and_ticks_of_all_branches_become_facts_and_undo_steps_over_them
    lived_in
    to(VERSIONS.last)
    closure = Store::Closures.new(workroom).find(1)
    facts = closure.facts

    assert_equal ["passes"], facts.swatches.map(&:passes)
    assert_equal facts.swatches.first.id, closure.plan.accepted
    assert_equal %w[mark stabilise], facts.steps.keys.sort
    assert_equal Time.utc(2026, 11, 20, 10, 6), facts.steps["stabilise"].happened_at, "the first revision that has it"
    assert_equal %w[swatch swatch withdrawal], @db[:journal].exclude(kind: "step").select_order_map(:kind),
                 "the one undone is withdrawn"
    assert_equal({ "mm" => "19" }, @db[:closures].where(id: 1).get(:settled)["recipe"]["button.diameter"],
                 "as it was when it was settled")
    # 3 equals 2, and 6 and 7 equal 5: they would make undo do nothing.
    assert_equal [[1, nil], [2, 1], [5, 2], [8, 5]],
                 @db[:revisions].where(closure_id: 1).order(:number).select_map(%i[number parent])
    assert_equal(["button.diameter"], closure.undo_changes.map { |change| change["path"] })
  end

  def test_an_old_database_goes_up_down_and_up_again_to_the_same
    lived_in
    to(VERSIONS.last)
    once = state
    to(BEFORE_THE_JOURNAL)

    assert_equal ["passes"], @db[:swatches].select_map(:passes)
    assert_equal %w[mark stabilise], @db[:steps_done].select_order_map(:key)
    assert_equal "20", @db[:revisions].where(closure_id: 1).order(:number).last[:document].to_h["fields"]["button.diameter"]
    to(VERSIONS.last)

    assert_equal once[:journal], state[:journal]
    assert_equal once, state
    # What the older version did meanwhile comes along.
    to(BEFORE_THE_JOURNAL)
    @db[:steps_done].where(key: "mark").delete
    @db[:revisions].where(closure_id: 1,
                          number: 8).update(document: Sequel.lit("jsonb_set(document, '{steps_done}', '[\"stabilise\", \"foot\"]')"))
    @db[:steps_done].insert(workroom_id: 1, closure_id: 1, key: "foot")
    to(VERSIONS.last)

    assert_equal %w[foot stabilise], Store::Closures.new(workroom).find(1).facts.steps.keys.sort
  end

  def test_rows_that_point_into_another_workroom_stop_the_way_up_with_a_sentence
    to(6)
    other = @db[:workrooms].insert(name: "elsewhere", unit: "mm")
    @db[:feet].where(id: @db[:feet].min(:id)).update(workroom_id: other)

    assert_includes assert_raises(Sequel::Error) { to(7) }.message, "1 rows of feet belong to another workroom than their machines"
    @db[:feet].update(workroom_id: 1)
    @db[:workrooms].where(id: other).delete
  end

  def test_the_database_itself_refuses_what_no_field_takes
    { closures: { placket_count_most: 99 }, buttons: { owned: -1 }, feet: { scale_pitch_mm: 0 },
      machines: { top_speed: 1 }, pins: { weight: 10 } }.each do |table, wrong|
      assert_raises(Sequel::CheckConstraintViolation, table.to_s) { @db[table].update(wrong) }
    end
    { placket_pattern: "spiral", cloth_kind: "foil", opening_school: "guess", cloth_frays: "maybe",
      placket_overlap: "both" }.each do |column, wrong|
      assert_raises(Sequel::CheckConstraintViolation, column.to_s) { @db[:closures].update(column => wrong) }
    end
    other = Store::Workrooms.new(@db).begin(name: "elsewhere").id

    assert_raises(Sequel::ForeignKeyConstraintViolation) { @db[:closures].where(id: 1).update(workroom_id: other) }
    entry = { workroom_id: 1, id: SecureRandom.uuid, closure_id: 1, happened_at: Time.now }

    [{ kind: "step" }, { kind: "hole_sewn" }, { kind: "withdrawal" }, { kind: "singing" }, { kind: "swatch" }].each do |wrong|
      assert_raises(Sequel::CheckConstraintViolation, wrong.to_s) { @db[:journal].insert(entry.merge(wrong)) }
    end
    @db[:journal].insert(entry.merge(kind: "note"))

    assert_match(/only ever added to/,
                 assert_raises(Sequel::DatabaseError) { @db[:journal].update(kind: "step") }.message)
  end
end
