# frozen_string_literal: true

# Supplies is what closures take, counted off the steps that use it: buttons with a spare, thread by reel and bobbin,
# stays, cord, liquid, needles; against what lies in the stash, and with a word where two closures want the same
# buttons.
#
#   Supplies.of([SessionPart.new(…)], stash: { "shell 18" => StashCount.new(owned: 5) }).map(&:name)
#   # => ["shell 18", "polyester, tex 27", …]

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/tool"
require_relative "../length/wording"
require_relative "../machine/needle"
require_relative "../sewing/buttons_by_hand"
require_relative "../sewing/garment"
require_relative "../sheet/button_simulation"
require_relative "../sheet/hole_simulation"
require_relative "../thread/bobbin"
require_relative "../value"

module NimbleEyelet
  # kind - String, key of Supplies::SUPPLY_KINDS; name - String; count - Integer or nil; length - Length or nil
  # says - String or Sentence, how it comes to that; owned - Integer or nil, in the stash; lacks - Integer, still to buy
  # reserved - Integer, of those in the stash laid by for this; elsewhere - Integer, laid by for other closures
  # to_lay - Integer, of those in the stash that can be laid by for what is still to sew on
  Supply = Value.of(:kind, :name, :says, count: nil, length: nil, owned: nil, lacks: 0, reserved: 0, elsewhere: 0,
                    to_lay: 0)

  # One button of the stash. owned - Integer or nil, none of them is in it
  # reserved - Hash of closure key to how many are laid by for it
  # planned - Hash of the key of every closure it is planned for to what that is called
  class StashCount < Value.of(:owned, reserved: {}, planned: {})
    # @param keys [Array] of closures
    # @return [Array<String>] other closures it is planned for
    def others(keys) = planned.except(*keys).values

    # @param keys [Array] of closures
    # @return [Array(Integer, Integer)] laid by for these, and for others
    def split(keys) = reserved.partition { |key, _| keys.include?(key) }.map { |some| some.sum(&:last) }

    # @return [Integer] that these closures can have
    def free_for(keys) = [owned.to_i - split(keys).last, 0].max
  end

  module Supplies
    SUPPLY_KINDS = { "button" => "Buttons", "thread" => "Thread", "stay" => "Interfacing", "cord" => "Cord",
                     "way" => "For another way to close", "card" => "Card", "liquid" => "Fray sealant",
                     "needle" => "Needles" }.freeze
    # From so many buttons on two spare ones.
    MANY = 8
    # Of buttons that are not in the stash.
    NONE = StashCount.new(owned: nil)
    # Thread on a usual spool.
    REEL = Length.mm(100_000)

    # @param parts [Array<SessionPart>] with holes that fit
    # @param stash [Hash{String => StashCount}] buttons in the stash, by name
    # @param card [Integer, nil] buttons come on cards of so many
    # @param unit [Symbol] of whoever cuts by it
    # @return [Array<Supply>]
    def self.of(parts, stash: {}, card: nil, unit: :mm)
      [*buttons(parts, stash, card), *anchors(parts), *backing(parts), *threads(parts), *stays(parts, unit), *cords(parts, unit),
       *ways(parts, unit), *stiff_cards(parts), *liquid(parts), *needles(parts)]
    end

    # Cut to length, it goes into the buttonhole foot instead of the button.
    def self.stiff_cards(parts)
      parts.filter_map do |part|
        setting = part.sheet.setting
        next unless setting.on_card? && steps(part, "test-sew").any?

        Supply.new(kind: "card", name: "stiff card", length: setting.figure, count: 1, says: "for the buttonhole foot, #{part.name}")
      end
    end

    # What a double-breasted front hangs on inside.
    def self.anchors(parts)
      count = parts.sum { |part| steps(part, "anchor-button").size }
      count.zero? ? [] : [Supply.new(kind: "button", name: "flat anchor button, inside", count: count, says: "one for each front")]
    end

    # Where buttons are pulled hard, a small flat one behind each; sewn on by hand alone.
    def self.backing(parts)
      heavy = parts.select { |part| part.sheet.attaching.then { |one| one.heavy && !one.by_machine && one.cord.nil? } }
      count = heavy.sum { |part| steps(part, "button").size }
      count.zero? ? [] : [Supply.new(kind: "button", name: "small flat backing buttons", count: count, says: "one behind each button")]
    end

    # What is taken instead of holes sewn by machine, and the cord toggles hang on.
    def self.ways(parts, unit)
      parts.flat_map do |part|
        made = part.sheet.other_ways.chosen&.supplies(part.sheet.other_ways.given).to_a
        [*made.map { |one| Supply.new(kind: "way", name: one.name, length: one.length, count: one.count, says: "for #{part.name}") },
         *toggles(part, unit)]
      end
    end

    def self.toggles(part, unit)
      return [] if part.sheet.attaching.cord.nil?

      count = steps(part, "button").size
      each = Tool::SCISSORS.kept(Sewing::ButtonsByHand.cord_for_one(part.sheet.attaching), unit)
      [Supply.new(kind: "cord", name: "thin cord for toggles", length: each * count,
                  says: Sentence["#{count} of %s, for #{part.name}", each])]
    end

    # @param part [SessionPart]
    # @param name [String] of a step
    # @return [Array<Work::Step>]
    def self.steps(part, name) = part.sheet.progress.steps.select { |step| step.name == name }

    def self.spare(count) = count >= MANY ? 2 : 1

    def self.buttons(parts, stash, card)
      wanted = parts.select { |part| buttons_of(part).positive? }.group_by { |part| button_name(part) }
      wanted.map do |name, sharing|
        count = sharing.sum { |part| buttons_of(part) }
        lies = stash.fetch(name, NONE)
        open = open_buttons(sharing, count)
        to_lay = [open, lies.free_for(sharing.map(&:key))].min
        lacks = open - to_lay
        Supply.new(kind: "button", name: name, count: count + spare(count), lacks: lacks, to_lay: to_lay, **laid_by(lies, sharing),
                   says: ["#{count} and #{spare(count)} spare", *sewn_on(sharing), *shared(sharing), *also(lies, sharing),
                          *cards(lacks, card)].join("; "))
      end
    end

    def self.buttons_of(part) = SEWN_ON.sum { |name| steps(part, name).size }
    # Steps that take one button each.
    SEWN_ON = %w[button show-button].freeze

    # What is sewn on is out of the box; spare ones are wanted for as long as a button is still to be sewn on.
    def self.open_buttons(parts, count)
      open = count - SEWN_ON.sum { |name| sewn(parts, name) }
      open.zero? ? 0 : open + spare(count) - sewn(parts, "spare-button")
    end

    def self.sewn(parts, name) = parts.sum { |part| (steps(part, name).map(&:key) & part.sheet.progress.done).size }

    def self.sewn_on(parts) = sewn(parts, "button").then { |some| some.zero? ? [] : ["#{some} sewn on already"] }

    # Other closures that would take the same buttons out of the box.
    def self.also(lies, sharing)
      others = lies.others(sharing.map(&:key))
      others.empty? ? [] : ["also planned for #{others.join(', ')}"]
    end

    def self.laid_by(lies, sharing)
      return {} unless lies.owned

      here, elsewhere = lies.split(sharing.map(&:key))
      { owned: lies.owned, reserved: here, elsewhere: elsewhere }
    end

    def self.cards(lacks, card)
      return [] if card.nil? || lacks.zero?

      number = (lacks / card.to_r).ceil
      ["#{number} #{number == 1 ? 'card' : 'cards'} of #{card} to buy"]
    end

    def self.shared(parts)
      parts.size > 1 ? ["for #{parts.size} rows: #{parts.map(&:name).join(', ')}"] : []
    end

    def self.button_name(part)
      button = part.sheet.plan.button
      button.name.empty? ? "#{button.form.noun}s, #{Wording.of(button.diameter, part.sheet.plan.unit.to_sym)}" : button.name
    end

    def self.threads(parts)
      parts.group_by { |part| part.sheet.plan.thread.with(bobbin: "") }.map do |thread, sharing|
        top, bobbin = sharing.map { |part| thread_of(part) }.transpose.map { |some| some.sum(Length.zero) }
        bobbins = (bobbin / Bobbin.full(thread)).ceil
        Supply.new(kind: "thread", name: thread.spool, length: top + bobbin, count: ((top + bobbin) / REEL).ceil,
                   says: Sentence["#{bobbins} #{bobbins == 1 ? 'bobbin' : 'bobbins'} to wind, from #{reels(top + bobbin)} of %s",
                                  Tool::FULL_SPOOL.at(REEL)])
      end
    end

    def self.reels(length)
      (length / REEL).ceil.then { |count| count == 1 ? "one spool" : "#{count} spools" }
    end

    # Every hole and the test hole, and every button, by whatever it is sewn on.
    def self.thread_of(part)
      hole = HoleSimulation.of(part.sheet).reckoning
      holes = steps(part, "sew").size + steps(part, "test-sew").size
      top, bobbin = of_a_button(part)
      count = steps(part, "button").size
      [(hole.top * holes) + (top * count), (hole.bobbin * holes) + (bobbin * count)]
    end

    def self.of_a_button(part)
      sheet = part.sheet
      return [sheet.attaching.hand_thread, Length.zero] unless sheet.attaching.by_machine

      ButtonSimulation.of(sheet).then { |button| [button.top, button.bobbin] }
    end

    # Under every hole, a little beyond the stitches; as wide as the step says.
    def self.stays(parts, unit)
      parts.flat_map do |part|
        steps(part, "stabilise").map do |step|
          length = (part.sheet.overall + (Sewing::Garment::STAY_BEYOND * 2)) * part.sheet.layout.holes.size
          length *= part.sheet.recipe.stay_layers.value
          Supply.new(kind: "stay", name: part.sheet.recipe.stabiliser.value, length: Tool::SCISSORS.kept(length, unit),
                     says: Sentence["%s wide, for #{part.name}", Tool::SCISSORS.at(step.figures.fetch("stay.width"))])
        end
      end
    end

    def self.cords(parts, unit)
      parts.flat_map do |part|
        steps(part, "cord").select { |step| step.figures.key?("cord.length") }.map do |step|
          each = Tool::SCISSORS.kept(step.figures.fetch("cord.length"), unit)
          holes = part.sheet.layout.holes.size
          Supply.new(kind: "cord", name: "gimp or made cord", length: each * holes,
                     says: Sentence["#{holes} of %s, for #{part.name}", each])
        end
      end
    end

    def self.liquid(parts)
      sealed = parts.sum do |part|
        (steps(part, "seal") + steps(part, "seal-after")).size * part.sheet.layout.holes.size
      end
      sealed.zero? ? [] : [Supply.new(kind: "liquid", name: "fray sealant", count: 1, says: "for #{sealed} cut edges")]
    end

    def self.needles(parts)
      parts.flat_map do |part|
        steps(part, "needle").map do |step|
          Needle.called(step.figures.fetch("recipe.needle"))
        end
      end.tally.map do |name, count|
        Supply.new(kind: "needle", name: name, count: 1, says: count == 1 ? "a new one for the row" : "a new one for #{count} rows")
      end
    end
    private_class_method :buttons_of, :anchors, :backing, :ways, :toggles, :stiff_cards
    private_class_method :steps, :spare, :buttons, :open_buttons, :sewn, :sewn_on, :also, :laid_by, :cards, :shared,
                         :button_name, :threads, :reels, :thread_of, :of_a_button, :stays, :cords,
                         :liquid, :needles
  end
end
