# frozen_string_literal: true

# SwatchDescription is a test hole in words: what it was sewn on and with, what was set, and what was seen.
#
#   SwatchDescription.new(swatch).seen       # => ["edge: dots of bobbin thread on top"]
#   SwatchDescription.new(swatch).settings   # => { "opening wanted" => 22.5 mm, "top tension" => "3", … }

require_relative "../cloth/cloth_kind"
require_relative "../length/wording"
require_relative "../machine/foot"
require_relative "../machine/needle"
require_relative "../style/style"
require_relative "look"
require_relative "symptom"

module NimbleEyelet
  module Swatches
    class SwatchDescription
      # @param swatch [Swatch]
      def initialize(swatch)
        @swatch = swatch
        @with = swatch.sewn_with
      end

      # @return [Hash{Symbol => String, nil}] by what it is
      def sewn
        { cloth: @with["cloth.name"], cloth_kind: CLOTH_KINDS[@with["cloth.kind"]]&.name, thread: @with["thread.name"],
          thread_tex: @with["thread.tex"] && "tex #{@with['thread.tex']} #{@with['thread.fibre']}", needle: needle,
          foot: FOOT_KINDS[@with["recipe.foot"]]&.name, style: STYLES[@with["recipe.style"]]&.name, stabiliser: @swatch.under }
      end

      # In the machine's own numbers; a length of the garment is one.
      #
      # @return [Hash{String => Length, String}]
      def settings
        { "opening wanted" => @swatch.opening, @swatch.hands_word => @swatch.hands, "stitch width" => plain(@swatch.stitch_width),
          "stitch length" => plain(@swatch.stitch_length), "top tension" => Wording.decimal(@swatch.tension.to_r, 2),
          "balance" => @with["recipe.balance"] }.compact
      end

      # @return [String, nil] how it went through
      def verdict = @swatch.passes && PASSES.fetch(@swatch.passes).name

      # @return [Array<String>] what was seen beside that
      def seen
        looks = @swatch.looks.map do |key, grade|
          look = LOOKS.fetch(key)
          "#{look.name}: #{look.grade_at(look.place(grade).begin).name}"
        end
        looks + @swatch.symptoms.map { |symptom| SYMPTOMS.fetch(symptom).name }
      end

      private

      def needle = @with["recipe.needle"]&.then { |kept| Needle.called(kept) }

      def plain(length) = Wording.decimal(length.millimetres, 2)
    end
  end
end
