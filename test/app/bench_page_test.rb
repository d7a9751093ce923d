# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/bench_page"

class BenchPageTest < Minitest::Test
  Page = NimbleEyelet::Support::BenchPage

  def test_runs_stand_beside_each_other_and_what_is_beyond_its_aim_is_bold
    Dir.mktmpdir do |folder|
      ["a save 12.6 times a bare route (aim 10)\n", "a save 9.1 times a bare route (aim 10)\nno figure\n"].each do |said|
        out, = capture_io { Page.keep(folder) { puts said } }

        assert_equal said, out
      end
      page = File.read("#{folder}/index.html")

      assert_includes page, '<td>a save 9.1 times a bare route (aim 10)</td><td>9.1</td><td class="no">12.6</td>'
      assert_includes page, "<td>no figure</td><td></td><td></td>"
      (Page::RUNS + 3).times { Page.new(folder).add("again 1 (aim 2)") }

      assert_equal Page::RUNS, Page.new(folder).runs.size
    end
  end

  def test_a_figure_is_held_against_its_aim
    lines = ["2,457 ms (aim 3,000)", "1.6 times (aim 1.5)", "nothing is aimed at: 7"]

    assert_equal([true, false, nil], lines.map { |line| Page.reached(line) })
  end
end
