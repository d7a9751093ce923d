# frozen_string_literal: true

# caliper: a reading for the field somebody is in; and the jaws and keys of the stand-in.

require_relative "../../lib/nimble_eyelet"
require_relative "../device/gauge"
require_relative "../store/errors"

module NimbleEyelet
  module Route
    module CaliperRoutes
      def self.registered(app)
        app.helpers Helpers
        app.error(Device::Gauge::Silent) { |e| problem 503, e.message }
        app.get("/api/workrooms/:slug/caliper") { json(caliper_state) }
        app.post("/api/workrooms/:slug/caliper/reading") do
          length, text = caliper.read
          json({ length: present.length(length), text: text })
        end
        app.put("/api/workrooms/:slug/caliper") do
          raise Store::Missing unless caliper.stand_in?

          move_caliper(body_hash)
          json(caliper_state)
        end
      end

      module Helpers
        JAWS = Typing::Limit.length(0, 150)

        # One that only behaves like a caliper belongs in the example, and where somebody switched it on: in any other
        # workroom it would write what nobody measured over what somebody did.
        def gauge = settings.caliper.then { |one| one unless one&.stand_in? && !practice_caliper? }

        def practice_caliper? = workroom.sample? || workroom.settings.fetch(:caliper) == "practice"

        def caliper = gauge || raise(Store::Missing)

        def caliper_state
          return { there: !gauge.nil?, stand_in: false } unless gauge&.stand_in?

          state = gauge.state
          { there: true, stand_in: true, jaws: present.length(state[:jaws]), zeroed: !state[:zero].zero?,
            unit: state[:unit] }
        end

        def move_caliper(asked)
          caliper.press(asked["key"]) if asked["key"]
          return unless asked["jaws"]

          length = Typing::Notation.read(asked["jaws"], unit: present.unit, field: "caliper.jaws")
          Refusal.unless_valid { |check| JAWS.check(check, "caliper.jaws", length) }
          caliper.open_jaws(length)
        end
      end
    end
  end
end
