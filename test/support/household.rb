# frozen_string_literal: true

# Household is the sample workroom with people in it: Ana owns it, Bo sews with her, Cy looks on; Di has a workroom of
# her own; a tablet is paired with Ana's account; and somebody is not signed in.

require_relative "visitor"
require_relative "../../app/device/post"

module NimbleEyelet
  module Support
    module Household
      SECRET = "s" * 64
      NAMES = { ana: "owner", bo: "sews", cy: "looks_on" }.freeze
      HOME = "/api/workrooms/marsh-walk"

      def post_folder = @post_folder ||= Dir.mktmpdir("nimble-eyelet-mail-")

      def access(**more)
        Http::Access.new(asked: true, secret: SECRET, post: Device::Post.of({}, folder: post_folder), **more)
      end

      def shared_app = @shared_app ||= world.app(access: access)
      def own_app = @own_app ||= world.app(access: access(asked: false))
      def visitor = Visitor.new(shared_app)

      # @return [Hash{Symbol => Visitor}] with who is there
      def household
        Http::Tries::GATE.cache.store.clear
        Visitor.new(own_app).call(:post, "/api/account/create", account(:ana))
        ana = visitor.in_as(email(:ana))
        { ana: ana, bo: joined(ana, :bo, "sews"), cy: joined(ana, :cy, "looks_on"), di: elsewhere(ana),
          tablet: paired(ana), nobody: visitor }
      end

      def email(name) = "#{name}@marsh.example"
      def account(name) = { name: name.to_s.capitalize, email: email(name), password: Visitor::PASSWORD }

      # @return [Visitor] who came in by an invitation of hers
      def joined(ana, name, role)
        token = invitation(ana, role)
        visitor.tap { |one| one.call(:post, "/api/account/create", account(name).merge(invitation: token)) }
      end

      def invitation(by, role, room: HOME)
        by.call(:post, "#{room}/invitations", { role: role, name: "x" }).fetch("address")[/#(.+)/, 1]
      end

      # Who has an account, and belongs to nothing of hers.
      def elsewhere(ana)
        joined(ana, :di, "looks_on").tap do |di|
          di.call(:delete, "#{HOME}/people/own")
          di.call(:post, "/api/workrooms", { name: "Heron Loft" })
        end
      end

      def paired(ana)
        figures = ana.call(:post, "/api/pairings").fetch("figures")
        visitor.tap { |one| one.call(:post, "/api/pairings/taken", { code: figures, name: "Tablet" }) }
      end
    end
  end
end
