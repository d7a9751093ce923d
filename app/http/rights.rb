# frozen_string_literal: true

# Rights stand before everything that is asked of the interface: who asks, what it wants of them (`x-right` in the
# description), and what they are in the workroom it is about. A stranger learns nothing, not even that it is there.
# What comes after is asked of the database in their name.
#
#   use Http::Rights, description, Described.new(description), db, Store::Person::NOBODY

require "yaml"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/members"
require_relative "../store/person"
require_relative "../store/shared_plans"

module NimbleEyelet
  module Http
    class Rights
      PERSON = "nimble_eyelet.person"
      ROLE = "nimble_eyelet.role"
      WORKROOM = %r{\A/api/workrooms/([a-z0-9-]{1,80})(?:/|\z)}
      # Of all workrooms, or a new one, and no workroom's address.
      ALL_OF_THEM = %w[/api/workrooms /api/workrooms/sample].freeze

      # An answer that is still being read while it is sent.
      class InTheirName
        def initialize(body, db, who)
          @body = body
          @db = db
          @who = who
        end

        def each(&block) = @db.as(@who) { @body.each(&block) }
        def close = @body.respond_to?(:close) && @body.close
      end

      # What is not described: the description itself, and addresses of before that only lead on.
      UNDESCRIBED = [[%r{\A/api/(docs|openapi\.yaml)\z}, "anyone"], [%r{\A/api/signed-in\z}, "anyone"]].freeze
      # Whatever else: for whoever is signed in.
      UNKNOWN = "person"

      # @param description [Hash] openapi.yaml
      # @param described [Described] the same, to look up addresses in
      # @param unknown [Person] who somebody is of whom nothing was found out
      def initialize(app, description, described, db, unknown)
        @app = app
        @paths = description["paths"]
        @described = described
        @db = db
        @unknown = unknown
      end

      # A print of a plan that is shared: the same as in its workroom, and asked for in the name of that alone.
      SHARED = %r{\A/api/shared/([A-Za-z0-9_-]{10,80})/(strip\.pdf|strip\.svg|hole-card\.pdf|card\.pdf|way\.pdf)\z}

      def call(env)
        path = env["PATH_INFO"]
        # Pages are for everybody, and where an older address leads to would tell what there is.
        return @db.as(@unknown.who) { @app.call(env) } unless path.start_with?("/api/")
        return print_shared(env, *path.match(SHARED).captures) if path.match?(SHARED)

        person = env[PERSON] ||= @unknown
        return @app.call(env) if person.own?

        enter(env, person, path)
      end

      SIGN_IN = "Sign in first. What you typed stays here."
      NOT_HERE = "There is no such thing here, or not any more."
      LOOKING = "You are looking on in this workroom. Its owner can let you sew with them."
      TABLET = "This device may sew and look. Do this where you signed in with your password."
      OWNERS = "Only the owner of this workroom can do this."
      KEEPERS = "Only who made the first account here can do this."

      private

      def print_shared(env, token, sheet)
        found = Store::SharedPlans.find(@db, token)
        at = "/api/workrooms/#{found[:slug]}/closures/#{found[:closure_id]}/#{sheet}"
        @db.as("w#{found[:workroom_id]}") { @app.call(env.merge("PATH_INFO" => at)) }
      rescue Store::Missing
        Problem.new(404, NOT_HERE).render
      end

      def enter(env, person, path)
        right = right_of(env["REQUEST_METHOD"], path)
        role = role_of(person, path)
        env[ROLE] = role
        return refused(person, right, role, path) unless person.may?(right, role)

        status, headers, body = @db.as(person.who) { @app.call(env) }
        [status, headers, body.is_a?(Array) || body.respond_to?(:to_path) ? body : InTheirName.new(body, @db, person.who)]
      end

      def right_of(verb, path)
        verb = verb == "HEAD" ? "get" : verb.downcase
        known, = @described.find(verb, path)
        return @paths.dig(known, verb, "x-right") if known

        UNDESCRIBED.find { |address, _| path.match?(address) }&.last || UNKNOWN
      end

      def role_of(person, path)
        slug = ALL_OF_THEM.include?(path) ? nil : path[WORKROOM, 1]
        slug && person.account && Store::Members.role(@db, slug, person.account)
      end

      def refused(person, right, role, path)
        return Problem.new(401, SIGN_IN).render if person.nobody?
        return Problem.new(404, NOT_HERE).render if role.nil? && path.match?(WORKROOM) && !ALL_OF_THEM.include?(path)
        return forbidden(KEEPERS, right) if right == "keeper"
        return forbidden(LOOKING, right) if role == "looks_on"
        return forbidden(TABLET, right) if person.device?

        forbidden(OWNERS, right)
      end

      # With what it takes, so that nobody takes it for the answer of a proxy.
      def forbidden(says, right) = Problem.new(403, says, needs: right).render
    end
  end
end
