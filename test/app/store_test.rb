# frozen_string_literal: true

require_relative "../app_helper"

class StoreTest < AppTest
  def closures = Store::Closures.new(db, 1)

  def test_a_document_comes_back_from_a_revision_as_it_was
    act(:post, "swatches", { passes: "tight", measured: "21.3", symptoms: %w[gappy puckers] })
    save({ button: { diameter: "1 1/64\"" }, recipe: { tension: "2.5", stitch_length: "0.45" }, placket: { count: "8" } })
    document = closures.find(SMOCK).document

    assert_equal Length.inches(65r / 64), document.fields["button.diameter"]
    assert_equal document, closures.document_at(SMOCK, 3)
    assert_equal document, Store::Document.load(JSON.parse(JSON.generate(document.dump)))
  end

  def test_a_revision_from_before_a_field_existed_can_still_be_brought_back
    old = closures.find(SMOCK).document.dump
    old["fields"] = old["fields"].except("opening.clicks", "button.width", "button.outline")
    db[:revisions].where(closure_id: SMOCK).update(document: Sequel.pg_jsonb_wrap(old))
    save({ button: { diameter: "20" } })
    act(:post, "undo")

    assert_status 200
    assert_equal "1", closure["plan"]["opening"]["clicks"]
    assert_nil closure["plan"]["button"]["width"]
  end

  def test_the_database_itself_refuses_lengths_out_of_range
    db.schema(:closures).map(&:first).select { |column| column.end_with?("_mm") }.each do |column|
      [-1000, 100_000].each do |millimetres|
        assert_raises(Sequel::CheckConstraintViolation, column.to_s) do
          db.transaction(savepoint: true) { db[:closures].where(id: SMOCK).update(column => millimetres) }
        end
      end
    end
    assert_raises(Sequel::CheckConstraintViolation) do
      db[:closures].where(id: SMOCK).update(placket_first_mm: 500, placket_last_mm: 100)
    end
  end

  def test_one_workroom_does_not_see_another
    other = db[:workrooms].insert(name: "elsewhere", unit: "mm")

    assert_raises(Store::Missing) { Store::Closures.new(db, other).find(SMOCK) }
    assert_raises(Store::Missing) { Store::Closures.new(db, other).remove(SMOCK) }
    assert_raises(Store::Missing) { Store::Closures.new(db, other).change(SMOCK, revision: 1, &:document) }
    assert_empty Store::MachineReader.for(db).all(other)
    (db.tables - %i[schema_info workrooms]).each { |table| assert_includes db[table].columns, :workroom_id }
  end

  def test_a_change_that_fails_half_way_leaves_nothing
    taken = closures.find(2).document.fields["closure.name"]

    assert_raises(Refusal) { closures.change(SMOCK, revision: 1) { |found| found.document.changed("closure.name" => taken) } }
    assert_equal 1, closures.find(SMOCK).revision
    assert_equal 1, db[:revisions].where(closure_id: SMOCK).count
  end

  def test_demo_fills_only_an_empty_database
    refute Store::Demo.new(db).load
    assert_equal 7, db[:closures].count
  end
end
