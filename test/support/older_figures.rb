# frozen_string_literal: true

module NimbleEyelet
  module Support
    # Figures as the first versions kept them: by what they were called then.
    module OlderFigures
      # @param figures [Hash{String => Object}]
      # @return [Hash{String => Object}]
      def self.of(figures)
        kept = figures.to_h { |path, value| [path, OlderWords::KEYS.fetch(path, {}).key(value) || value] }
        kept = kept.merge("recipe.needle" => Needle.called(kept["recipe.needle"])) if kept["recipe.needle"]
        return kept unless kept.keys == %w[thread.tex thread.fibre]

        { "thread.tex" => "tex #{kept['thread.tex']} #{kept['thread.fibre']}" }
      end
    end
  end
end
