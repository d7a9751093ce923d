# frozen_string_literal: true

# Backup writes everything in the database into one file, and puts such a file back. Both work beside a
# running server: a backup sees one moment, and a restore happens whole or not at all.
#
#   Server::Backup.new(url).write("marsh-walk.backup")
#   Server::Backup.new(url).read("marsh-walk.backup")

require "fileutils"
require "open3"
require "pg"
require "securerandom"
require "sequel"
require_relative "../../lib/nimble_eyelet/value"
require_relative "../store/asking"
require_relative "../store/database"
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

        cluster = Cluster.new(File.join(environment.fetch("NIMBLE_EYELET_VAR", File.expand_path("../../var", __dir__)),
                                        "postgres"))
        ran = cluster.running?
        yield cluster.start.database("nimble_eyelet")
      ensure
        cluster&.stop unless ran
      end

      # @param environment [Hash]
      # @return [String, nil] the folder where photos lie
      def self.photos(environment)
        return unless environment["NIMBLE_EYELET_S3_BUCKET"].to_s.empty?

        File.join(environment.fetch("NIMBLE_EYELET_VAR", File.expand_path("../../var", __dir__)), "photos")
      end

      # @param url [String]
      # @param photos [String, nil] the folder where photos lie; nil where they lie in a store of their own
      def initialize(url, photos: nil)
        @url = url
        @photos = photos
      end

      # Tables that a backup of ours has.
      OURS = %w[closures identity journal revisions workrooms].freeze

      # What is in a backup, or in the database. newest - String, when anything was changed last
      class Contents < Value.of(:workrooms, :closures, :newest)
        def to_s
          "#{workrooms} #{workrooms == 1 ? 'workroom' : 'workrooms'}, #{closures} #{closures == 1 ? 'closure' : 'closures'}, " \
            "last changed #{newest || 'never'}"
        end
      end

      # @param file [String]
      # @return [Contents] what was written
      # @raise [Failed]
      def write(file)
        raise Failed, "#{file} is a folder: name a file in it." if File.directory?(file)
        raise Failed, "#{file} is no ordinary file: name another." if File.exist?(file) && !File.file?(file)
        raise Failed, "There is no folder #{File.dirname(file)}." unless File.directory?(File.dirname(file))

        contents = present or raise Failed, "There is nothing to write yet: the database is empty."
        # First beside it: a backup that broke off never takes the place of a good one.
        unfinished = "#{file}.unfinished"
        run("pg_dump", "--enable-row-security", "--format=custom", "--no-owner", "--no-acl", "--file=#{unfinished}")
        photos = pack_photos("#{unfinished}#{PHOTOS}")
        photos ? File.rename(photos, "#{file}#{PHOTOS}") : FileUtils.rm_f("#{file}#{PHOTOS}")
        File.rename(unfinished, file)
        contents
      ensure
        FileUtils.rm_f([unfinished, photos].compact)
      end

      # Photos lie in a file of their own beside it.
      PHOTOS = ".photos.tar"

      # @param file [String]
      # @return [Contents]
      # @raise [Failed] for what is no backup of this application
      def look(file)
        raise Failed, "There is no file #{file}." unless File.file?(file)
        raise Failed, "#{file} is no backup." unless File.binread(file, 5) == "PGDMP"

        listed = run("pg_restore", "--list", file)
        missing = OURS.reject { |table| listed.match?(/ TABLE DATA public #{table} /) }
        raise Failed, "#{file} is a backup of something else: it has no #{missing.first}." if missing.any?

        found = Contents.new(workrooms: rows(file, "workrooms").count, closures: rows(file, "closures").count,
                             newest: rows(file, "revisions").map { |row| row["made_at"][0, MINUTES] }.max)
        raise Failed, "#{file} is an empty backup: there is no workroom in it." if found.workrooms.zero?

        found
      rescue NoMethodError, ArgumentError
        # What cannot be made out of its rows: a bit fell over.
        raise Failed, "#{file} is damaged: take another one."
      end

      # Puts a backup back. What was there before is written to a file of its own first.
      #
      # @param file [String]
      # @param copy [String, nil] where what is there now goes
      # @return [void]
      # @raise [Failed] and everything is as it was
      def read(file, copy: nil)
        look(file)
        write(copy) if copy && present
        run("pg_restore", "--clean", "--if-exists", "--no-owner", "--no-acl", "--single-transaction", "--exit-on-error",
            "--dbname=#{settings['PGDATABASE']}", file)
        opened do |db|
          # It may be of an earlier release.
          Store::Database.migrate(db)
          # What was put back is another line of versions: a browser that saw the old one must not save over it unseen.
          db[:identity].update(id: SecureRandom.alphanumeric(6).downcase)
        end
        unpack_photos("#{file}#{PHOTOS}")
      end

      # @return [Contents, nil] what is in the database now; nil when it is empty
      def present
        opened do |db|
          next unless db.table_exists?(:workrooms) && !db[:workrooms].empty?

          Contents.new(workrooms: db[:workrooms].count, closures: db[:closures].count,
                       newest: db[:revisions].max(:made_at)&.utc&.strftime("%Y-%m-%d %H:%M"))
        end
      rescue Sequel::DatabaseError => e
        raise Failed, e.message.lines.first.to_s.strip
      end

      private

      # As far as the minute of a time such as 2026-11-25 12:00:00.5+00.
      MINUTES = 16
      private_constant :MINUTES

      # Rows of a table as they lie in the file, one after the other: a history may be long.
      #
      # @return [Enumerator<Hash{String => String}>] by column
      def rows(file, table)
        Enumerator.new do |found|
          columns = nil
          IO.popen([settings, path("pg_restore"), "--data-only", "--table=#{table}", "--file=-", file]) do |out|
            out.each_line(chomp: true) do |line|
              next columns = line[/\((.*)\)/, 1].split(", ") if line.start_with?("COPY ")
              break if columns && line == "\\."

              found << columns.zip(line.split("\t")).to_h if columns
            end
          end
        end
      end

      # @return [String, nil] the file; nil where there are none
      def pack_photos(file)
        return unless @photos && Dir.exist?(@photos) && !Dir.empty?(@photos)

        run("tar", "--create", "--file=#{file}", "--directory=#{@photos}", ".")
        file
      end

      # Beside those that are there: each has a name of its own.
      def unpack_photos(file)
        return unless @photos && File.file?(file)

        FileUtils.mkdir_p(@photos)
        run("tar", "--extract", "--no-same-owner", "--file=#{file}", "--directory=#{@photos}")
      end

      # The address by the names the programs know, so that no password stands in the list of processes.
      def settings
        PG::Connection.conninfo_parse(@url).filter_map do |part|
          [part[:envvar], part[:val]] if part[:envvar] && part[:val]
        end.to_h.merge("PGOPTIONS" => "-c nimble.who=#{Store::Asking::ALL}")
      end

      def opened
        db = Store::Database.connect(@url)
        yield db
      ensure
        db&.disconnect
      end

      # @return [String] the newest of its kind on this machine
      def path(program)
        Dir.glob("/usr/lib/postgresql/*/bin/#{program}").max_by { |found| found[%r{postgresql/(\d+)}, 1].to_i } || program
      end

      def run(program, *arguments)
        out, said, status = Open3.capture3(settings, path(program), *arguments)
        raise Failed, said.lines.first(3).join.strip unless status.success?

        out
      rescue Errno::ENOENT
        raise Failed, "PostgreSQL is not installed. As root, run: bin/setup"
      end
    end
  end
end
