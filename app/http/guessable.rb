# frozen_string_literal: true

# Guessable says which passwords are easy to guess: few different characters, a run of them, or what everybody tries, or
# knows of their owner.
#
#   Guessable.password?("sewing2026", ["ana@marsh.example"])   # => true

module NimbleEyelet
  module Http
    module Guessable
      # So many different characters are few, and so many beside a known word.
      FEW = 5
      # Of each character and the next so many are neighbours in a run such as 12345.
      RUN = 0.7
      # Shorter words stand in anything.
      SHORT = 3
      TRIED = %w[password passwort passwd letmein welcome qwerty qwertz asdfgh zxcvbn iloveyou admin login sunshine princess
                 dragon monkey football baseball superman batman trustno1 master shadow michael jordan secret hello charlie
                 freedom whatever computer internet summer winter spring autumn buttonhole buttonholes nimble eyelet
                 sewing].freeze

      # @param password [String]
      # @param known [Array<String>] name and email of its owner
      # @return [Boolean]
      def self.password?(password, known)
        plain = password.downcase
        plain.chars.uniq.size < FEW || run?(plain) || known?(plain, known)
      end

      def self.run?(plain)
        plain.chars.each_cons(2).count { |one, other| (other.ord - one.ord).abs <= 1 } > plain.size * RUN
      end

      def self.known?(plain, known)
        own = known.flat_map { |text| text.to_s.downcase.split(/[^[:alnum:]]+/) }
        words = [*own, *TRIED].select { |word| word.size > SHORT }
        words.any? && plain.gsub(Regexp.union(words), "").size < FEW
      end
      private_class_method :run?, :known?
    end
  end
end
