# frozen_string_literal: true

# Ways are all of them in one table; and the answers of a person that make another way than a machine's hole the right
# one.
#
#   Otherways.wrong(question)&.says            # => "Your machine sews only straight stitches, and …"
#   Otherways.offered(question).map(&:key)     # => ["hand_worked", "bound", "press_stud"]

require_relative "../length/length"
require_relative "../value"
require_relative "fasteners"
require_relative "loops"
require_relative "way"
require_relative "worked_holes"

module NimbleEyelet
  module Otherways
    WAYS = [
      Way.new(key: "hand_worked", name: "hole worked by hand", for_what: "coats, fine or fraying fabric, and machines without zigzag",
              work: WorkedHoles::HandWorked, minutes: 20, opens: true, cut: true, beyond: Length.mm(5r / 2)),
      Way.new(key: "bound", name: "bound hole", for_what: "coats and jackets of firm wool, before the facing is on",
              work: WorkedHoles::Bound, minutes: 30, opens: true, cut: true),
      Way.new(key: "faced_window", name: "faced window", for_what: "leather, felt, vinyl and boiled wool", work: WorkedHoles::Faced,
              minutes: 20, opens: true, cut: true),
      Way.new(key: "in_seam", name: "opening in a seam", for_what: "a seam that runs where the buttons go", work: WorkedHoles::InSeam,
              minutes: 8, opens: true),
      Way.new(key: "thread_loop", name: "loop of thread", for_what: "edges that meet, sheer fabric, neck openings", work: Loops::OfThread,
              minutes: 12, makes: "loop"),
      Way.new(key: "fabric_loop", name: "loop of fabric or cord", for_what: "balls, toggles and rows of small buttons",
              work: Loops::OfFabric, minutes: 10, makes: "loop"),
      Way.new(key: "press_stud", name: "press stud", for_what: "babies and children, and little strain", work: Fasteners::PressStud,
              minutes: 5, makes: "press stud", buttons: false),
      Way.new(key: "hook_and_bar", name: "hook and bar", for_what: "strain: waistbands and necks", work: Fasteners::HookAndBar,
              minutes: 6, makes: "hook", buttons: false),
      Way.new(key: "hook_and_loop", name: "hook-and-loop behind the buttons", for_what: "stiff or weak hands",
              work: Fasteners::HookAndLoop, minutes: 6, makes: "piece", shown: true),
      Way.new(key: "ribbon", name: "ribbon behind the holes", for_what: "bands knitted by hand and thick knits",
              work: Fasteners::Ribbon, minutes: 10, opens: true, beside: true)
    ].to_h { |way| [way.key, way] }.freeze

    # What is asked before a way is offered. button - Button; cloth - Cloth; machine - Machine
    # style - String, the hole the machine will sew; best - String, the hole that would suit, whatever the machine
    # child - Boolean; across - Boolean, holes lie across the edge; strained - Boolean, a waistband
    class WayQuestion < Value.of(:button, :cloth, :machine, :style, :best, child: false, across: false, strained: false)
      def stretchy? = cloth.type.knitted || cloth.stretch >= 20
      def ball? = !button.form.clampable && button.fastens?
    end

    # key, says - String, why a hole sewn by machine is the wrong answer; offers - Array of keys of WAYS
    # applies - Proc(WayQuestion)
    WrongHole = Value.of(:key, :says, :offers, :applies)

    WRONG_HOLES = [
      WrongHole.new(key: "raw_edge", offers: %w[hand_worked bound press_stud],
                    says: "Your machine sews only straight stitches, and this fabric frays when you cut it.",
                    applies: ->(asked) { !asked.machine.zigzag? && asked.cloth.frays? }),
      WrongHole.new(key: "toggle", offers: %w[fabric_loop],
                    says: "A toggle can slip back out of a hole. A loop holds it.",
                    applies: ->(asked) { asked.button.form.end_on }),
      WrongHole.new(key: "soft_ball", offers: %w[fabric_loop thread_loop],
                    says: "A ball needs a long hole, and this fabric is too soft to hold one.",
                    applies: ->(asked) { asked.ball? && (asked.cloth.type.fine || asked.cloth.type.nap) }),
      WrongHole.new(key: "baby", offers: %w[press_stud ribbon],
                    says: "A child's stretchy top pulls its holes wide. Press studs stay closed.",
                    applies: ->(asked) { asked.child && asked.stretchy? }),
      WrongHole.new(key: "thick_knit", offers: %w[ribbon fabric_loop],
                    says: "A thick knit stretches around a sewn hole.",
                    applies: ->(asked) { asked.cloth.type.knitted && asked.cloth.thickness >= THICK_KNIT }),
      WrongHole.new(key: "keyhole", offers: %w[hand_worked bound],
                    says: "This button wants a keyhole, and your machine does not sew one.",
                    applies: ->(asked) { asked.best == "keyhole" && asked.style != "keyhole" }),
      WrongHole.new(key: "too_large", offers: %w[hand_worked thread_loop],
                    says: "This button is too large for your machine's buttonhole foot.",
                    applies: lambda { |asked|
                      asked.machine.type.programmed && asked.machine.zigzag? && asked.style == "manual_zigzag"
                    })
    ].freeze
    # One layer of a knit as thick as that was knitted by hand, or as good as.
    THICK_KNIT = Length.mm(3r / 2)

    # What else could be done, whether a hole is wrong or not.
    ALSO = {
      "hand_worked" => ->(asked) { !asked.cloth.type.perforates && !asked.stretchy? },
      "bound" => ->(asked) { !asked.cloth.type.perforates && !asked.stretchy? && !asked.cloth.type.nap },
      "faced_window" => ->(asked) { asked.cloth.type.perforates || asked.cloth.type.nap },
      "in_seam" => lambda(&:across),
      "thread_loop" => ->(asked) { asked.cloth.type.fine || asked.button.across <= SMALL_BUTTON },
      "fabric_loop" => ->(_) { true }, "press_stud" => ->(_) { true },
      "hook_and_bar" => lambda(&:strained), "hook_and_loop" => ->(_) { true },
      "ribbon" => ->(asked) { asked.cloth.type.knitted }
    }.freeze
    SMALL_BUTTON = Length.mm(13)
    private_constant :THICK_KNIT, :ALSO, :SMALL_BUTTON

    # @param key [String, nil] of WAYS
    # @return [Way, nil] what is done instead of holes sewn by machine
    def self.instead(key) = key && WAYS.fetch(key).then { |way| way unless way.beside }

    # @param asked [WayQuestion]
    # @return [WrongHole, nil] why a hole sewn by machine is the wrong answer
    def self.wrong(asked) = asked.button.fastens? ? WRONG_HOLES.find { |row| row.applies.call(asked) } : nil

    # @param asked [WayQuestion]
    # @return [Array<Way>] those that fit best first
    def self.offered(asked)
      return [] unless asked.button.fastens?

      first = wrong(asked)&.offers.to_a
      WAYS.values_at(*first, *(ALSO.select { |_, suits| suits.call(asked) }.keys - first))
    end
  end
end
