# frozen_string_literal: true

# Bobbin is what is left on a bobbin, as people say it: "20 m", "1.2 g", "full", "half", "about a third".
#
#   Bobbin.left("about a third", thread)   # 11.667 m of all-purpose thread

require_relative "../answer/refusal"
require_relative "../length/length"

module NimbleEyelet
  module Bobbin
    # A full bobbin of all-purpose thread; of another thread as much as has the same weight.
    FULL = Length.mm(35_000)
    FULL_TEX = 27r

    SHARES = { "full" => 1r, "half" => 1r / 2, "third" => 1r / 3, "quarter" => 1r / 4, "empty" => 0r }.freeze
    BOBBIN_HELP = "Write how much is left: 20 m, 1.2 g, full, half, about a third."

    # @param text [String]
    # @param thread [SewingThread]
    # @return [Length]
    # @raise [Refusal]
    def self.left(text, thread)
      word = SHARES.keys.find { |share| text.downcase.include?(share) }
      return full(thread) * SHARES.fetch(word) if word

      match = /\A\s*(\d{1,4}(?:[.,]\d{1,3})?)\s*(m|g)\s*\z/i.match(text) or raise Refusal.field("thread.bobbin", text,
                                                                                                BOBBIN_HELP)
      amount = Rational(match[1].tr(",", "."))
      # Tex is grams a kilometre.
      match[2].downcase == "m" ? Length.mm(amount * 1000) : Length.mm(amount * 1_000_000 / thread.tex.to_r)
    end

    def self.full(thread) = FULL * (FULL_TEX / thread.tex.to_r)
  end
end
