# frozen_string_literal: true

require "rbconfig"
require "tempfile"
require_relative "photo_trial"

module NimbleEyelet
  module Support
    # What bin/bench says of measuring a photo of 12 megapixels: processor time against what it takes to unpack the same
    # picture, and the memory that it takes at most, each in a process of its own.
    module PhotoBench
      SIZE = [4000, 3000].freeze

      def photo(_world = nil)
        %w[button edge hole].each do |what|
          jpeg = PhotoTrial.new(what, 5, size: SIZE).shot.jpeg
          once(what, jpeg)
          bare = spent { Vips::Image.new_from_buffer(jpeg, "").copy_memory }
          read = spent { once(what, jpeg) }
          puts format("%-22s %6.2f s of processor time, %5.1f times unpacking it; %4.0f MB more at most", "photo of 12 MP: #{what}", read,
                      read / bare, grown(what, jpeg))
        end
      end

      READ = <<~RUBY
        require "./test/support/photo_trial"
        most = -> { File.read("/proc/self/status")[/VmHWM:\\s+(\\d+)/, 1].to_i }
        before = most.call
        picture = NimbleEyelet::Device::Pixels.read(File.binread(ARGV[1]))
        NimbleEyelet::PhotoReading::Survey.of(picture, what: ARGV[0], across: 20.0)
        puts (most.call - before) / 1024.0
      RUBY
      private_constant :READ

      private

      def once(what, jpeg) = PhotoReading::Survey.of(Device::Pixels.read(jpeg), what: what, across: 20.0)

      def spent
        from = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
        yield
        Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - from
      end

      # How much larger a process of its own becomes at most, MB.
      def grown(what, jpeg)
        Tempfile.create("photo") do |file|
          file.binmode
          file.write(jpeg)
          file.flush
          IO.popen([RbConfig.ruby, "--yjit", "-Itest", "-e", READ, what, file.path], &:read).to_f
        end
      end
    end
  end
end
