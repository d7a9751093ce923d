# frozen_string_literal: true

# print: the marking strip as PDF and as SVG.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/hole_card_pdf"
require_relative "../document/strip_pdf"
require_relative "../document/strip_svg"
require_relative "../document/way_pdf"
require_relative "../store/errors"

module NimbleEyelet
  module Route
    module PrintRoutes
      FORMATS = { "pdf" => Document::StripPdf, "svg" => Document::StripSvg }.freeze

      def self.registered(app)
        app.helpers Helpers
        app.get(%r{/api/workrooms/([a-z0-9-]+)/closures/(\d+)/strip\.(pdf|svg)}) do |slug, id, format|
          printer = FORMATS.fetch(format)
          on = format == "pdf" ? { paper: params.fetch("paper", "a4"), side: params.fetch("side", "both") } : {}
          for_print { printed(slug, id, "strip", format) { |strip, title| printer.new(strip, title, **on) } }
        end
        app.get(%r{/api/workrooms/([a-z0-9-]+)/closures/(\d+)/hole-card\.pdf}) do |slug, id|
          paper = params.fetch("paper", "a4")
          for_print do
            printed(slug, id, "hole card", "pdf", only: ->(sheet) { sheet.other_ways.carded? }) do |strip, title|
              Document::HoleCardPdf.new(strip, title, paper: paper)
            end
          end
        end
        app.get("/api/workrooms/:slug/closures/:id/way.pdf") { for_print { print_way(number(params["id"])) } }
      end

      module Helpers
        # The page of another way to close; a hole of the machine has its card.
        def print_way(id)
          closure = in_its_unit(closures.find(id))
          sheet = closure.sheet
          way = sheet.other_ways.chosen or raise Store::Missing
          raise Refusal, sheet.faults unless sheet.layout

          sends("#{way.name}.pdf", of: closure.called)
          drawn { Document::WayPdf.new(sheet, present, title: closure.called).render(dialect) }
        end

        # @param only [#call] whether a sheet has such a print
        def printed(slug, id, name, format, only: ->(_) { true })
          workroom_at(slug)
          closure = in_its_unit(closures.find(number(id)))
          sheet = closure.sheet
          raise Store::Missing unless only.call(sheet)
          raise Refusal, sheet.faults unless sheet.layout

          strip = strip_of(closure, sheet)
          sends("#{name}.#{format}", of: closure.called)
          drawn(stamps.closure(slug, closure.id), present.unit) do
            yield(strip, closure.called).render(dialect)
          end
        end
      end
    end
  end
end
