# frozen_string_literal: true

# Guards stand in front of every request: one log line, a limit on the body, headers that keep
# other pages out, writes only as JSON from our own pages, and the interface description.

require "committee"
require "rack/utils"
require_relative "../problem"

module NimbleEyelet
  module Http
    module Guards
      # Nothing a person types into a closure is near this.
      LARGEST_BODY = 256 * 1024
      # A stash of twenty thousand buttons fits.
      LARGEST_FILE = 4 * 1024 * 1024
      # What was given out comes in again: a garment of hundreds of closures and thousands of facts.
      LARGEST_GARMENT = 48 * 1024 * 1024
      # Where files come in, and as what.
      FILES = { "stash" => %r{\Atext/csv\s*(;|\z)}i, "shelves" => %r{\Atext/csv\s*(;|\z)}i,
                "garments" => %r{\Aapplication/json\s*(;|\z)}i,
                "swatches" => %r{\Aapplication/json\s*(;|\z)}i }.freeze
      SHELVES = "(?:(?:cloths|threads|stabilisers)/)?"
      FILE_ADDRESS = %r{\A/api/workrooms/[a-z0-9-]+/(#{FILES.keys.join('|')})/#{SHELVES}import\z}

      # A photo of a test hole, or of a garment; or one that is only measured.
      PHOTO_ADDRESS = %r{\A/api/workrooms/[a-z0-9-]+/(swatches/[0-9a-f-]{36}/photo|garments/\d+/photos|photo-reading)\z}
      PHOTO = %r{\Aimage/(jpeg|png|webp)\s*(;|\z)}i
      LARGEST_PHOTO = (12 * 1024 * 1024) + 1024

      # @return [Regexp, nil] the type a file has that comes in at this address
      def self.file_type(path) = path.match?(PHOTO_ADDRESS) ? PHOTO : FILES[path[FILE_ADDRESS, 1]]

      # @return [Integer] bytes that a body sent there may have
      def self.most(path)
        return LARGEST_BODY unless file_type(path)
        return LARGEST_PHOTO if path.match?(PHOTO_ADDRESS)

        %w[garments swatches].include?(path[FILE_ADDRESS, 1]) ? LARGEST_GARMENT : LARGEST_FILE
      end

      # A line of the log, with its time. That it cannot be written, on a full disk or a closed pipe, harms no answer.
      def self.note(out, line)
        out&.puts "#{Time.now.utc.iso8601(3)} #{line}"
      rescue SystemCallError, IOError
        nil
      end

      SAFE = %w[GET HEAD OPTIONS].freeze

      POLICY = "content-security-policy"

      # @param scripts [Array<String>] sources beside our own files: hashes of what stands in the page
      # @return [String]
      def self.policy(*scripts)
        "default-src 'none'; script-src #{["'self'", *scripts].join(' ')}; style-src 'self'; " \
          "img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; manifest-src 'self'; " \
          "base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
      end

      HEADERS = {
        POLICY => policy,
        "x-content-type-options" => "nosniff", "x-frame-options" => "DENY", "referrer-policy" => "no-referrer",
        "cross-origin-opener-policy" => "same-origin", "cross-origin-resource-policy" => "same-origin",
        "permissions-policy" => "camera=(self), microphone=(), geolocation=()"
      }.freeze

      # One line a request: when, method, path, status, milliseconds. No query, no body, no address.
      class Log
        def initialize(app, out)
          @app = app
          @out = out
        end

        def call(env)
          start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          status, headers, body = @app.call(env)
          spent = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
          Guards.note @out, format("%<method>-6s %<path>s %<status>d %<spent>.1f ms",
                                   method: env["REQUEST_METHOD"], status: status,
                                   path: env["PATH_INFO"].inspect[1..-2], spent: spent)
          [status, headers, body]
        end
      end

      # The last word on anything that went wrong: no trace leaves the server.
      class Failures
        def initialize(app, out)
          @app = app
          @out = out
        end

        def call(env)
          @app.call(env)
        rescue Rack::BadRequest, Rack::QueryParser::ParamsTooDeepError
          Problem.new(400, "The address asks in a way that cannot be read.").render
        rescue StandardError, SystemStackError => e
          Guards.note @out, "error  #{e.class}: #{e.message.lines.first&.strip} at #{e.backtrace&.first}"
          Problem.new(500, "Something went wrong here. What you typed is kept; please try again.").render
        end
      end

      class Headers
        def initialize(app)
          @app = app
        end

        def call(env)
          status, headers, body = @app.call(env)
          [status, HEADERS.merge(headers), body]
        end
      end

      # A proxy says who asked, and how. It is believed only where the settings say that there is one: anybody could
      # write the same.
      class Forwarded
        SAID = %w[HTTP_X_FORWARDED_FOR HTTP_X_FORWARDED_PROTO HTTP_X_FORWARDED_SCHEME HTTP_X_FORWARDED_HOST HTTP_X_FORWARDED_PORT
                  HTTP_X_FORWARDED_SSL HTTP_FORWARDED HTTP_X_REAL_IP HTTP_CLIENT_IP].freeze

        def initialize(app, trusted)
          @app = app
          @trusted = trusted
        end

        def call(env)
          SAID.each { |name| env.delete(name) } unless @trusted
          env["rack.url_scheme"] = "https" if @trusted && env["HTTP_X_FORWARDED_PROTO"] == "https"
          @app.call(env)
        end
      end

      # So many ask the database at once, so that somebody who asks whether anybody is there always gets an answer.
      class Crowd
        MOST = 10
        HEALTH = "/api/health"

        def initialize(app)
          @app = app
          @inside = 0
          @door = Mutex.new
        end

        def call(env)
          return @app.call(env) if env["PATH_INFO"] == HEALTH || !env["PATH_INFO"].start_with?("/api/")
          return Problem.new(503, "Too many ask at once. Please try again in a moment.").render unless enter

          begin
            @app.call(env)
          ensure
            @door.synchronize { @inside -= 1 }
          end
        end

        private

        def enter = @door.synchronize { @inside < MOST && (@inside += 1) }
      end

      # Refuses bodies over the limit, whether announced or not.
      class BodyLimit
        def initialize(app)
          @app = app
        end

        def call(env)
          most = Guards.most(env["PATH_INFO"])
          return too_large(most) if env["CONTENT_LENGTH"].to_i > most

          input = env["rack.input"]
          if input && !env["CONTENT_LENGTH"] && !SAFE.include?(env["REQUEST_METHOD"])
            read = input.read(most + 1).to_s
            return too_large(most) if read.bytesize > most

            env["rack.input"] = StringIO.new(read)
          end
          @app.call(env)
        end

        private

        def too_large(most) = Problem.new(413, "That is more than #{most / 1024} kB: too much at once.").render
      end

      # An address that is no text names nothing.
      class Addresses
        # What a session was called by in the addresses of earlier pages, which may be open still.
        OLDER_SESSIONS = %r{\A(/api/workrooms/[a-z0-9-]+)/sittings(?=/|\z)}

        def initialize(app)
          @app = app
        end

        def call(env)
          if [env["PATH_INFO"], env["QUERY_STRING"]].all? { |part| text?(part.to_s) }
            env["PATH_INFO"] = env["PATH_INFO"].sub(OLDER_SESSIONS, '\\1/sessions')
            return @app.call(env)
          end

          Problem.new(400, "The address holds something that is no text.").render
        end

        private

        def text?(part)
          Rack::Utils.unescape(part).then { |text| text.valid_encoding? && !text.include?("\0") }
        rescue ArgumentError
          false
        end
      end

      # Writes come from our own pages: they carry a header that no other site can add, and JSON.
      class Writes
        HEADER = "HTTP_X_NIMBLE_EYELET"

        # @param origins [Origins]
        def initialize(app, origins)
          @app = app
          @origins = origins
        end

        def call(env)
          return @app.call(env) if SAFE.include?(env["REQUEST_METHOD"])
          return Problem.new(403, "Changes are made from the application's own pages.").render unless own?(env)
          return Problem.new(415, "This is not sent in the form it is read in.").render unless readable?(env)

          @app.call(env)
        end

        private

        def own?(env)
          env.key?(HEADER) && @origins.own?(env["HTTP_ORIGIN"], env["HTTP_HOST"], env["rack.url_scheme"])
        end

        def readable?(env)
          type = env["CONTENT_TYPE"].to_s
          form = Guards.file_type(env["PATH_INFO"])
          return type.match?(form) if form && env["REQUEST_METHOD"] != "DELETE"

          empty = env["CONTENT_LENGTH"].to_i.zero? && !env.key?("HTTP_TRANSFER_ENCODING")
          empty ? type.empty? || type.start_with?("application/json") : type.match?(%r{\Aapplication/json\s*(;|\z)}i)
        end
      end

      # What the interface description does not allow, in our one shape.
      class NotInTheDescription < Committee::ValidationError
        # An address that cannot name anything names nothing.
        ADDRESS = %r{components/parameters/(Id|Number|Stage|Slug|Entry|Kind)|schemas/(StageWord|Uuid)}

        def render
          return Problem.new(404, "There is no such thing here.").render if message.match?(ADDRESS)

          Problem.new(status, "The request is not as the interface describes it: #{message}").render
        end
      end
    end
  end
end
