# frozen_string_literal: true

# Person is whoever asks, as far as it is known, and what they may.
#
#   Store::Person::OWN.may?("plan", nil)                                    # => true: nobody signs in here
#   Store::Person.new(kind: :device, account: 7).may?("plan", "owner")      # => false: a tablet that sews

require_relative "../../lib/nimble_eyelet"
require_relative "asking"

module NimbleEyelet
  module Store
    # kind - Symbol, :own where nobody signs in, :account, :device or :nobody
    # account - Integer, id; name - String; email - String; keeper - Boolean, who was here first
    # session - String, what this one is known by; device - Integer, id
    class Person < Value.of(:kind, account: nil, name: nil, email: nil, keeper: false, session: nil, device: nil)
      ROLES = %w[owner sews looks_on].freeze
      SEWING = %w[owner sews].freeze

      # What a right wants: kinds of person, and their role in the workroom where that counts.
      RIGHTS = { "anyone" => [%i[nobody account device], nil],
                 "person" => [%i[account device], nil],
                 "account" => [%i[account], nil],
                 "keeper" => [%i[account], nil],
                 "read" => [%i[account device], ROLES],
                 "sew" => [%i[account device], SEWING],
                 "plan" => [%i[account], SEWING],
                 "own" => [%i[account], %w[owner]] }.freeze

      OWN = new(kind: :own)
      NOBODY = new(kind: :nobody)

      # @return [Integer, String] as {Asking} calls them
      def who
        return Asking::ALL if own?

        account || ""
      end

      def own? = kind == :own
      def nobody? = kind == :nobody
      def device? = kind == :device

      # @param right [String] of RIGHTS
      # @param role [String, nil] in the workroom it is about; nil for none
      # @return [Boolean]
      def may?(right, role)
        return true if own?

        kinds, roles = RIGHTS.fetch(right)
        kinds.include?(kind) && (roles.nil? || roles.include?(role)) && (right != "keeper" || keeper)
      end

      # @param role [String, nil]
      # @return [Array<String>] what of a workroom they may
      def rights(role) = %w[read sew plan own].select { |right| may?(right, role) }
    end
  end
end
