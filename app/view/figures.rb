# frozen_string_literal: true

# Figures are what steps and answers keep, by path: what each is called, and how it is written. Figures of a
# dial stay in the machine's own millimetres.
#
#   View::Figures.label("mark.3")   # => "mark 3 at"

require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"

module NimbleEyelet
  module View
    module Figures
      # What is no field: it is worked out, and told.
      LABELS = {
        "hole.at" => "the hole at", "hole.button" => "the button at", "hole.start" => "the start mark at",
        "hole.start_edge" => "the start from the edge", "hole.from_edge" => "its slit from the edge",
        "hole.lies" => "the way it lies", "opening.length" => "cut length", "opening.overall" => "overall length",
        "opening.wanted" => "the opening wanted", "opening.verdict" => "the verdict", "setting.figure" => "the setting",
        "setting.opened" => "opened further by", "setting.wanted" => "the length aimed at",
        "setting.stops" => "between the stops", "recipe.needle" => "the needle", "recipe.tension_move" => "the tension",
        "recipe.cord" => "the cord", "setting.hands" => "what is set", "machine.id" => "the machine",
        "stay.width" => "width of the strip", "cord.length" => "length of the cord", "cord.strands" => "strands of the cord",
        "cord.strand" => "each strand", "cord.thickness" => "thickness of the cord",
        "mark.edge" => "from the finished edge", "attach.diagonal" => "the width for the diagonal",
        "attach.shank" => "the thread shank", "attach.spacer" => "height of the spacer", "attach.hand_thread" => "thread for a button",
        "attach.by" => "sewn on by", "attach.clearance" => "the needle's room", "button.half_perimeter" => "half the way round",
        "machine.name" => "the machine", "machine.feet" => "its feet", "machine.styles" => "its programmes"
      }.freeze
      # Of one hole each.
      NUMBERED = { "mark" => "mark %d at", "button" => "button %d at", "start" => "start %d at",
                   "hole.start" => "start mark (%s end) at",
                   "hole.start_edge" => "start (%s end) from the edge" }.freeze
      DIALS = %w[recipe.stitch_width recipe.stitch_length attach.width].freeze
      # Kept to with scissors.
      CUT_OFF = %w[stay.width cord.length cord.strand attach.hand_thread].freeze
      NOTHING = "—"

      # @param path [String]
      # @return [String, nil]
      def self.label(path)
        ClosureFields::BY_PATH[path]&.label || LABELS[path] || numbered(path)
      end

      def self.numbered(path)
        head, words = NUMBERED.find { |one, _| path.start_with?("#{one}.") }
        head && format(words.sub("%d", "%s"), path.delete_prefix("#{head}."))
      end
      private_class_method :numbered

      # @param change [PlanChange]
      # @return [String] "stitch length: 0.4 mm → 0.35 mm"
      def self.change(change, present)
        name = label(change.path) || change.path.tr("._", " ")
        "#{name}: #{shown(change.path, change.from, present)} → #{shown(change.path, change.to, present)}"
      end

      # Of what a person does not choose, but is told.
      TOLD = { "recipe.tension_move" => Field.names(Recipes::TENSION_MOVES), "opening.verdict" => Opening::VERDICTS,
               "hole.lies" => ClosureFields::BY_PATH["placket.orientation"].choices }.freeze

      # What is called by what it is made of.
      CALLED = { "recipe.needle" => ->(key) { Needle.called(key) }, "thread.tex" => ->(key) { "tex #{key}" } }.freeze

      # @return [String, Sentence, nil] what a key is called, as in the list it was chosen from
      def self.named(path, key)
        return unless key.is_a?(String)
        return CALLED[path].call(key) if CALLED.key?(path)

        (ClosureFields::BY_PATH[path]&.choices || TOLD[path])&.fetch(key, nil)
      end

      # @param value [Length, String, nil]
      # @return [String]
      def self.shown(path, value, present)
        return NOTHING if value.nil? || value == ""
        return present.dial(value)[:text] if value.is_a?(Length) && DIALS.include?(path)

        return present.words(Tool::SCISSORS.at(value)) if value.is_a?(Length) && CUT_OFF.include?(path)

        name = named(path, value)
        return present.words(name) if name

        present.words(value).tr("_", " ")
      end
    end
  end
end
