# frozen_string_literal: true

require_relative "../core_helper"

# Every limit holds exactly where it says, in every unit; and what is written can be read again.
class BoundsTest < CoreTest
  NOUNS = Plan::SECTIONS.merge("foot" => Foot, "machine" => Machine).freeze

  # Where each limited length goes.
  PLACES = {
    "button.diameter" => ->(test, at) { test.button(diameter: at, thickness: [at, Length.mm(3)].min, attachment: "shank") },
    **%w[thickness interfacing].to_h { |name| ["cloth.#{name}", ->(test, at) { test.cloth(name.to_sym => at) }] },
    **%w[allowance correction wrapped ease].to_h do |name|
      ["opening.#{name}", lambda { |test, at|
        test.wish(name.to_sym => at)
      }]
    end,
    **%w[wished_gap least_gap most_gap inner_gap offset extension]
           .to_h { |name| ["placket.#{name}", ->(test, at) { test.run_of(name.to_sym => at) }] },
    "placket.run_length" => ->(test, at) { test.run_of(run_length: at) },
    **%w[stitch_width stitch_length].to_h do |name|
      ["recipe.#{name}", lambda { |_, at|
        Recipes::Overrides.new(name.to_sym => at)
      }]
    end,
    **%w[allowance click scale_pitch]
           .to_h { |name| ["foot.#{name}", ->(_, at) { Foot.new(kind: "carriage_foot", name.to_sym => at) }] },
    "machine.length_step" => ->(test, at) { test.machine(length_step: at) }
  }.freeze
  HAIR = Length.mm(1r / 1000)

  def test_each_limit_holds_to_a_hair
    PLACES.each do |field, place|
      limit = limit_of(field)
      inside = [limit.open ? limit.least + HAIR : limit.least, limit.most]
      outside = [limit.open ? limit.least : limit.least - HAIR, limit.most + HAIR]

      inside.each { |at| assert place.call(self, at).validate, "#{field} #{at}" }
      outside.each { |at| assert_includes refused { place.call(self, at).validate }.keys, field, "#{field} #{at}" }
    end
  end

  def test_every_refusal_says_what_is_allowed_in_the_persons_unit
    PLACES.each do |field, place|
      said = assert_raises(Refusal) do
        place.call(self, limit_of(field).most + mm(1)).validate
      end.faults.first.allowed

      assert_match(/ mm/, Sentence.in(said, :mm), field)
      assert_match(/ in/, Sentence.in(said, :in), field)
    end
  end

  def test_what_is_written_in_a_unit_is_read_back_as_the_same_place
    500.times do
      sixty_fourths = Length.inches(random.rand(1..4000)/64r)
      hundredths = mm(random.rand(1..30_000)/100r)

      assert_equal sixty_fourths, reread(sixty_fourths, :in)
      assert_equal hundredths, reread(hundredths, :mm)
      assert_equal hundredths, reread(hundredths, :cm)
    end
  end

  def test_inches_are_proper_reduced_fractions
    300.times do
      text = Wording.of(Length.inches(random.rand(1..2000)/16r), :in)
      top, bottom = text.scan(%r{(\d+)/(\d+)}).flatten.map(&:to_i)
      next unless top

      assert_operator top, :<, bottom, text
      assert_equal 1, top.gcd(bottom), text
      assert_includes [2, 4, 8, 16], bottom
    end
  end

  private

  def limit_of(field) = field.split(".").then { |section, name| NOUNS.fetch(section)::LIMITS.fetch(name.to_sym) }

  def reread(length, unit) = Typing::Notation.read(Wording.of(length, unit), unit: unit, field: "field")
end
