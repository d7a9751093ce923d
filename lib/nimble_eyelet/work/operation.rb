# frozen_string_literal: true

# Operation is one thing that hands do, as plain data: what a step says, needs, changes, costs and warns of follows from
# its operations and from nothing else.
#
#   fit = Work::Operation["fit_foot", sets: { "foot" => "carriage_foot" }, says: "Fit the carriage foot."]
#   fit.so?(ledger)    # => true, where that foot is on already
#   fit.kind.hazards   # => ["power"]

require_relative "../value"

module NimbleEyelet
  module Work
    # What hands can do. seconds - Integer, as it mostly takes; each - Boolean, so long for every hole
    # sets - Boolean, all it does is to set a part of the machine, which then stands so until somebody moves it
    # hazards - Array<String>, keys of HAZARDS, that always belong there
    # joins - String or nil, the verb under which one sentence says several of it together
    OperationKind = Value.of(:key, :seconds, each: false, sets: false, hazards: [], joins: nil)

    # Placing and going back to the first part take about a minute a hole, opening one and a half, a button three. What
    # the needle takes comes on top of that, from the stitches.
    MACHINE_SET = [
      ["fit_needle", 120, %w[power]], ["thread", 150, %w[power]], ["thread_finger", 30, %w[power]], ["fit_foot", 60, %w[power]],
      ["set_width", 5, [], "Set"], ["set_length", 5, [], "Set"], ["set_tension", 5, [], "Set"], ["set_balance", 5, [], "Set"],
      ["select", 5, %w[manual]], ["lighten_foot", 10], ["limit_speed", 5], ["clamp", 30],
      ["drop_feed", 30], ["cover_feed", 30, %w[power]], ["stop_feed", 30],
      ["put_back", 10], ["put_back_near", 10, %w[power]]
    ].map do |key, seconds, hazards, joins|
      OperationKind.new(key: key, seconds: seconds, sets: true, hazards: hazards || [],
                        joins: joins)
    end

    CLOTH_WORKED = [
      # A scrap.
      ["sew_scrap", 60, %w[wheel]], ["lay_swatch", 60], ["watch", 60], ["open_scrap", 120, %w[blade]], ["pull_scrap", 120],
      ["accept", 60],
      # The garment before the row.
      ["try_on", 180], ["pins_out", 30, %w[pins]],
      # A hole.
      ["begin_again", 15], ["needle_onto", 35, %w[wheel]], ["lower_lever", 10], ["sew", 5], ["lift_out", 30, %w[wheel]],
      ["draw_cord", 60],
      # From the last hole sewn to the last one open.
      ["unclamp", 5], ["let_dry", 10], ["punch", 30, %w[blade]], ["cut", 90, %w[blade]],
      # The buttons.
      ["pin_button", 180, %w[pins]], ["cut_thread", 60], ["lay_spacer", 20], ["sew_test_button", 180, %w[wheel eyes]],
      ["sew_button", 180, %w[wheel eyes]], ["sew_button_by_hand", 180], ["rinse", 120], ["take_marks_out", 60], ["sew_spare", 90],
      ["sew_show_button", 180, %w[wheel eyes]], ["sew_anchor", 300, %w[wheel eyes]], ["note", 60, %w[pins]],
      # Another way to close than a hole sewn by machine.
      ["prepare_way", 300], ["work_way", 900],
      # The way out of what went wrong.
      ["rescue", 60]
    ].map { |key, seconds, hazards| OperationKind.new(key: key, seconds: seconds, hazards: hazards || []) }

    # What is done at every hole before one looks up.
    ROW_WORKED = [
      ["have_cord", 60], ["stay", 60], ["stay_underlap", 30], ["mark", 40], ["draw_lines", 30], ["finish_tails", 60, %w[pins]],
      ["tear", 20], ["trim_film", 30], ["seal", 20, %w[liquid]], ["mark_buttons", 30], ["sew_eyelets", 240, %w[wheel blade]],
      ["wind_shank", 60], ["secure", 60]
    ].map { |key, seconds, hazards| OperationKind.new(key: key, seconds: seconds, each: true, hazards: hazards || []) }

    OPERATIONS = (MACHINE_SET + CLOTH_WORKED + ROW_WORKED).to_h { |kind| [kind.key, kind] }.freeze
    private_constant :MACHINE_SET, :CLOTH_WORKED, :ROW_WORKED

    # What of an operation stays in cloth or button, and is not put back. kind - String, of LASTING; at - Length or nil,
    # of a hole
    # opening - Length or nil, what was stitched or cut
    class Lasting < Value.of(:kind, at: nil, opening: nil)
      LASTING = %w[stayed marked corded stitched tailed torn trimmed sealed slit punched buttoned wound secured
                   rinsed unmarked].freeze

      # @param kind [String]
      # @param places [Array<Length>]
      # @return [Array<Lasting>] one for each
      def self.at(kind, places) = places.map { |place| new(kind: kind, at: place) }
    end

    # key - String, of OPERATIONS; figures - Hash of path to Length or String, what it is done with
    # needs - Hash of machine part to the state without which it goes wrong, nil for its usual
    # sets - Hash of machine part to its state afterwards, nil for its usual
    # lasts - Array<Lasting>; says - String or Sentence, nil where the one before it says it too; under a verb that
    #   joins, a part of a sentence; minds - Array of String or Sentence, how it is done well
    # hazards - Array<String>, keys of HAZARDS, that hang on what it is done with
    class Operation < Value.of(:key, figures: {}, needs: {}, sets: {}, lasts: [], says: nil, minds: [], hazards: [])
      # @param key [String]
      # @return [Operation]
      def self.[](key, **more) = new(key: key, **more)

      # @return [OperationKind]
      # @raise [KeyError] for what nobody knows
      def kind = OPERATIONS.fetch(key)

      # @param ledger [Ledger]
      # @return [Boolean] whether it need not be done: all it does is so already, with the same figures
      def so?(ledger) = kind.sets && ledger.so?(sets)

      # @return [Array<String>]
      def cautions = kind.hazards + hazards
    end
  end
end
