# frozen_string_literal: true

# CardPdf is the card that lies beside the machine: what to fit and set, in the marks its owner's dials
# have, how the foot is set, and what to put back when the row is done.
#
#   Document::CardPdf.new(sheet, present, title: "linen field smock: front placket").render   # => String

require_relative "../../lib/nimble_eyelet"
require_relative "cut_drawing"
require_relative "page_pdf"

module NimbleEyelet
  module Document
    class CardPdf < PagePdf
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @param title [String]
      # @param held [Array<String>] by which test hole all this is held, and what is otherwise since
      def initialize(sheet, present, title:, held: [])
        super()
        @sheet = sheet
        @present = present
        @title = title
        @held = held
      end

      private

      def draw(pdf)
        pdf.text "#{@sheet.plan.machine.name}, #{@sheet.plan.machine.type.name}", size: 9
        section(pdf, "Set", settings)
        cautions = setting.cautions.map { |caution| @present.words(caution.says) }
        section(pdf, "Length", [@present.words(setting.says), *cautions])
        section(pdf, "Where it begins", begins)
        section(pdf, @sheet.plan.button.of_sewn("After the test hole and between two holes"), [reset])
        opened(pdf) if @sheet.plan.button.opens? && !@sheet.recipe.style.value.round?
        section(pdf, "Put back", back)
      end

      # The hole at true size, with what stops the blade and where it goes.
      def opened(pdf)
        line = @sheet.cut_line
        section(pdf, "Open", ["#{line.says.capitalize}; at true size:"])
        CutDrawing.new(pdf, line, @sheet.cut.ends, @sheet.recipe.width(@sheet.opening)).draw { |length| @present.words(length) }
      end

      # As the steps have it: nothing where a hole or a tack has no parts to go back to.
      def reset
        resets = (@sheet.progress&.steps || []).any? do |step|
          step.operations.any? do |one|
            one.sets.key?("cycle") && one.sets["cycle"].nil?
          end
        end
        resets ? "Back to the start: #{@sheet.plan.machine.reset_words}." : "Nothing to reset."
      end

      def setting = @sheet.setting

      def settings
        lines = @sheet.recipe.lines.reject { |line| line.key == :cord && !line.decision.value }
        lines.map { |line| "#{line.label}: #{@present.decided(@sheet.recipe.told(line))}" } +
          [*@sheet.recipe.again_words(@sheet.plan.machine.type), length] + @held
      end

      def length
        return "Each tack #{@present.words(@sheet.opening)} long" unless @sheet.plan.button.opens?

        "Cut length #{@present.words(@sheet.opening)}, overall length #{@present.words(@sheet.overall)} with both ends"
      end

      def begins
        beginning = @sheet.beginning
        unless beginning.known?
          return ["Sew one hole on a scrap and watch: which end, which side first. Then write it on the machine's page."]
        end

        side = beginning.side ? "; the #{beginning.side} side first" : ""
        at = { near: "the end towards you", far: "the end away from you", middle: "the middle of a long side" }.fetch(beginning.begins)
        ["It begins at #{at}#{side}."]
      end

      # Everything that some step moves away from neutral.
      def back
        moved = (@sheet.progress&.steps || []).flat_map { |step| step.moves.keys }.uniq
        MACHINE_PARTS.values.select { |part| moved.include?(part.key) }.map { |part| "#{part.name.capitalize}: #{part.back}" }
      end
    end
  end
end
