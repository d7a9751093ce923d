# frozen_string_literal: true

# PracticeChoices is what each part of a practice machine can be set to: what the plan wants of it for holes and for
# buttons, the owner's usual, and the marks beside them.
#
#   PracticeChoices.of(work).fetch("width")   # => [nil, "0", "3", "4", "4.5", "5"]

require_relative "../length/length"
require_relative "../length/wording"
require_relative "../machine/ledger"

module NimbleEyelet
  module Simulation
    class PracticeChoices
      # Marks on either side of what is wanted.
      BESIDE_IT = [-1, 0, 1].freeze

      # @param work [PracticeWork]
      # @return [Hash{String => Array<Length, String, nil>}] by machine part, in the order of the ledger; nil for its
      #   usual
      def self.of(work) = new(work).all

      def initialize(work)
        @work = work
        @machine = work.machine
      end

      # @return [Hash{String => Array<Length, String, nil>}]
      def all
        MACHINE_PARTS.keys.to_h do |part|
          [part, choices(part)]
        end.reject { |_, list| list.size < 2 && list.compact.empty? }
      end

      private

      def choices(part)
        return [] if %w[cycle memory].include?(part)
        return @machine.type.senses ? [nil, "down"] : [] if part == "lever"

        wanted = [@work.row[part], @work.for_button[part]].compact
        [nil, *sorted((wanted + beside(part, wanted.first)).uniq)]
      end

      def sorted(list)
        list.sort_by { |one| [one.is_a?(Length) ? one.to_f : one.to_s[/\A-?\d+(\.\d+)?/].to_f, one.to_s] }
      end

      def beside(part, wanted)
        case part
        when "width" then [*marks(wanted, @machine.width_step, @machine.max_width), "0", *@work.turned_widths]
        when "length" then [*marks(wanted, @machine.length_step, nil), "0"]
        when "tension" then tensions
        when "selector" then @machine.type.programmed ? ["zigzag"] : []
        when "foot_opened" then @work.clamped? ? [(wanted || Length.zero) + MORE] : []
        else []
        end
      end
      # mm that a foot is opened too far.
      MORE = Length.mm(1)
      private_constant :MORE

      def marks(wanted, step, most)
        middle = wanted && Length.mm(wanted[/\A[\d.]+/].to_r)
        return [] unless middle

        BESIDE_IT.filter_map do |by|
          mark = middle + (step * by)
          Wording.decimal(mark.millimetres, 2) if by != 0 && mark.positive? && (most.nil? || mark <= most)
        end
      end

      # Of the usual one, which is no choice beside it.
      def tensions
        middle = @machine.neutral_tension
        (-2..1).map do |by|
          [middle + (@machine.tension_step * by), 0r].max
        end.reject { |one| one == middle }.map { |one| Wording.decimal(one, 2) }
      end
    end
  end
end
