# frozen_string_literal: true

require_relative "../app_helper"

# bin/setup and the cluster: what a fresh, a poor and a busy machine are told.
class SetupTest < AppTest
  ROOT = File.expand_path("../..", __dir__)
  TOOLS = %w[bash env dirname mkdir flock id find sort xargs sha256sum cut cat sed ls test ruby bundle gcc make npm
             node].freeze

  def setup
    @folder = Dir.mktmpdir("nimble-eyelet-setup-")
    File.chmod(0o755, @folder)
  end

  def teardown = FileUtils.rm_rf(@folder)

  # A PATH with only some programs on it, and an id command that says who we are.
  def path_with(tools, user: 1000)
    tools.each do |tool|
      found = ENV["PATH"].split(":").map { |folder| File.join(folder, tool) }.find { |file| File.executable?(file) }
      File.symlink(found, File.join(@folder, tool)) if found
    end
    FileUtils.rm_f(File.join(@folder, "id"))
    File.write(File.join(@folder, "id"), "#!/bin/sh\necho #{user}\n")
    File.chmod(0o755, File.join(@folder, "id"))
    @folder
  end

  def run_setup(*arguments, path: ENV.fetch("PATH"))
    out, status = Open3.capture2e({ "PATH" => path }, "#{ROOT}/bin/setup", *arguments)
    [out, status.exitstatus]
  end

  def test_with_nothing_to_do_it_says_nothing
    assert_equal ["", 0], run_setup
    assert_equal ["", 0], run_setup("--for-use")
  end

  # A tree that was set up once is used by somebody who may only read it.
  def test_it_writes_only_where_data_lie
    own = "#{ROOT}/var/setup.lock"
    File.utime(0, 0, own)
    out = Open3.capture2e({ "NIMBLE_EYELET_VAR" => @folder }, "#{ROOT}/bin/setup", "--for-use").first

    assert_equal "", out
    assert_equal [0, ["setup.lock"]], [File.mtime(own).to_i, Dir.children(@folder)]
  end

  def test_a_folder_may_be_called_anything
    room = "#{@folder}/sewing room ä"
    FileUtils.mkdir_p(room)
    %w[app lib db Gemfile Gemfile.lock .bundle].each { |part| FileUtils.cp_r("#{ROOT}/#{part}", room) }
    File.symlink("#{ROOT}/vendor", "#{room}/vendor")
    around = { "BUNDLE_GEMFILE" => "#{room}/Gemfile", "BUNDLE_PATH" => "#{ROOT}/vendor/bundle" }
    asked = "require './app/http/web'; print NimbleEyelet::Http::Web::SCHEMA.class"
    out, status = Open3.capture2e(around, "bundle", "exec", "ruby", "-e", asked, chdir: room)

    assert_predicate status, :success?, out
    assert_match(/Schema\z/, out)
  end

  def test_an_ordinary_user_is_named_the_one_command
    out, status = run_setup(path: path_with(TOOLS))

    assert_equal 1, status
    assert_equal "Missing: chromium chromium-driver poppler-utils. " \
                 "Run once: sudo apt-get install -y chromium chromium-driver poppler-utils\n", out
  end

  def test_to_use_it_no_browser_is_needed
    out, status = run_setup("--for-use", path: path_with(TOOLS))

    assert_equal ["", 0], [out, status]
  end

  def test_an_old_node_is_said_in_one_line
    folder = path_with(TOOLS - %w[node] + %w[chromium chromedriver pdftoppm])
    File.write("#{folder}/node", "#!/bin/sh\n[ \"$1\" = --version ] && echo v18.20.0 && exit 0\nexit 1\n")
    File.chmod(0o755, "#{folder}/node")

    assert_equal ["Node.js 20.19 or newer is needed to build the front end; this is v18.20.0.\n", 1], run_setup(path: folder)
  end

  def test_a_cluster_keeps_its_port_and_its_data
    cluster = Server::Cluster.new("#{@folder}/data", throwaway: true).start
    first = cluster.database("somewhere")
    Sequel.connect(first) { |db| db.run("CREATE TABLE here (id int)") }

    assert_equal first, cluster.start.database("somewhere"), "a second start and a second database change nothing"
    cluster.stop

    refute_predicate cluster, :running?
    assert_equal first, cluster.start.url("somewhere")
    Sequel.connect(first) { |db| assert_equal [:here], db.tables }
    # Taken by somebody else in the meantime: another port.
    cluster.stop
    port = URI(first).port

    TCPServer.open("127.0.0.1", port) { refute_equal first, cluster.start.url("somewhere") }
  ensure
    cluster&.stop
  end

  def test_a_folder_the_database_user_cannot_reach_is_replaced
    skip "only root runs the cluster as another user" unless Process.uid.zero?

    File.chmod(0o700, @folder)

    assert_match(%r{\A/var/lib/nimble-eyelet/\h{12}\z}, Server::Cluster.new("#{@folder}/data").folder)
    File.chmod(0o755, @folder)

    assert_equal "#{@folder}/data", Server::Cluster.new("#{@folder}/data").folder
  end

  def test_a_cluster_that_cannot_start_says_why
    cluster = Server::Cluster.new("#{@folder}/data", throwaway: true).start
    cluster.stop
    File.write("#{@folder}/data/postgresql.conf", "nonsense = maybe\n")
    failure = assert_raises(Server::Cluster::Failed) { cluster.start }

    assert_match(/nonsense/, failure.message)
  end
end
