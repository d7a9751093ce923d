# frozen_string_literal: true

module NimbleEyelet
  module Support
    # Somebody who does what a step says, and nothing else: reads its words, and knows nothing of what it tells the ledger. What a
    # machine has is what it was told in words, and "your usual" until then.
    class Hands
      USUAL = /your usual|in the middle\z|\Astraight stitch/
      # What words make of the machine: a part, or several, and what they are afterwards. A button is known by whose it is.
      READ = [
        [/Fit a new needle: (\S[^.]*)\./, ->(said, _) { { "needle" => said } }],
        [/Fit your usual needle/, ->(*) { { "needle" => nil } }],
        [/Thread (.+?) on top and on a full bobbin/, ->(said, _) { { "top_thread" => said, "bobbin_thread" => said } }],
        [/Thread the bobbin finger/, ->(*) { { "bobbin_finger" => "threaded" } }],
        [/Take the bobbin thread out of its finger/, ->(*) { { "bobbin_finger" => nil } }],
        [/Fit the ((?!general)[^.;(]+?) ?[.;(]/, ->(said, _) { { "foot" => said } }],
        [/Fit (?:the general|your usual foot)/, ->(*) { { "foot" => nil } }],
        [/stitch width ([^,]+?)(?:,| and )/, ->(said, _) { { "width" => said } }],
        [/Set the stitch width to your usual/, ->(*) { { "width" => nil } }],
        [/tch length ([^,.]+(?:\.\d+)?(?: \([^)]*\))?)(?:,| and |\.)/, ->(said, _) { { "length" => said } }],
        [/Set the stitch length to your usual/, ->(*) { { "length" => nil } }],
        [/top tension ([\d.]*\d)/, ->(said, who) { { "tension" => said.to_r == who.usual_tension ? nil : said } }],
        [/top tension back to your usual/, ->(*) { { "tension" => nil } }],
        [/the balance ([^.]+)\./, ->(said, _) { { "balance" => said == "in the middle" ? nil : said } }],
        [/Turn the balance back/, ->(*) { { "balance" => nil } }],
        [/Select (.+?), needle up/, ->(said, _) { { "selector" => said.start_with?("straight") ? nil : said } }],
        [/Turn the selector back to straight stitch/, ->(*) { { "selector" => nil } }],
        [/Select zigzag, width ([^;]+);/, ->(said, _) { { "selector" => "zigzag", "width" => said } }],
        [/foot pressure one step lighter/, ->(*) { { "foot_pressure" => "one step lighter" } }],
        [/foot pressure back/, ->(*) { { "foot_pressure" => nil } }],
        [/Set the speed limiter to slow/, ->(*) { { "speed" => "slow" } }],
        [/speed limiter back/, ->(*) { { "speed" => nil } }],
        [/Drop the feed dogs/, ->(*) { { "feed_dogs" => "dropped" } }],
        [/Raise the feed dogs/, ->(*) { { "feed_dogs" => nil } }],
        [/Put the cover plate/, ->(*) { { "cover_plate" => "on" } }],
        [/Take the cover plate off/, ->(*) { { "cover_plate" => nil } }],
        [/Clamp the button/, ->(_, who) { { "button_in_foot" => who.button, "foot_opened" => nil } }],
        [/Clamp a flat stand-in ([\d.]+ mm) long/, ->(said, _) { { "button_in_foot" => said, "foot_opened" => nil } }],
        [/open the foot (?:by [^.]*?(?= mm:)|([\d.]+ mm) further)/, ->(said, _) { { "foot_opened" => said || "by clicks" } }],
        [/(?:clamped|the button) out of the foot/, ->(*) { { "button_in_foot" => nil, "foot_opened" => nil } }]
      ].freeze

      # usual_tension - Rational of the dial; button - String, the one that lies ready for these holes
      Who = Struct.new(:usual_tension, :button)

      # @return [Hash{String => String}] part of the machine to what it is; absent as its owner has it
      attr_reader :machine

      def initialize(usual_tension)
        @usual = usual_tension
        @machine = {}
      end

      # @param words [String] of one step, in millimetres
      # @param button [String]
      # @return [self]
      def read(words, button:)
        who = Who.new(@usual, button)
        READ.each { |sign, does| words.match(sign) { |found| @machine = @machine.merge(does.call(found[1], who)).compact } }
        self
      end
    end
  end
end
