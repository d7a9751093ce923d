# frozen_string_literal: true

# LinearDensity reads how thick a thread is in any of the ways spools say it, and writes it in all.
#
#   LinearDensity.read("Nm 40")     # 25 tex
#   LinearDensity.read("No. 120")   # 25 tex
#   LinearDensity.in_all(27r)       # { "tex" => 27, "dtex" => 270, "den" => 243, … }

require_relative "../answer/refusal"

module NimbleEyelet
  module LinearDensity
    # System to tex: by a factor, or a length per weight that is divided by. Source: textbook; Ne is 840
    # yards a pound, a ticket is a thousand metres of three-ply a gram.
    FACTORS = { "tex" => 1r, "dtex" => 1r / 10, "den" => 1r / 9 }.freeze
    INVERSE = { "nm" => 1000r, "ne" => 590_541r / 1000, "no" => 3000r }.freeze

    DENSITY_FORM = %r{\A\s*(?<before>tex|dtex|denier|den|nm|ne|no\.?|ticket)?
              \s*(?<number>\d{1,4}(?:[.,]\d{1,3})?)(?:\s*/\s*(?<plies>\d))?
              \s*(?<after>tex|dtex|denier|den|nm|ne|no\.?|ticket)?\s*\z}xi
    SAME = { "denier" => "den", "no." => "no", "ticket" => "no" }.freeze
    DENSITY_HELP = "Write a figure in tex, or with its system: 270 dtex, 240 den, Nm 80/2, Ne 40/2, No. 120."

    # @param text [String] a bare number is tex; Nm and Ne may name plies, as in 80/2
    # @return [Rational] tex
    # @raise [Refusal]
    def self.read(text, field: "thread.tex")
      match = DENSITY_FORM.match(text.to_s)
      raise Refusal.field(field, text, DENSITY_HELP) unless match && !(match[:before] && match[:after])

      number = Rational(match[:number].tr(",", "."))
      system = system(match)
      raise Refusal.field(field, text, DENSITY_HELP) if number.zero? || (match[:plies] && !%w[nm ne].include?(system))

      in_tex(number, system, (match[:plies] || 1).to_i).round(4)
    end

    def self.system(match) = (match[:before] || match[:after] || "tex").downcase.then { |word| SAME.fetch(word, word) }

    def self.in_tex(number, system, plies)
      FACTORS[system] ? number * FACTORS[system] : INVERSE.fetch(system) / number * plies
    end
    private_class_method :system, :in_tex

    # @param tex [Rational]
    # @return [Hash{String => Rational}] by system, rounded as spools are
    def self.in_all(tex)
      { "dtex" => tex * 10, "den" => tex * 9, "Nm" => 1000 / tex, "Ne" => INVERSE.fetch("ne") / tex,
        "No." => 3000 / tex }
        .transform_values(&:round)
    end
  end
end
