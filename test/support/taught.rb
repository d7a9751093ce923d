# frozen_string_literal: true

# Taught sews test holes on machines nobody knows, doing only what the tool says, until it says that the
# row is to be sewn or that turning does not help; and beside it by the table of symptoms alone. It works
# on the values of the core, without a closure around them.

module NimbleEyelet
  module Support
    # step, balance - dials; narrow - slips out from max(2.5, 0.2·D) instead of max(4, 0.2·D)
    class Taught
      include NimbleEyelet

      Outcome = Value.of(:holes, :ended, :row_chance, :all_right, :right_share, :sayings, :first_right, :hopeless, beliefs: nil,
measured: [])

      HOLES = 5
      MOST = 14
      WANTED = 22.5

      # What a kind of machine can be set to. usual - what is usually added
      Dials = Value.of(:length_step, :tension_step, :width_step, :balance, :usual, :operator)
      KINDS = { "sensing" => ["clamp", 0.05, 0.5, false], "memory" => ["key", 0.05, 0.5, true], "stepped" => ["scale", 0.25, 0.5, true],
                "plain" => ["lines", 0.1, 1.0, true] }.freeze
      # Fold and give of three cloths.
      CLOTHS = { "light_woven" => [0.35, 1.0], "heavy_woven" => [0.9, 1.0], "knit" => [0.6, 1.045] }.freeze

      def initialize(random, kind:, cloth: "light_woven", slips: 4.0, one_each: true, noisier: 1.0, gate: Swatches::ROW_GATE, spread: 0.25,
                     balance: nil, diameter_of_thread: 0.199, careless: Belief::CARELESS)
        @random = random
        method, length_step, tension_step, @operator = KINDS.fetch(kind)
        @usual = Offset::USUALLY_ADDED.fetch(method)
        @fold, give = CLOTHS.fetch(cloth)
        @cloth = cloth
        @demand = Opening::SlitDemand.new(need: 21.0 + @fold, give: give, slips: slips)
        @wanted = ((@demand.need + 1.15) / give * 2).ceil / 2.0
        @one_each = one_each
        @gate = gate
        @noisier = noisier
        @spread = spread
        @careless = careless
        @has_balance = balance.nil? ? random.rand >= 0.3 : balance
        @lengths = (1..24).map { |number| (number * length_step).round(3) }.grep(0.15..1.2)
        @thread = diameter_of_thread
        @tension_step = tension_step
      end

      attr_reader :has_balance

      def middles = { cover: Math.log(0.4 * 0.66) / 2, tension: Swatches::Beliefs::TENSION_BELOW, space: 4.5 }

      def prior(offset: Offset.prior(set: @wanted), like: nil)
        Swatches::Beliefs.new(
          fit: Opening::FitBelief.prior(offset: offset, fold: @fold, length: @wanted, like: like),
          cover: CoverBand.prior(0.4, 0.66), tension: Belief::Band.prior(middle: -1.0, deviation: Swatches::Beliefs.deviation(Swatches::Beliefs::TENSION_BY)),
          space: Belief::Band.prior(middle: 4.5, deviation: Swatches::Beliefs.deviation(Swatches::Beliefs::SPACE_BY))
        )
      end

      # @return [Hash{Symbol => Array<Option>}]
      def options
        @options ||= begin
          balances = @has_balance ? (-4..4).map { |notch| notch * CoverBand::NOTCH } : [0.0]
          { fit: (-14..14).map { |half| option([@wanted + (half / 2.0)], @wanted + (half / 2.0)) },
            cover: @lengths.product(balances).map { |length, balance| cover(length, balance) },
            tension: (-8..6).map { |step| option([step * @tension_step], step * @tension_step) },
            space: (0..9).map { |step| option([2.5 + (step * 0.5)], 2.5 + (step * 0.5)) } }
        end
      end

      def option(at, value) = Swatches::Option.new(at: at, value: value)

      def cover(length, balance)
        log = Math.log(@thread / length)
        option([log - balance, log + balance], [log, balance])
      end

      # What a recipe says before anything was sewn.
      def first(beliefs)
        { fit: near(:fit, @wanted - @usual - beliefs.fit.added.first),
          cover: options[:cover].select { |one| one.value[1].zero? }.min_by { |one| (one.value[0] - Math.log(0.51)).abs },
          tension: near(:tension, -1.0), space: near(:space, 4.5) }
      end

      def near(axis, value) = options[axis].min_by { |one| (one.value - value).abs }

      def order(setting)
        cover, balance = setting[:cover].value
        Simulation::MachineOrder.new(set: setting[:fit].value + @usual, ends: 4.0, demand: @demand, cover: cover, balance: balance,
                                     tension: setting[:tension].value.to_f, width: setting[:space].value, middles: middles, operator: @operator)
      end

      def seen(setting, looked, careless = {})
        cover, balance = setting[:cover].value
        looks = looked.looks.transform_values { |place| place..place }
        tried = Opening::FitTried.new(set: setting[:fit].value + @usual, demand: @demand, reading: looked.reading,
                                      reading_spread: @spread, seen: looks["fit"])
        Swatches::HoleSeen.new(fit: tried, cover: cover, balance: balance, tension: setting[:tension].value.to_f, width: setting[:space].value,
                               away: looks["bead_away"], back: looks["bead_back"], edge: looks["tension"], space: looks["space"], careless: careless)
      end

      AXES = %i[fit cover tension space].freeze

      def axes(beliefs, setting, showings)
        chance = { fit: ->(one) { beliefs.fit.chance(one.value + @usual, @demand, holes: HOLES) },
                   cover: ->(one) { beliefs.cover.chance(one.value[0], balance: one.value[1], holes: HOLES) },
                   tension: ->(one) { beliefs.tension.chance(one.value.to_f, holes: HOLES) },
                   space: ->(one) { beliefs.space.chance(one.value, holes: HOLES) } }
        added = beliefs.fit.added.first
        AXES.map do |key|
          score = key == :fit ? ->(one, chances) { chances - (0.02 * (one.value + @usual + added - @wanted).abs) } : nil
          Swatches::Axis.new(key, options: key == :cover ? near_cover(beliefs) : options[key], current: setting[key], showings: showings.map do |one|
            one[key]
          end,
                                  right: key == :fit ? 2..3 : 2..2, score: score, &chance.fetch(key))
        end
      end

      def near_cover(beliefs)
        centre = beliefs.cover.middle + beliefs.cover.centre.first
        skew = beliefs.cover.skew.first
        options[:cover].select { |one| (one.value[0] - centre).abs < 0.35 && (!@has_balance || (one.value[1] - skew).abs < 0.11) }
      end

      def showing(setting, hole)
        { fit: [hole.fit.seen], cover: [hole.away, hole.back], tension: [hole.edge], space: [hole.space] }.to_h do |key, ranges|
          [key, Swatches::Showing.new(option: setting[key], seen: ranges)]
        end
      end

      # By the beliefs.
      def taught(truth, beliefs: prior, setting: first(beliefs))
        showings = []
        sayings = []
        measured = []
        first_right = nil
        loop do
          hole = truth.sew(order(setting), @random)
          first_right = hole.right? if first_right.nil?
          looked = truth.looked_at(hole, order(setting), @random, spread: @spread, careless: @careless)
          found = seen(setting, looked)
          surprise = beliefs.surprise(found)
          found = again(truth, hole, setting, found, surprise) if surprise
          measured << (found.fit.reading - setting[:fit].value - @usual)
          beliefs = beliefs.after(found)
          showings << showing(setting, found)
          all = axes(beliefs, setting, showings)
          tried = Swatches::NextTry.of(all, gate: @gate, sewn: showings.size, at_once: @one_each ? nil : 1)
          sayings << [tried.kind, setting, tried]
          if tried.kind == :sew_row
            return outcome(truth, setting, showings, :accepted, tried.row, sayings, first_right, beliefs,
                           measured)
          end
          if tried.stuck.any? || showings.size >= MOST
            return outcome(truth, setting, showings, :between, tried.row, sayings, first_right, beliefs,
                           measured)
          end
          raise "change nothing with something wrong" if tried.kind == :change && tried.moves.empty?

          raise "from the same to the same" if tried.moves.any? { |move| move.to == setting[move.axis] }

          tried.moves.each { |move| setting = setting.merge(move.axis => move.to) }
        end
      end

      # Somebody looks again: two readings that agree are averaged, else the second counts.
      def again(truth, hole, setting, found, surprise)
        second = seen(setting, truth.looked_at(hole, order(setting), @random, spread: @spread, careless: @careless))
        case surprise.axis
        when :fit then Swatches::Again.fit(found, second)
        else Swatches::Again.looks(found, second, surprise.axis)
        end
      end

      def outcome(truth, setting, showings, ended, row, sayings, first_right, beliefs, measured)
        rows = Array.new(40) { Array.new(HOLES) { truth.sew(order(setting), @random).right? } }
        Outcome.new(holes: showings.size, ended: ended, row_chance: row, all_right: rows.count(&:all?) / 40.0,
                    right_share: rows.flatten.count(true) / (40.0 * HOLES), sayings: sayings, first_right: first_right, beliefs: beliefs,
                    hopeless: hopeless?(truth), measured: measured)
      end

      # Whether no settings at all would make four holes in five right.
      def hopeless?(truth)
        best = AXES.to_h { |axis| [axis, options[axis].max_by { |one| truth_chance(truth, axis, one) }] }
        200.times.count { truth.sew(order(best), @random).right? } < 160
      end

      def truth_chance(truth, axis, one)
        off = case axis
              when :fit then ((one.value + @usual + truth.length.added + (truth.length.slope * (one.value + @usual - 20))) * @demand.give) - @demand.need - truth.length.wants - ((0.3 + @demand.slips) / 2)
              when :cover then [one.at[0] + truth.cover.skew, one.at[1] - truth.cover.skew].map do |at|
                (at - middles[:cover] - truth.cover.centre).abs
              end.max
              when :tension then one.value + 1.0 - truth.tension.off
              else one.value - 4.5 - truth.space.off
              end
        -off.abs
      end

      # A second closure on the same machine, with the same thread and on the same cloth.
      def second(truth, earlier)
        beliefs = carried(earlier)
        taught(truth, beliefs: beliefs, setting: likeliest(beliefs))
      end

      def carried(earlier)
        evidence = OffsetEvidence.new(structure: @cloth, set: @wanted, added: earlier.measured, spread: @spread)
        offset = Offset.of([evidence], structure: @cloth, set: @wanted)
        before = earlier.beliefs
        own = Swatches::Beliefs::SPACE_BY
        thread = Swatches::Beliefs::TENSION_BY
        prior(offset: offset, like: before.fit.carried(fold: @fold, length: @wanted, same_cloth: true))
          .with(cover: before.cover.carried(%i[machine thread cloth], 0.4, 0.66),
                tension: before.tension.carried(shared: Swatches::Beliefs.share(thread, %i[machine thread])),
                space: before.space.carried(shared: Swatches::Beliefs.share(own, %i[machine cloth])))
      end

      def likeliest(beliefs)
        axes(beliefs, first(beliefs), []).to_h { |axis| [axis.key, axis.best] }
      end

      # By the table of symptoms alone: it measures, uses the grades, and goes through each row in order, what is done by
      # hand first.
      def by_table(truth)
        setting = first(prior)
        @by_hand = []
        1.upto(MOST * 2) do |number|
          hole = truth.sew(order(setting), @random)
          looked = truth.looked_at(hole, order(setting), @random, spread: @spread, careless: @careless)
          return number if right?(looked)

          moves = table_moves(setting, looked)

          setting = setting.merge(@one_each ? moves : moves.first(1).to_h)
        end
        MOST * 2
      end

      # Rows whose first remedy is done by hand: cut the last threads, level and clean, seat the bobbin or thread anew, stay it.
      BY_HAND_FIRST = { "fit" => [0, 1], "bead_away" => [3, 4], "bead_back" => [3, 4], "tension" => [0, 1, 3, 4],
"space" => [0, 1, 3, 4] }.freeze

      def right?(looked) = looked.looks.all? { |look, place| look == "fit" ? (2..3).cover?(place) : place == 2 }

      # What is not done by hand this time.
      def table_places(looked)
        looked.looks.to_h do |look, place|
          row = [look, place <=> 2]
          next [look, place] if !BY_HAND_FIRST[look].include?(place) || @by_hand.include?(row)

          @by_hand << row
          [look, 2]
        end
      end

      def table_moves(setting, looked)
        places = table_places(looked)
        moves = {}
        unless (2..3).cover?(places["fit"])
          off = (looked.reading - @wanted)
          by = if off.abs >= 0.5 && off.negative? == (places["fit"] < 2)
                 -off
               else
                 (places["fit"] < 2 ? 2 - places["fit"] : -1) * 0.5
               end
          moves[:fit] = near(:fit, setting[:fit].value + by)
        end
        moves[:cover] = table_cover(setting, places) if places["bead_away"] != 2 || places["bead_back"] != 2
        moves[:tension] = near(:tension, setting[:tension].value - ((places["tension"] - 2) * @tension_step)) if places["tension"] != 2
        moves[:space] = near(:space, setting[:space].value - ((places["space"] - 2) * 0.5)) if places["space"] != 2
        moves.reject { |axis, to| to == setting[axis] }
      end

      def table_cover(setting, places)
        away, back = places.values_at("bead_away", "bead_back").map { |place| place - 2 }
        log, balance = setting[:cover].value
        length = @thread / Math.exp(log)
        if (away <=> 0) == (back <=> 0)
          steps = [away, back].max_by(&:abs)
          index = @lengths.index { |one| (one - length).abs < 1e-6 }
          cover(@lengths[(index + steps).clamp(0, @lengths.size - 1)], balance)
        elsif @has_balance
          cover(length, (balance + ((away > back ? 1 : -1) * CoverBand::NOTCH)).clamp(-0.2, 0.2).round(2))
        else
          index = @lengths.index { |one| (one - length).abs < 1e-6 }
          cover(@lengths[(index + away + back).clamp(0, @lengths.size - 1)], balance)
        end
      end
    end
  end
end
