# frozen_string_literal: true

module NimbleEyelet
  module Store
    # A name that nothing else of its kind has.
    module FreeName
      # Of a name, characters that stay when a number follows.
      KEPT = 70

      # @param name [String]
      # @param taken [Array<String>]
      # @return [String] as it is, or with a number behind it
      def self.of(name, taken)
        [name, *(2..(taken.size + 2)).map { |number| "#{name[0, KEPT]} (#{number})" }].find { |one| !taken.include?(one) }
      end
    end
  end
end
