# frozen_string_literal: true

# The closures: shown with their sheet, changed as typed, undone and redone, settled.

require "time"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/conventions"
require_relative "../form/closure_form"
require_relative "../form/workroom_form"
require_relative "../problem"
require_relative "../store/accounts"
require_relative "../store/closures"
require_relative "../store/errors"
require_relative "../view/closure"
require_relative "../view/revision"

module NimbleEyelet
  module Route
    module ClosureRoutes
      AT = "/api/workrooms/:slug/closures"

      def self.registered(app)
        app.helpers Helpers
        reading(app)
        looking_back(app)
        changing(app)
        moving(app)
        settling(app)
      end

      def self.reading(app)
        app.get("#{AT}/:id") do
          id = number(params["id"])
          remembered(stamps.closure(params["slug"], id)) { shown(closures.find(id)) }
        end
        app.get("#{AT}/:id/spacings") do
          closure = in_its_unit(closures.find(number(params["id"])))
          json(View::PlacketView.spacings(closure.sheet, present))
        end
      end

      def self.looking_back(app)
        app.get("#{AT}/:id/history") do
          before = params["before"]
          rows = closures.history(number(params["id"]), before: before && number(before))
          names = Store::Accounts.new(db).names(rows.filter_map { |row| row[:account_id] }.uniq)
          json(rows.map { |row| View::RevisionView.of(row, present, by: names[row[:account_id]]) })
        end
      end

      def self.changing(app)
        app.post(AT) { begin_closure }
        app.patch("#{AT}/:id/plan") do
          decides_only(body_hash.keys)
          change { |closure| apply(closure) }
        end
        # What a change would make of a closure: nothing is kept, so nothing has to be seen first.
        app.post("#{AT}/:id/preview") { preview(closures.find(number(params["id"]))) }
        app.delete("#{AT}/:id") do
          stale_aware { closures.remove(number(params["id"]), version: seen) }
          halt 204
        end
      end

      def self.moving(app)
        %i[undo redo].each do |direction|
          app.post("#{AT}/:id/#{direction}") do
            stale_aware { show(closures.send(direction, number(params["id"]), version: seen)) }
          end
        end
        app.post("#{AT}/:id/history/:number") do
          change { |closure| brought_back(closure, closures.plan_at(closure.id, number(params["number"]))) }
        end
      end

      def self.settling(app)
        app.put("#{AT}/:id/settled/:stage") { change { |closure| settled(closure, [params["stage"]]) } }
        app.delete("#{AT}/:id/settled/:stage") do
          change { |closure| closure.plan.with(settled: closure.plan.settled.except(params["stage"])) }
        end
        app.put("#{AT}/:id/accepted/:entry") { change { |closure| accepted(closure, params["entry"].downcase) } }
      end
      private_class_method :reading, :looking_back, :changing, :moving, :settling

      # What the routes share.
      TABLET = "This device may sew and look. Change the plan where you signed in with your password."

      module Helpers
        # A tablet by the machine uses what was tested, and changes no plan.
        def decides_only(paths)
          return if person.own? || person.may?("plan", role) || paths.all? { |path| path.start_with?(*DECIDED) }

          halt Problem.new(403, TABLET, needs: "plan").render
        end

        # A stage settles with the one before it where that follows by itself.
        ACCEPTING = %w[recipe swatch].freeze

        def preview(closure)
          in_its_unit(closure)
          plan = form.apply(body_hash.fetch("changes"), closure.plan)
          changed = closure.with(plan: plan)
          sheet = closure.sheet_of(plan)
          moved = sheet.layout&.moved_since(body_hash["places"].to_a.map { |place| Length.mm(place.to_r) })
          json(View::ClosureView.preview(changed, present, sheet: sheet, station: body_hash["station"], moved: moved))
        end

        # The one way to save over HTTP. A change hands on the sheet it was checked with.
        def change(&)
          @checked = nil
          saved = stale_aware do
            closures.change(number(params["id"]), version: seen, device: device) do |closure|
              yield(in_its_unit(closure))
            end
          end
          show(saved, sheet: @checked || saved.sheet)
        end

        def stale_aware
          yield
        rescue Store::Stale => e
          halt Problem.new(412, "These buttonholes were changed in another place meanwhile.",
                           current: shown(e.current)).render
        end

        # What was typed and what was decided on it. Deciding is an edit as well: it rests on what was seen.
        def apply(closure)
          decided, typed = body_hash.partition { |path, _| path.start_with?(*DECIDED) }.map(&:to_h)
          plan = typed.empty? ? closure.plan : checked(closure, typed)
          decided.reduce(plan) { |found, (path, value)| decide(closure.with(plan: found), path, value) }
        end

        # What somebody at the machine decides, and does not plan.
        DECIDED = %w[settled. swatch.].freeze

        # What was typed, checked section by section. Holes that do not fit are refused when the run
        # itself was touched; when something else made them not fit, the sheet says so.
        def checked(closure, typed)
          plan = form.apply(typed, closure.plan)
          @checked = closure.sheet_of(plan)
          sections = typed.keys.map { |path| path[/\A\w+/] }
          touched = @checked.faults.select { |fault| sections.include?(fault.section) }
          raise Refusal, touched unless touched.empty?

          plan
        end

        def decide(closure, path, value)
          @checked = nil
          return accepted(closure, value.downcase) if path == "swatch.accepted"

          stage = path.delete_prefix("settled.")
          value ? settled(closure, [stage]) : closure.plan.with(settled: closure.plan.settled.except(stage))
        end

        # The plan of then; which test hole was accepted then counts only while it stands.
        def brought_back(closure, plan)
          standing = closure.facts.swatches.map(&:id)
          standing.include?(plan.accepted) ? plan : plan.with(accepted: nil)
        end

        def begin_closure
          name = ClosureFields.fetch("closure.name").read(body_hash["name"], unit: :mm)
          garment = Form::WorkroomForm.name(body_hash["garment"], field: "closure.garment")
          begun, left = starting_point(name)
          id = db.transaction { closures.create(workroom.garment_named(garment), begun) }
          show(closures.find(id), status: 201, left_behind: left.to_a.map { |path| label_of(path) })
        end

        # @return [Plan, Array(Plan, Array<String>)] and what stayed behind of another one
        def starting_point(name)
          like = body_hash["like"]
          return eyelets_of(closures.find(like), name) if like && body_hash["eyelets"]
          return begun_anew(name) unless like

          copy = CopiedPlan.of(closures.find(like).plan, name: name, mirror: body_hash["mirror"])
          [copy.plan, copy.left]
        end

        def begun_anew(name)
          machine = workroom.machines.all.min_by { |one| one.practice ? 1 : 0 } || raise(Refusal.field("machine.id", "", "The workroom has no machine yet."))
          asked = body_hash.fetch("plan", {})
          unit = Plan::UNITS.key?(asked["closure.unit"]) ? asked["closure.unit"].to_sym : workroom.unit
          begun = form(unit).blank(name: name, machine: machine,
                                   typed: { **usual(asked, unit), **asked })
          begun.in(workroom.house_for(unit)).validate
          begun
        end

        def usual(asked, unit)
          { **Conventions.button(asked), **Conventions.edge(unit),
            **Conventions.of(asked["placket.place"], unit: unit) }
        end

        # What buttons on pins need on the underlap.
        def eyelets_of(closure, name)
          sheet = closure.sheet
          raise Refusal, sheet.faults unless sheet.layout

          Eyelets.plan(sheet).changed("closure.name" => name)
        end

        def accepted(closure, entry)
          swatch = closure.facts.swatches.find { |one| one.id == entry }
          raise Refusal.field("swatch.accepted", entry, "This test hole is not in the log any more.") unless swatch

          settled(closure.with(plan: AcceptedSettings.accepting(swatch, closure.sheet)), ACCEPTING)
        end

        def settled(closure, stages)
          sheet = closure.sheet
          answers = stages.to_h { |word| [word, Stage.fetch(word).answer(sheet)] }
          closure.plan.with(settled: closure.plan.settled.merge(answers))
        end
      end
    end
  end
end
