# frozen_string_literal: true

# Cluster is a PostgreSQL server of our own, in a folder of our own, on 127.0.0.1: set up once,
# started and stopped with the application. PostgreSQL refuses to run as root, so root runs it as
# the unprivileged user `postgres`.
#
#   cluster = NimbleEyelet::Server::Cluster.new("var/postgres")
#   cluster.start
#   cluster.url("nimble_eyelet")   # => "postgres://nimble@127.0.0.1:40123/nimble_eyelet"
#   cluster.stop

require "digest"
require "etc"
require "fileutils"
require "open3"
require "socket"

module NimbleEyelet
  module Server
    class Cluster
      # The cluster could not be set up, started or reached.
      class Failed < StandardError; end

      USER = "nimble"
      RUNS_AS = "postgres"

      # @return [String] folder the data lies in
      attr_reader :folder

      # @param folder [String] made when missing
      # @param throwaway [Boolean] for tests: faster, and lost in a power cut
      def initialize(folder, throwaway: false)
        @folder = reachable(File.expand_path(folder))
        @throwaway = throwaway
      end

      # Starts the server, or takes over one left running by a killed start.
      #
      # @return [self]
      # @raise [Failed]
      def start
        create unless File.exist?(File.join(@folder, "PG_VERSION"))
        return self if running?

        port = usual_port
        settings = "-c port=#{port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=60"
        settings += " -c fsync=off -c synchronous_commit=off -c full_page_writes=off" if @throwaway
        run("pg_ctl", "start", "-D", @folder, "-w", "-t", "60", "-l", File.join(@folder, "server.log"), "-o", settings)
        self
      end

      # @return [void]
      def stop
        run("pg_ctl", "stop", "-D", @folder, "-m", "fast", "-w") if running?
      end

      # @return [Boolean]
      def running?
        _, status = attempt("pg_ctl", "status", "-D", @folder)
        status.success?
      end

      # @param database [String]
      # @return [String] address for Sequel and psql
      def url(database) = "postgres://#{USER}@127.0.0.1:#{port}/#{database}"

      # Makes a database unless it is there.
      #
      # @param name [String]
      # @return [String] its url
      def database(name)
        out, status = attempt("createdb", "-h", "127.0.0.1", "-p", port.to_s, "-U", USER, "-E", "UTF8", "-T", "template0", name)
        raise Failed, out unless status.success? || out.include?("already exists")

        url(name)
      end

      private

      def port = File.readlines(File.join(@folder, "postmaster.pid"))[3].to_i

      def create
        FileUtils.mkdir_p(@folder)
        FileUtils.chmod(0o700, @folder)
        FileUtils.chown(RUNS_AS, nil, @folder) if root?
        run("initdb", "-D", @folder, "-U", USER, "--auth-host=trust", "--auth-local=reject", "-E", "UTF8", "--locale=C.UTF-8",
            *("--no-sync" if @throwaway))
      end

      # The port of last time where it is free, so that whoever waits for the server finds it again.
      def usual_port
        log = File.join(@folder, "postmaster.opts")
        last = File.exist?(log) ? File.read(log)[/port=(\d+)/, 1].to_i : 0
        TCPServer.open("127.0.0.1", last) { |server| server.addr[1] }
      rescue Errno::EADDRINUSE
        TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
      end

      def root? = Process.uid.zero?

      # The unprivileged user has to be able to walk to the folder. Where a parent is closed to it,
      # the data lies in /var/lib instead, under a name that belongs to this project folder.
      def reachable(folder)
        return folder unless root?

        FileUtils.mkdir_p(File.dirname(folder))
        open_path = system("runuser", "-u", RUNS_AS, "--", "test", "-x", File.dirname(folder), out: File::NULL, err: File::NULL)
        open_path ? folder : "/var/lib/nimble-eyelet/#{Digest::SHA256.hexdigest(folder)[0, 12]}"
      end

      def run(*command)
        out, status = attempt(*command)
        raise Failed, "#{command.first} failed: #{out.lines.last(5).join.strip}" unless status.success?

        out
      end

      # The server keeps what it inherits open, so its output goes to a file of its own (-l) and
      # ours is read through a pipe only from commands that end.
      def attempt(program, *arguments)
        command = [executable(program), *arguments]
        command = ["runuser", "-u", RUNS_AS, "--", *command] if root?
        return started(command) if arguments.first == "start"

        Open3.capture2e({ "LC_ALL" => "C.UTF-8" }, *command, chdir: "/")
      end

      def started(command)
        system({ "LC_ALL" => "C.UTF-8" }, *command, chdir: "/", out: File::NULL, err: File::NULL)
        log = File.join(@folder, "server.log")
        [File.exist?(log) ? File.read(log) : "", Process.last_status]
      end

      def executable(program)
        Dir.glob("/usr/lib/postgresql/*/bin/#{program}").max_by { |path| path[%r{postgresql/(\d+)}, 1].to_i } ||
          raise(Failed, "PostgreSQL is not installed. As root, run: bin/setup")
      end
    end
  end
end
