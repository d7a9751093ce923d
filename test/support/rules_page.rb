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
          for and against, the style with the most points that the machine can sew is taken, and what spoke is shown. From
          #{Recipes::STRONG} points on a rule speaks strongly; two strong rules that disagree about the style taken are shown as a conflict.

          ## Which style

          | rule | when | says | points |
          | --- | --- | --- | --- |
          #{Recipes::STYLE_RULES.map { |rule| style_row(rule) }.join("\n")}

          ## The styles

          | style | for | near end | far end |
          | --- | --- | --- | --- |
          #{STYLES.values.map { |style| "| #{style.name} | #{style.for_what} | #{ending(style.near)} | #{ending(style.far)} |" }.join("\n")}

          ## Which foot

          The first that the machine's owner has and that fits.

          | foot | why |
          | --- | --- |
          #{Recipes::FOOT_RULES.map { |rule| "| #{FOOT_KINDS.fetch(rule.gives).name} | #{rule.says} |" }.join("\n")}

          ## Needle and stabiliser by cloth

          | cloth | needle | why | stabiliser, the best first |
          | --- | --- | --- | --- |
          #{CLOTH_KINDS.values.map { |kind| cloth_row(kind) }.join("\n")}

          From tex #{Recipes::THICK_TEX} on, the needle is at least #{Recipes::THICK_THREAD_NEEDLE}.

          ## Figures

          | what | figure |
          | --- | --- |
          #{figures.map { |what, figure| "| #{what} | #{figure} |" }.join("\n")}
        PAGE
      end

      def self.style_row(rule)
        points = rule.votes.group_by(&:last).sort_by { |given, _| -given }.map do |given, styles|
          "#{'+' if given.positive?}#{given} #{styles.map { |key, _| Style.fetch(key).name }.join('; ')}"
        end
        "| #{rule.name} | #{rule.asks} | #{rule.says} | #{points.join('<br>')} |"
      end

      def self.ending(finish) = END_NAMES.fetch(finish)

      def self.cloth_row(kind)
        needle, needle_why = Recipes::NEEDLES.fetch(kind.key)
        stabilisers = STABILISERS.fetch(kind.key).map { |stabiliser| "#{stabiliser.says}: #{stabiliser.why}" }
        "| #{kind.name} | #{needle} | #{needle_why} | #{stabilisers.join('<br>')} |"
      end

      def self.figures
        { "bead, light to heavy cloth" => Recipes::BEAD.join(" to "),
          "space to cut in, thin to thick cloth" => Recipes::SPACE.join(" to "),
          "bar tack" => TACK, "coverage index wanted" => "#{SewingThread::COVERAGE_AIM} (#{SewingThread::COVERAGE_LEAST} to #{SewingThread::COVERAGE_MOST})",
          "coverage of an open zigzag" => Recipes::OPEN_AIM, "top tension below the usual" => Recipes::TENSION_DROP.to_i,
          "bead by hand, share of the tack's width" => Recipes::MANUAL_BEAD.to_f, "cord" => Cord::THICKNESS,
          "thread wasted on top of what is sewn in" => "#{(Stitches::WASTE * 100).to_i} %" }
      end
      private_class_method :style_row, :ending, :cloth_row, :figures
    end
  end
end
