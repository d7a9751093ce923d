# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/leanings"

# The application in floors: a room leans only on rooms of lower floors, and on the core.
class FloorsTest < AppTest
  APP = File.expand_path("../../app", __dir__)
  APP_FLOORS = [%w[presenter problem memo dialect], %w[field], %w[form device], %w[store], %w[view document], %w[route],
                %w[http], %w[server]].freeze

  def test_a_room_leans_only_on_rooms_of_lower_floors
    core = Dir["#{APP}/../lib/nimble_eyelet/**/*.rb"]
    leanings = NimbleEyelet::Support::Leanings.new(core + Dir["#{APP}/**/*.rb"], inside: "NimbleEyelet")
    files = leanings.files.select { |file| file.start_with?(APP) }
    floor = APP_FLOORS.each_with_index.flat_map { |rooms, index| rooms.map { |name| [name, index] } }.to_h

    assert_equal floor.keys.sort, files.map { |file| room(file) }.uniq.sort
    wrong = files.flat_map do |file|
      (leanings.uses(file) | leanings.requires(file)).select { |other| other.start_with?(APP) }.filter_map do |other|
        next if room(other) == room(file) || floor.fetch(room(other)) < floor.fetch(room(file))

        "#{file.delete_prefix(APP)} leans on #{other.delete_prefix(APP)}"
      end
    end

    assert_empty wrong
  end

  # What several routes share is said once, in http/: none calls what another one defines.
  def test_no_route_leans_on_another
    defined, called = routes.values.map { |names| names.group_by(&:first).transform_values { |all| all.map(&:last) } }
    leaning = called.flat_map do |name, files|
      (defined.key?(name) ? files.uniq - defined[name] : []).map { |file| "#{File.basename(file)} calls #{name}" }
    end

    assert_empty leaning
  end

  private

  # @return [Hash{Symbol => Array<Array(Symbol, String)>}] names and files: of helpers that are defined, and of calls
  #   without receiver
  def routes
    Dir["#{APP}/route/*.rb"].each_with_object({ defined: [], called: [] }) do |file, found|
      nodes = [Prism.parse_file(file).value]
      while (node = nodes.shift)
        found[:defined] << [node.name, file] if node.is_a?(Prism::DefNode) && node.receiver.nil?
        found[:called] << [node.name, file] if node.is_a?(Prism::CallNode) && node.receiver.nil?
        nodes.concat(node.compact_child_nodes)
      end
    end
  end

  def room(file)
    file.delete_prefix("#{APP}/").then { |path| path.include?("/") ? path[%r{\A[^/]+}] : path.delete_suffix(".rb") }
  end
end
