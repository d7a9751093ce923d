# frozen_string_literal: true

# GlossaryPage writes the words of the craft as a page.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Support
    module GlossaryPage
      # @return [String] Markdown
      def self.text
        <<~PAGE
          # Words

          Written by `bin/rules` from `lib/nimble_eyelet/answer/term.rb`; change them there. In the application a word with a
          dotted line under it says the same.

          | word | also called | means |
          | --- | --- | --- |
          #{TERMS.values.sort_by(&:word).map { |term| "| #{term.word} | #{term.also.join(', ')} | #{term.means} |" }.join("\n")}
        PAGE
      end
    end
  end
end
