# frozen_string_literal: true

# Taught sews test holes on machines nobody knows, doing only what the tool says, until it says that the
# row is to be sewn or that turning does not help. It works on the values of the core, without a closure
# around them; {TableAlone} goes through the table of symptoms on the same machines.
#
#   run = Support::Taught.new(Random.new(1), kind: "stepped", cloth: "knit")
#   run.until_accepted(truth).holes   # => 2

module NimbleEyelet
  module Support
    # What a person can set and see: dials of a machine, a cloth, a button.
    class Ground
      HOLES = 5
      # By kind: how the length is set, steps of the stitch length and of the tension, whether somebody has to stop it.
      KINDS = { "sensing" => ["clamp", 0.05, 0.5, false], "memory" => ["key", 0.05, 0.5, true],
                "stepped" => ["scale", 0.25, 0.5, true], "plain" => ["lines", 0.1, 1.0, true] }.freeze
      # Fold and give.
      CLOTHS = { "light_woven" => [0.35, 1.0], "heavy_woven" => [0.9, 1.0], "knit" => [0.6, 1.045] }.freeze
      LEAST = 0.4
      MOST = 0.66
      # Thickness of tex 27, mm; width and tension by the rules.
      THREAD = 0.199
      WIDTH = 4.5
      TENSION = -1.0
      AXES = %i[fit cover tension space].freeze

      attr_reader :cloth, :wanted, :usual, :demand, :fold, :lengths, :tension_step, :balance

      # @param slips [Float] slack from which the button slips out
      # @param balance [Boolean] whether the machine has one
      def initialize(kind:, cloth:, slips:, balance:)
        method, length_step, @tension_step, @operator = KINDS.fetch(kind)
        @usual = Offset::USUALLY_ADDED.fetch(method)
        @cloth = cloth
        @fold, give = CLOTHS.fetch(cloth)
        @demand = Opening::SlitDemand.new(need: 21.0 + @fold, give: give, slips: slips)
        @wanted = ((@demand.need + 1.15) / give * 2).ceil / 2.0
        @balance = balance
        @lengths = (1..24).map { |number| (number * length_step).round(3) }.grep(0.15..1.2)
      end

      # @return [Hash{Symbol => Array<Option>}]
      def options
        @options ||= begin
          balances = @balance ? (-4..4).map { |notch| notch * CoverBand::NOTCH } : [0.0]
          steps = { fit: (-14..14).map { |half| wanted + (half / 2.0) },
                    tension: (-8..6).map { |step| step * tension_step },
                    space: (0..9).map { |step| 2.5 + (step * 0.5) } }
          steps.transform_values { |values| values.map { |value| plain(value) } }
               .merge(cover: lengths.product(balances).map { |length, notches| cover(length, notches) })
        end
      end

      def plain(value) = Inference::Option.new(at: [value], value: value)

      def cover(length, balance)
        log = Math.log(THREAD / length)
        Inference::Option.new(at: [log - balance, log + balance], value: [log, balance])
      end

      def near(axis, value) = options[axis].min_by { |one| (one.value - value).abs }

      # What a recipe says before anything was sewn.
      def recipe(added = 0.0)
        { fit: near(:fit, wanted - usual - added), tension: near(:tension, TENSION), space: near(:space, WIDTH),
          cover: options[:cover].select do |one|
            one.value[1].zero?
          end.min_by { |one| (one.value[0] - Math.log(0.51)).abs } }
      end

      def order(setting)
        cover, balance = setting[:cover].value
        Simulation::MachineOrder.new(set: setting[:fit].value + usual, ends: 4.0, demand: demand, cover: cover, balance: balance,
                                     tension: setting[:tension].value.to_f, width: setting[:space].value,
                                     operator: @operator,
                                     middles: { cover: Math.log(LEAST * MOST) / 2, tension: TENSION, space: WIDTH })
      end

      # Whether with no setting of its dials four holes in five would be right.
      def hopeless?(truth)
        best = AXES.to_h { |axis| [axis, options[axis].min_by { |one| off(truth, axis, one).abs }] }
        random = Random.new(1)
        200.times.count { truth.sew(order(best), random).right? } < 160
      end

      private

      def off(truth, axis, one)
        case axis
        when :fit
          length = one.value + usual + truth.length.added + (truth.length.slope * (one.value + usual - Offset::LEVEL))
          (length * demand.give) - demand.need - truth.length.wants - ((0.3 + demand.slips) / 2)
        when :cover
          [one.at[0] + truth.cover.skew, one.at[1] - truth.cover.skew].map do |at|
            (at - (Math.log(LEAST * MOST) / 2) - truth.cover.centre).abs
          end.max
        when :tension then one.value - TENSION - truth.tension.off
        else one.value - WIDTH - truth.space.off
        end
      end
    end

    class Taught
      # holes - Integer, test holes sewn; ended - Symbol, :accepted, :between or :too_long; row - Float, the chance that
      #   was said
      # rows - Float, share of rows all of whose holes are right; right - Float, share of holes; first_right - Boolean
      Outcome = Value.of(:holes, :ended, :row, :rows, :right, :beliefs, :measured, :said)

      MOST = 14
      ROWS = 40
      LOOKS = { fit: %w[fit], cover: %w[bead_away bead_back], tension: %w[tension], space: %w[space] }.freeze

      # @param random [Random]
      # @param each [Boolean] one change an axis, or one a swatch
      def initialize(random, ground, each: true, gate: Inference::ROW_GATE, careless: Belief::CARELESS)
        @random = random
        @ground = ground
        @each = each
        @gate = gate
        @careless = careless
      end

      def prior(offset: Offset.prior(set: @ground.wanted), like: nil)
        Inference::Beliefs.new(
          fit: Opening::FitBelief.prior(offset: offset, fold: @ground.fold, length: @ground.wanted, like: like),
          cover: CoverBand.prior(Ground::LEAST, Ground::MOST),
          tension: band(Ground::TENSION, Inference::Beliefs::TENSION_BY),
          space: band(Ground::WIDTH, Inference::Beliefs::SPACE_BY)
        )
      end

      # @param truth [Simulation::HiddenMachine]
      # @return [Outcome]
      def until_accepted(truth, beliefs: prior, setting: @ground.recipe)
        showings = []
        measured = []
        said = []
        loop do
          seen = looked(truth, setting, beliefs)
          measured << (seen.fit.reading - seen.fit.set)
          beliefs = beliefs.after(seen)
          showings << showing(setting, seen)
          tried = next_try(beliefs, setting, showings)
          said << tried
          ended = ending(tried, showings.size)
          if ended
            return outcome(truth, setting, showings.size, beliefs,
                           { ended: ended, measured: measured, said: said })
          end

          setting = moved(setting, tried)
        end
      end

      # A second closure on the same machine, with the same thread and on the same cloth, begins where the first ended.
      def second(truth, first)
        beliefs = carried(first)
        setting = axes(beliefs, @ground.recipe, []).to_h { |axis| [axis.key, axis.best] }
        until_accepted(truth, beliefs: beliefs, setting: setting)
      end

      private

      def band(middle, by) = Belief::Band.prior(middle: middle, deviation: Inference::Beliefs.deviation(by))

      # Never "change nothing" with something wrong, never from the same to the same.
      def moved(setting, tried)
        raise "nothing is changed though something is wrong" if tried.kind == :change && tried.moves.empty?
        raise "from the same to the same" if tried.moves.any? { |move| move.to == setting[move.axis] }

        setting.merge(tried.moves.to_h { |move| [move.axis, move.to] })
      end

      def ending(tried, holes)
        return :accepted if tried.kind == :sew_row
        return :between if tried.stuck.any?

        :too_long if holes >= MOST
      end

      # Looked at again where nobody would have expected it.
      def looked(truth, setting, beliefs)
        hole = truth.sew(@ground.order(setting), @random)
        first = seen(truth, hole, setting)
        surprise = beliefs.surprise(first) or return first

        second = seen(truth, hole, setting)
        if surprise.axis == :fit
          Inference::SecondLook.fit(first,
                                    second)
        else
          Inference::SecondLook.looks(first, second,
                                      surprise.axis)
        end
      end

      def seen(truth, hole, setting)
        looked = truth.looked_at(hole, @ground.order(setting), @random, careless: @careless)
        places = looked.looks.transform_values { |place| place..place }
        cover, balance = setting[:cover].value
        tried = Opening::FitTried.new(set: setting[:fit].value + @ground.usual, demand: @ground.demand,
                                      reading: looked.reading, seen: places["fit"])
        Inference::HoleSeen.new(fit: tried, cover: cover, balance: balance, tension: setting[:tension].value.to_f,
                                width: setting[:space].value, away: places["bead_away"], back: places["bead_back"],
                                edge: places["tension"], space: places["space"])
      end

      def showing(setting, seen)
        { fit: [seen.fit.seen], cover: [seen.away, seen.back], tension: [seen.edge],
          space: [seen.space] }.to_h do |key, ranges|
          [key, Inference::Showing.new(option: setting[key], seen: ranges)]
        end
      end

      def next_try(beliefs, setting, showings)
        Inference::NextTry.of(axes(beliefs, setting, showings), gate: @gate, taught: Ground::AXES, sewn: showings.size,
                              at_once: @each ? nil : 1)
      end

      def axes(beliefs, setting, showings)
        Ground::AXES.map do |key|
          Inference::Axis.new(key, options: options(key, beliefs), current: setting[key], showings: showings.map { |one| one[key] },
                                  right: key == :fit ? 2..3 : 2..2, score: key == :fit ? worth(beliefs) : nil) do |one|
            chance(key,
                   beliefs, one)
          end
        end
      end

      def worth(beliefs)
        added = beliefs.fit.added.first
        ->(one, chance) { chance - (0.02 * (one.value + @ground.usual + added - @ground.wanted).abs) }
      end

      def chance(key, beliefs, one)
        case key
        when :fit then beliefs.fit.chance(one.value + @ground.usual, @ground.demand, holes: Ground::HOLES)
        when :cover then beliefs.cover.chance(one.value[0], balance: one.value[1], holes: Ground::HOLES)
        else beliefs[key].chance(one.value.to_f, holes: Ground::HOLES)
        end
      end

      def options(key, beliefs)
        return @ground.options[key] unless key == :cover

        centre = beliefs.cover.middle + beliefs.cover.centre.first
        skew = beliefs.cover.skew.first
        @ground.options[key].select do |one|
          (one.value[0] - centre).abs < 0.36 && (!@ground.balance || (one.value[1] - skew).abs < 0.1)
        end
      end

      def carried(first)
        evidence = OffsetEvidence.new(structure: @ground.cloth, set: @ground.wanted, added: first.measured)
        before = first.beliefs
        prior(offset: Offset.of([evidence], structure: @ground.cloth, set: @ground.wanted),
              like: before.fit.carried(fold: @ground.fold, length: @ground.wanted, same_cloth: true))
          .with(cover: before.cover.carried(%i[machine thread cloth], Ground::LEAST, Ground::MOST),
                tension: before.tension.carried(shared: Inference::Beliefs.share(Inference::Beliefs::TENSION_BY,
                                                                                 %i[machine thread])),
                space: before.space.carried(shared: Inference::Beliefs.share(Inference::Beliefs::SPACE_BY,
                                                                             %i[machine cloth])))
      end

      def outcome(truth, setting, holes, beliefs, how)
        rows = Array.new(ROWS) { Array.new(Ground::HOLES) { truth.sew(@ground.order(setting), @random).right? } }
        Outcome.new(holes: holes, row: how[:said].last.row, rows: rows.count(&:all?) / ROWS.to_f, beliefs: beliefs, **how,
                    right: rows.flatten.count(true) / (ROWS * Ground::HOLES).to_f)
      end
    end

    # By the table of symptoms alone: it measures, uses the grades, and goes through each row in its order, what is done
    # by hand first; the first hole that looks right is taken.
    class TableAlone
      # Rows that begin with something done by hand: cut the last threads, level and clean, seat the bobbin or thread
      # anew, stay it.
      BY_HAND = { "fit" => [0, 1], "bead_away" => [3, 4], "bead_back" => [3, 4], "tension" => [0, 1, 3, 4],
                  "space" => [0, 1, 3, 4] }.freeze
      MOST = 28

      def initialize(random, ground, each: true)
        @random = random
        @ground = ground
        @each = each
        @done = []
      end

      # @return [Integer] test holes
      def until_right(truth)
        setting = @ground.recipe
        1.upto(MOST) do |number|
          order = @ground.order(setting)
          looked = truth.looked_at(truth.sew(order, @random), order, @random)
          return number if looked.looks.all? { |look, place| look == "fit" ? (2..3).cover?(place) : place == 2 }

          moves = moves(setting, looked).reject { |axis, to| to == setting[axis] }
          setting = setting.merge(@each ? moves : moves.first(1).to_h)
        end
        MOST
      end

      private

      # What is done by hand this time is not turned.
      def places(looked)
        looked.looks.to_h do |look, place|
          row = [look, place <=> 2]
          by_hand = BY_HAND[look].include?(place) && !@done.include?(row)
          @done << row if by_hand
          [look, by_hand ? 2 : place]
        end
      end

      def moves(setting, looked)
        places = places(looked)
        beads = places.values_at("bead_away", "bead_back").map { |at| at - 2 }
        found = { fit: fit(setting, looked, places["fit"]), cover: cover(setting, *beads) }
        { tension: ["tension", @ground.tension_step], space: ["space", 0.5] }.each do |axis, (look, step)|
          found[axis] = @ground.near(axis, setting[axis].value - ((places[look] - 2) * step)) unless places[look] == 2
        end
        found.compact
      end

      def fit(setting, looked, place)
        return if (2..3).cover?(place)

        off = looked.reading - @ground.wanted
        step = (place < 2 ? 2 - place : -1) * 0.5
        @ground.near(:fit, setting[:fit].value + (off.abs >= 0.5 && off.negative? == (place < 2) ? -off : step))
      end

      def cover(setting, away, back)
        return if away.zero? && back.zero?

        log, balance = setting[:cover].value
        length = Ground::THREAD / Math.exp(log)
        return shorter(length, [away, back].max_by(&:abs), balance) if (away <=> 0) == (back <=> 0)
        return shorter(length, away + back, balance) unless @ground.balance

        @ground.cover(length, (balance + ((away > back ? 1 : -1) * CoverBand::NOTCH)).clamp(-0.2, 0.2).round(2))
      end

      def shorter(length, steps, balance)
        lengths = @ground.lengths
        index = lengths.index { |one| (one - length).abs < 1e-6 }
        @ground.cover(lengths[(index + steps).clamp(0, lengths.size - 1)], balance)
      end
    end

    # Many machines, seeded: what came of each.
    module ManyMachines
      # truth - Simulation::HiddenMachine; hopeless - Boolean
      Run = Value.of(:kind, :first, :second, :table, :hopeless)

      # @param count [Integer]
      # @param far [Symbol, nil] what of the truth lies outside what is believed
      # @return [Array<Run>]
      def self.sewn(count, seed:, each: true, slips: 4.0, gate: Inference::ROW_GATE, far: nil, second: true,
                    noisier: false)
        random = Random.new(seed)
        Array.new(count) do |number|
          kind = Ground::KINDS.keys[number % Ground::KINDS.size]
          cloth = Ground::CLOTHS.keys[(number / Ground::KINDS.size) % Ground::CLOTHS.size]
          ground = Ground.new(kind: kind, cloth: cloth, slips: slips, balance: random.rand >= 0.3)
          seeds = Array.new(5) { random.rand(1 << 40) }
          truth = truth(seeds, far, random, noisier)
          other = truth([*seeds.first(3), seeds[4]], nil, random, noisier) if second && far.nil?
          one(kind, ground, [truth, other], random, each: each, gate: gate)
        end
      end

      def self.one(kind, ground, truths, random, each:, gate:)
        run = Taught.new(Random.new(random.rand(1 << 40)), ground, each: each, gate: gate)
        first = run.until_accepted(truths.first)
        hopeless = ground.hopeless?(truths.first)
        table = TableAlone.new(Random.new(random.rand(1 << 40)), ground, each: each).until_right(truths.first)
        second = truths.last && first.ended == :accepted && !hopeless ? run.second(truths.last, first) : nil
        Run.new(kind: kind, first: first, hopeless: hopeless, table: table, second: second)
      end

      # What lies outside what is believed, each alone.
      FAR = { offset: 6.0, cover: 0.4, balance: 0.2, tension: 2.5 }.freeze

      def self.truth(seeds, far, random, noisier)
        truth = Simulation::HiddenMachine.drawn(seeds.first(4).map { |seed| Random.new(seed) })
        side = random.rand < 0.5 ? -1 : 1
        truth = truth.with(length: truth.length.with(added: side * FAR[:offset])) if %i[offset all].include?(far)
        truth = truth.with(cover: truth.cover.with(centre: Math.log(1 + (side * FAR[:cover])))) if %i[cover
                                                                                                      all].include?(far)
        truth = truth.with(cover: truth.cover.with(skew: side * FAR[:balance])) if %i[balance all].include?(far)
        truth = truth.with(tension: truth.tension.with(off: side * FAR[:tension])) if %i[tension all].include?(far)
        noisier ? noisy(truth) : truth
      end

      def self.noisy(truth)
        doubled = %i[length cover tension space].to_h { |part| [part, truth[part].with(noise: truth[part].noise * 2)] }
        truth.with(**doubled)
      end
      private_class_method :one, :truth, :noisy

      # @param runs [Array<Run>]
      # @param most [Integer] test holes
      # @return [Float] share accepted within so many
      def self.within(runs, most)
        runs.count { |run| run.first.ended == :accepted && run.first.holes <= most } / runs.size.to_f
      end
    end
  end
end
