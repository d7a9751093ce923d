# frozen_string_literal: true

# What bin/backup and bin/restore do: ruby app/server/backups.rb write FILE, or read FILE [--yes].

require_relative "backup"
require_relative "packed_backup"

module NimbleEyelet
  module Server
    # Asks before anything is replaced, and says what was done.
    module Backups
      # @param way [String] "write" or "read"
      # @param file [String]
      # @param sure [String, nil] "--yes" where nobody is asked
      def self.run(way, file, sure)
        abort "Say which file: bin/#{way == 'read' ? 'restore' : 'backup'} FILE" if file.to_s.empty?
        Backup.with_database(ENV) do |url|
          backup = Backup.new(url, photos: Backup.photos(ENV))
          next puts "Written: #{file} (#{backup.write(file)})" if way == "write"

          PackedBackup.open(file) { |packed| restore(backup, packed, file, sure) }
        end
      rescue Backup::Failed, Cluster::Failed => e
        abort e.message
      end

      def self.restore(backup, packed, file, sure)
        puts "It brings back: #{backup.look(packed)}."
        before = backup.present
        puts "It replaces: #{before || 'nothing, the database is empty'}."
        if before && sure != "--yes" && $stdin.tty?
          print "Go on? Type yes: "
          abort "Nothing was changed." unless $stdin.gets.to_s.strip == "yes"
        end
        copy = File.join(File.dirname(file), "before-restore-#{Time.now.utc.strftime('%Y%m%d-%H%M%S')}.backup") if before
        backup.read(packed, copy: copy)
        puts "Everything is as it was when #{file} was written.#{" What was there before is in #{copy}." if copy}"
      end
      private_class_method :restore
    end
  end
end

NimbleEyelet::Server::Backups.run(*ARGV.values_at(0, 1, 2)) if $PROGRAM_NAME == __FILE__
