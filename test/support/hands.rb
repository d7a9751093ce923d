# frozen_string_literal: true

require_relative "word_list"

module NimbleEyelet
  module Support
    # Somebody who does what a step says, in order, and nothing else. By its words, they know the list of words alone;
    # by its operations, a table of their own. What a step tells the ledger they never look at.
    module Hands
      # @return [Array<Array(String, String…)>] acts of a Workplace
      def acts(step, piece) = raise(NotImplementedError)

      private

      # A button lies ready; it is clamped as it is.
      def clamped(piece, act, *with)
        return ["clamp", with.first == "own" ? own(piece) : with.first, with.last] if act == "clamp"
        return ["clamp", own(piece), Length.mm(with.map(&:to_r).reduce(:*)).to_s] if act == "clicks"

        [act, *with]
      end

      def own(piece) = piece.plan.button.across.to_s
    end

    class ReadingHands
      include Hands

      attr_reader :unheard

      def initialize(list = WordList.read)
        @list = list
        @heard = {}
        @unheard = []
      end

      # @param step [Work::Step]
      # @param piece [Piece, nil]
      def acts(step, piece)
        sentences(step).flat_map { |sentence| understood(sentence) }.map { |act| clamped(piece, *act) }
      end

      # The number in its heading tells which hole it is.
      # @return [String, nil] its place
      def place(step, piece)
        number = step.part[/\d+/] or return
        hole = piece.sheet.layout.holes.find { |one| one.number == number.to_i } if piece
        hole && hole.at.to_s
      end

      private

      def sentences(step)
        text = [step.does, step.how].compact.map { |said| Sentence.in(said, :mm) }.join(" ")
        text.split(WordList::ENDS)
      end

      def understood(sentence) = @heard[sentence] ||= read(sentence)

      def read(sentence)
        meanings = joined(sentence) || [@list.meaning(sentence)]
        @unheard << sentence if meanings.include?(nil)
        meanings.compact.flat_map { |one| acts_of(one) }
      end

      # Several dials under one verb.
      def joined(sentence)
        parts = sentence[/\ASet (.+)\.\z/, 1]&.split(/, | and (?=balance|tension|width|length)/) or return
        found = parts.map { |part| @list.meaning(part) }
        found unless found.include?(nil)
      end

      def acts_of(meaning) = meaning.split("; ").map { |act| act.split.map { |word| word.tr(WordList::SPACE, " ") } }
    end

    class WorkingHands
      include Hands

      OF = ->(name) { ->(*) { [[name]] } }
      NOTE = ->(name) { ->(*) { [["note", name]] } }
      NOTHING = ->(*) { [] }
      # What every operation is to them.
      TABLE = {
        "fit_needle" => ->(one, *) { [["needle", Needle.called(one.figures["recipe.needle"])]] },
        "thread" => ->(_, piece, _) { [["thread", piece.thread]] },
        "thread_finger" => ->(*) { [%w[finger threaded]] },
        "fit_foot" => ->(one, piece, _) { [["foot", foot(one, piece)]] },
        "set_width" => lambda { |one, piece, _|
          [["width", piece.plan.machine.width_mark(one.figures["recipe.stitch_width"] || one.figures["attach.width"])]]
        },
        "set_length" => ->(one, piece, _) { [["length", piece.plan.machine.length_mark(one.figures["recipe.stitch_length"])]] },
        "set_tension" => ->(one, piece, _) { [["tension", one.figures["recipe.tension"] || piece.plan.machine.neutral_tension]] },
        "set_balance" => ->(_, piece, _) { [["balance", piece.recipe.balance_words || "usual"]] },
        "select" => ->(one, piece, _) { [["select", one.figures.empty? ? "zigzag" : piece.wanted["selector"] || "usual"]] },
        "lighten_foot" => ->(*) { [["pressure", "one step lighter"]] },
        "limit_speed" => ->(*) { [%w[speed slow]] },
        "clamp" => ->(one, *) { [["clamp", one.figures["setting.figure"].to_s, one.figures["setting.opened"]&.to_s || "usual"]] },
        "unclamp" => OF["unclamp"],
        "drop_feed" => ->(*) { [%w[feed drop_feed]] }, "cover_feed" => ->(*) { [%w[feed cover_plate]] },
        "stop_feed" => ->(*) { [%w[length 0]] },
        "put_back" => ->(_, _, step) { [["back", step.name.delete_prefix("back-")]] },
        "put_back_near" => ->(_, _, step) { [["back", step.name.delete_prefix("back-")]] },
        "sew_scrap" => ->(one, piece, _) { [["sew_scrap"], *sewn(one, piece), *stored(one, piece)] },
        "lay_swatch" => NOTE["swatch_lies_there"], "watch" => NOTHING, "open_scrap" => NOTHING, "pull_scrap" => NOTHING,
        "accept" => NOTHING, "try_on" => NOTHING, "pins_out" => OF["pins_out"], "begin_again" => OF["begin_again"],
        "needle_onto" => OF["place"], "lower_lever" => OF["lever_down"], "sew" => ->(one, piece, _) { [["sew"], *sewn(one, piece)] },
        "lift_out" => OF["lift"], "draw_cord" => OF["draw_cord"], "let_dry" => OF["dry"],
        "punch" => ->(one, piece, _) { punched(one, piece) },
        "cut" => ->(one, *) { cut(one) },
        "pin_button" => OF["button"], "cut_thread" => NOTHING, "lay_spacer" => NOTE["spacer"], "sew_test_button" => NOTHING,
        "sew_button" => OF["sew_button"], "sew_button_by_hand" => OF["button"], "rinse" => OF["rinse"], "take_marks_out" => NOTE["unmarked"], "sew_spare" => NOTHING, "sew_show_button" => NOTHING, "sew_anchor" => NOTHING,
        "note" => NOTHING, "have_cord" => NOTHING, "stay" => OF["stay"], "stay_underlap" => NOTHING,
        "mark" => ->(one, *) { [["mark", one.figures["placket.count"]]] }, "draw_lines" => OF["lines"], "finish_tails" => OF["tails"],
        "tear" => OF["tear"], "trim_film" => OF["trim"], "seal" => ->(_, _, step) { sealed(step) },
        "mark_buttons" => ->(one, *) { [["mark_buttons", one.figures["attach.marks"]]] }, "sew_eyelets" => OF["punch"],
        "wind_shank" => NOTE["wound"],
        "secure" => ->(one, *) { [%w[note secured], *([%w[width 0]] if one.figures["attach.secure"] == "tie_off")] }
      }.freeze

      class << self
        private

        def foot(one, piece)
          kind = one.figures["recipe.foot"]
          return piece.plan.machine.foot("button_foot") ? "button foot" : "usual" unless kind

          FOOT_KINDS.fetch(kind).neutral ? "usual" : FOOT_KINDS.fetch(kind).name
        end

        def sewn(one, piece)
          return second(one, piece) unless piece.style.by_hand && !piece.straight?

          machine = piece.plan.machine
          wide = machine.width_mark(one.figures["recipe.stitch_width"])
          long = machine.length_mark(one.figures["recipe.stitch_length"])
          bead = machine.width_mark(piece.recipe.manual_width&.value || one.figures["recipe.stitch_width"])
          [["turned", *(piece.style.opens ? [bead, long] : [wide, "0"])]] + second(one, piece)
        end

        def second(one, piece)
          return [] unless one.figures["recipe.second_pass"] == "yes"

          [["second_pass", *("whole" if piece.automatic?)]]
        end

        def stored(one, piece)
          piece.wanted["memory"] ? [["store", one.figures["setting.figure"].to_s]] : []
        end

        def sealed(step) = step.name == "seal-after" ? [%w[note sealed_after], ["seal"]] : [["seal"]]

        def punched(one, piece)
          piece.style.round? ? [["cut", one.figures["opening.length"].to_s]] : [["punch"]]
        end

        def cut(one)
          bites = (1..9).filter_map do |number|
            from, to = %w[from to].map { |edge| one.figures["cut.bite.#{number}.#{edge}"] }
            ["bite", from.to_s, to.to_s, one.figures["opening.length"].to_s] if from
          end
          [["cut", one.figures["opening.length"].to_s], *bites]
        end
      end

      def unheard = @reading.unheard

      def initialize
        @reading = ReadingHands.new
      end

      # @param step [Work::Step]
      # @param piece [Piece, nil]
      def acts(step, piece)
        return @reading.acts(step, piece) if step.block == "rescue"

        step.operations.flat_map { |one| TABLE.fetch(one.key).call(one, piece, step) }
      end

      # @return [String, nil] place of its hole
      def place(step, _piece) = Work::StepKey.parse(step.key).at&.to_s
    end
  end
end
