# frozen_string_literal: true

module NimbleEyelet
  module Support
    # One closure as it lies on the table: what its plan wants, and what was really done to it.
    class Piece
      attr_reader :key, :sewn, :cut, :buttons, :done
      attr_accessor :sheet, :sealed, :by_hand

      # @param sheet [Sheet]
      def initialize(sheet)
        @sheet = sheet
        # A copy of it is the same piece.
        @key = object_id
        @done = Hash.new(0)
        @sewn = Hash.new { |all, place| all[place] = [] }
        @cut = {}
        @buttons = Hash.new { |all, place| all[place] = [] }
      end

      def initialize_copy(other)
        super
        @done = @done.dup
        @cut = @cut.dup
        @sewn = @sewn.dup.tap { |all| all.transform_values!(&:dup) }
        @buttons = @buttons.dup.tap { |all| all.transform_values!(&:dup) }
      end

      # A hole that is unpicked or closed up is there no more; one that lies elsewhere is there.
      def undone(place, elsewhere = nil)
        @done[:wrong] += 1
        was = [@sewn.delete(place), @cut.delete(place)]
        @sewn[elsewhere], @cut[elsewhere] = was if elsewhere
      end

      # What of the work is known by where it was done, and what by that it was done, by the names that steps have for
      # it.
      NOTED = { stayed: "stayed", corded: "corded", tails: "tailed", torn: "torn", trimmed: "trimmed", rinsed: "rinsed",
                unmarked: "unmarked", secured: "secured", wound: "wound" }.freeze

      # @return [Hash{String => Array<String>}] kind of what stays to the places where it does, none where they were not
      #   looked at
      def left
        { "stitched" => @sewn.keys, "slit" => @cut.keys, **NOTED.slice(*@done.keys).values.to_h { |kind| [kind, []] },
          **(@sealed ? { "sealed" => [] } : {}), **(@done.key?(:marked) || @done.key?(:buttons_marked) ? { "marked" => [] } : {}),
          **(@done.key?(:punched) ? { "punched" => [] } : {}), **(@buttons.any? ? { "buttoned" => [] } : {}) }
          .reject { |kind, places| places.empty? && %w[stitched slit].include?(kind) }
      end

      def plan = @sheet.plan
      def recipe = @sheet.recipe
      def stay = recipe.stay
      def straight? = recipe.stitched == :straight
      def style = recipe.style.value

      def automatic?
        plan.machine.type.programmed && !plan.machine.type.partwise && !style.by_hand && !straight? && !style.round?
      end

      # @return [String] as a spool is asked for in a shop
      def thread
        number = (600.0 / plan.thread.tex).round * 5
        sorts = { 5..22 => "fine", 23..32 => "all-purpose", 33..45 => "strong" }
        sort = sorts.find { |some, _| some.cover?(plan.thread.tex) }&.last || "topstitching"
        own = [plan.thread.name.empty? ? sort : plan.thread.name, plan.thread.fibre]
        own.pop if own.first.downcase.include?(own.last)
        "#{own.join(' ')}, number #{number}"
      end

      # What every hole is to be sewn with, from the recipe alone.
      # @return [Hash{String => String, nil}]
      def wanted
        { "needle" => recipe.needle.value.to_s, "top_thread" => thread, "bobbin_thread" => thread, "foot" => foot,
          "tension" => (tension if recipe.tension.value != plan.machine.neutral_tension), "selector" => programme, **dials, **clamped,
          "memory" => stored, "feed_dogs" => nil, "cover_plate" => nil }
      end

      # What every button is to be sewn on with.
      def buttoned
        width = plan.machine.width_mark(@sheet.attaching.width)
        { **wanted.slice("needle", "top_thread", "bobbin_thread"),
          "foot" => ("button foot" if plan.machine.foot("button_foot")),
          "width" => width, "selector" => "zigzag", "tension" => nil, "button_in_foot" => nil }
      end

      private

      def tension = Wording.decimal(recipe.tension.value.to_r, 2)
      def foot = recipe.foot.value.type.neutral ? nil : recipe.foot.value.name

      def programme
        return if straight?
        return "zigzag" if style.by_hand || style.round?

        style.opens ? "the buttonhole: #{style.name}" : "the bar tack"
      end

      # By hand they are turned within the hole.
      def dials
        return {} if by_hand
        return { "length" => plan.machine.length_mark(recipe.stitch_length.value) } if straight?

        { "width" => plan.machine.width_mark(recipe.stitch_width.value),
          "length" => plan.machine.length_mark(recipe.stitch_length.value) }
      end

      def clamped
        setting = @sheet.setting
        return { "button_in_foot" => nil } unless setting.by.key == "clamp"

        { "button_in_foot" => setting.figure.to_s, "foot_opened" => (setting.opened.to_s unless setting.opened.zero?) }
      end

      def stored
        @sheet.setting.figure.to_s if plan.machine.type.stores && %w[key press].include?(@sheet.setting.by.key)
      end
    end
  end
end
