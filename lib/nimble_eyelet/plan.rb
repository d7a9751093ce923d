# frozen_string_literal: true

# Plan is everything a person has said about one closure: the button, the cloth, the thread, the
# machine, how holes are sized and where they go, what was overruled, what the test holes showed,
# which steps are done and which stages are settled.
#
#   sheet = NimbleEyelet::Sheet.of(plan)

require_relative "button"
require_relative "recipe"
require_relative "opening"
require_relative "placket"
require_relative "swatch"
require_relative "attach"
require_relative "sewing"

module NimbleEyelet
  # opening - Opening::Wish; run - Placket::Run; overrides - Recipes::Overrides; attach - Attach::Wish
  # swatches - Array<Swatches::Swatch>; steps_done - Array<String>; knots - Hash of stage word to fingerprint
  # stabilisers - Array<String>, keys of Recipes::STABILISER_KINDS that lie in the drawer
  Plan = Value.define(:name, :button, :cloth, :thread, :machine, :opening, :run, :overrides, :attach,
                      :swatches, :steps_done, :knots, :stabilisers, swatches: [], steps_done: [], knots: {},
                                                                    stabilisers: Recipes::STABILISER_KINDS.keys) do
    # Checks every part by itself, and gathers the faults of all.
    #
    # @return [self]
    # @raise [Refused]
    def sound!
      Refused.unless_sound do |check|
        [button, cloth, thread, opening, run, overrides, attach, *swatches].each { |part| check.gather { part.sound! } }
      end
      self
    end
  end
end
