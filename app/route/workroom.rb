# frozen_string_literal: true

# The workrooms: which there are, begun, put away and taken back; and each with its unit, its habits,
# its shelves, and what can be chosen from.

require_relative "../field/workroom_fields"
require_relative "../form/workroom_form"
require_relative "../problem"
require_relative "../store/errors"
require_relative "../store/sample"
require_relative "../store/under_way"
require_relative "../store/waste_basket"
require_relative "../view/catalogue"
require_relative "../view/people"
require_relative "../view/picks"
require_relative "../view/under_way"
require_relative "../view/waste_basket"
require_relative "../view/workroom"

module NimbleEyelet
  module Route
    module WorkroomRoutes
      AT = "/api/workrooms/:slug"

      def self.registered(app)
        app.helpers Helpers
        all(app)
        one(app)
        shelves(app)
        basket(app)
      end

      def self.all(app)
        app.get("/api/workrooms") do
          json(View::WorkroomsView.of(workrooms.all, workrooms.put_away_ones, View::PeopleView.you(person, nil),
                                      person.device? ? [] : workrooms.owned))
        end
        app.post("/api/workrooms") do
          show_workroom(workrooms.begin(**WorkroomFields.read({ "name" => "" }.merge(body_hash))), status: 201)
        end
        app.post("/api/workrooms/sample") do
          show_workroom(Store::Sample.new(db, now: settings.now, album: settings.album, account: person.account).fresh,
                        status: 201)
        end
      end

      def self.one(app)
        app.get("#{AT}/under-way") { json(View::UnderWayView.of(Store::UnderWay.new(workroom))) }
        app.get("#{AT}/catalogue") { json(View::Catalogue.of(present)) }
        app.get(AT) { show_workroom(workroom) }
        app.patch(AT) do
          show_workroom(workroom.change(revision: revision_seen, settings: WorkroomFields.read(body_hash),
                                        habits: Form::WorkroomForm.habits(body_hash.fetch("habits", {}),
                                                                          unit: workroom.unit),
                                        stabilisers: body_hash["stabilisers"]))
        rescue Store::Stale
          changed_elsewhere
        end
        app.delete(AT) do
          workrooms.put_away(workroom, revision: revision_seen)
          halt 204
        rescue Store::Stale
          changed_elsewhere
        end
        app.post("#{AT}/taken-back") { show_workroom(workrooms.take_back(params["slug"])) }
      end

      def self.shelves(app)
        app.post("#{AT}/buttons") do
          closure = closures.find(body_hash.fetch("closure_id"))
          name = Form::WorkroomForm.name(body_hash.fetch("name"), field: "button.name")
          workroom.stash.measure(measured(closure.plan.button).with(name: name).validate)
          show_workroom(workroom)
        end
        app.get("#{AT}/picks/:section") do
          rows, total = workroom.picks(params["section"], words: params["search"], name: params["name"])
          json(View::PicksView.of(params["section"], rows, total, present))
        end
      end

      def self.basket(app)
        app.get("#{AT}/waste-basket") { json(View::WasteBasketView.of(waste_basket.lying)) }
        app.post("#{AT}/waste-basket/:kind/:id") do
          waste_basket.take_out(params["kind"], number(params["id"]))
          json(View::WasteBasketView.of(waste_basket.lying))
        end
      end
      private_class_method :all, :one, :shelves, :basket

      module Helpers
        # @param button [Button]
        # @return [Button] with its height
        # @raise [Refusal] where that is a guess
        def measured(button)
          return button.with(thickness: button.height) unless button.guessed?

          raise Refusal.field("button.thickness", "", "Measure the thickness first. Only measured buttons go on the shelf.")
        end

        def show_workroom(found, status: 200)
          etag_of(found.revision)
          # What was begun just now is its own.
          json({ **View::WorkroomView.of(found), you: View::PeopleView.you(person, role || "owner") }, status: status)
        end

        def changed_elsewhere = halt(Problem.new(412, "The workroom was changed in another place. Look again.").render)
      end
    end
  end
end
