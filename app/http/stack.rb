# frozen_string_literal: true

# Stack is what stands before the application, in the order a request meets it: what looks at it whoever sends it, who
# sends it, and whether they may.
#
#   Stack.over(app, schema, log: $stdout, live: nil, db: db, origins: origins, access: Access::OPEN, clock: clock)

require "committee"
require "rack"
require "rack/protection"
require "roda/session_middleware"
require "yaml"
require_relative "../store/person"
require_relative "described"
require_relative "guards"
require_relative "live"
require_relative "rights"
require_relative "sign_in"
require_relative "tries"

module NimbleEyelet
  module Http
    module Stack
      DESCRIPTION = File.expand_path("openapi.yaml", __dir__)
      # Read here: a folder whose name has a space or an umlaut in it would be taken for an address that is none.
      CONTENT = YAML.safe_load_file(DESCRIPTION).freeze
      DESCRIBED = Described.new(CONTENT)
      # What is sent packed, from what size on.
      PACKED = %w[application/json application/problem+json image/svg+xml].freeze
      SMALL = 2048
      LARGE = ->(_, _, _, body) { body.respond_to?(:sum) && body.sum(&:bytesize) > SMALL }

      # @param app [#call]
      # @param schema [Committee::Drivers::Schema]
      # @return [#call] Rack application
      def self.over(app, schema, log:, live:, db:, origins:, access:, clock:)
        Rack::Builder.new do
          Stack.look(self, schema, log, origins, access)
          Stack.ask(self, db, access, clock)
          use Live::Door, live, db
          use Rack::Deflater, include: PACKED, if: LARGE
          use Rack::ConditionalGet
          use Rack::ETag
          run app
        end.to_app
      end

      # What it is, whoever sends it.
      def self.look(stack, schema, log, origins, access)
        stack.instance_exec do
          use Guards::Log, log
          use Guards::Headers
          use Guards::Failures, log
          use Guards::Forwarded, access.proxied
          use Rack::Protection::HostAuthorization, permitted_hosts: origins.hosts, logging: false
          use Guards::Crowd
          use Guards::Addresses
          use Guards::BodyLimit
          use Guards::Writes, origins
          use Committee::Middleware::RequestValidation, schema: schema, error_class: Guards::NotInTheDescription,
                                                        parse_response_by_content_type: true
        end
      end

      # Who sends it, how often, and whether they may.
      def self.ask(stack, db, access, clock)
        unknown = access.asked ? Store::Person::NOBODY : Store::Person::OWN
        stack.instance_exec do
          use Tries::GATE if access.asked
          if access.kept?
            use RodaSessionMiddleware, **SignIn.session(access)
            use SignIn.of(db, access, now: clock)
          end
          use Rights, CONTENT, DESCRIBED, db, unknown
        end
      end
    end
  end
end
