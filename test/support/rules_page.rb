# frozen_string_literal: true

# RulesPage writes the rules of the recipe as a page for somebody who sews.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Support
    module RulesPage
      # @return [String] Markdown
      def self.text
        <<~PAGE
          # The rules of the recipe

          Written by `bin/rules` from `lib/nimble_eyelet/recipe/`; change them there. No rule decides alone: each gives points
          for and against, what has the most points and can be had is taken, and what spoke is shown. From
          #{Recipes::STRONG} points on a rule speaks strongly; two strong rules that disagree about the style taken are shown as a conflict.

          ## Which style

          #{table(Recipes::STYLE_RULES, STYLES)}

          ## The styles

          | style | for | near end | far end |
          | --- | --- | --- | --- |
          #{STYLES.values.map { |style| "| #{style.name} | #{style.for_what} | #{ending(style.near)} | #{ending(style.far)} |" }.join("\n")}

          ## Which foot

          #{table(Recipes::FOOT_RULES, FOOT_KINDS)}

          ## Which needle

          #{table(Recipes::NEEDLE_RULES, Recipes::POINTS)}

          Its size by the weight of the cloth: #{Recipes::SIZES_BY_WEIGHT.map { |weight, size| "from #{weight} g/m² #{size}" }.join(', ')}; within what
          the thread goes through: #{Recipes::SIZES_BY_TEX.map { |tex, sizes| "#{tex.is_a?(Integer) ? "to tex #{tex}" : 'beyond'} #{sizes.min} to #{sizes.max}" }.join(', ')}.

          ## What is laid under

          #{table(Recipes::STABILISER_RULES, STABILISERS.transform_values { |item| item.with(says: item.says.split(',').first) })}

          What goes on with an iron is not had for cloth that takes none, what comes out in the wash not for cloth that is not washed.

          ## How the top thread is made to roll to the back

          #{table(Recipes::TENSION_RULES, Recipes::TENSION_MOVES)}

          ## Figures

          | what | figure |
          | --- | --- |
          #{figures.map { |what, figure| "| #{what} | #{figure} |" }.join("\n")}
        PAGE
      end

      def self.table(rules, options)
        rows = rules.map do |rule|
          points = rule.votes.group_by(&:last).sort_by { |given, _| -given }.map do |given, keys|
            "#{'+' if given.positive?}#{given} #{keys.map { |key, _| called(options.fetch(key)) }.join('; ')}"
          end
          "| #{rule.name} | #{rule.asks} | #{rule.says} | #{points.join('<br>')} |"
        end
        ["| rule | when | says | points |", "| --- | --- | --- | --- |", *rows].join("\n")
      end

      def self.called(option) = option.respond_to?(:name) ? option.name : option.says

      def self.ending(finish) = END_NAMES.fetch(finish)

      def self.figures
        { "bead by the weight of the cloth" => Recipes::BEADS.map { |weight, bead| "#{bead} at #{weight} g/m²" }.join(", "),
          "space to cut in, thin to thick cloth" => Recipes::SPACE.join(" to "),
          "bar tack" => TACK, "coverage index wanted" => "#{SewingThread::COVERAGE_AIM} (#{SewingThread::COVERAGE_LEAST} to #{SewingThread::COVERAGE_MOST})",
          "coverage of an open zigzag" => cover(Recipes::OPEN_COVER), "coverage over a cord" => cover(Recipes::CORDED_COVER),
            "top tension below the usual" => Recipes::TENSION_DROP.to_i,
          "bead by hand, share of the tack's width" => Recipes::MANUAL_BEAD.to_f, "cord" => Cord::THICKNESS,
          "thread wasted on top of what is sewn in" => "#{(Stitches::WASTE * 100).to_i} %" }
      end

      def self.cover(aim) = "#{aim.aim} (#{aim.least} to #{aim.most})"
      private_class_method :table, :called, :ending, :figures, :cover
    end
  end
end
