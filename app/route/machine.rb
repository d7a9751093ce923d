# frozen_string_literal: true

# machine: the profile of a sewing machine and its feet, as typed and as kept.

require_relative "../form/machine_form"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../view/learned"
require_relative "../view/machine"

module NimbleEyelet
  module Route
    module MachineRoutes
      def self.registered(app)
        app.helpers Helpers
        app.get("/api/workrooms/:slug/machines/:id") { show_machine(machines.find(number(params["id"]))) }
        app.post("/api/workrooms/:slug/machines") { show_machine(machines.add(Form::MachineForm.new(workroom.unit).read(body_hash)), status: 201) }
        app.put("/api/workrooms/:slug/machines/:id") do
          typed = Form::MachineForm.new(workroom.unit).read(body_hash)
          show_machine(machines.change(number(params["id"]), typed, revision: revision_seen))
        rescue Store::Stale
          halt Problem.new(412, "This machine was changed in another place meanwhile. Look again.").render
        end
        app.get("/api/workrooms/:slug/machines/:id/learned") { json(View::LearnedView.of(*taught(params["id"]), present)) }
        # What was learned before is kept, but no longer goes by; or goes by once more.
        app.put("/api/workrooms/:slug/machines/:id/learned") do
          machines.learn_from(number(params["id"]), body_hash["forget"] ? settings.now : nil)
          json(View::LearnedView.of(*taught(params["id"]), present))
        end
        app.delete("/api/workrooms/:slug/machines/:id") do
          machines.remove(number(params["id"]), revision: revision_seen)
          halt 204
        rescue Store::Stale
          halt Problem.new(412, "This machine was changed in another place meanwhile. Look again.").render
        end
      end

      module Helpers
        def taught(id) = [machines.taught(number(id)), machines.find(number(id)).machine]

        def show_machine(record, status: 200)
          etag_of(record.revision)
          json(View::MachineView.of(record, present), status: status)
        end
      end
    end
  end
end
