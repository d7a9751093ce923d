# frozen_string_literal: true

# OtherWaySteps are the steps of a closure without a hole sewn by machine: what is got ready, the marks, and every place
# in its turn. What the machine is set to for its buttons comes after.
#
#   OtherWaySteps.new(order).steps.map(&:name)   # => ["ready", "try-on", "mark", "worked", "worked"]

require_relative "../work/operation"
require_relative "../work/step"
require_relative "garment"
require_relative "set_up"

module NimbleEyelet
  module Sewing
    class OtherWaySteps
      # Of the garment and the machine, what these ways share with holes sewn by machine.
      READY = %w[stabilise-buttons try-on mark].freeze
      BUTTONS_NEED = %w[needle thread].freeze
      private_constant :READY, :BUTTONS_NEED

      # What a way takes before the first place; that done beside holes of the machine too.
      #
      # @param order [SewingOrder]
      # @return [Array<Work::Step>]
      def self.ready(order)
        way = order.way || order.beside or return []
        first, *more = way.once(order.given)
        return [] unless first

        step = Work::Operation["prepare_way", figures: figures(way, order), says: first, minds: more]
        [Work::Step.of("ready", block: "row", part: "#{way.name.capitalize}: get ready", operations: [step])]
      end

      def self.figures(way, order)
        way.figures(order.given).to_h { |key, one| ["way.#{key}", one.value] }.merge("recipe.way" => way.key)
      end

      # @param order [SewingOrder] with a way
      def initialize(order)
        @order = order
        @way = order.way
      end

      # @return [Array<Work::Step>]
      def steps
        garment = Garment.new(@order).steps.select { |step| READY.include?(step.name) }
        [*machine, *OtherWaySteps.ready(@order), *garment, *@order.layout.holes.map { |hole| worked(hole) }]
      end

      private

      # Where buttons are sewn on by machine, it is threaded for them.
      def machine
        return [] unless @order.buttons? && @order.attaching.by_machine

        SetUp.new(@order).steps.select { |step| BUTTONS_NEED.include?(step.name) }
      end

      def worked(hole)
        first, *more = @way.beats(@order.given)
        done = [Work::Lasting.new(kind: "stitched", at: hole.at, opening: hole.opening)]
        lies = @way.opens ? @order.across(hole) : {}
        figures = { "hole.at" => hole.at, **lies, **OtherWaySteps.figures(@way, @order) }
        work = Work::Operation["work_way", figures: figures, says: first, minds: more, lasts: done, hazards: @way.cut ? %w[blade] : []]
        Work::Step.of("worked", at: hole.at, block: "row", part: "Place #{hole.number} of #{@order.count}", operations: [work])
      end
    end
  end
end
