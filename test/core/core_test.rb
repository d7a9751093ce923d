# frozen_string_literal: true

require "tsort"
require_relative "../core_helper"
require_relative "../support/leanings"

# The rules that keep the core simple.
class CoreRulesTest < CoreTest
  LIB = File.expand_path("../../lib", __dir__)
  ROOT = "#{LIB}/nimble_eyelet".freeze
  # Ruby's standard library that the core uses, and what that brings along.
  ALLOWED = %w[digest forwardable matrix].freeze

  # What things are lies below what is done with them; a room leans only on rooms of lower floors.
  FLOORS = [%w[value memory older_words version], %w[length], %w[answer], %w[typing style spacing belief],
            %w[button cloth thread machine], %w[stitch opening placket schedule photo], %w[recipe attach otherways work], %w[swatch],
            %w[inference sewing], %w[plan], %w[sheet], %w[session simulation], %w[rehearsal], %w[leaflet]].freeze

  # Every noun has its own: the lengths and counts its fields take.
  IN_EVERY_ROOM = %w[LIMITS].freeze

  def self.leanings = @leanings ||= Support::Leanings.new(Dir["#{ROOT}/**/*.rb"], inside: "NimbleEyelet")
  def leanings = self.class.leanings

  def test_loading_the_core_loads_nothing_but_the_core
    foreign = AFTER_CORE.reject { |file| file.start_with?(LIB) || ALLOWED.any? { |name| file.include?("/#{name}") } }

    assert_empty foreign
  end

  def test_a_room_leans_only_on_rooms_of_lower_floors
    floor = FLOORS.each_with_index.flat_map { |rooms, index| rooms.map { |room| [room, index] } }.to_h

    assert_equal floor.keys.sort, leanings.files.map { |file| room(file) }.uniq.sort
    wrong = leanings.files.flat_map do |file|
      (leanings.uses(file) | leanings.requires(file)).filter_map do |other|
        next if room(other) == room(file) || floor.fetch(room(other)) < floor.fetch(room(file))

        "#{short(file)} leans on #{short(other)}"
      end
    end

    assert_empty wrong
  end

  def test_every_file_requires_what_it_uses_and_none_in_a_circle
    leanings.files.each do |file|
      assert_equal leanings.uses(file, types: false), leanings.requires(file).sort, short(file)
    end
    left = leanings.files.to_h { |file| [file, leanings.requires(file)] }
    sorted = []
    until left.empty?
      ready = left.select { |_, wanted| (wanted - sorted).empty? }.keys

      refute_empty ready, "circle among #{left.keys.map { |file| short(file) }}"
      sorted.concat(ready)
      left = left.except(*ready)
    end
  end

  # Files that name one another, the types of their documentation counted: one thing in several files. The list only
  # shrinks.
  TOGETHER = [%w[length/length.rb length/wording.rb], %w[thread/bobbin.rb thread/sewing_thread.rb],
              %w[recipe/density_choice.rb recipe/equipment_choice.rb recipe/recipe.rb recipe/style_choice.rb recipe/width_choice.rb],
              %w[placket/hole.rb placket/runway.rb placket/start.rb],
              %w[sheet/accepted_settings.rb sheet/sheet.rb sheet/stage.rb]].freeze

  def test_no_others_lean_on_one_another_by_their_types
    leans = leanings.files.to_h { |file| [file, leanings.uses(file) & (leanings.files - [file])] }
    circles = TSort.strongly_connected_components(leans.method(:each_key),
                                                  ->(file, &block) { leans.fetch(file).each(&block) })

    assert_equal TOGETHER.sort, circles.select { |files| files.size > 1 }.map { |files|
      files.map { |file|
        short(file)
      }.sort
    }.sort
  end

  def test_no_constant_name_stands_for_two_things
    twice = leanings.names.select { |name, files| files.size > 1 && !IN_EVERY_ROOM.include?(name) }

    assert_empty(twice.transform_values { |files| files.map { |file| short(file) } })
  end

  def test_every_file_opens_with_what_it_is_for
    leanings.files.each { |file| assert_match(/\A# [A-Z]?\w+/, File.readlines(file)[2], file) }
  end

  def test_values_are_frozen_and_ask_for_all_their_fields
    value = Class.new(Value.of(:at, note: "none")) { def noted? = note != "none" }

    assert_predicate value.new(at: 1), :frozen?
    assert_equal "none", value.new(at: 1).note
    assert_equal 2, value.new(at: 1).with(at: 2).at
    assert_predicate value.new(at: 1).with(note: "x"), :noted?
    assert_raises(ArgumentError) { value.new(note: "x") }
    assert_raises(ArgumentError) { Value.of(:at, with: nil) }
  end

  private

  def short(file) = file.delete_prefix("#{ROOT}/")
  def room(file) = short(file).then { |path| path.include?("/") ? path[%r{\A[^/]+}] : path.delete_suffix(".rb") }
end
