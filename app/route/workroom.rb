# frozen_string_literal: true

# The workroom: its unit, its shelves, and what can be chosen from.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../problem"
require_relative "../store/closures"
require_relative "../store/errors"
require_relative "../view/catalogue"
require_relative "../view/workroom"

module NimbleEyelet
  module Route
    module WorkroomRoutes
      module Helpers
        # @param thing [#revision]
        def etag_of(thing) = response["etag"] = "\"#{thing.revision}\""
      end

      def self.registered(app)
        app.helpers Helpers
        app.get("/api/catalogue") { json(View::Catalogue.of(say)) }

        app.get("/api/workroom") do
          etag_of(workroom)
          json(View::WorkroomView.of(workroom))
        end

        app.patch("/api/workroom") do
          changed = workroom.change(unit: body_hash["unit"], habits: body_hash.fetch("habits", {}),
                                    stabilisers: body_hash["stabilisers"], revision: seen)
          etag_of(changed)
          json(View::WorkroomView.of(changed))
        rescue Store::Stale
          halt Problem.new(412, "The workroom was changed in another place. Look again.").render
        end

        app.post("/api/buttons") do
          closure = Store::Closures.new(db, workroom.id).find(body_hash.fetch("closure_id"))
          name = Field.clean(body_hash.fetch("name"))
          raise Refusal.field("button.name", name, "A button on the shelf needs a name.") if name.empty?

          workroom.stash.measure(closure.plan.button.with(name: Field.fetch("button.name").read(name, unit: :mm)).validate)
          json(View::WorkroomView.of(workroom))
        end
      end
    end
  end
end
