# frozen_string_literal: true

# Limits say which lengths and counts a field takes at all, so that a slip of the finger is
# caught where it was typed. They are wider than anything that is sewn.
#
#   Typing::Limits.check(check, "button.diameter", Length.mm(-3))   # notes a fault

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Typing
    module Limits
      # least and most in millimetres; open: the least itself is not allowed
      class Range < Value.of(:least, :most, :open, open: false)
        def hold?(length)
          (open ? length > least : length >= least) && length <= most
        end

        # @return [Sentence]
        def allowed
          Sentence["This takes a length of #{open ? 'more than' : 'at least'} %s and at most %s.", least, most]
        end
      end

      # @return [Range] lengths in mm
      def self.mm(least, most, open: false)
        Range.new(least: Length.mm(least), most: Length.mm(most), open: open)
      end

      LENGTHS = {
        "button.diameter" => mm(0, 150, open: true),
        "button.thickness" => mm(0, 150, open: true),
        "button.width" => mm(0, 150, open: true),
        "button.hole_spacing" => mm(0, 100, open: true),
        "button.hole_diameter" => mm(0, 20, open: true),
        "cloth.thickness" => mm(0, 15, open: true),
        "cloth.interfacing" => mm(0, 5),
        "opening.allowance" => mm(0, 20),
        "opening.correction" => mm(-20, 20),
        "opening.wrapped" => mm(0, 500, open: true),
        "opening.ease" => mm(0, 20),
        "foot.largest_button" => mm(0, 150, open: true),
        "foot.allowance" => mm(-5, 10),
        "foot.click" => mm(0.05, 3),
        "foot.scale_pitch" => mm(0.1, 25),
        "machine.max_width" => mm(0, 12),
        "machine.width_step" => mm(0.05, 2),
        "machine.length_step" => mm(0.01, 1),
        "caliper.jaws" => mm(0, 150),
        "plain.span" => mm(0, 3000, open: true),
        "plain.size" => mm(0, 200, open: true),
        "placket.run_length" => mm(0, 3000, open: true),
        "placket.first" => mm(0, 3000, open: true),
        "placket.last" => mm(0, 3000, open: true),
        "placket.wished_gap" => mm(5, 500),
        "placket.least_gap" => mm(5, 500),
        "placket.most_gap" => mm(5, 500),
        "placket.inner_gap" => mm(5, 500),
        "placket.offset" => mm(0, 300, open: true),
        "placket.extension" => mm(0, 200, open: true),
        "placket.pins" => mm(0, 3000),
        "placket.keep_outs" => mm(0, 3000),
        "recipe.stitch_width" => mm(0, 12, open: true),
        "recipe.stitch_length" => mm(0.1, 5),
        "attach.width" => mm(0, 12),
        "swatch.measured" => mm(0, 200, open: true)
      }.freeze

      # Notes a fault when the length is outside what its field takes.
      #
      # @param check [Refusal::Check]
      # @param field [String] a key of LENGTHS
      # @param length [Length]
      # @return [Boolean]
      def self.check(check, field, length)
        range = LENGTHS.fetch(field)
        check.expect(field, length, range.hold?(length), range.allowed)
      end
    end
  end
end
