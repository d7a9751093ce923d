# frozen_string_literal: true

# OtherMachines sew real plans: whoever sits at them does only what the advice says, and enters what is seen. They know
# nothing of the beliefs: their truths are plain figures with a drift, differences from hole to hole, answers given
# without care, and now and then a fault that only a second layer of stabiliser ends.
#
#   run = Support::OtherMachines.run(7)   # the seventh machine
#   run.holes                             # => 2, test holes until the settings were taken

module NimbleEyelet
  module Support
    module OtherMachines
      extend CoreValues
      include CoreValues

      # How far each fault is from right before it is said badly, and what the eye blurs.
      FAR = { "bead_away" => 0.16, "bead_back" => 0.16, "tension" => 0.8, "space" => 0.7 }.freeze
      BLUR = 0.04
      CARELESS = 0.04
      READ = 0.3
      GRADES = Swatches::LOOKS.transform_values { |look| look.grades.map(&:key) }.freeze
      MOST = 14

      # What one machine does with one fabric. Figures of the hands, mm, in logarithms, and in numbers of the dial.
      class Truth
        def initialize(seed, hands)
          @made = Random.new(seed)
          @hands = hands
          @adds = between(0.6, 3.2) + (rare { between(-3.0, 4.0) } || 0)
          @adds -= 2.0 unless hands == :clamp
          # Who draws the hole sews to the lines.
          @adds = 0.0 if hands == :drawn
          @drift = between(-0.02, 0.02)
          @spread = between(0.12, 0.55)
          @wants = between(-0.5, 0.6)
          @dense = Math.log(0.5) + between(-0.14, 0.14) + (rare { between(-0.3, 0.3) } || 0)
          @wide = between(0.16, 0.32)
          @skew = between(-0.07, 0.07)
          @pull = between(-2.0, 0.2)
          @even = between(0.5, 1.1)
          @room = between(-0.6, 0.6)
          @roomy = between(0.6, 1.2)
          @soft = @made.rand < 0.1
          @uneven = between(0.02, 0.07)
          @shaky = between(0.1, 0.3)
        end

        # @return [Hash] slack in mm, and how far each look is off in parts of what is still right
        def sew(found, number, random)
          plan = found.plan
          length = found.setting.hands.to_f + @adds + (@drift * number) + shake(random, @spread)
          passing = found.cut.passing
          needed = passing.half_perimeter.to_f + passing.fold.to_f - passing.eye.to_f + @wants
          slack = (length * passing.give.to_f) - needed
          { "length" => length, "fit" => slack + shake(random, 0.15), "slips" => passing.slips_from.to_f,
            **looks(found, plan, random), "soft" => @soft && found.recipe.stay_layers.value < 2 }
        end

        private

        def looks(found, plan, random)
          recipe = found.recipe
          log = Math.log(plan.thread.coverage(recipe.stitch_length.value)) + (recipe.second_pass ? 0.1 : 0) - @dense
          turn = recipe.notches * 0.05
          pull = recipe.tension.value.to_f - plan.machine.neutral_tension.to_f - @pull
          room = recipe.stitch_width.value.to_f - recipe.width_wanted.to_f - @room
          { "bead_away" => [log + @skew - turn, @wide], "bead_back" => [log - @skew + turn, @wide],
            "tension" => [pull, @even], "space" => [room, @roomy] }.transform_values { |off, wide| [off + shake(random, wide > 0.4 ? @shaky : @uneven), wide] }
        end

        # A sum of twelve is near enough to a bell.
        def shake(random, by) = by * (Array.new(12) { random.rand }.sum - 6)
        def between(from, to) = from + (@made.rand * (to - from))
        def rare = @made.rand < 0.05 ? yield : nil
      end

      # holes - Integer; ended - Symbol; row, hole - Float as said; right - Float, share of single holes; rows - Float
      # table, table_rows - the same by the table of symptoms from the same first hole
      # near - Float, share of single holes that are right within what the eye blurs
      # first - Boolean, the first hole was truly right; second - Hash or nil of the next set of buttonholes
      # sewn - RowSewn or nil
      Run = Value.of(:kind, :holes, :ended, :row, :hole, :right, :near, :rows, :table, :table_rows, :good_at, :first,
                     second: nil, sewn: nil)

      # A row that was looked at hole by hole. spoiled - Integer, holes that were unpicked; near - Boolean, all that
      # stand are right within what the eye blurs; moved - Integer, how often a length was another one untold
      RowSewn = Value.of(:spoiled, :near, :moved)

      KINDS = { "sensing" => :clamp, "memory" => :key, "stepped" => :scale, "plain" => :drawn }.freeze
      FABRICS = [{}, { kind: "heavy_woven", weight: 320, thickness: 0.9r }, { kind: "knit", stretch: 30, thickness: 0.6r }].freeze
      BUTTONS = [{}, { diameter: 11.5r, thickness: 2r, hole_spacing: 2.5r }, { diameter: 23r, thickness: 4r }].freeze

      # @param number [Integer]
      # @return [Run, nil] nil where no setting of this machine makes four holes in five right
      def self.run(number)
        random = Random.new(number * 7919)
        kind = KINDS.keys[number % 4]
        truth = Truth.new(random.rand(1 << 40), KINDS[kind])
        first = closure(kind, number)
        return unless reachable?(truth, first, random)

        one(truth, kind, first, random)
      end

      def self.closure(kind, number)
        fabric = FABRICS[(number / 4) % 3].transform_values { |value| value.is_a?(Rational) ? mm(value) : value }
        made = { length_step: kind == "stepped" ? mm(0.1) : mm(0.05), id: 1 }
        size = BUTTONS[(number / 12) % 3].transform_values { |value| mm(value) }
        plan(button: button(**size), cloth: cloth(**fabric), machine: machine(kind, **made)).validate
      end

      def self.one(truth, kind, first, random)
        mine = told(truth, first, random)
        table = OtherTable.by_table(truth, first, random)
        came = rows(truth, mine[:plan], mine[:facts], random)
        run = Run.new(kind: kind, **mine.slice(:holes, :ended, :row, :hole, :good_at, :first), **came,
                      table: table[:holes], table_rows: rows(truth, table[:plan], Sewing::Facts.none, random)[:rows])
        return run unless mine[:ended] == :accepted

        run.with(second: second(truth, first, mine, random), sewn: RowOfSeven.new(truth, mine, random).sewn)
      end

      # The next set of buttonholes on that machine and fabric.
      def self.second(truth, first, before, random)
        earlier = before[:facts].swatches.reverse.map { |one| Swatches::EarlierSwatch.new(closure: 1, swatch: one.looked) }
        again = told(truth, first, random, earlier)
        { holes: again[:holes], ended: again[:ended], right: rows(truth, again[:plan], again[:facts], random)[:right],
          first: again[:first], looked: again[:looked] }
      end

      # Doing only what is said.
      def self.told(truth, plan, random, earlier = [])
        facts = Sewing::Facts.none.with(earlier: earlier)
        good_at = nil
        first = looked = nil
        1.upto(MOST) do |number|
          found = Sheet.of(plan, facts)
          plan = changed(plan, found.diagnosis) if number == 1 && earlier.any?
          found = Sheet.of(plan, facts)
          hole = truth.sew(found, number, random)
          good_at ||= number if right?(hole)
          first = right?(hole) if number == 1
          facts, plan, diagnosis = entered(found, hole, facts, plan, random)
          looked = facts.swatches.first.looked.clean? if number == 1
          ended = { sew_row: :accepted, between: :between }[diagnosis.kind] || (:too_long if number == MOST)
          if ended
            return { holes: number, ended: ended, row: diagnosis.row, hole: diagnosis.hole, plan: plan, facts: facts,
                     good_at: good_at, first: first, looked: looked }
          end
          plan = changed(plan, diagnosis)
        end
      end

      # Looked at again where that is asked for.
      def self.entered(found, hole, facts, plan, random)
        facts = with(facts, swatch(found, hole, facts.swatches.size, random))
        diagnosis = Sheet.of(plan, facts).diagnosis
        if diagnosis.kind == :look_again
          *before, last = facts.swatches
          facts = facts.with(swatches: [*before, last.with(second: swatch(found, hole, 0, random))])
          diagnosis = Sheet.of(plan, facts).diagnosis
        end
        [facts, plan, diagnosis]
      end

      def self.changed(plan, diagnosis)
        plan.changed(diagnosis.changes.reduce({}) { |sets, change| change.sets.merge(sets) })
      end

      def self.with(facts, swatch) = facts.with(swatches: [*facts.swatches, swatch])

      def self.swatch(found, hole, count, random)
        recipe = found.recipe
        looks = seen(found, hole, random)
        Swatches::Swatch.new(id: "s#{count}", number: count + 1, passes: looks.delete("fit"), looks: looks,
                             measured: mm([read(hole, found, random), 1].max),
                             symptoms: hole["soft"] && random.rand > CARELESS ? ["puckers"] : [], opening: found.cut.length,
                             stitch_width: recipe.stitch_width.value, stitch_length: recipe.stitch_length.value,
                             tension: recipe.tension.value.to_r, stabiliser: recipe.stabiliser.value,
                             sewn_with: found.sewn_with)
      end

      # To half a millimetre; without care, the overall length.
      def self.read(hole, found, random)
        off = random.rand < CARELESS ? found.cut.ends.both.to_f : READ * (random.rand + random.rand - 1)
        length = hole["length"] + off
        (length * 2).round/2r
      end

      def self.seen(found, hole, random)
        asked = Swatches.looks_of(found.recipe.stitched, opens: true).map(&:key)
        asked.to_h do |look|
          place = look == "fit" ? passes(hole["fit"] + (BLUR * (random.rand - 0.5)), hole["slips"]) : grade(look, *hole[look])
          place = random.rand(5) if random.rand < CARELESS
          [look, GRADES.fetch(look)[place]]
        end
      end

      def self.passes(slack, slips) = [-0.5, 0.3, 2, slips].count { |cut| slack >= cut }

      def self.grade(look, off, wide)
        return 2 if off.abs <= wide

        away = off.abs > wide + FAR.fetch(look) ? 2 : 1
        off.negative? ? 2 - away : 2 + away
      end

      def self.right?(hole)
        (2..3).cover?(passes(hole["fit"], hole["slips"])) && !hole["soft"] &&
          hole.slice(*FAR.keys).all? { |_, (off, wide)| off.abs <= wide }
      end

      # What nobody sees of a bead, and of anything else.
      UNSEEN = { "bead_away" => 0.03, "bead_back" => 0.03 }.tap { |beads| beads.default = 0.15 }.freeze

      def self.near?(hole)
        hole["fit"].between?(0.3 - UNSEEN["fit"], hole["slips"] + UNSEEN["fit"]) && !hole["soft"] &&
          hole.slice(*FAR.keys).all? { |look, (off, wide)| off.abs <= wide + UNSEEN[look] }
      end

      SEWN = 60
      def self.rows(truth, plan, facts, random)
        found = Sheet.of(plan, facts)
        rows = Array.new(SEWN) { Array.new(ROW) { truth.sew(found, 3, random) } }
        all = (SEWN * ROW).to_f
        right, near = %i[right? near?].map { |how| rows.flatten.count { |hole| public_send(how, hole) } / all }
        { right: right, near: near, rows: rows.count { |row| row.all? { |hole| right?(hole) } } / SEWN.to_f }
      end
      ROW = 7

      # Whether some setting of its dials makes four in five right: each dial by itself, the best of its marks.
      def self.reachable?(truth, plan, random)
        best = OtherTable.by_table(truth, plan, random, most: 40)
        best[:best] >= 0.8
      end
    end

    # The row of the garment after its settings were taken: every hole is looked at before the next, what looks wrong
    # twice is unpicked, and a dial is turned only where the advice says so then.
    class RowOfSeven
      MOST = 30

      def initialize(truth, taken, random)
        @truth = truth
        @plan = taken[:plan]
        @facts = taken[:facts]
        @random = random
        @looked_at = []
        @standing = []
      end

      # @return [OtherMachines::RowSewn]
      def sewn
        moved = 0
        until @standing.size == OtherMachines::ROW || @looked_at.size == MOST
          told = [@plan, sheet.setting.hands]
          turned unless stands?
          moved += 1 if told.first == @plan && sheet.setting.hands != told.last
        end
        near = @standing.size == OtherMachines::ROW && @standing.all? { |hole| OtherMachines.near?(hole) }
        OtherMachines::RowSewn.new(spoiled: @looked_at.size - @standing.size, near: near, moved: moved)
      end

      private

      def sheet = Sheet.of(@plan, @facts.with(looked_at: @looked_at))

      # One more is sewn, and looked at.
      def stands?
        found = sheet
        hole = @truth.sew(found, 3, @random)
        first, second = Array.new(2) { OtherMachines.swatch(found, hole, 0, @random) }
        seen = first.clean? ? first : first.with(second: second)
        with = found.sewn_with.merge("hole.at" => found.layout.holes.first.at)
        @looked_at += [seen.with(id: "row-#{@looked_at.size}", sewn_with: with)]
        @standing << hole if seen.looked.clean?
        seen.looked.clean?
      end

      def turned
        diagnosis = sheet.diagnosis
        @plan = OtherMachines.changed(@plan, diagnosis) if diagnosis.kind == :change
      end
    end

    # The same person with the table of symptoms alone: what is done by hand first, then a step.
    module OtherTable
      extend CoreValues

      # By the table of symptoms: what is done by hand first, then a step; the first hole that looks right is taken.
      def self.by_table(truth, plan, random, most: 28)
        done = {}
        best = 0.0
        1.upto(most) do |number|
          found = Sheet.of(plan)
          hole = truth.sew(found, number, random)
          looks = OtherMachines.seen(found, hole, random)
          if most > 28
            best = [best, 20.times.count { OtherMachines.right?(truth.sew(found, 3, random)) } / 20.0].max
            return { best: best } if best >= 0.8 || number == most
          elsif !hole["soft"] && looks.all? { |look, grade| Swatches::LOOKS[look].right.cover?(OtherMachines::GRADES[look].index(grade)) }
            return { holes: number, plan: plan }
          end
          plan = turned(plan, found, hole, looks, done, random)
        end
        { holes: most, plan: plan, best: best }
      end

      def self.turned(plan, found, hole, looks, done, random)
        sets = hole["soft"] ? { "recipe.stay_layers" => 2 } : {}
        by = looks.to_h { |look, grade| [look, OtherMachines::GRADES[look].index(grade) - 2] }
        by.each { |look, way| by[look] = 0 if look != "fit" && !way.zero? && first?(done, [look, way <=> 0]) }
        sets["opening.correction"] = found.correction + longer(by["fit"], hole, found, random) unless [0, 1].include?(by["fit"])
        dials(sets, found, by)
        plan.changed(sets)
      end

      # What is done by hand is done before a dial is turned.
      def self.first?(done, fault) = !done.key?(fault) && done[fault] = true

      def self.longer(way, hole, found, random)
        off = OtherMachines.read(hole, found, random) - found.cut.length.millimetres
        mm(off.abs >= 0.5 && off.negative? == way.negative? ? -off : -way/2r)
      end

      def self.dials(sets, found, by)
        machine = found.plan.machine
        recipe = found.recipe
        beads = by.values_at("bead_away", "bead_back").compact
        if beads.any? && beads.sum != 0
          longer = recipe.stitch_length.value + (machine.length_step * (beads.sum <=> 0))
          sets["recipe.stitch_length"] = [longer, machine.length_step].max
        elsif beads.any? { |way| !way.zero? } && machine.balance
          sets["recipe.balance"] = (recipe.notches + (beads.first <=> beads.last)).clamp(-4, 4)
        end
        looser, narrower = by.values_at("tension", "space").map(&:to_i)
        unless looser.zero?
          sets["recipe.tension"] =
            [recipe.tension.value.to_r - (machine.tension_step * looser), 0r].max
        end
        width = recipe.stitch_width.value - (machine.width_step * narrower)
        sets["recipe.stitch_width"] = width.clamp(mm(1), machine.max_width) unless narrower.zero?
      end
    end
  end
end
