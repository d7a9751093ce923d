# frozen_string_literal: true

# Setting is what the hands do to get an opening out of a foot or a machine: clamp and open further,
# stop at a mark or between two, press the key at a distance, or sew between chalk lines. Wanted and set
# are two things: what is set is the opening wanted and what test holes taught to add; what comes of it
# is said beside it, and never changes what is wanted.
#
#   setting = Opening::Setting.of(foot: foot, machine: machine, button: button, length: Length.mm(23), ends: ends)
#   setting.says.in(:mm)   # "Stop 0.5 mm past the 25 mm mark …"
#   setting.gives          # 23 mm, the opening that comes of it; nil while nobody can know

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../machine/foot"
require_relative "../value"
require_relative "school"
require_relative "tack_length"

module NimbleEyelet
  module Opening
    # How the length of a hole is set. reads - String, "opening" or "overall"; drawn - Boolean, between lines on the
    # cloth:
    #   nothing adds to what is drawn, and what is drawn, stitched and cut is one figure
    SettingMethod = Value.of(:key, :name, :reads, drawn: false)

    SETTING_METHODS = [
      SettingMethod.new(key: "clamp", name: "button clamped in the foot", reads: "opening"),
      SettingMethod.new(key: "scale", name: "marks on the foot", reads: "overall"),
      SettingMethod.new(key: "key", name: "reverse key", reads: "opening"),
      SettingMethod.new(key: "lines", name: "chalk lines", reads: "opening", drawn: true),
      SettingMethod.new(key: "round", name: "a drawn circle", reads: "opening", drawn: true),
      SettingMethod.new(key: "press", name: "reverse key, pressed early", reads: "overall"),
      SettingMethod.new(key: "own", name: "the programme's own length", reads: "overall")
    ].to_h { |by| [by.key, by] }.freeze

    # A clamped foot is opened further by this much at most; beyond, a piece of stiff card of the right length is
    # clamped.
    MOST_OPENED = Length.mm(4)
    # Nobody stops nearer to a place of a scale than this, by what its marks are written in.
    STOPPED_TO = { mm: Length.mm(1r / 2), in: Length.inches(1r / 32) }.freeze
    # A carriage foot feels the width alone: from this thickness on expect it short.
    FELT_THICKNESS = Length.mm(4)

    # short - Sentence, a few words for a table; by - SettingMethod; reads - String, what the figure means
    # figure - Length to go by; at the foot the distance clamped, at a scale the place of the stop
    # wanted - Length, the opening asked for; set - Length, the opening the hands aim at
    # gives - Length or nil, the opening that comes of it; overall - Length or nil, that with both ends
    # expected - Array(Length, Length) or nil, what it will come to about while nobody has measured
    # stops - Length or nil, between the two stops of the lever; clamps - String or nil, key of CLAMPED
    # clicks - Integer; opened - Length beyond what is clamped; pitch - Length between two marks, or nil
    class Setting < Value.of(:by, :reads, :figure, :wanted, :set, :gives, :overall, :says, :short, clicks: 0,
                             opened: Length.zero, pitch: nil, stops: nil, clamps: nil, expected: nil, unit: :mm,
                             cautions: [])
      # @param foot [Foot] fitted for the holes
      # @param machine [Machine]
      # @param button [Button]
      # @param length [Length] opening wanted
      # @param ends [Ends]
      # @param correction [Length] what test holes taught to set beyond it
      # @param style [Style, nil] a box or a hole by hand is drawn, an eyelet turned round
      # @param stitch [Length, nil] its length, where a key is pressed early by it
      # @param tack_by [String, nil] key of TACK_LENGTHS
      # @return [Setting]
      def self.of(foot:, machine:, button:, length:, ends:, correction: Length.zero, style: nil, stitch: nil,
                  tack_by: nil)
        by = Setting.method_for(foot, machine, style, wanted: length, tack_by: tack_by)
        request = SettingRequest.new(foot: foot, button: button, wanted: length, ends: ends, correction: correction,
                                     stitch: stitch, own: machine.tack_length)
        by == "clamp" ? Clamping.new(request).setting : Setting.public_send(by, request)
      end

      def self.method_for(foot, machine, style, wanted:, tack_by: nil)
        return TackLength.by(machine, style, wanted: wanted, tack_by: tack_by) if style && !style.opens
        return "round" if style&.round?
        return "lines" if style && (style.stitched == :straight || style.by_hand)
        return "clamp" if foot.type.clamps
        return "key" if machine.type.stores

        foot.type.marks ? "scale" : "lines"
      end

      # What is put into the foot, by its key.
      CLAMPED = { "button" => "the button", "card" => "the card" }.freeze

      # @return [Boolean] whether a piece of card, cut to length, goes into the foot instead of the button
      def on_card? = clamps == "card"

      # @return [String] what goes into the foot
      def clamped = CLAMPED.fetch(clamps)

      # @return [Length] what the hands set, without what the foot adds
      def hands = { "clamp" => figure + opened, "own" => figure }.fetch(by.key, set)

      # The opening as planned: what comes of the setting, or what is wanted while that is not known.
      # @return [Length]
      def planned = gives || wanted

      # @return [Boolean] whether something else comes of it than was asked for
      def differs? = !gives.nil? && gives != wanted

      # Stopped at a mark, or between two: a foot's coarse marks are not rounded to.
      def self.scale(request)
        foot = request.foot
        extra = foot.scale_reads == "opening" ? Length.zero : request.ends.both
        place = request.set + extra
        made(request, "scale", reads: foot.scale_reads, figure: place, pitch: foot.scale_pitch, unit: foot.unit,
                               short: Sentence["%s", Setting.between(place, foot)],
                               says: Sentence["Stop %s. The marks of this foot count #{SCALE_READS.fetch(foot.scale_reads)}.",
                                              Setting.between(place, foot)])
      end

      # @return [String] in the foot's own marks
      def self.between(place, foot)
        place = place.round_to([STOPPED_TO.fetch(foot.unit), foot.scale_pitch].min)
        mark = place.round_down_to(foot.scale_pitch)
        past = place - mark
        return "at the #{Wording.of(mark, foot.unit)} mark" if past.zero?

        "#{Wording.of(past, foot.unit)} past the #{Wording.of(mark, foot.unit)} mark"
      end

      def self.key(request)
        made(request, "key", figure: request.set, short: Sentence["key at %s", request.set],
                             says: Sentence["Draw a line %s from the start, sew to it, press reverse. The machine repeats " \
                                            "that length.", request.set])
      end

      # A bar tack whose length the machine learns: it sews on after the key.
      def self.press(request)
        early = [TackLength.early(request.stitch), request.set / 2].min
        place = request.set - early
        first = Sentence["At the test tack, "]
        first = Sentence["Clear the %s it has of its own, then sew the test tack: ", request.own] if request.own
        made(request, "press", reads: "overall", figure: place, short: Sentence["key at %s", place],
                               says: Sentence["%spress the reverse key when it is %s long. It sews on by two stitches, %s, and " \
                                              "comes out %s long; every further tack repeats it.",
                                              first, place, early, request.set])
      end

      # The programme stops where it always does.
      def self.own(request)
        made(request, "own", reads: "overall", figure: request.own, short: Sentence["its own %s", request.own],
                             says: Sentence["Let the programme run: it sews %s by itself.", request.own])
          .with(gives: request.own, overall: request.own, cautions: [own_caution(request)].compact)
      end

      def self.own_caution(request)
        return if (request.own - request.wanted).abs <= TackLength::NEAR

        Caution.new(rule: "its own length", says: Sentence["Its own length is %s; %s is wanted.", request.own, request.wanted],
                    instead: "Clear it and press a length of your own, or sew it by zigzag between two lines.")
      end

      def self.lines(request)
        return tack_lines(request) unless request.button.opens?

        made(request, "lines", figure: request.set, short: Sentence["lines %s apart", request.set],
                               says: Sentence["Chalk two lines %s apart. The ends go outside them, %s overall.",
                                              request.set, request.set + request.ends.both])
      end

      def self.tack_lines(request)
        made(request, "lines", figure: request.set, short: Sentence["lines %s apart", request.set],
                               says: Sentence["Chalk two lines %s apart: the tack runs from the one to the other.", request.set])
      end

      def self.round(request)
        made(request, "round", figure: request.set, short: Sentence["a circle of %s", request.set],
                               says: Sentence["Draw a circle %s across, the open hole. The ring is sewn round it.", request.set])
      end

      # What has no steps of its own comes out as it is wanted; what is drawn, as it is drawn.
      def self.made(request, by, figure:, says:, short:, reads: "opening", **more)
        method = SETTING_METHODS.fetch(by)
        gives = method.drawn ? request.set : request.wanted
        new(by: method, reads: reads, figure: figure, wanted: request.wanted, set: request.set, gives: gives,
            overall: gives + request.ends.both, says: says, short: short, **more)
      end
      private_class_method :made, :own_caution, :tack_lines
    end

    # What a foot is asked for.
    # stitch - Length or nil; own - Length or nil, of the machine's own bar tack
    class SettingRequest < Value.of(:foot, :button, :wanted, :ends, :correction, stitch: nil, own: nil)
      # @return [Length] the opening the hands aim at
      def set = wanted + correction
    end

    # A carriage foot: the hole is as long as the distance between the two stops its lever runs between, what
    # it holds and its own allowance and what it is opened further.
    class Clamping
      # @param request [SettingRequest]
      def initialize(request)
        @request = request
        @foot = request.foot
        @button = request.button
      end

      # @return [Setting]
      def setting
        return unknown if @foot.allowance.nil?
        return guessed if @foot.guessed

        known
      end

      private

      def known
        return on_card if !@button.form.clampable || short.negative? || short > MOST_OPENED

        opened
      end

      def gap = Opening.clamp_gap(@button)
      def made = gap + @foot.allowance
      # What is missing from what the foot makes by itself; less than a quarter is left alone.
      def short = @short ||= (@request.set - made).then { |missing| missing.abs < LEFT_ALONE ? Length.zero : missing }

      # Nobody has measured a hole of this foot: it is told about, and learned from the first one.
      def unknown
        build(gap, gives: nil, expected: USUAL_ALLOWANCE.map { |allowance| gap + allowance }, clamps: thing,
                   short: Sentence["%s, then measure", gap],
                   says: Sentence["Put a %s piece of stiff card in the foot. It replaces the button.", gap])
      end

      # The same with what feet usually add, so that the first hole comes near.
      def guessed
        about = USUAL_ALLOWANCE.map { |allowance| known.stops - @foot.allowance + allowance }
        known.with(gives: nil, overall: nil, expected: about, cautions: known.cautions + [not_measured(about)])
      end

      def not_measured(about)
        Caution.new(rule: "not measured",
                    says: Sentence["What this foot adds is not measured yet: about %s to %s will come of it.", *about],
                    instead: "Measure the test hole and write it down; from then on it is known.")
      end

      def on_card
        long = (@request.set - @foot.allowance).round_up_to(CARD)
        stops = long + @foot.allowance
        build(long, gives: stops - @request.correction, stops: stops, clamps: "card",
                    short: Sentence["card %s long", long],
                    says: Sentence["Put a %s piece of stiff card in the foot. It replaces the button: %s between the stops.",
                                   long, stops])
      end

      def opened
        return left_alone if short.zero?

        click = @foot.click
        clicks = click ? (short / click).ceil : 0
        further = click ? click * clicks : short
        build(gap, gives: made + further - @request.correction, stops: made + further, clamps: thing, clicks: clicks,
              opened: further,
                   short: click ? Sentence["%s and #{counted(clicks)}", gap] : Sentence["%s and %s", gap, further],
                   says: opening_words(clicks, click, further))
      end

      def opening_words(clicks, click, further)
        if click
          # A click is the foot's own, whatever ruler lies beside it.
          return Sentence["Put %s in the foot. Then open the foot #{counted(clicks)} of %s: %s between the stops.", named,
                          Wording.of(click, :mm), made + further]
        end

        return Sentence["Put %s in the foot. Then open it to %s between the stops, by ruler.", named, made + further] if fine?(further)

        Sentence["Put %s in the foot. Then open the foot %s more: %s between the stops, by ruler.", named, further, made + further]
      end

      # No ruler shows so little.
      def fine?(length) = length.round_to(READ_TO) != length
      READ_TO = Length.mm(1r / 2)
      private_constant :READ_TO

      def left_alone
        build(gap, gives: made - @request.correction, stops: made, clamps: thing, short: Sentence["%s as it is", gap],
                   says: Sentence["Put %s in the foot and leave it there. Between the stops: %s.", named, made])
      end

      def build(figure, gives:, **more)
        Setting.new(by: SETTING_METHODS.fetch("clamp"), reads: "opening", figure: figure, wanted: @request.wanted, set: @request.set,
                    gives: gives, overall: gives && (gives + @request.ends.both),
                    cautions: [too_large(figure + more.fetch(:opened, Length.zero)), thick].compact, **more)
      end

      def thing = @button.form.clampable ? "button" : "card"
      def named = Setting::CLAMPED.fetch(thing)

      def too_large(taken)
        largest = @foot.largest_button
        return unless largest && taken > largest

        Caution.new(rule: "carriage", says: Sentence["The foot opens to %s at most; this wants %s.", largest, taken],
                    instead: "Use the sliding scale foot and stop at its mark, or a machine that remembers a length.")
      end

      def thick
        return unless @foot.guessed && @button.form.clampable && @button.height > FELT_THICKNESS

        Caution.new(rule: "thickness",
                    says: Sentence["The foot feels how wide a button is, never that it is %s thick.", @button.height],
                    instead: "Expect the test hole to come out short, and open the foot further after it.")
      end

      def counted(clicks) = clicks == 1 ? "one more click" : "#{clicks} more clicks"

      # Nearer than this nobody sets a foot.
      LEFT_ALONE = Length.mm(1r / 4)
      private_constant :LEFT_ALONE
    end
  end
end
