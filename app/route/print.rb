# frozen_string_literal: true

# print: the marking strip as PDF and as SVG.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/strip"
require_relative "../document/strip_pdf"
require_relative "../document/strip_svg"

module NimbleEyelet
  module Route
    module PrintRoutes
      FORMATS = { "pdf" => [Document::StripPdf, "application/pdf"], "svg" => [Document::StripSvg, "image/svg+xml"] }.freeze

      def self.registered(app)
        app.get(%r{/api/workrooms/([a-z0-9-]+)/closures/(\d+)/strip\.(pdf|svg)}) do |slug, id, format|
          workroom_at(slug)
          closure = in_its_unit(closures.find(number(id)))
          sheet = closure.sheet
          raise Refusal, sheet.faults unless sheet.layout

          printer, type = FORMATS.fetch(format)
          strip = Document::Strip.new(sheet, present, garment: closure.garment_name,
                                                      date: closures.made_at(closure).utc.strftime("%Y-%m-%d"))
          content_type type
          attachment_name = "strip-#{closure.id}-#{closure.version[/\d+\z/]}.#{format}"
          response["content-disposition"] = "inline; filename=\"#{attachment_name}\""
          paper = format == "pdf" ? { paper: params.fetch("paper", "a4") } : {}
          printer.new(strip, "#{closure.garment_name}: #{sheet.plan.name}", **paper).render
        end
      end
    end
  end
end
