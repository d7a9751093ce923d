# frozen_string_literal: true

require_relative "../app_helper"

# The shelves of cloths, threads and stabilisers.
class ShelfTest < AppTest
  def shelf(kind = "cloths", **query) = call(:get, "/api/shelves/#{kind}?#{Rack::Utils.build_query(query)}")
  def names(...) = shelf(...)["items"].map { |item| item["fields"]["name"] }
  def seen(item) = { "HTTP_IF_MATCH" => "\"#{item['revision']}\"" }

  def take_in(text, keep: "yes", kind: "cloths", columns: {})
    asked = Rack::Utils.build_query(keep: keep, columns: JSON.generate(columns))
    post("/api/workrooms/marsh-walk/shelves/#{kind}/import?#{asked}", {}, HEADERS.merge("CONTENT_TYPE" => "text/csv", input: text))
    JSON.parse(last_response.body)
  end

  def test_a_cloth_is_put_on_the_shelf_with_what_is_typical_for_its_kind_and_put_away_again
    added = call(:post, "/api/shelves/cloths", { name: "marsh denim", kind: "heavy_woven", garment: "field trousers" })

    assert_status 201
    assert_equal ["320", "0.7 mm", "0"], added["fields"].values_at("weight", "thickness", "stretch"),
                 "nobody measured it yet"
    assert_equal ["marsh denim"], names(search: "field trou")
    changed = call(:put, "/api/shelves/cloths/#{added['id']}",
                   { name: "marsh denim", kind: "heavy_woven", thickness: "1/32", iron: "yes" }, seen(added))

    assert_equal ["0.79 mm", "yes", 2], [*changed["fields"].values_at("thickness", "iron"), changed["revision"]]
    call(:put, "/api/shelves/cloths/#{added['id']}", { name: "marsh denim", kind: "knit" }, seen(added))

    assert_status 412
    call(:delete, "/api/shelves/cloths/#{added['id']}", nil, seen(changed))

    refute_includes names, "marsh denim"
    assert_includes call(:get, "/api/waste-basket").map { |item|
      [item["kind"], item["name"]]
    }, ["cloth", "marsh denim"]
    call(:post, "/api/waste-basket/cloth/#{added['id']}")

    assert_includes names, "marsh denim"
  end

  def test_what_is_wrong_is_told_at_its_field
    problem = call(:post, "/api/shelves/cloths", { name: "", kind: "moss", weight: "9999999", thickness: "thick" })

    assert_status 422
    assert_equal %w[shelf.kind shelf.name shelf.thickness shelf.weight], problem["faults"].map { |fault|
      fault["field"]
    }.sort
    unnamed = call(:post, "/api/shelves/threads", { name: "fine cotton", fibre: "cotton", tex: "20" })

    assert_equal(["shelf.name"], unnamed["faults"].map { |fault| fault["field"] })
    call(:get, "/api/shelves/feathers")

    assert_includes [400, 404], last_response.status
  end

  # What lies on the shelf is at hand, whatever was said of the drawer; put away, it is not.
  def test_a_stabiliser_on_the_shelf_is_at_hand
    names("stabilisers").each do |name|
      item = shelf("stabilisers")["items"].find { |one| one["fields"]["name"] == name }
      call(:delete, "/api/shelves/stabilisers/#{item['id']}", nil, seen(item))
    end
    workroom.change(revision: workroom.revision, stabilisers: ["tear_away"])
    chosen = -> { closure["sheet"]["recipe"]["settings"].find { |line| line["key"] == "stabiliser" }["text"] }

    refute_includes chosen.call, "fusible"
    added = call(:post, "/api/shelves/stabilisers", { name: "marsh strip", kind: "fusible_strip", colour: "sand" })

    assert_status 201
    assert_equal ["marsh strip", "", "sand"], added["fields"].values_at("name", "weight", "colour")
    assert_includes chosen.call, said("stabiliser.fusible_strip")
    strip = call(:get, "/api/workroom")["stabilisers"].find { |item| item["key"] == "fusible_strip" }

    assert_equal [true, ["marsh strip"]], strip.values_at("owned", "yours")
    call(:delete, "/api/shelves/stabilisers/#{added['id']}", nil, seen(added))

    refute_includes chosen.call, "fusible"
    call(:post, "/api/waste-basket/stabiliser/#{added['id']}")

    assert_includes chosen.call, said("stabiliser.fusible_strip")
    wrong = call(:post, "/api/shelves/stabilisers", { name: "moss", kind: "moss", weight: "0" })

    assert_equal(%w[shelf.kind shelf.weight], wrong["faults"].map { |fault| fault["field"] }.sort)
  end

  # Columns with names of somebody's own are said by hand, and asked for as long as it has no name.
  def test_columns_are_what_somebody_says_they_are
    table = "Stoff;Art;Dicke;Preis\r\nKöper;heavy woven;0,9;18\r\n"
    found = take_in(table, keep: "no")

    assert_equal [said("shelf_csv.which_name"), 0, %w[Stoff Art Dicke Preis], []],
                 [found["asks"], found["new"], found["columns"].map { |one| one["given"] }, found["bad"]]
    assert_includes found["fields"], { "key" => "thickness", "name" => "thickness of one layer" }
    columns = { "Stoff" => "name", "Art" => "kind", "Dicke" => "thickness", "Preis" => "" }
    found = take_in(table, columns: columns)

    assert_equal [nil, 1, ["name", "kind", "thickness", nil]],
                 [found["asks"], found["new"], found["columns"].map { |one| one["ours"] }]
    twill = shelf(search: "Köper")["items"].first["fields"]

    assert_equal ["heavy_woven", "0.9 mm"], twill.values_at("kind", "thickness")
    assert_match(/same/, take_in(table, columns: columns.merge("Preis" => "name"), keep: "no")["asks"])
    take_in(table, columns: { "Stoff" => "price" })

    assert_status 422
  end

  def test_a_shelf_goes_out_and_in_again_as_it_was
    %w[cloths threads stabilisers].each do |kind|
      text = call(:get, "/api/workrooms/marsh-walk/#{kind}.csv")

      assert_equal [0, 0, names(kind).size], take_in(text, kind: kind).values_at("new", "changed", "same")
    end
    found = take_in("name,kind,weight,thickness_mm\r\nreed voile,sheer,,\r\nmist voile,sheer,60,0.12\r\n=cmd,silk,1,1\r\n", keep: "no")

    assert_equal [1, 1, 0, false], found.values_at("new", "changed", "same", "kept")
    assert_equal([[4, "=cmd"]], found["bad"].map { |row| row.values_at("row", "name") })
    refute_includes names, "reed voile"
    take_in("name,kind\r\nreed voile,sheer\r\n")

    assert_includes names, "reed voile"
    # As other people's spreadsheets call and write it, to the last row.
    foreign = "\uFEFFName;Kind;Thickness (mm);Weight, g/m²\r\n" \
              "Leinen, grün;light woven;0,35;165\r\nLoden;PILE;1,8;420\r\n"
    { "UTF-8" => foreign, "UTF-16" => foreign.delete_prefix("\uFEFF").encode("UTF-16"),
      "tabs" => foreign.tr(";", "\t") }.each do |kind, table|
      found = take_in(table.b, keep: "no")

      assert_equal [0, 2], [found["bad"].size, found.values_at("new", "changed", "same").sum], kind
      take_in(table.b)
    end
    linen = shelf(search: "Leinen")["items"].first["fields"]

    assert_equal ["0.35 mm", "165"], linen.values_at("thickness", "weight").map(&:to_s)
    take_in("\"")

    assert_status 422
  end
end
