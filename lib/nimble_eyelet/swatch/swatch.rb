# frozen_string_literal: true

# Swatch is one test hole: what it was sewn with, and what was seen.
#
#   Swatches::Swatch.new(number: 1, passes: "passes", measured: Length.mm(22.5), looks: { "bead_away" => "thin" },
#                        symptoms: [], opening: Length.mm(22.5), stitch_width: Length.mm(4.5),
#                        stitch_length: Length.mm(0.4), tension: 3r, stabiliser: "fusible strip")

require_relative "../answer/refusal"
require_relative "../cloth/stabiliser"
require_relative "../typing/limit"
require_relative "../value"
require_relative "look"
require_relative "sewn_with"
require_relative "symptom"

module NimbleEyelet
  module Swatches
    # id - String, that of its entry; number - Integer from 1, in the order they were sewn
    # What was set (opening wanted, stitch_width, stitch_length, tension, stabiliser) and what was seen:
    #
    # passes - String, key of PASSES, or nil where nobody tried; measured - Length of the slit, or nil
    # looks - Hash of the key of a look to that of a grade; symptoms - Array<String>, keys of SYMPTOMS
    # note - String, something else in words; sewn_at - String, ISO 8601, or nil; machine - Integer or nil
    # sewn_with - Hash of path to Length or String, everything it was sewn with
    # again - String or nil, id of the one that was looked at again; second - Swatch or nil, what was seen then
    # simulated - Boolean, sewn on a practice machine
    class Swatch < Value.of(:passes, :measured, :symptoms, :opening, :stitch_width, :stitch_length, :tension,
                            :stabiliser, id: "", number: 0, note: "", sewn_at: nil, sewn_with: {}, looks: {},
                            again: nil, second: nil, simulated: false)
      LIMITS = { measured: Typing::Limit.length(0, 200, open: true) }.freeze
      # What older ones said of both beads at once, or in one word.
      WORDS = { "gappy" => { "bead_away" => 0..1, "bead_back" => 0..1 },
                "piled_up" => { "bead_away" => 3..4, "bead_back" => 3..4 },
                "loops_below" => { "tension" => 0..1 }, "bobbin_on_top" => { "tension" => 3..4 },
                "beads_touch" => { "space" => 0..1 }, "gapes" => { "space" => 3..4 } }.freeze

      # @param key [String] of a look
      # @return [Range<Integer>, nil] where what was seen lies among its grades
      def place(key)
        return PASSES.keys.index(passes)&.then { |at| at..at } if key == "fit"

        grade = looks[key] and return LOOKS.fetch(key).place(grade)
        symptoms.filter_map { |symptom| WORDS.dig(symptom, key) }.first
      end

      # @return [Boolean, nil] whether it was right, as far as that was looked at
      def right?(key) = place(key)&.then { |place| LOOKS.fetch(key).right.cover?(place) }

      # What was looked at again stands with the first look; a second look at what is not there is a first one.
      #
      # @param swatches [Array<Swatch>]
      # @param standing [Array<Swatch>] those whose look counts
      # @return [Array<Swatch>] first looks, in the same order
      def self.together(swatches, standing = swatches)
        known = swatches.to_h { |swatch| [swatch.id, true] }
        seconds = standing.select(&:again).to_h { |swatch| [swatch.again, swatch] }
        swatches.reject { |swatch| known.key?(swatch.again) }.map { |swatch| swatch.with(second: seconds[swatch.id]) }
      end

      # @return [Swatch] as it was seen the second time, where it was looked at twice
      def looked
        return self unless second

        with(passes: second.passes || passes, measured: second.measured || measured, looks: looks.merge(second.looks),
             symptoms: second.symptoms, note: [note, second.note].reject(&:empty?).join("; "))
      end

      # Symptoms that were named, and those that what was looked at amounts to.
      # @return [Array<String>]
      def shown = (symptoms + seen_symptoms).uniq

      def shows?(symptom) = shown.include?(symptom)

      # @return [Boolean] nothing to put right; without a verdict on fit, or with something else in words, nobody can
      #   say so
      def clean? = right?("fit") == true && shown.empty? && note.empty?

      # @param set [Hash{String => Object}] what the closure is set to now
      # @return [Boolean] whether it was sewn with the same machine, foot, thread and cloth, as far as that was kept
      def like?(set)
        SewnWith::SHARED.all? { |path| sewn_with[path].nil? || set[path].nil? || sewn_with[path] == set[path] }
      end

      # @return [Integer] layers of the stabiliser
      def stay_layers = sewn_with.fetch("recipe.stay_layers", 1).to_i

      # @return [String] the stabiliser, and its layers
      def under = Stabiliser.layered(Stabiliser.called(stabiliser), stay_layers)

      # @return [Boolean] whether both beads were sewn over a second time
      def twice? = sewn_with["recipe.second_pass"] == "yes"

      # @return [Boolean] whether it is no test hole but one of the row
      def in_garment? = sewn_with.key?("hole.at")

      # @return [Length] what the hands set: what is clamped and opened, the mark, the key's or the lines' distance
      def hands = sewn_with["setting.hands"] || sewn_with["setting.clamped"] || sewn_with["setting.set"] || opening

      # @return [String] how the hands set it
      def hands_word = sewn_with["setting.by"] == "clamp" ? "foot opened to" : "set to"

      # @return [Integer] notches of the balance
      def balance = sewn_with["recipe.balance"].to_s.to_i

      # @return [Array<Array(String, String)>] pairs of symptoms that cannot be seen on one hole
      def contradictions
        symptoms.filter_map do |key|
          [key, SYMPTOMS[key]&.opposite].sort if symptoms.include?(SYMPTOMS[key]&.opposite)
        end.uniq
      end

      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limit.check_all(check, "swatch", self, LIMITS)
          check.expect("swatch.symptoms", symptoms.join(", "), (symptoms - SYMPTOMS.keys).empty?,
                       "Known symptoms are: #{SYMPTOMS.keys.join(', ')}.")
          looks.each { |key, grade| check_look(check, key, grade) }
          faulty = SewnWith.faulty(sewn_with)
          check.expect("swatch.with", faulty.to_s, faulty.nil?, "A test hole says what it was sewn with: #{faulty} does not.")
          check.expect("swatch.passes", "", passes || measured || [symptoms, looks, note].any? { |said| !said.empty? },
                       "Say what you saw: how it went through, at least.")
        end
        self
      end

      private

      def check_look(check, key, grade)
        grades = LOOKS[key]&.grades&.map(&:key)
        check.expect("swatch.looks", key, grades&.include?(grade) && key != "fit",
                     grades ? "It looks like one of: #{grades.join(', ')}." : "This is not looked at.")
      end

      def seen_symptoms
        beads = looks.slice("bead_away", "bead_back").keys.filter_map { |key| place(key)&.begin }.map { |at| at <=> 2 }
        found = { [-1] => "gappy", [1] => "piled_up" }[beads.uniq] || (beads.uniq - [0]).any?.then do |uneven|
          "uneven_beads" if uneven
        end
        [found, edge("tension", "loops_below", "bobbin_on_top"), edge("space", "beads_touch", "gapes")].compact
      end

      def edge(key, below, above) = looks[key] && [below, nil, above][(place(key).begin <=> 2) + 1]
    end
  end
end
