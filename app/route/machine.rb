# frozen_string_literal: true

# machine: the profile of a sewing machine and its feet, as typed and as kept.

require_relative "../form/machine_form"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/machines"
require_relative "../view/machine"

module NimbleEyelet
  module Route
    module MachineRoutes
      def self.registered(app)
        app.helpers Helpers
        app.get("/api/machines/:id") { show_machine(machines.find(number(params["id"]))) }
        app.post("/api/machines") { show_machine(machines.add(Form::MachineForm.new(workroom.unit).read(body_hash)), status: 201) }
        app.put("/api/machines/:id") do
          typed = Form::MachineForm.new(workroom.unit).read(body_hash)
          show_machine(machines.change(number(params["id"]), typed, revision: seen))
        rescue Store::Stale
          halt Problem.new(412, "This machine was changed in another place meanwhile. Look again.").render
        end
        app.delete("/api/machines/:id") do
          machines.remove(number(params["id"]))
          halt 204
        end
      end

      module Helpers
        def machines = @machines ||= Store::Machines.new(db, workroom.id)

        def show_machine(kept, status: 200)
          etag_of(kept)
          json(View::MachineView.of(kept, say), status: status)
        end
      end
    end
  end
end
