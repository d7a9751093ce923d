# frozen_string_literal: true

# under way: what somebody was at, each with its next step; and the machines left set.

require_relative "../../lib/nimble_eyelet"
require_relative "../presenter"
require_relative "drawn_edge"
require_relative "go_on"
require_relative "sewing"

module NimbleEyelet
  module View
    module UnderWayView
      # @param under_way [Store::UnderWay]
      # @return [Hash]
      def self.of(under_way)
        { sessions: under_way.sessions.map { |session| { **session.to_h, begun_at: session.begun_at.utc.iso8601 } },
          closures: closures(under_way.closures),
          machines: under_way.machines.map do |machine|
            { id: machine.id, name: machine.name, ledger: SewingView.ledger(machine.ledger, Presenter.new(:mm)) }
          end }
      end

      def self.closures(closures)
        closures.map do |closure|
          sheet = closure.sheet
          { id: closure.id, name: closure.plan.name, noun: sheet.sewn, garment: closure.garment_name,
            drawn: DrawnEdge.of(sheet), **GoOn.of(sheet, Presenter.new(closure.unit)).except(:finished) }
        end
      end
      private_class_method :closures
    end
  end
end
