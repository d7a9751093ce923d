# frozen_string_literal: true

# Mishap is the table of what goes wrong at the machine and at the cutting mat: when it can happen, what the hands do
# now, what of the hole is done again, and what the machine and the plan are like afterwards. A machine's own manual
# wins.
#
#   Sewing::MISHAPS.fetch("thread_out").at?("sew", machine)   # => true

require_relative "../machine/ledger"
require_relative "../value"
require_relative "../work/block"
require_relative "material"
require_relative "rescue"

module NimbleEyelet
  module Sewing
    # says - String, in the words of whoever it happens to
    # during - Array<String> of names of steps it can happen at, nil for every step
    # steps - Array<RescueStep>; again - Array<String>, names of the steps of this hole that are done anew afterwards
    # moves - Hash of machine part to what it is by the mishap itself; cycle - Boolean, only where a programme
    # runs, which can be begun in its middle
    # asks - String or nil: "place", where the hole lies really; "slit", how long it is now
    # hole - nil, "fixed" (it lies elsewhere and is cut), "gone" (unpicked) or "other" (its slit is another by now)
    # lever - Boolean or nil, only where a machine has a sensing lever, or only where it has none
    # fits - Symbol or nil, what a Material has to answer with yes for it to happen there
    # afterwards - String or nil, what to think of from here on; sewn - String or nil, "hole" or "tack" where it happens
    #   only to that
    class Mishap < Value.of(:key, :says, :steps, during: nil, again: [], moves: {}, cycle: false,
                            asks: nil, hole: nil, afterwards: nil, sewn: nil, fits: nil, lever: nil)
      # @param step [String] name of a step, without its hole
      # @param machine [Machine]
      # @param sewn [String] "hole" or "tack", what is sewn there
      # @param material [Material]
      # @return [Boolean] whether it can happen there
      def at?(step, machine, sewn: "hole", material: Material.new)
        (during.nil? || during.include?(step)) && on?(machine.type) && [nil, sewn].include?(self.sewn) &&
          (fits.nil? || material.public_send(fits))
      end

      # @param kind [MachineKind]
      # @return [Boolean] whether it can happen on such a machine
      def on?(kind) = (!cycle || kind.programmed) && (lever.nil? || lever == kind.senses)

      # @param material [Material]
      # @return [Array<RescueStep>] the way out of it
      def way_out(material) = steps.filter_map { |step| step.for(material) }

      # What it undoes is what it happened at: a button that is sewn again leaves its hole alone.
      #
      # @param step [String, nil] name of the step it happened at, without its hole
      # @return [Array<String>] names of the steps that are done again
      def again_at(step)
        turn = Work.turn(step) || "hole"
        again.select { |name| [nil, turn].include?(Work.turn(name)) }
      end

      # @return [Boolean] whether the hole has to be sewn again, or is lost
      def spoils? = hole == "gone" || again.include?("sew")

      # @return [Boolean] whether it happens to one hole: which, has to be known where the step is about all of them
      def of_a_hole? = !hole.nil? || again.include?("sew")
    end

    MISHAPS = [
      Mishap.new(key: "lost_under_foot", says: "It stopped half way, or the foot was lifted: the fabric still lies as it was",
                 during: Rescue::SEWN, steps: Rescue::FINISH, moves: { "memory" => nil, **Rescue::INTERRUPTED },
                 afterwards: "A machine that stores the length stores it again."),
      Mishap.new(key: "lost_out", says: "It lost its place, and the fabric is out or has moved", during: Rescue::SEWN,
                 steps: [Rescue::UP, Rescue::ANEW], again: Rescue::HOLE + %w[test-sew reset-test],
                 moves: { "memory" => nil, "lever" => nil, **Rescue::INTERRUPTED }),
      Mishap.new(key: "mid_programme", sewn: "hole", says: "It began in the middle", lever: false, cycle: true,
                 during: Rescue::SEWN, again: Rescue::HOLE + %w[test-sew reset-test], moves: Rescue::INTERRUPTED,
                 steps: [Rescue::UP, RescueStep.new(does: "Foot up, back to the start.", moves: Rescue::AT_FIRST,
                                                    how: "A few stitches may stay under the new ones.")]),
      Mishap.new(key: "mid_cycle", sewn: "hole", says: "It began in the middle, or the lever was up", lever: true,
                 during: Rescue::SEWN,
                 again: Rescue::HOLE + %w[test-sew reset-test], moves: { "lever" => nil, **Rescue::INTERRUPTED },
                 cycle: true,
                 steps: [Rescue::UP, RescueStep.new(does: "Foot up, lever up, back to the start.",
                                                    moves: { "lever" => nil, **Rescue::AT_FIRST },
                                                    how: "A few stitches may stay under the new ones. The lever is looked at last.")]),
      Mishap.new(key: "thread_broke", says: "The thread broke at the needle", during: Rescue::SEWN + %w[button],
                 steps: [RescueStep.new(does: "Foot off the pedal; the presser foot stays down. Lock the machine if it can be.",
                                        how: "Off would lose the place."),
                         RescueStep.new(does: "Thread the last guides and the eye only, and go on.", hazards: %w[wheel]),
                         RescueStep.new(does: "At the end close the gap of a few stitches, by narrow zigzag or by hand.",
                                        moves: Rescue::MENDED, fits: :zigzagged?,
                                        how: "Never back by hand: a programme cannot be wound back.",
                                        otherwise: Rescue::CLOSED)]),
      Mishap.new(key: "thread_out", says: "The thread came out further up", during: Rescue::SEWN,
                 again: Rescue::HOLE + %w[test-sew reset-test],
                 moves: { "lever" => nil, **Rescue::INTERRUPTED },
                 steps: [RescueStep.new(does: "Foot up, and thread again from the spool.", hazards: %w[power],
                                        how: "With the foot down the thread lies outside the discs. Lifting it loses the place."),
                         Rescue::ANEW]),
      Mishap.new(key: "bobbin_out", says: "The bobbin ran out, and I can reach it as it lies",
                 during: Rescue::SEWN + %w[button],
                 steps: [RescueStep.new(does: "Change the bobbin without moving the fabric or lifting the foot, and go on.",
                                        hazards: %w[power]),
                         RescueStep.new(does: "Hold the new bobbin against the rest of the row.",
                                        how: "A bobbin is never changed within a hole.")]),
      Mishap.new(key: "bobbin_under", says: "The bobbin ran out, and the fabric has to come out", during: Rescue::SEWN,
                 again: Rescue::HOLE + %w[test-sew reset-test],
                 moves: { "lever" => nil, "memory" => nil, **Rescue::INTERRUPTED },
                 steps: [Rescue::UP, RescueStep.new(does: "Foot up, fabric out; change the bobbin.", hazards: %w[power]),
                         Rescue::ANEW]),
      Mishap.new(key: "jammed", says: "It jammed: thread piled up, fabric drawn down", during: Rescue::SEWN + %w[button],
                 again: Rescue::HOLE + %w[test-sew reset-test button],
                 moves: { "lever" => nil, "memory" => nil, **Rescue::INTERRUPTED },
                 steps: [Rescue::SWITCH_OFF, RescueStep.new(does: "Wheel towards you, gently, never forced; foot up.",
                                                            hazards: %w[wheel power]),
                         RescueStep.new(does: "A flat blade between fabric and plate: cut what holds, and lift the fabric off.",
                                        hazards: %w[power blade]),
                         Rescue::OUT, Rescue::NEW_NEEDLE, Rescue::RETHREAD, Rescue::CHECK],
                 afterwards: "Tails and threading are looked at first; only then a longer stitch."),
      Mishap.new(key: "needle_struck", says: "The needle hit something or broke", during: Rescue::SEWN + %w[button place],
                 again: %w[place lever sew look button test-sew reset-test],
                 moves: { "lever" => nil, "memory" => nil, **Rescue::INTERRUPTED },
                 steps: [Rescue::SWITCH_OFF, RescueStep.new(does: "Find every piece of the needle, and count them together.",
                                                            hazards: %w[pins]),
                         RescueStep.new(does: "Feel plate and foot for a burr, with a stocking over the finger.", hazards: %w[power],
                                        how: "A chipped button goes away."),
                         Rescue::NEW_NEEDLE,
                         RescueStep.new(does: "Turn a few stitches by hand: nothing scrapes.", hazards: %w[wheel],
                                        how: "If it does: stop, and have it looked at. Check width, clearance and placing again.")]),
      Mishap.new(key: "tack_goes_on", says: "The tack goes on too long", during: Rescue::SEWN, sewn: "tack",
                 again: Rescue::HOLE + %w[test-sew reset-test], moves: { "memory" => nil, **Rescue::INTERRUPTED },
                 steps: [RescueStep.new(does: "Foot off the pedal; press the reverse key once, and let it finish.",
                                        hazards: %w[manual],
                                        how: "A second press is taken as another length."),
                         Rescue::UP,
                         RescueStep.new(does: "Unpick what lies beyond its end, or all of it.", hazards: %w[blade], fits: :unpicked?,
                                        otherwise: RescueStep.new(does: "Cut its threads on the back: the needle holes stay.",
                                                                  hazards: %w[blade])),
                         RescueStep.new(does: "Clear the length it has stored, and press the key earlier: by what it was too long.",
                                        moves: { "memory" => nil })],
                 afterwards: "Save it as a test: the next figure is that much earlier."),
      Mishap.new(key: "short_uncut", sewn: "hole", says: "Not cut yet, and too short", during: Rescue::UNCUT,
                 again: Rescue::HOLE, moves: { "lever" => nil },
                 steps: [RescueStep.new(does: "Set it longer by what is missing; the same start mark, once over it.",
                                        hazards: %w[manual], fits: :unpicked?,
                                        otherwise: RescueStep.new(does: "Draw both long lines on by what is missing.",
                                                                  how: "They are sewn on, by hand into the last holes first.")),
                         RescueStep.new(does: "Pick the old far end out: it lies across the slit.", hazards: %w[blade],
                                        fits: :zigzagged?)],
                 afterwards: "What was measured is learned."),
      Mishap.new(key: "long_uncut", sewn: "hole", says: "Not cut yet, and too long", during: Rescue::UNCUT,
                 asks: "slit", hole: "other",
                 steps: [RescueStep.new(does: "Sew a tack one further in, at length 0.", hazards: %w[wheel],
                                        moves: Rescue::MENDED, fits: :zigzagged?,
                                        otherwise: RescueStep.new(does: "Sew the end once more, further in.", hazards: %w[wheel])),
                         RescueStep.new(does: "Pick the old end out.", hazards: %w[blade], fits: :unpicked?,
                                        otherwise: RescueStep.new(does: "Leave the old end: its holes stay."))]),
      Mishap.new(key: "short_cut", says: "Cut, and too short by up to 2 mm", during: Rescue::CUT, hole: "other",
                 steps: [RescueStep.new(does: "Uncut to the tack? Cut the last threads first.", hazards: %w[blade]),
                         RescueStep.new(does: "Still too short: narrow zigzag on both sides past the tack, and a new tack.",
                                        hazards: %w[wheel], moves: Rescue::TURNED, fits: :zigzagged?,
                                        otherwise: RescueStep.new(does: "Still too short: sew round a new end, further out.",
                                                                  hazards: %w[wheel])),
                         Rescue::DRY, RescueStep.new(does: "Cut the old end.", hazards: %w[blade]), Rescue::TRY]),
      Mishap.new(key: "short_much", says: "Cut, and too short by more", during: Rescue::CUT, hole: "other",
                 steps: [RescueStep.new(does: "Lengthen it by hand in buttonhole stitch; or take a thinner button.",
                                        hazards: %w[pins]), Rescue::TRY]),
      Mishap.new(key: "long_cut", says: "Cut, and too long: the button slips out", during: Rescue::CUT, hole: "other",
                 steps: [RescueStep.new(does: "At the quiet end draw the edges together by hand.",
                                        how: "So that the button's seat stays.", hazards: %w[pins]),
                         RescueStep.new(does: "Stay behind; a bar tack over both sides, the excess and 1 mm long.", hazards: %w[wheel],
                                        moves: Rescue::MENDED, fits: :zigzagged?, otherwise: Rescue::BY_HAND), Rescue::TRY]),
      Mishap.new(key: "tack_cut", says: "The tack is cut through", during: Rescue::CUT, hole: "other",
                 steps: [Rescue::DRY, RescueStep.new(does: "Stay behind; a bar tack over the cut end, one stitch into sound fabric.",
                                                     hazards: %w[wheel],
                                                     how: "The length stays; only where the fabric is cut further, 2 to 3 mm longer.",
                                                     moves: Rescue::MENDED, fits: :zigzagged?,
                                                     otherwise: Rescue::BY_HAND),
                         Rescue::TRY]),
      Mishap.new(key: "bead_cut", says: "A side is cut", during: Rescue::CUT,
                 steps: [Rescue::DRY,
                         RescueStep.new(does: "Catch it by hand over a strand of the same thread, or narrow zigzag 0.4.",
                                        hazards: %w[pins], moves: Rescue::MENDED, fits: :zigzagged?,
                                        otherwise: Rescue::BY_HAND)]),
      Mishap.new(key: "place_uncut", sewn: "hole", says: "In the wrong place, not cut yet", during: Rescue::UNCUT,
                 hole: "gone", fits: :unpicked?, again: Rescue::HOLE, moves: { "lever" => nil },
                 steps: [Rescue::UNPICK, Rescue::STEAM,
                         RescueStep.new(does: "Rub the needle holes closed with the nail, from both sides.",
                                        how: "In pile they stay: keep it where it lies.")]),
      Mishap.new(key: "place_kept", sewn: "hole", says: "In the wrong place: its needle holes stay, so it stays",
                 during: Rescue::UNCUT, asks: "place", hole: "fixed", fits: :kept?,
                 steps: [RescueStep.new(does: "Take the old marks out. Mark the rest again, from the same end.",
                                        how: "The hole is a fixed point of the row now.")]),
      Mishap.new(key: "tack_place", says: "The tack is in the wrong place", during: Rescue::UNCUT, sewn: "tack",
                 hole: "gone", fits: :unpicked?, again: Rescue::HOLE, moves: { "lever" => nil }, steps: [Rescue::UNPICK, Rescue::STEAM]),
      Mishap.new(key: "place_cut", says: "In the wrong place, and cut: it stays, the rest is spaced around it",
                 during: Rescue::CUT, asks: "place", hole: "fixed",
                 steps: [RescueStep.new(does: "Take the old marks out. Mark the rest again, from the same end.",
                                        how: "The cut hole is a fixed point of the row now.",
                                        hazards: %w[pins])]),
      Mishap.new(key: "place_closed", says: "In the wrong place, and cut: I close it up", during: Rescue::CUT,
                 asks: "place", hole: "gone",
                 again: Rescue::HOLE, moves: { "lever" => nil },
                 steps: [RescueStep.new(does: "Darn it over a patch, or cover it with a tab or trim.", hazards: %w[pins],
                                        how: "No hole can be sewn over it: the row keeps clear of the place."), Rescue::STEAM,
                         RescueStep.new(does: "Mark the rest again, from the same end.")],
                 afterwards: "Look at the edge again: the rest may have moved."),
      Mishap.new(key: "spilled", sewn: "hole", says: "Liquid went where it should not",
                 during: %w[seal dry tails secure],
                 steps: [RescueStep.new(does: "Its solvent on the scrap first; then blot, from the edge inward. No iron.",
                                        hazards: %w[liquid])]),
      Mishap.new(key: "ink_set", says: "A mark does not come out", during: %w[mark chalk mark-buttons rinse unmark],
                 steps: [RescueStep.new(does: "What takes it out is tried on the scrap first; blot, no iron: heat sets it.",
                                        hazards: %w[liquid])]),
      Mishap.new(key: "stay_wrong", says: "The stay is scorched, or lies wrong",
                 during: %w[stabilise stabilise-buttons],
                 again: %w[stabilise stabilise-buttons],
                 steps: [RescueStep.new(does: "Warm it and peel it off while warm; a fresh one, cooler, with a press cloth.",
                                        hazards: %w[iron], fits: :ironed?,
                                        otherwise: RescueStep.new(does: "Take it away, and lay a fresh one."))]),
      Mishap.new(key: "cord_out", sewn: "hole", says: "The cord is pulled out", during: %w[cord look tails],
                 steps: [RescueStep.new(does: "Thread it back with a blunt needle, before anything is cut.", hazards: %w[pins])]),
      Mishap.new(key: "too_thick", says: "The button is too thick after all", during: %w[test-open open],
                 asks: "slit", hole: "other",
                 steps: [RescueStep.new(does: "Decide before the next hole: another opening for the rest, or another button.")]),
      Mishap.new(key: "not_level", says: "The fronts are not level when it is buttoned",
                 during: %w[button secure wind note],
                 steps: [RescueStep.new(does: "Move the buttons, never the holes: cut the one that is off, and mark it again.",
                                        hazards: %w[blade])]),
      Mishap.new(key: "power_gone", says: "The machine went off, or I switched it off",
                 moves: { "memory" => nil, "cycle" => Ledger::UNKNOWN, **Rescue::MENDED },
                 steps: [RescueStep.new(does: "Switch it on, needle up, and hold every dial against what is said here.",
                                        hazards: %w[wheel manual],
                                        how: "What it had stored may be forgotten; in the middle of a hole, its place too.")]),
      Mishap.new(key: "something_else", says: "Something else",
                 steps: [RescueStep.new(does: "Foot off the pedal. Look before anything is pulled; note what happened.",
                                        hazards: %w[manual power])])
    ].to_h { |mishap| [mishap.key, mishap] }.freeze
  end
end
