# frozen_string_literal: true

require_relative "../core_helper"

# The rules that keep the core simple.
class CoreRulesTest < CoreTest
  LIB = File.expand_path("../../lib", __dir__)
  # Ruby's standard library that the core uses, and what that brings along.
  ALLOWED = %w[digest].freeze

  def test_loading_the_core_loads_nothing_but_the_core
    foreign = AFTER_CORE.reject { |file| file.start_with?(LIB) || ALLOWED.any? { |name| file.include?("/#{name}") } }

    assert_empty foreign
  end

  def test_every_file_says_what_it_needs_and_none_in_a_circle
    needs = Dir["#{LIB}/**/*.rb"].to_h do |file|
      [file, File.read(file).scan(/^require_relative "(.+)"/).map { |(path)| File.expand_path("#{path}.rb", File.dirname(file)) }]
    end

    assert_empty(needs.values.flatten.reject { |file| File.exist?(file) })
    sorted = []
    left = needs.dup
    until left.empty?
      ready = left.select { |_, wanted| (wanted - sorted).empty? }.keys

      refute_empty ready, "circle among #{left.keys.map { |file| File.basename(file) }}"
      sorted.concat(ready)
      left = left.except(*ready)
    end
  end

  def test_every_file_opens_with_what_it_is_for
    Dir["#{LIB}/**/*.rb"].each do |file|
      lines = File.readlines(file)

      assert_match(/\A# [A-Z]?\w+/, lines[2], file)
    end
  end

  def test_values_are_frozen_and_ask_for_all_their_fields
    value = Value.define(:at, :note, note: "none")

    assert_predicate value.new(at: 1), :frozen?
    assert_equal "none", value.new(at: 1).note
    assert_equal 2, value.new(at: 1).with(at: 2).at
    assert_raises(ArgumentError) { value.new(note: "x") }
  end
end
