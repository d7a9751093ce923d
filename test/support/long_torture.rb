# frozen_string_literal: true

# The long run behind bin/torture.

require "tmpdir"
require_relative "torture"
require_relative "../../app/server/cluster"

times = Integer(ARGV[0] || "50")
seed = Integer(ARGV[1] || Random.rand(1_000_000).to_s)
folder = Dir.mktmpdir("nimble-eyelet-torture-")
File.chmod(0o755, folder)
begin
  wrong = NimbleEyelet::Support::Torture.new(folder, Random.new(seed)).run(times)
  puts wrong
  puts "Killed #{times} times from seed #{seed}: #{wrong.size} times something was lost"
  exit(wrong.empty? ? 0 : 1)
ensure
  NimbleEyelet::Server::Cluster.new("#{folder}/postgres").stop
  FileUtils.rm_rf(folder)
end
