# frozen_string_literal: true

require "open3"
require "tmpdir"
require_relative "../app_helper"

# How much somebody taps and reads for a garment, from the first step to the machine put back. The cards are those of
# the screen: the front end's own code counts them.
class WalkCountTest < AppTest
  WEB = File.expand_path("../../web", __dir__)

  # Garment => its closures, and the most taps and words beside cautions. They only go down.
  GARMENTS = {
    "flannel shirt of six" => [[{ "machine.id" => 4, "placket.count" => "6" }], 40, 844],
    "flannel shirt with its cuffs" =>
      [[{ "machine.id" => 4, "placket.count" => "7" },
        { "machine.id" => 4, "placket.use" => "small", "placket.place" => "cuff", "placket.run_length" => "60",
          "placket.orientation" => "horizontal", "placket.extension" => "17" }], 65, 1304],
    "coat with shanks" =>
      [[{ "machine.id" => 2, "placket.use" => "coat", "placket.place" => "pulled_front", "placket.count" => "4",
          "placket.orientation" => "horizontal", "placket.extension" => "30", "button.diameter" => "23",
          "button.thickness" => "4", "button.attachment" => "shank", "cloth.kind" => "heavy_woven",
          "cloth.thickness" => "1.5" }], 36, 745],
    "toddler's romper" =>
      [[{ "machine.id" => 1, "placket.use" => "children", "placket.count" => "4", "placket.run_length" => "320",
          "button.diameter" => "11", "button.thickness" => "2.5" }], 36, 812],
    "bag strap" =>
      [[{ "machine.id" => 3, "placket.use" => "bag", "placket.place" => "tab", "placket.run_length" => "90",
          "placket.count" => "1", "button.diameter" => "20" }], 24, 618]
  }.freeze

  def test_a_garment_is_few_taps_and_few_words
    sessions = GARMENTS.map { |name, (closures, *)| session(name, closures) }
    counted = count(sessions)

    GARMENTS.each_with_index do |(name, (_, taps, words)), index|
      found = counted[index]
      puts "#{name}: #{found}" if ENV["SHOW"]

      assert_equal sessions[index]["steps"].size, found["steps"], name
      next if ENV["SHOW"]

      assert_operator found["taps"], :<=, taps, name
      assert_operator found["words"], :<=, words, name
    end
  end

  private

  def session(name, closures)
    world.reset
    ids = closures.each_with_index.map do |typed, index|
      begun = call(:post, "/api/closures", { garment: name, name: "part #{index + 1}", plan: { "placket.run_length" => "560", **typed } })

      assert_status 201
      begun["id"]
    end

    call(:post, "/api/sessions", { closures: ids }).tap { assert_status 201 }
  end

  def count(sessions)
    Dir.mktmpdir do |folder|
      script = File.join(folder, "taps.mjs")
      said, status = Open3.capture2e("node_modules/.bin/rolldown", "test/count/taps.ts", "--file", script, chdir: WEB)

      assert_predicate status, :success?, said
      out, status = Open3.capture2("node", script, stdin_data: JSON.generate(sessions))

      assert_predicate status, :success?
      JSON.parse(out)
    end
  end
end
