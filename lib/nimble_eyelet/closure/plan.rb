# frozen_string_literal: true

# Plan is everything a person has said about one closure: the button, the cloth, the thread, the
# machine, how holes are sized and where they go, what was overruled, what the test holes showed,
# which steps are done and which stages are settled.
#
#   sheet = NimbleEyelet::Sheet.of(plan)

require_relative "../answer/refusal"
require_relative "../cloth/stabiliser"
require_relative "../value"

module NimbleEyelet
  # opening - Opening::Sizing; run - Placket::Run; overrides - Recipes::Overrides; attach - Attach::ButtonSewing
  # swatches - Array<Swatches::Swatch>; steps_done - Array<String>; knots - Hash of stage word to fingerprint
  # stabilisers - Array<String>, keys of STABILISER_KINDS that lie in the drawer
  class Plan < Value.of(:name, :button, :cloth, :thread, :machine, :opening, :run, :overrides, :attach, :swatches,
                        :steps_done, :knots, :stabilisers, swatches: [], steps_done: [], knots: {},
                        stabilisers: STABILISER_KINDS.keys)
    # Checks every part by itself, and gathers the faults of all.
    #
    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        [button, cloth, thread, opening, run, overrides, attach, *swatches].each { |part| check.gather { part.validate } }
      end
      self
    end
  end
end
