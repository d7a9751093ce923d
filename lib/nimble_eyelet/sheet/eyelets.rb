# frozen_string_literal: true

# Eyelets plans the small closure on the underlap that buttons on pins need: an eyelet at every button's place, for its
# shank.
#
#   Eyelets.plan(sheet).name   # => "front: eyelets"

require_relative "../length/length"
require_relative "../placket/run"
require_relative "../swatch/sewn_with"

module NimbleEyelet
  module Eyelets
    # The loop of a usual shank, as a cord that runs through, where nobody measured it.
    SHANK_LOOP = Length.mm(3)

    # @param sheet [Sheet] of a closure with buttons, whose holes fit
    # @return [Plan] in the same cloth, on the same machine; nothing of it is settled
    def self.plan(sheet)
      sheet.plan.changed("closure.name" => "#{sheet.plan.name}: eyelets", **thing(sheet.plan.button), **dials, **places(sheet.layout.holes.map(&:button)))
           .with(accepted: nil, settled: {})
    end

    def self.thing(button)
      loop = button.shank_width || SHANK_LOOP
      { "button.shape" => "cord", "button.name" => "", "button.diameter" => loop, "button.thickness" => loop,
        "button.width" => nil, "button.outline" => nil, "button.tip" => nil, "button.shank" => nil,
        "button.shank_width" => nil,
        "opening.correction" => nil, "opening.ease" => nil }
    end

    # What was set by hand was set for holes.
    def self.dials
      { **Swatches::SewnWith.set_by_hand.to_h { |path| [path, nil] }, "recipe.style" => "eyelet" }
    end

    def self.places(at)
      pins = at[1...-1].to_a.each_with_index.map { |place, index| Placket::Pin.new(id: "eyelet#{index + 2}", at: place, holds: "hole") }
      { "placket.first" => at.first, "placket.last" => at.last, "placket.count" => at.size, "placket.count_most" => nil,
        "placket.wished_gap" => nil, "placket.least_gap" => nil, "placket.most_gap" => nil, "placket.pattern" => "even",
        "placket.first_lies" => "as_rest", "placket.pins" => pins }
    end
    private_class_method :thing, :dials, :places
  end
end
