# frozen_string_literal: true

# CutMarks is one slit as it is opened: where pins stop the blade, where a chisel bites, how far is cut from which end.
# Figures are from the inner edge of the first tack.
#
#   line = Opening::CutMarks.of(cutting, Length.mm(22), pinned: true)
#   line.pins    # => [1 mm, 21 mm]
#   line.cuts    # => [Bite(from: 0 mm, to: 11 mm), Bite(from: 22 mm, to: 11 mm)]

require_relative "../length/length"
require_relative "../value"
require_relative "cut_method"

module NimbleEyelet
  module Opening
    # slit - Length; tool - String, key of CUT_TOOLS; pins - Array<Length>; hangs - Boolean, a chisel over the edge of
    #   its block
    # cuts - Array<Bite>, in the order they are made, each from where it begins to where it ends
    class CutMarks < Value.of(:slit, :tool, :pins, :cuts, :hangs)
      # A pin lies so far inside each tack.
      PIN_INSIDE = Length.mm(1)

      # @param cutting [CutMethod]
      # @param slit [Length] from tack to tack
      # @param pinned [Boolean] the cloth takes pins
      # @param eye [Boolean] the first end is a punched eye: it is cut to that
      # @return [CutMarks]
      def self.of(cutting, slit, pinned:, eye: false)
        tool = cutting.way
        new(slit: slit, tool: tool, hangs: tool == "chisel" && cutting.hangs?(slit), cuts: cuts(cutting, slit, eye),
            pins: tool == "ripper" && pinned ? pins(slit, eye) : [])
      end

      # @return [String] what it is opened with; cloth that keeps its holes is never pinned
      def says = "#{CUT_TOOLS.fetch(tool)}#{', with pins' if pins.any?}"

      def self.pins(slit, eye) = [(PIN_INSIDE unless eye), slit - PIN_INSIDE].compact

      def self.cuts(cutting, slit, eye)
        return cutting.bites(slit) if cutting.way == "chisel"
        return [Bite.new(from: slit, to: Length.zero)] if eye

        middle = slit / 2
        ways = [Bite.new(from: Length.zero, to: middle), Bite.new(from: slit, to: middle)]
        cutting.way == "snip" ? ways.map { |one| Bite.new(from: one.to, to: one.from) } : ways
      end
      private_class_method :pins, :cuts
    end
  end
end
