# frozen_string_literal: true

# Sheets are what several routes print and read of closures: their strip, what they take, and the form that their fields
# are read by.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/strip"
require_relative "../field/closure_fields"
require_relative "../form/closure_form"

module NimbleEyelet
  module Http
    module Sheets
      def form(unit = present.unit) = Form::ClosureForm.new(unit, machine: ->(id) { workroom.machines.one(id) })

      def label_of(path) = ClosureFields::LISTS.key?(path) ? "#{ClosureFields::LISTS.fetch(path).word}s" : ClosureFields.fetch(path).label

      def strip_of(closure, sheet, in_unit: present)
        made = closures.made_at(closure).localtime.strftime("%Y-%m-%d")
        Document::Strip.new(sheet, in_unit, garment: closure.garment_name, date: made, crosses: params["crosses"])
      end

      # @return [Array(String, Array<Supply>)] of closures whose holes fit; the others wait
      def supplies_of(whose, id)
        title, all = closures_of(whose, id)
        ready = all.select { |one| one.sheet.layout }
        parts = ready.map do |one|
          SessionPart.new(key: one.id, name: one.plan.name, garment: one.garment_name, sheet: one.sheet)
        end
        stash = reservations.of(ready.map { |one| one.plan.button.name }.uniq)
        card = params["card"] && number(params["card"]).clamp(1, 1000)
        [title, Supplies.of(parts, stash: stash, card: card, unit: present.unit)]
      end

      def closures_of(whose, id)
        case whose
        when "closures" then in_its_unit(closures.find(id)).then { |one| [one.called, [one]] }
        when "garments" then garments.find(id).then { |garment| [garment.name, garment.closures] }
        else sessions.find(id).then { |one| ["At #{one.machine[:name]}", one.closures] }
        end
      end
    end
  end
end
