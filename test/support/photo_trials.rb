# frozen_string_literal: true

# Many photos of the stand-in camera, measured: run by bin/photos.

require_relative "photo_trial"

module NimbleEyelet
  module Support
    module PhotoTrials
      KINDS = %w[button edge hole].freeze

      # @param count [Integer] in all, a third of each kind; a quarter as many broken ones
      # @param seed [Integer]
      # @return [void]
      def self.run(count, seed)
        KINDS.each do |what|
          offs = (0...(count / 3)).map { |number| try(PhotoTrial.new(what, seed + number)) }
          puts "#{what}: #{offs.size} photos, #{offs.grep(Symbol).size} refused #{offs.grep(Symbol).tally}"
          figures(offs.grep(Hash)).each { |line| puts "  #{line}" }
        end
        alone = (0...(count / 6)).map { |number| try(PhotoTrial.new("button", seed + number, alone: true)) }
        puts "button, its thickness not known: #{alone.size} photos"
        figures(alone.grep(Hash)).each { |line| puts "  #{line}" }
        Device::StandInCamera::BROKEN.each do |broken|
          found = (0...(count / 16)).map { |number| try(PhotoTrial.new("button", seed + number, broken: broken)) }
          puts "#{broken}: #{found.grep(Symbol).size} of #{found.size} refused #{found.grep(Symbol).tally}"
        end
      end

      def self.try(trial)
        trial.off
      rescue PhotoReading::Unreadable => e
        e.key
      end

      def self.figures(offs)
        offs.flat_map(&:keys).uniq.map do |key|
          all = offs.filter_map { |off| off[key] }
          within = all.count { |off, _, truth| PhotoTrial.within?(key, off, truth) }
          sure = all.count { |off, spread, _| off.abs <= PhotoReading::Figure::FIGURE_REACH * spread }
          usual = Math.sqrt(all.sum { |off, _, _| off * off } / all.size)
          format("%<key>-14s n %<n>4d  within its limit %<within>5.1f %%  as sure as said %<sure>5.1f %%  off %<usual>.3f",
                 key: key, n: all.size, within: within * 100.0 / all.size, sure: sure * 100.0 / all.size, usual: usual)
        end
      end
      private_class_method :try, :figures
    end
  end
end

$stdout.sync = true
NimbleEyelet::Support::PhotoTrials.run((ARGV[0] || 300).to_i, (ARGV[1] || 1).to_i)
