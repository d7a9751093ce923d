# frozen_string_literal: true

# garment: all closures of one garment and what is left to do, and the garment as a file.

require_relative "../../lib/nimble_eyelet"
require_relative "drawn_edge"
require_relative "go_on"

module NimbleEyelet
  module View
    module GarmentView
      # @param garment [Store::Garment]
      # @param photos [Array<Hash>] id, width, height
      # @return [Hash]
      def self.of(garment, photos = [])
        closures = garment.closures.map { |closure| closure(closure, Presenter.new(closure.unit)) }
        { **garment.to_h.slice(:id, :name, :note, :archived, :template), photos: photos, closures: closures }
      end

      def self.closure(closure, present)
        sheet = closure.sheet
        steps = sheet.progress&.steps || []
        { id: closure.id, name: closure.plan.name, noun: sheet.sewn,
          holes: sheet.layout ? sheet.layout.holes.size : 0, drawn: DrawnEdge.of(sheet), overlap: Placket::OVERLAPS.fetch(sheet.plan.placket.overlap),
          button: sheet.plan.button.name, opening: present.length(sheet.opening), machine: closure.plan.machine.name,
          stages: sheet.stages.map { |word, stage| stage(word, stage, sheet) }, steps: steps.size,
          done: sheet.progress ? sheet.progress.done.size : 0, go_on: GoOn.of(sheet, present),
          version: closure.version, cloth: sheet.plan.cloth.name, orientation: sheet.plan.placket.orientation,
          trouble: sheet.layout ? nil : sheet.faults.map { |fault| present.words(fault.allowed) }.join(" ") }
      end

      def self.stage(word, stage, sheet)
        { word: word, title: Stage.fetch(word).title_for(sheet), state: stage.state }
      end
      private_class_method :closure, :stage
    end
  end
end
