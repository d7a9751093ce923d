# frozen_string_literal: true

# FactList takes a list of what happened, oldest first, and says of each fact what became of it. What was pressed
# together is kept together or not at all; one that cannot be kept holds up no other.
#
#   facts = Store::FactList.new(journal, device: "6f0c…", transaction: db.method(:transaction)) { |body| … }
#   facts.enter(bodies)   # => [{ id: "0b7c…", answer: "kept", why: "" }]

require_relative "../../lib/nimble_eyelet"
require_relative "errors"
require_relative "journal"

module NimbleEyelet
  module Store
    class FactList
      TOGETHER = "It belongs to another entry that could not be saved."
      PRESS = /\A\h{8}(-\h{4}){3}-\h{12}\z/

      # @param journal [Journal]
      # @param device [String, nil] the browser that tells
      # @param transaction [#call] runs a block so that all of it is kept, or nothing
      # @yieldparam body [Hash] as it was sent
      # @yieldreturn [Array(Sewing::Entry, Hash)] what it says, and what it belongs to
      def initialize(journal, device:, transaction:, &read)
        @journal = journal
        @device = device
        @transaction = transaction
        @read = read
      end

      # @param bodies [Array<Hash>] valid by the interface description
      # @return [Array<Hash>] id, answer and why
      def enter(bodies)
        presses = bodies.slice_when { |one, after| one["press"].nil? || one["press"] != after["press"] }
        presses.flat_map { |press| together(press) }
      end

      private

      def together(press)
        at = nil
        @transaction.call { press.map { |body| answer(at = body, one(body) ? "kept" : "known") } }
      rescue Missing
        refused(press, at, "What this is about was deleted.")
      rescue Clash
        refused(press, at, "Something else was entered under this name already.")
      rescue Sequel::ConstraintViolation
        refused(press, at, "Something is missing in this entry.")
      rescue Refusal => e
        refused(press, at, e.faults.first.allowed)
      end

      def refused(press, culprit, why)
        press.map { |body| answer(body, "refused", body.equal?(culprit) ? why : TOGETHER) }
      end

      def answer(body, word, why = "") = { id: body["id"].to_s.downcase, answer: word, why: why.to_s }

      # @return [Boolean] false when it was known already
      def one(body)
        raise Refusal.field("journal.id", "", "Say what this fact is called.") unless body["id"]

        entry, belongs = @read.call(body)
        keep(entry, belongs, body)
      end

      # An id that was given out names a doing: told by another tab or phone it is known, whatever else was said of it.
      # Where that doing was taken back meanwhile this one is another. Who takes back what is taken back wanted nothing
      # else.
      def keep(entry, belongs, body)
        told = @journal.told(entry.id)
        return false if told.nil? && entry.about && @journal.told(entry.about)&.fetch(:withdrawn)
        return add(entry, belongs, body) if told.nil? || same?(told, body)
        return false unless told[:withdrawn] && Sewing::FactId.given_out?(entry.id)

        add(entry.with(id: Sewing::FactId.both(entry.id, told[:withdrawn])), belongs, body)
      end

      def same?(told, body) = told[:device] == @device && told[:n] == body["n"]

      def add(entry, belongs, body)
        press = body["press"].to_s.downcase[PRESS]
        @journal.add(entry, **belongs, plan_version: body["plan"], device: @device, n: body["n"], press: press)
      end
    end
  end
end
