# frozen_string_literal: true

require "tmpdir"
require_relative "../app_helper"
require_relative "../../app/server/backup"
require_relative "../../app/server/packed_backup"

class BackupTest < AppTest
  def backup = @backup ||= Server::Backup.new(world.cluster.url("nimble_eyelet_test"))

  def in_folder
    Dir.mktmpdir { |folder| yield File.join(folder, "marsh walk.backup") }
  end

  def everything
    %i[closures buttons machines pins revisions workrooms].to_h do |table|
      [table, db[table].order_by(1).all.map(&:to_a)]
    end
  end

  def test_what_was_written_is_put_back_whole
    in_folder do |file|
      save({ "button" => { "diameter" => "19" } })
      before = everything
      backup.write(file)
      save({ "button" => { "diameter" => "21" } })
      seen = match
      db[:closures].where(id: 3).delete
      db[:buttons].delete
      db.disconnect
      backup.read(file)

      assert_equal before, everything
      assert_equal "19 mm", closure["plan"]["button.diameter"]["text"]
      assert_equal ["marsh walk.backup"], Dir.children(File.dirname(file)), "nothing unfinished stays behind"
      call(:patch, "/api/closures/1/plan", { "button.diameter" => "22" }, seen)

      assert_status 412 # a browser that saw what was there before
      save({ "button" => { "diameter" => "22" } })

      assert_status 200
    end
  end

  def test_what_is_no_backup_changes_nothing
    in_folder do |file|
      before = everything

      assert_includes assert_raises(Server::Backup::Failed) { backup.read(file) }.message, "no file"
      File.write(file, "something else")

      assert_includes assert_raises(Server::Backup::Failed) { backup.read(file) }.message, "no backup"
      backup.write(file)
      File.truncate(file, File.size(file) / 2)
      db.disconnect

      assert_raises(Server::Backup::Failed) { backup.read(file) }
      assert_equal before, everything
    end
  end

  def test_what_cannot_be_written_or_is_of_somebody_else_is_said_and_leaves_nothing_behind
    in_folder do |file|
      folder = File.dirname(file)

      { folder => "is a folder", "/dev/null" => "no ordinary file",
        "#{folder}/none/x" => "no folder" }.each do |to, why|
        assert_includes assert_raises(Server::Backup::Failed) { backup.write(to) }.message, why
      end
      foreign = Server::Backup.new(world.cluster.database("of_somebody_else"))

      assert_includes assert_raises(Server::Backup::Failed) { foreign.write(file) }.message, "empty"
      Sequel.connect(world.cluster.url("of_somebody_else")) { |other| other.run("CREATE TABLE IF NOT EXISTS poems (line text)") }
      foreign.send(:run, "pg_dump", "--format=custom", "--file=#{file}")

      assert_includes assert_raises(Server::Backup::Failed) { backup.read(file) }.message, "something else"
      assert_empty Dir.children(folder) - [File.basename(file)]
    end
  end

  def test_it_says_what_comes_back_and_keeps_what_was_there
    in_folder do |file|
      said = backup.write(file).to_s

      assert_match(/\A1 workroom, 12 closures, last changed \d{4}-/, said)
      assert_equal said, backup.look(file).to_s
      db[:closures].where(id: 3).delete
      db.disconnect
      copy = "#{file}.before"
      backup.read(file, copy: copy)

      assert_equal [12, 11], [backup.present.closures, backup.look(copy).closures]
    end
  end

  # As the page "About" gives it out, photos and all; what was put back is what was there.
  def test_all_of_it_is_downloaded_as_one_file_and_put_back_from_it
    Dir.mktmpdir do |photos|
      File.write(File.join(photos, "a.jpg"), "a photo")
      from = Server::Backup.new(world.cluster.url("nimble_eyelet_test"), photos: photos)
      @app = world.app(clock: -> { NOW }, keeping: Server::PackedBackup.new(from, "/var/marsh"))

      assert_equal ["/var/marsh", true], call(:get, "/api/about").values_at("data", "backup")
      call(:get, "/api/backup")

      assert_equal [200, "application/x-tar"], [last_response.status, last_response["content-type"]]
      in_folder do |file|
        File.binwrite(file, last_response.body)
        File.delete(File.join(photos, "a.jpg"))
        db[:closures].where(id: 3).delete
        db.disconnect
        said, status = Open3.capture2e({ "DATABASE_URL" => world.cluster.url("nimble_eyelet_test"),
                                         "NIMBLE_EYELET_VAR" => File.dirname(file) },
                                       File.expand_path("../../bin/restore", __dir__), file, "--yes")

        assert_predicate status, :success?, said
        assert_equal 12, backup.present.closures
        assert_equal "a photo", File.read(File.join(File.dirname(file), "photos", "a.jpg"))
      end
    end
  end

  def test_the_commands_say_what_they_need_and_what_they_did
    in_folder do |file|
      env = { "DATABASE_URL" => world.cluster.url("nimble_eyelet_test") }
      root = File.expand_path("../..", __dir__)
      said, status = Open3.capture2e(env, "#{root}/bin/backup", file)

      assert_predicate status, :success?
      assert_includes said, "Written: #{file}"
      said, status = Open3.capture2e(env, "#{root}/bin/restore")

      refute_predicate status, :success?
      assert_includes said, "Say which file: bin/restore FILE"
    end
  end
end
