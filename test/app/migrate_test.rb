# frozen_string_literal: true

require_relative "../app_helper"

# A database of an earlier version comes up to date with what it holds, and each step can be taken back.
class MigrateTest < Minitest::Test
  include NimbleEyelet

  VERSIONS = Dir[File.join(Store::Database::MIGRATIONS, "*.rb")].map { |file| File.basename(file).to_i }.sort

  def setup
    @db = Store::Database.connect(AppWorld.world.cluster.database("nimble_eyelet_migrate"))
    Sequel.extension :migration
    to(0)
  end

  def teardown
    to(0)
    @db.disconnect
  end

  def to(version) = Sequel::Migrator.run(@db, Store::Database::MIGRATIONS, target: version)

  def counts = %i[closures recipes buttons cloths machines feet revisions].to_h { |table| [table, @db[table].count] }

  def plans
    Store::ClosureReader.for(@db).then { |reader| @db[:closures].order(:id).select_map(%i[workroom_id id]).map { |key| reader.read(*key).plan } }
  end

  def test_every_step_goes_up_and_down_with_the_demo_in_it
    to(VERSIONS.last)
    Store::Demo.new(@db).load
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
    to(VERSIONS.last)
    Store::Demo.new(@db).load
    places = plans.map { |plan| Sheet.of(plan).layout.holes.map(&:at) }
    # Down past everything that came with habits and the solver, and up again.
    to(3)
    to(VERSIONS.last)
    @db.disconnect

    assert_equal(places, plans.map { |plan| Sheet.of(plan).layout.holes.map(&:at) })
    plans.each { |plan| assert plan.validate }
  end

  def test_a_revision_from_before_a_field_existed_loads_with_what_it_begins_with
    to(VERSIONS.last)
    Store::Demo.new(@db).load
    closures = Store::Closures.new(@db, 1)
    kept = @db[:revisions].where(closure_id: 1, number: 1).get(:document).to_h
    late = %w[placket.pattern placket.together thread.bobbin cloth.seams opening.ease placket.offset]
    earlier = kept.merge("fields" => kept["fields"].except(*late), "pins" => kept["pins"].map { |pin| pin.first(2) })
    @db[:revisions].where(closure_id: 1, number: 1).update(document: Sequel.pg_jsonb_wrap(earlier))
    document = closures.document_at(1, 1)

    assert_equal "even", document.fields["placket.pattern"]
    assert_equal [2, "", 0, nil], document.fields.values_at("placket.together", "thread.bobbin", "cloth.seams", "opening.ease")
    assert_equal [0], document.pins.map(&:weight)
    assert_equal closures.find(1).document, document
  end

  def test_the_database_itself_refuses_what_no_field_takes
    to(VERSIONS.last)
    Store::Demo.new(@db).load

    { closures: { placket_count_most: 99 }, buttons: { owned: -1 }, feet: { scale_pitch_mm: 0 }, machines: { top_speed: 1 },
      pins: { weight: 10 } }.each do |table, wrong|
      assert_raises(Sequel::CheckConstraintViolation, table.to_s) { @db[table].update(wrong) }
    end
    { placket_pattern: "spiral", cloth_kind: "foil", opening_school: "guess", cloth_frays: "maybe",
placket_overlap: "both" }.each do |column, wrong|
      assert_raises(Sequel::CheckConstraintViolation, column.to_s) { @db[:closures].update(column => wrong) }
    end
  end
end
