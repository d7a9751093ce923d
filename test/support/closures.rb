# frozen_string_literal: true

module NimbleEyelet
  module Support
    # Closures by chance: whatever goes through, cloth, machine, style, foot and school. For a test of the core, which
    # has a seeded source of randomness.
    module Closures
      # What goes through, and how wide it mostly is. An edge is as deep as its hole wants.
      WIDTHS = { "cord" => [3, 4, 6], "ribbon" => [15, 25], "hook" => [2, 3], "ring" => [16, 22],
                 "bar_tack" => [8, 12, 20],
                 "bar" => [30, 36] }.freeze
      USUAL_WIDTHS = [9, 11.5r, 15, 18, 22.5r, 28].freeze

      def pick(of) = of.sample(random: random)

      # @param shapes [Array<String>] keys of BUTTON_SHAPES
      def any_button(shapes = BUTTON_SHAPES.keys - %w[polygon])
        shape = pick(shapes)
        wide = pick(WIDTHS.fetch(shape, USUAL_WIDTHS))
        button(shape: shape, attachment: pick(%w[two_holes four_holes four_holes shank tunnel]), diameter: mm(wide),
               thickness: mm(wide/5r), width: mm(wide * 3r / 4), hole_spacing: mm(pick([2.5r, 3, 4])))
      end

      def any_cloth
        kind = pick(CLOTH_KINDS.values)
        cloth(kind: kind.key, weight: kind.weight, thickness: kind.thickness, stretch: kind.stretch)
      end

      def any_thread = thread(tex: pick([18, 27, 40, 60]), name: pick(["", "cream", "navy"]))

      # @param kind [String] of MACHINE_KINDS
      def any_machine(kind)
        machine(kind, foot_pressure: pick([true, false]), speed_limiter: pick([true, false]),
                balance: pick([true, true, false]),
                      anchor: pick(ANCHORS.keys),
                      reset: pick([nil, *RESETS.keys]) || CoreValues::MACHINES.fetch(kind)[:reset],
                      neutral_tension: pick([4r, 4r, 0r]), foot_lift: pick([mm(6), mm(9)]),
                      first_direction: pick([nil, "away", "toward"]), first_side: pick([nil, "left"]), feet: any_feet(kind), lift_resets: pick([true, false]),
                      straight_first: pick([true, false]), styles: any_styles(kind))
      end

      def any_styles(kind) = CoreValues::MACHINES.fetch(kind)[:styles] + pick([[], %w[bar_tack]])

      # What a carriage foot makes longer than what is clamped, where somebody has measured it, and how far it opens at
      # a click.
      def any_feet(kind)
        owned = machine(kind).feet
        owned = owned.select { |foot| foot.kind == "general_zigzag_foot" || pick([true, true, true, false]) }
        owned.map do |foot|
          next foot unless foot.kind == "carriage_foot"

          foot.with(largest_button: mm(pick([20, 25, 30])), allowance: pick([nil, mm(2), mm(3.5)]),
                    click: pick([nil, mm(0.5)]))
        end
      end

      def any_recipe
        Recipes::Overrides.new(balance: pick([nil, nil, 2, -1]), tension: pick([nil, 3r]), style: pick([nil, nil, nil, *STYLES.keys]),
                               tension_by: pick([nil, *Recipes::TENSION_MOVES.keys]),
                               tails: pick([nil, *Recipes::THREAD_TAILS.keys]),
                               stay_by: pick([nil, *Recipes::STAY_SCHOOLS.keys]), second_pass: pick([nil, "yes"]))
      end

      def any_cut
        Opening::CutMethod.new(tool: pick([nil, *Opening::CUT_TOOLS.keys]), seal: pick([nil, *Opening::SEALS.keys]),
                               chisel: pick([nil, mm(12), mm(40)]))
      end

      def any_attach
        Attach::ButtonSewing.new(pattern: pick(Stitches::BUTTON_PATTERNS.keys), feed: pick([nil, "length_zero"]),
                                 marks: pick([nil, *Attach::BUTTON_MARKS.keys]),
                                 between: pick([nil, *Attach::BETWEEN_PAIRS.keys]),
                                 secure: pick([nil, *Attach::SECURINGS.keys]),
                                 shank_by: pick([nil, *Attach::SHANKS.keys]), order: pick([nil, nil, "buttons"]))
      end

      # @param machine [Machine]
      # @return [Hash] what #sheet makes a sheet of, its holes fitting
      def any_closure(machine, shapes: BUTTON_SHAPES.keys - %w[polygon])
        loop do
          plan = { machine: machine, button: any_button(shapes), cloth: any_cloth, thread: any_thread,
                   recipe: any_recipe, cut: any_cut, attach: any_attach, placket: any_run }
          return plan if fits?(plan)
        end
      end

      def any_run
        run_of(run_length: mm(300), count: pick([2, 3]), stand: pick([nil, nil, nil, mm(30)]), orientation: pick(%w[vertical horizontal]),
               extension: mm(pick([18, 30])), use: pick(Placket::USES.keys),
               pins: pick([[], [], [Placket::Pin.new(id: "bust", at: mm(118), holds: "hole")]]))
      end

      def fits?(plan)
        !sheet(**plan).progress.nil?
      rescue Refusal
        false
      end
    end

    # The same closures every time, and what is done for them.
    class Fixtures
      include CoreValues
      include Closures

      CLOSURES = 2000

      # @param first [Integer] so many of them
      # @return [Array<Hash>] what a sheet is made of
      def plans(first = CLOSURES)
        (@plans ||= []).size.upto(first - 1) do |turn|
          shapes = (turn / 4).odd? ? %w[flat rounded domed] : BUTTON_SHAPES.keys - %w[polygon]
          @plans << any_closure(any_machine(MACHINE_KINDS.keys[turn % MACHINE_KINDS.size]), shapes: shapes)
        end
        @plans.first(first)
      end

      # @return [Array<Sheet>]
      def sheets = plans.map { |plan| sheet(**plan) }

      # @return [Array<Work::Operation>] of their steps, of the ways out, and of what a session puts back
      def operations = (sheets.flat_map { |one| one.progress.steps } + ways_out + backs).flat_map(&:operations)

      private

      def ways_out
        materials = [true, false].repeated_permutation(4).map do |irons, keeps_holes, frays, straight|
          Sewing::Material.new(irons: irons, keeps_holes: keeps_holes, frays: frays, straight: straight)
        end
        materials.product(Sewing::MISHAPS.keys).flat_map { |one, key| Sewing::Rescuing.steps("00000000", key, material: one) }
      end

      def backs
        machines = plans.map { |plan| plan[:machine] }.uniq { |one| [one.reset_words, one.forget_words] }
        machines.product(MACHINE_PARTS.values).map { |one, part| Sewing::Steps.back(part, one) }
      end
    end
  end
end
