# frozen_string_literal: true

# PackedBackup is a backup with its photos in one file, as a browser downloads it.
#
#   packed = Server::PackedBackup.of(url, "/home/marsh/var", own: true)
#   packed.where           # => "/home/marsh/var"
#   packed.write(folder)   # => "/tmp/…/nimble-eyelet.tar"
#   Server::PackedBackup.open(file) { |backup_file| … }   # a backup that is not packed is given as it is

require "fileutils"
require "open3"
require "tmpdir"
require "uri"
require_relative "backup"

module NimbleEyelet
  module Server
    class PackedBackup
      NAME = "nimble-eyelet.backup"
      PACKED = "nimble-eyelet.tar"
      # What stands at this place of every such file (POSIX ustar, IEEE Std 1003.1).
      MAGIC = "ustar"
      MAGIC_AT = 257

      # @param url [String] of the database
      # @param var [String] the folder of the data
      # @param own [Boolean] whether the database lies in it
      # @return [PackedBackup]
      def self.of(url, var, own:)
        at = URI(url)
        where = own ? var : "#{at.host || 'this machine'}, #{at.path.delete_prefix('/')}; photos in #{var}"
        new(Backup.new(url, photos: Backup.photos({ **ENV, "NIMBLE_EYELET_VAR" => var })), where)
      end

      # @return [String] where the data lies, without the words a database is opened by
      attr_reader :where

      # @param backup [Backup]
      # @param where [String]
      def initialize(backup, where)
        @backup = backup
        @where = where
      end

      # @param folder [String] empty
      # @return [String] the file, in that folder
      # @raise [Backup::Failed]
      def write(folder)
        @backup.write(File.join(folder, NAME))
        file = File.join(folder, PACKED)
        PackedBackup.tar("--create", "--format=ustar", "--file=#{file}", "--directory=#{folder}",
                         *PackedBackup.inside(folder))
        file
      end

      # @param file [String]
      # @yieldparam backup [String] the backup in it
      # @raise [Backup::Failed]
      def self.open(file)
        return yield(file) unless packed?(file)

        Dir.mktmpdir("nimble-eyelet-") do |folder|
          tar("--extract", "--no-same-owner", "--file=#{file}", "--directory=#{folder}")
          raise Backup::Failed, "#{file} has no backup in it." unless inside(folder).include?(NAME)

          yield File.join(folder, NAME)
        end
      end

      # @param file [String]
      # @return [Boolean]
      def self.packed?(file) = File.file?(file) && File.binread(file, MAGIC.size, MAGIC_AT) == MAGIC

      def self.inside(folder) = Dir.children(folder).select { |name| name.start_with?(NAME) }.sort

      def self.tar(*arguments)
        _, said, status = Open3.capture3("tar", *arguments)
        raise Backup::Failed, said.lines.first(3).join.strip unless status.success?
      end
    end
  end
end
