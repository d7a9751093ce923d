# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/screen_words"

# What screens say can be read in one place, and what tests of the browser look for is what screens say.
class WordsTest < AppTest
  WORDS = NimbleEyelet::Support::ScreenWords

  def self.now = @now ||= WORDS.now
  def now = self.class.now

  def test_the_list_of_words_is_what_the_screens_say
    list = WORDS.read
    changed = (now.keys | list.keys).flat_map do |file|
      said = now.fetch(file, [])
      listed = list.fetch(file, [])
      (said - listed).map { |text| "+ #{file}: #{text}" } + (listed - said).map { |text| "- #{file}: #{text}" }
    end

    assert_empty changed, "bin/words writes the list anew"
  end

  def test_whatever_a_test_looks_for_is_said_somewhere
    assert_empty WORDS.unsaid(now), "say it in test/words.yml as the screens do"
  end

  # A word that is on a screen stands in that list, so that rewording changes a line and no test.
  def test_tests_of_the_browser_know_screens_by_names_alone
    texts = now.values.flatten.select { |text| text.count(" ") > 1 && !text.include?(WORDS::GAP) }
    known = Dir[File.expand_path("../browser/*_test.rb", __dir__)].flat_map do |file|
      text = File.read(file)
      texts.select { |words| text.include?("\"#{words}\"") }.map { |words| "#{File.basename(file)}: #{words}" }
    end

    assert_empty known
  end
end
