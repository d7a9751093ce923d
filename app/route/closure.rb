# frozen_string_literal: true

# The closures: shown with their sheet, changed as typed, undone and redone, tested, sewn.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../form/closure_form"
require_relative "../form/new_closure"
require_relative "../form/swatch_form"
require_relative "../problem"
require_relative "../store/closures"
require_relative "../store/errors"
require_relative "../store/machines"
require_relative "../view/closure"

module NimbleEyelet
  module Route
    module ClosureRoutes
      # A stage settles with the one before it where that follows by itself.
      ACCEPTING = %w[recipe swatch].freeze

      def self.registered(app)
        app.helpers Helpers
        reading(app)
        changing(app)
        moving(app)
        working(app)
      end

      def self.reading(app)
        app.get("/api/closures/:id") { show(closures.find(number(params["id"]))) }
        app.get("/api/closures/:id/history") do
          json(closures.history(number(params["id"])).map { |row| row.merge(made_at: row[:made_at].utc.iso8601) })
        end
      end

      def self.changing(app)
        app.post("/api/closures") { begin_closure }
        app.patch("/api/closures/:id") { change { |closure| apply(closure) } }
        # What a change would make of a closure: nothing is kept, so nothing has to be seen first.
        app.post("/api/closures/:id/preview") { preview(closures.find(number(params["id"]))) }
        app.delete("/api/closures/:id") do
          closures.remove(number(params["id"]))
          halt 204
        end
      end

      def self.moving(app)
        %i[undo redo].each do |way|
          app.post("/api/closures/:id/#{way}") { stale_aware { show(closures.send(way, number(params["id"]), revision: seen)) } }
        end
        app.post("/api/closures/:id/history/:number") do
          change { |closure| closures.document_at(closure.id, number(params["number"])) }
        end
      end

      def self.working(app)
        app.post("/api/closures/:id/swatches") { change { |closure| log_swatch(closure) } }
        app.post("/api/closures/:id/swatches/:number/accept") { change { |closure| accept(closure, number(params["number"])) } }
        app.put("/api/closures/:id/knots/:stage") { change { |closure| tied(closure, [params["stage"]]) } }
        app.delete("/api/closures/:id/knots/:stage") do
          change { |closure| closure.document.with(knots: closure.document.knots.except(params["stage"])) }
        end
        app.put("/api/closures/:id/steps/:key") { change { |closure| steps(closure, closure.document.steps_done | [params["key"]]) } }
        app.delete("/api/closures/:id/steps/:key") do
          change { |closure| steps(closure, closure.document.steps_done - [params["key"]]) }
        end
      end
      private_class_method :reading, :changing, :moving, :working

      # What the routes share.
      module Helpers
        def closures = @closures ||= Store::Closures.new(db, workroom.id)

        def show(closure, status: 200, sheet: Sheet.of(closure.plan))
          etag_of(closure)
          json(View::ClosureView.of(closure, say, sheet: sheet), status: status)
        end

        def preview(closure)
          document, sheet = planned(closure)
          json(View::ClosureView.of(closure.with(document: document), say, sheet: sheet, before: Sheet.of(closure.plan)))
        end

        # The one way to save over HTTP.
        def change(&block)
          stale_aware { show(closures.change(number(params["id"]), revision: seen, &block)) }
        end

        def stale_aware
          yield
        rescue Store::Stale => e
          halt Problem.new(412, "This closure was changed in another place meanwhile.", current: View::ClosureView.of(e.current, say)).render
        end

        # What was typed, checked room by room. Holes that do not fit are refused when the run
        # itself was touched; when something else made them not fit, the sheet says so.
        def apply(closure)
          document, sheet = planned(closure)
          touched = sheet.faults.select { |fault| body_hash.key?(fault.room) }
          raise Refusal, touched unless touched.empty?

          document
        end

        # @return [Array(Store::Document, Sheet)] the closure as it would be with what was typed
        # @raise [Refusal]
        def planned(closure)
          document = Form::ClosureForm.new(workroom.unit).apply(body_hash, closure.document)
          machine = document.machine_id == closure.machine.id ? closure.machine : machine_chosen(document.machine_id)
          [document, Sheet.of(document.plan(machine, closure.habits).validate)]
        end

        def machine_chosen(id)
          machine = id.between?(1, (2**31) - 1) && Store::MachineReader.for(db).read(workroom.id, id)
          machine || raise(Refusal.field("machine.id", id, "Choose one of the workroom's machines."))
        end

        def begin_closure
          name = Field.fetch("closure.name").read(body_hash["name"], unit: :mm)
          garment = Field.clean(body_hash["garment"])
          raise Refusal.field("closure.garment", garment, "A garment needs a name of at most 80 characters.") unless
            garment.length.between?(1, Field::LONGEST_TEXT)

          closure = db.transaction { closures.create(workroom.garment_named(garment), starting_point(name)) }
          show(closure, status: 201)
        end

        def starting_point(name)
          like = body_hash["like"]
          return copied(closures.find(like).document, name) if like

          machine = workroom.machines.first || raise(Refusal.field("machine.id", "", "The workroom has no machine yet."))
          Form::NewClosure.document(name: name, machine_id: machine.id)
        end

        # The plan of another closure, or its mirror image: the other front lies on top. What was sewn stays there.
        def copied(document, name)
          side = body_hash["mirror"] ? { "placket.overlap" => Placket.mirrored(document.fields["placket.overlap"]) } : {}
          document.changed({ "closure.name" => name }.merge(side)).with(swatches: [], steps_done: [], knots: {})
        end

        def log_swatch(closure)
          swatch = Form::SwatchForm.read(body_hash, Sheet.of(closure.plan), unit: workroom.unit, now: settings.now)
          closure.document.with(swatches: closure.document.swatches + [swatch])
        end

        def accept(closure, number)
          swatches = closure.document.swatches
          raise Store::Missing unless swatches.any? { |swatch| swatch.number == number }

          tied(closure, ACCEPTING)
            .with(swatches: swatches.map { |swatch| swatch.with(accepted: swatch.number == number) })
        end

        def tied(closure, stages)
          knots = stages.to_h { |word| [word, STAGES.fetch(word).fingerprint(closure.plan)] }
          closure.document.with(knots: closure.document.knots.merge(knots))
        end

        # Only steps that the plan has.
        def steps(closure, keys)
          progress = Sheet.of(closure.plan).progress
          known = progress ? progress.steps.map(&:key) : []
          raise Store::Missing unless known.include?(params["key"])

          closure.document.with(steps_done: keys.sort)
        end
      end
    end
  end
end
