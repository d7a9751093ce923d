# frozen_string_literal: true

# The long run behind bin/fuzz.

require_relative "world"
require_relative "fuzz"

times = Integer(ARGV[0] || "20000")
seed = Integer(ARGV[1] || Random.rand(1_000_000).to_s)
NimbleEyelet::Support::World.open do |world|
  version = -> { "#{world.db[:identity].get(:id)}.#{world.db[:closures].where(id: 1).get(:version)}" }
  fuzz = NimbleEyelet::Support::Fuzz.new(world.app, Random.new(seed), version: version)
  bad = (1..times).each_slice(500).flat_map do |some|
    # The workroom is put back now and then, or everything would be gone.
    world.reset
    fuzz.run(some.size)
  end
  puts bad
  puts "#{times} requests from seed #{seed}: #{bad.size} answers that should not be"
  exit(bad.empty? ? 0 : 1)
end
