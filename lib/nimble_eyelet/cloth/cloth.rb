# frozen_string_literal: true

# Cloth is the cloth under the needle: its kind, its weight and thickness, how far it stretches,
# and how many layers lie at the hole.
#
#   cloth = Cloth.new(kind: "light_woven", thickness: Length.mm(0.25), layers: 2, interfacing: Length.mm(0.2),
#                     weight: 110, stretch: 0)
#   cloth.stack   # 0.7 mm

require_relative "../answer/refusal"
require_relative "../typing/limit"
require_relative "../value"
require_relative "cloth_kind"

module NimbleEyelet
  # weight - Integer g/m²; stretch - Integer percent; layers - Integer of cloth at the hole
  # seams - Integer, further layers of seams and facings at the hole
  # frays, iron, washed - "yes", "no", or nil to go by the kind
  class Cloth < Value.of(:kind, :weight, :thickness, :layers, :interfacing, :stretch,
                         name: "", seams: 0, frays: nil, iron: nil, washed: nil)
    LIMITS = {
      weight: Typing::Limit.whole(10..1500), thickness: Typing::Limit.length(0, 15, open: true), layers: Typing::Limit.whole(1..12),
      interfacing: Typing::Limit.length(0, 5), stretch: Typing::Limit.whole(0..200), seams: Typing::Limit.whole(0..12)
    }.freeze
    # Answers to what a person may know better than the kind.
    ANSWERS = { "yes" => "yes", "no" => "no" }.freeze
    # Share of the cloth's stretch that a slit takes part in.
    STRETCH_SHARE = 3r / 10

    # @return [ClothKind]
    def type = CLOTH_KINDS.fetch(kind)

    # @return [Length] thickness of all layers and the interfacing at the hole
    def stack = (thickness * (layers + seams)) + interfacing

    def frays? = said(frays, type.fray)
    def iron? = said(iron, type.heat)
    def washed? = said(washed, type.washed)

    # @return [String] what a square behind a button is cut from
    def behind_a_button = iron? ? "fabric or fusible" : "fabric"

    # @return [String] what to mark it with: no ink where it may not be rinsed
    def marking = inked? ? type.marking : CHALK
    # @return [String] how the marks come out
    def unmark = inked? ? type.unmark : CHALK_OUT

    # From the top down.
    # @return [Array<Array(String, Length)>] what each layer is, and its thickness
    def build
      found = ([["cloth", thickness]] * layers) + ([["seam layer", thickness]] * seams)
      interfacing.zero? ? found : found.insert(1, ["interfacing", interfacing])
    end

    # What the cloth's own fold takes from the opening: half the stack.
    # @return [Length]
    def fold = stack / 2

    # How much further the opening reaches when the cloth gives: 1 + 0.3 × stretch × what a stay leaves of it.
    # @param held [Rational] 1 unstayed, 0 where nothing is left
    # @return [Rational]
    def give(held = 1r) = 1 + (STRETCH_SHARE * stretch * held / 100)

    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        Typing::Limit.check_all(check, "cloth", self, LIMITS)
      end
      self
    end

    private

    def inked? = washed? || !type.ink

    def said(answer, usual) = answer.nil? || answer.empty? ? usual : answer == "yes"
  end
end
