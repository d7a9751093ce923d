# frozen_string_literal: true

# Backup writes everything in the database into one file, and puts such a file back. Both work beside a
# running server: a backup sees one moment, and a restore happens whole or not at all.
#
#   Server::Backup.new(url).write("marsh-walk.backup")
#   Server::Backup.new(url).read("marsh-walk.backup")

require "open3"
require "securerandom"
require "sequel"
require_relative "cluster"

module NimbleEyelet
  module Server
    class Backup
      # It could not be written or put back.
      class Failed < StandardError; end

      # Where the application keeps its data, unless DATABASE_URL says otherwise.
      #
      # @param environment [Hash]
      # @yieldparam url [String] of a running database
      def self.with_database(environment)
        return yield(environment["DATABASE_URL"]) if environment["DATABASE_URL"]

        cluster = Cluster.new(File.join(environment.fetch("NIMBLE_EYELET_VAR", File.expand_path("../var", __dir__)), "postgres"))
        ran = cluster.running?
        yield cluster.start.database("nimble_eyelet")
      ensure
        cluster&.stop unless ran
      end

      # @param url [String]
      def initialize(url)
        @url = url
      end

      # @param file [String]
      # @raise [Failed]
      def write(file)
        # First beside it: a backup that broke off never takes the place of a good one.
        unfinished = "#{file}.unfinished"
        run("pg_dump", "--format=custom", "--no-owner", "--file=#{unfinished}", @url)
        File.rename(unfinished, file)
      end

      # @param file [String]
      # @raise [Failed] and everything is as it was
      def read(file)
        raise Failed, "There is no file #{file}." unless File.file?(file)
        raise Failed, "#{file} is no backup." unless File.binread(file, 5) == "PGDMP"

        run("pg_restore", "--clean", "--if-exists", "--no-owner", "--single-transaction", "--exit-on-error", "--dbname=#{@url}", file)
        # What was put back is another line of versions: a browser that saw the old one must not save over it unseen.
        Sequel.connect(@url) do |db|
          db[:identity].update(id: SecureRandom.alphanumeric(6).downcase) if db.table_exists?(:identity)
        end
      end

      private

      def run(program, *arguments)
        path = Dir.glob("/usr/lib/postgresql/*/bin/#{program}").max_by { |found| found[%r{postgresql/(\d+)}, 1].to_i } || program
        out, status = Open3.capture2e(path, *arguments)
        raise Failed, out.lines.first(3).join.strip unless status.success?
      rescue Errno::ENOENT
        raise Failed, "PostgreSQL is not installed. As root, run: bin/setup"
      end
    end
  end
end

if $PROGRAM_NAME == __FILE__
  way, file = ARGV
  abort "Say which file: bin/#{way == 'read' ? 'restore' : 'backup'} FILE" if file.to_s.empty?
  begin
    NimbleEyelet::Server::Backup.with_database(ENV) { |url| NimbleEyelet::Server::Backup.new(url).public_send(way, file) }
    puts way == "read" ? "Everything is as it was when #{file} was written." : "Written: #{file}"
  rescue NimbleEyelet::Server::Backup::Failed, NimbleEyelet::Server::Cluster::Failed => e
    abort e.message
  end
end
