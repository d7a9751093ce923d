# frozen_string_literal: true

require "pdf-reader"
require_relative "../app_helper"
require_relative "../support/screen_words"

# Words and numbers as somebody likes them: the browser and prints say the same, and nothing else changes.
class DialectTest < AppTest
  CASES = JSON.parse(File.read("#{__dir__}/../support/dialects.json")).freeze
  WORDS = NimbleEyelet::Support::ScreenWords

  def test_says_what_it_is_told_to
    CASES.each { |dialect, text, said| assert_equal said, NimbleEyelet::Dialect.of(dialect).say(text) }
    assert_equal WORDS.american, File.read("#{WORDS::ROOT}/web/src/ui/american.json"), "bin/words writes it anew"
  end

  # Whatever is spelled in two ways on the two sides of the sea is in the table.
  BRITISH = /colour|centre|metre|fibre|programme\b|[a-z]{3}ise[rds]?\b|towards|neighbour|grey|mould|licence/
  ALIKE = /\b(?:precise|raise|rise|wise|otherwise|exercise|advise|promise|noise|likewise|surprise|clockwise)[rds]?\b/i

  def test_nothing_british_is_left_in_american
    american = NimbleEyelet::Dialect.of("american")
    said = WORDS.read.values.flatten.map { |text| american.say(text) }

    assert_empty(said.select { |text| text.gsub(ALIKE, "").match?(BRITISH) })
  end

  def test_prints_speak_as_the_browser_does
    assert_match(/Cut length \d+\.5 mm/, card)
    set_cookie "dialect=american.comma"

    assert_match(/Cut length \d+,5 mm/, card)
    assert_match(/\d,\d/, strip_svg)
  end

  private

  def card = text(call(:get, "/api/closures/#{SMOCK}/card.pdf"))
  def strip_svg = call(:get, "/api/closures/#{SMOCK}/strip.svg")[/<text.*/m]
  def text(pdf) = PDF::Reader.new(StringIO.new(pdf)).pages.map(&:text).join(" ")
end
