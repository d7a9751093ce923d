# frozen_string_literal: true

require "logger"
require_relative "../app_helper"

class StoreTest < AppTest
  def closures = Store::Closures.new(workroom)

  def test_a_plan_comes_back_from_a_revision_as_it_was
    save({ button: { diameter: "1 1/64\"" }, recipe: { tension: "2.5", stitch_length: "0.45" },
           placket: { count: "8" } })
    act(:put, "settled/opening")
    plan = closures.find(SMOCK).plan

    assert_equal Length.inches(65r / 64), plan.button.diameter
    assert_equal plan, closures.plan_at(SMOCK, 3)
    assert_equal plan, PlanDocument.load(JSON.parse(JSON.generate(PlanDocument.dump(plan))), plan.machine)
  end

  def test_a_revision_from_before_a_field_existed_can_still_be_brought_back
    old = PlanDocument.dump(closures.find(SMOCK).plan).except("opening.clicks", "button.width", "button.outline")
    db[:revisions].where(closure_id: SMOCK).update(document: Sequel.pg_jsonb_wrap(old))
    save({ button: { diameter: "20" } })
    act(:post, "undo")

    assert_status 200
    assert_equal "1", closure["plan"]["opening.clicks"]
    assert_nil closure["plan"]["button.width"]
  end

  # One person's typing is one revision a settled value; anything between begins a new one.
  def test_what_is_typed_on_is_one_revision
    mine = { "HTTP_X_DEVICE" => "6f0c7a1e-0000-4000-8000-00000000000a" }
    type = ->(changes, device = mine) { call(:patch, "/api/closures/1/plan", changes, match.merge(device)) }
    %w[19 20 20.5].each { |text| type.call({ "button.diameter" => text }) }

    assert_equal [2, "diameter 18 → 20.5 mm"], [db[:revisions].where(closure_id: SMOCK).count, closure["undo"]]
    type.call({ "button.thickness" => "3.5" })
    type.call({ "button.thickness" => "4" }, { "HTTP_X_DEVICE" => "6f0c7a1e-0000-4000-8000-00000000000b" })

    assert_equal 4, db[:revisions].where(closure_id: SMOCK).count, "another field, another device"
    tick("stabilise")
    type.call({ "button.thickness" => "4.5" }, { "HTTP_X_DEVICE" => "6f0c7a1e-0000-4000-8000-00000000000b" })

    assert_equal 5, db[:revisions].where(closure_id: SMOCK).count, "something was done with it"
    db[:revisions].update(made_at: Time.now - 61)
    type.call({ "button.thickness" => "4.2" }, { "HTTP_X_DEVICE" => "6f0c7a1e-0000-4000-8000-00000000000b" })

    assert_equal 6, db[:revisions].where(closure_id: SMOCK).count, "a minute later"
    act(:post, "undo")
    type.call({ "button.thickness" => "4.1" }, { "HTTP_X_DEVICE" => "6f0c7a1e-0000-4000-8000-00000000000b" })

    assert_equal 7, db[:revisions].where(closure_id: SMOCK).count, "it has a child"
  end

  def test_a_save_asks_few_questions_and_a_tick_is_one_write
    mark = step("mark").fetch("enter")
    save({ button: { diameter: "19" } }) # prepares the statements
    saved = statements { save({ button: { diameter: "20" } }) }

    assert_operator saved.size, :<=, 15, saved.join("\n")
    tick("stabilise")
    # Another connection of the pool may have to prepare it first.
    ticked = statements { enter({ **mark, machine: 4 }) }.grep_v(/PREPARE/)

    assert_equal 1, ticked.count { |sql| sql.match?(/INSERT|add_entry/) }, ticked.join("\n")
    assert_operator ticked.size, :<=, 2, ticked.join("\n")
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

  # Everything of a store comes out of its scope; what reaches over all workrooms is named here.
  OVER_ALL = { "accounts.rb" => /./, "asking.rb" => /./, "devices.rb" => /./,
               "members.rb" => /db\[:(invitations|accounts|members|workrooms)/,
               "shared_plans.rb" => /\Adb\[:shared_plans/, "class_copies.rb" => /:(members|class_copies)/,
               "workroom_copy.rb" => /:workrooms/, "database.rb" => /./, "scope.rb" => /./, "workrooms.rb" => /./, "workroom.rb" => /:workrooms/,
               "sample.rb" => /:workrooms/, "waste_basket.rb" => /\Adb\[/,
               "garment_photos.rb" => /\Adb\[:garment_photos\]/ }.freeze

  def test_no_dataset_is_made_outside_the_scope
    Dir[File.expand_path("../../app/{store,route,view,document}/*.rb", __dir__)].each do |file|
      File.read(file).scan(/@?\bdb\[[^\]]*\]?/) do |dataset|
        assert_match OVER_ALL.fetch(File.basename(file), /\A\z/), dataset, file
      end
    end
  end

  def test_a_change_that_fails_half_way_leaves_nothing
    taken = closures.find(2).plan.name

    assert_raises(Refusal) do
      closures.change(SMOCK, version: version) do |found|
        found.plan.changed("closure.name" => taken)
      end
    end
    assert_equal 1, revision
    assert_equal 1, db[:revisions].where(closure_id: SMOCK).count
  end

  def test_demo_fills_only_an_empty_database
    refute Store::Sample.new(db).first
    assert_equal 12, db[:closures].count
  end

  OFTEN = %i[step step step note late withdrawal withdrawal undone lost replaced other_hand].freeze

  # Two servers, one of which remembers little, read what one reads that remembers nothing: whatever is entered late,
  # taken back, taken back by the database, or lost by hand.
  def test_facts_that_are_remembered_are_those_that_are_kept
    random = Random.new(11)
    servers = [Store::Happened.new, Store::Happened.new(9)]
    read = lambda do |happened|
      kept = Store::Closures.new(workroom, happened: happened)
      [kept.find(SMOCK), *kept.of_garment(1), kept.find(2)].map { |one| [one.id, one.entries, one.facts] }
    end
    80.times do |turn|
      happen(OFTEN.sample(random: random), random)
      there = read.call(Store::Happened.new)

      servers.sample(1 + (turn % 2), random: random).each { |one| assert_equal there, read.call(one) }
    end
  end

  def test_a_long_log_is_read_in_pages_and_each_line_once
    db[:journal].multi_insert(Array.new(47) do |number|
      { workroom_id: workroom.id, id: SecureRandom.uuid, closure_id: SMOCK, kind: "note",
        happened_at: NOW - (number / 3), data: Sequel.pg_jsonb_wrap({ "note" => number.to_s }) }
    end)

    assert_equal 20, call(:get, "/api/closures/1/journal")["lines"].size
    told = log_of("/api/closures/1").map { |line| line["note"].to_i }

    assert_equal (0...47).to_a, told.sort
    assert_equal told.map { |number| number / 3 }, told.map { |number| number / 3 }.sort
    call(:get, "/api/closures/1/journal?before=nothing")

    assert_status 400
  end

  private

  # What is asked of the database meanwhile.
  def statements
    said = []
    logger = Logger.new(StringIO.new)
    logger.formatter = ->(_, _, _, text) { said << text }
    db.loggers << logger
    yield
    said
  ensure
    db.loggers.delete(logger)
  end

  def happen(what, random)
    closure = random.rand < 0.8 ? SMOCK : 2
    ids, numbers = %i[id seq].map { |column| db[:journal].where(closure_id: closure, about: nil).select_map(column) }
    row = lambda do |**more|
      { workroom_id: workroom.id, id: SecureRandom.uuid, closure_id: closure, data: Sequel.pg_jsonb_wrap({}), **more }
    end
    told = { kind: "step", step_key: %w[mark needle thread].sample(random: random), happened_at: NOW - random.rand(1000) }
    case what
    when :step
      (@numbers ||= []) << db.get(Sequel.lit("nextval(pg_get_serial_sequence('journal', 'seq'))"))
      db[:journal].insert(row.call(**told))
    when :note then db[:journal].insert(row.call(kind: "note", happened_at: NOW))
    # It had its number before others that are there already.
    when :late then db[:journal].overriding_system_value.insert(row.call(**told, seq: @numbers&.shift || return))
    when :withdrawal
      about = (ids - db[:journal].where(kind: "withdrawal").select_map(:about)).sample(random: random) or return
      db[:journal].insert(row.call(kind: "withdrawal", about: about, happened_at: NOW))
    when :undone
      db.transaction(rollback: :always) do
        db[:journal].insert(row.call(**told))
        Store::Closures.new(workroom).find(closure)
      end
    when :lost then db[:journal].where(seq: numbers.max).delete
    # Put back by hand, numbers and all.
    when :replaced then replace(db[:journal].where(closure_id: closure).max(:seq), row.call(**told))
    when :other_hand
      replace(numbers.sample(random: random), row.call(**told))
      db[:identity].update(id: SecureRandom.alphanumeric(6).downcase)
    end
  rescue Sequel::ForeignKeyConstraintViolation
    nil # what was taken back is not lost
  end

  def replace(number, row)
    db.transaction do
      gone = db[:journal].where(seq: number).delete
      db[:journal].overriding_system_value.insert(row.merge(seq: number)) if gone.positive?
    end
  end
end
