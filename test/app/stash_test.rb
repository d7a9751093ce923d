# frozen_string_literal: true

require_relative "../app_helper"

class StashTest < AppTest
  PEBBLE = { "name" => "pebble 12", "shape" => "flat", "attachment" => "two_holes", "diameter" => "12",
             "thickness" => "2.5",
             "hole_spacing" => "2.5", "hole_diameter" => "1.4", "owned" => "3", "colour" => "slate", "note" => "" }.freeze

  def stash(search = "") = call(:get, "/api/stash?search=#{Rack::Utils.escape(search)}")
  def names(search = "") = stash(search)["buttons"].map { |button| button["fields"]["name"] }

  def import(text, keep: "yes", type: "text/csv", columns: {})
    query = Rack::Utils.build_query("keep" => keep, "columns" => JSON.generate(columns))
    custom_request("POST", "/api/stash/import?#{query}", {}, HEADERS.merge("CONTENT_TYPE" => type, input: text))
    return JSON.parse(last_response.body) unless last_response.status == 200

    lines = last_response.body.lines.map { |line| JSON.parse(line) }
    { rows: lines.select { |line| line["fate"] }, columns: lines.first["columns"].to_h { |one| one.values_at("given", "ours") },
      summary: lines.last["summary"], problem: lines.last["problem"] }
  end

  def spreadsheet(heads, rows, sign, decimal)
    written = rows.map { |name, *cells| [name, *cells.map { |cell| cell.to_s.sub(".", decimal) }] }
    [heads, *written].map { |row| CSV.generate_line(row, col_sep: sign) }.join
  end

  def exported
    custom_request("GET", "/api/stash.csv", {}, HEADERS)
    last_response.body
  end

  def test_buttons_are_found_by_the_beginnings_of_words_anywhere_said_of_them
    assert_equal 12, stash["total"]
    assert_equal ["driftwood toggle 45"], names("drift 45")
    assert_equal ["oyster 24"], names("marsh")
    assert_equal ["horn dome 22"], names("DOMED horn")
    assert_empty names("nothing of the kind")
    assert_equal 12, stash("'&|!() :*")["total"], "signs alone are no words"
    used = stash("river")["buttons"].first["used"]

    assert_equal([["front placket", "linen field smock"]], used.map { |use| use.values_at("name", "garment") })
  end

  def test_a_button_is_put_in_counted_changed_and_taken_out
    button = call(:post, "/api/stash", PEBBLE)

    assert_status 201
    assert_equal "#6c7480", button["picture"]["ink"]
    typed = { "owned" => "8", "diameter" => "1/2", "colour" => "#2E7D6B" }
    changed = call(:put, "/api/stash/#{button['id']}", PEBBLE.merge(typed), "HTTP_IF_MATCH" => '"1"')

    assert_equal "#2e7d6b", changed["picture"]["ink"]
    assert_equal [8, "12.7 mm", 2], [changed["owned"], changed["fields"]["diameter"], changed["revision"]]
    call(:put, "/api/stash/#{button['id']}", PEBBLE, "HTTP_IF_MATCH" => '"1"')

    assert_status 412
    call(:delete, "/api/stash/#{button['id']}", nil, "HTTP_IF_MATCH" => '"1"')

    assert_status 412
    call(:delete, "/api/stash/#{button['id']}", nil, "HTTP_IF_MATCH" => '"2"')

    assert_status 204
    assert_empty names("pebble")
    call(:delete, "/api/stash/#{button['id']}", nil, "HTTP_IF_MATCH" => '"2"')

    assert_status 404
  end

  def test_what_cannot_be_is_refused_at_its_field
    { { "name" => " " } => "button.name", { "owned" => "-1" } => "button.owned",
      { "owned" => "10001" } => "button.owned", { "diameter" => "wide" } => "button.diameter",
      { "thickness" => "" } => "button.thickness", { "shape" => "star" } => "button.shape",
      { "colour" => "plaid" } => "button.colour", { "hole_spacing" => "40" } => "button.hole_spacing",
      { "note" => "n" * 81 } => "button.note", { "name" => "river shell 18" } => "button.name" }.each do |typed, field|
      problem = call(:post, "/api/stash", PEBBLE.merge(typed))

      assert_status 422
      assert_equal [field], problem["faults"].map { |fault| fault["field"] }, typed.inspect
    end
    call(:post, "/api/stash", PEBBLE.merge("shape" => "ball", "attachment" => "shank", "thickness" => ""))

    assert_status 201
  end

  def test_a_stash_goes_out_and_comes_back_unchanged
    call(:post, "/api/stash", PEBBLE.merge("name" => "=SUM(A1)", "note" => "'quoted', \"odd\"; -1"))
    out = exported

    assert_includes out, "'=SUM(A1)"
    assert_equal({ "new" => 0, "changed" => 0, "same" => 13, "bad" => 0 }, import(out)[:summary])
    db[:buttons].delete

    assert_equal 13, import(out)[:summary]["new"]
    assert_equal out, exported
  end

  # What three spreadsheets of other people write, to the last row: with commas, with semicolons and decimal commas, and
  # as UTF-16 with tabs.
  def test_foreign_spreadsheets_are_taken_to_the_last_row
    rows = (1..40).map { |number| ["Knopf #{number}, weiß", "flat", "4", 10 + (number / 2.0), "3.5", number.to_s] }
    heads = %w[Name Form Löcher Größe Dicke Anzahl]
    meaning = heads.zip(%w[name shape attachment diameter_mm thickness_mm owned]).to_h
    wide = spreadsheet(heads, rows, "\t", ",").encode(Encoding::UTF_16LE)
    { "commas" => spreadsheet(heads, rows, ",", "."), "semicolons" => spreadsheet(heads, rows, ";", ","),
      "UTF-16" => "\uFEFF".encode(Encoding::UTF_16LE).b + wide.b }.each do |kind, text|
      before = db[:buttons].count
      found = import(text.b, columns: meaning)

      assert_nil found[:problem], kind
      assert_equal 40, found[:summary].values_at("new", "same").sum, kind
      assert_equal before == 12 ? 52 : before, db[:buttons].count, "#{kind}: the same buttons"
    end

    assert_equal 30, db[:buttons].where(name: "Knopf 40, weiß").get(:diameter_mm)
  end

  # Where a comma stands in numbers, a semicolon stands between cells.
  def test_tables_are_written_as_a_spreadsheet_takes_them_and_files_say_whose_they_are
    call(:patch, "/api/workrooms/marsh-walk", { "csv" => "semicolon" }, "HTTP_IF_MATCH" => "\"1\"")

    assert_status 200
    out = exported

    assert_includes out, "oyster 24;"
    assert_match(/;\d+,\d+;/, out)
    assert_equal 0, import(out)[:summary]["bad"]
    assert_equal 12, import(out)[:summary]["same"]
    db[:garments].where(id: 1).update(name: "Übergang \"grau\"/1")
    custom_request("GET", "/api/closures/1/marks.csv", {}, HEADERS)

    assert_equal "attachment; filename=\"ubergang-grau-1-front-placket-marks.csv\"; " \
                 "filename*=UTF-8''%C3%9Cbergang%20grau%201%20front%20placket%20marks.csv", last_response["content-disposition"]
    assert_match(/;\d+,\d+/, last_response.body)
  end

  def test_a_dry_run_shows_each_fate_and_a_bad_row_stops_no_other
    file = "\uFEFFName;shape;attachment;diameter_mm;thickness_mm;owned\r\n".b
    file << "marsh pearl;flat;two_holes;13,5;3;4\r\nriver shell 18;flat;four_holes;18;3;20\r\n\r\n"
    file << "no size;flat;two_holes;;3;1\r\n\"open;flat;two_holes;9;2;1\r\nmarsh pearl;flat;two_holes;12;3;4\r\n".b
    file << "bad \xFF;flat;two_holes;12;3;4\r\nreed bead;ball;shank;8;;\r\n".b
    looked = import(file, keep: "no")

    assert_equal({ "new" => 2, "changed" => 1, "same" => 0, "bad" => 4 }, looked[:summary])
    assert_equal([2, 3, 5, 6, 7, 8, 9], looked[:rows].map { |row| row["row"] })
    assert_equal(["diameter: Write a length", "row: A quote is no", "row: The same name", "row: This row is n"],
                 looked[:rows].select do |row|
                   row["fate"] == "bad"
                 end.map { |row| row["why"][0, row["why"].start_with?("d") ? 24 : 18] })
    assert_equal 12, stash["total"], "only looked"
    import(file)

    assert_equal ["marsh pearl"], names("pearl")
    assert_equal "13.5 mm", stash("pearl")["buttons"].first["fields"]["diameter"]
  end

  # Names, choices and colours as other people write them; what is said of a column goes before what is guessed.
  def test_a_table_of_ones_own_is_taken_as_it_is
    file = "Button;Form;Holes;Size (mm);Thick mm;Farbe;Laden;;\nfen disc;Flat disc, rounded edge;2 holes;15,5;3;navy;Heron\n" \
           "fen ball;ball;shank;11;;teal;Heron\n"
    looked = import(file, keep: "no")

    assert_equal({ "Button" => "name", "Form" => "shape", "Holes" => "attachment", "Size (mm)" => "diameter_mm",
                   "Thick mm" => "thickness_mm", "Farbe" => nil, "Laden" => nil, "" => nil }, looked[:columns])
    taken = import(file, columns: { "Farbe" => "colour", "Laden" => "note", "Thick mm" => "thickness_mm" })

    assert_equal 2, taken[:summary]["new"], taken[:rows]
    assert_equal([%w[rounded two_holes indigo Heron], ["ball", "shank", "shell", "Heron, teal"]],
                 stash("fen")["buttons"].sort_by { |one| one["fields"]["name"] }.reverse
                   .map { |one| one["fields"].values_at("shape", "attachment", "colour", "note") })
    assert_includes import(file, columns: { "Laden" => "nothing" })[:problem], "no such meaning"
  end

  def test_files_that_are_none_are_refused_with_the_reason
    { "" => "is empty", "n\0a\0".b => "not UTF-8", "\xFF\xFEa".b => "breaks off",
"\"name" => "names the columns" }.each do |text, why|
      problem = import(text)

      assert_status 422
      assert_includes problem["detail"], why
    end
    assert_includes import("name,shape,attachment\nx,flat,shank")[:problem], "diameter_mm is missing"
    assert_includes import("name,name,shape,attachment,diameter_mm\n")[:problem], "are the same"
    many = +"name,shape,attachment,diameter_mm,thickness_mm\n"
    many << (1..20_001).map { |number| "b#{number},flat,shank,12,3\n" }.join

    assert_includes import(many, keep: "no")[:problem], "At most 20000 rows"
  end

  def test_a_file_too_large_is_refused_before_it_is_read_and_other_forms_are_not_taken
    custom_request("POST", "/api/stash/import", {},
                   HEADERS.merge("CONTENT_TYPE" => "text/csv", "CONTENT_LENGTH" => (50 * 1024 * 1024).to_s, input: "name"))

    assert_status 413
    import("name", type: "application/json")

    assert_status 415
    custom_request("POST", "/api/stash/import", {},
                   HEADERS.except("HTTP_X_NIMBLE_EYELET").merge("CONTENT_TYPE" => "text/csv", input: ""))

    assert_status 403
  end

  def test_a_button_measured_at_the_table_keeps_its_count
    save({ "button" => { "thickness" => "3.4", "name" => "river shell 18" } })
    call(:post, "/api/buttons", { closure_id: SMOCK, name: "river shell 18" })
    button = stash("river")["buttons"].first

    assert_equal [14, "3.4 mm", "shell"], [button["owned"], button["fields"]["thickness"], button["fields"]["colour"]]
  end
end
