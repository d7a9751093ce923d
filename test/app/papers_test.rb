# frozen_string_literal: true

require_relative "../app_helper"

# What goes with the application says one version everywhere, and names by whom what ships with it is.
class PapersTest < AppTest
  ROOT = File.expand_path("../..", __dir__)

  def read(file) = File.read(File.join(ROOT, file))

  def test_there_is_one_version
    lock = JSON.parse(read("web/package-lock.json"))
    said = [JSON.parse(read("web/package.json"))["version"], lock["version"], lock.dig("packages", "", "version"),
            YAML.safe_load_file(Http::Web::DESCRIPTION).dig("info", "version"), call(:get, "/api/health")["version"],
            read("CHANGELOG.md")[/^## ([\d.]+)/, 1]]

    assert_equal [VERSION], said.uniq
    call(:get, "/api/garments/1/file")

    assert_includes last_response.body, "\"made_by\": \"Nimble Eyelet #{VERSION}\""
  end

  # bin/notices writes them.
  def test_what_ships_is_named_with_its_licence
    notices = read("web/public/notices.txt")
    lock = JSON.parse(read("web/package-lock.json"))["packages"]
    packages = JSON.parse(read("web/dist/.packages.json")).map do |name|
      "#{name} #{lock.fetch("node_modules/#{name}")['version']} (npm)"
    end
    gems = Bundler.definition.specs_for([:default]).reject { |spec| spec.name == "bundler" }
    missing = [*packages, *gems.map { |spec| "#{spec.name} #{spec.version} (gem)" }, "DejaVu Sans"].reject { |name| notices.include?(name) }

    assert_empty missing, "run bin/notices"
    assert_operator notices.scan("SIL OPEN FONT LICENSE").size, :>=, 2, "both typefaces"
    call(:get, "/notices.txt")

    assert_status 200
  end
end
