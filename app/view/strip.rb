# frozen_string_literal: true

# Beliefs as they are drawn: scales in the person's unit or in the dial's own numbers, and in words.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module StripView
      # @param strips [Array<Inference::Strip>]
      # @param present [Presenter]
      # @return [Array<Hash>]
      def self.of(strips, present)
        strips.map do |strip|
          { key: strip.key, name: strip.name, word: strip.word, **scale(strip),
            right: strip.right.map { |at| shown(strip, at, present) },
            now: strip.now.map { |at| shown(strip, at, present) },
            dots: strip.dots.map { |dot| { at: dot.at.round(3), number: dot.number, seen: dot.seen, bead: dot.bead } },
            says: strip_says(strip, present) }
        end
      end

      def self.scale(strip) = { from: strip.from.round(3), to: strip.to.round(3), unsure: strip.unsure.round(3) }

      # A length of the garment in the person's unit; a dial's in its own numbers.
      def self.shown(strip, at, present)
        text = Wording.decimal(at.rationalize(1r / 1000), 2)
        text = present.words(Length.mm((at * 4).round/4r)) if strip.key == :fit
        { at: at.round(3), text: text }
      end

      def self.strip_says(strip, present)
        from, to = strip.right.map { |at| shown(strip, at, present)[:text] }
        "Right lies between #{from} and #{to}, as far as can be told."
      end

      # Where one is by now, axis by axis, in words.
      def self.beliefs(strips, present)
        strips.map do |strip|
          length = if strip.key == :fit
                     ", the next #{strip.name.split.last} #{strip.now.map do |at|
                       shown(strip, at, present)[:text]
                     end.join(' to ')}"
                   else
                     ""
                   end
          settles = strip.word == "unsure" ? ": another test hole settles it" : ""
          "#{strip.name}: #{strip.word}#{length}#{settles}."
        end
      end
      private_class_method :scale, :shown, :strip_says
    end
  end
end
