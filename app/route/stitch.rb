# frozen_string_literal: true

# stitch: the hole sewn before it is sewn, with the recipe as it stands or with dials turned for a try;
# the same as SVG and CSV; and the card for the machine.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/card_pdf"
require_relative "../document/stitches"
require_relative "../document/stretch_scale_pdf"
require_relative "../field/closure_fields"
require_relative "../store/errors"
require_relative "../view/button_stitch"
require_relative "../view/stitch"
require_relative "../view/swatch"

module NimbleEyelet
  module Route
    module StitchRoutes
      def self.registered(app)
        app.helpers Helpers
        app.post("/api/workrooms/:slug/closures/:id/stitches") do
          json(View::StitchView.of(HoleSimulation.of(sheet_of(params["id"]), trial), present))
        end
        app.get(%r{/api/workrooms/([a-z0-9-]+)/closures/(\d+)/stitches\.(svg|csv)}) do |slug, id, format|
          workroom_at(slug)
          closure = closures.find(number(id))
          simulation = HoleSimulation.of(sheet_of(id))
          sends("stitches.#{format}", of: closure.called, kept: "attachment")
          next table(Document::StitchesCsv.of(simulation.path)) if format == "csv"

          Document::StitchesSvg.new(simulation, closure.plan.name).render
        end
        app.post("/api/workrooms/:slug/closures/:id/button-stitches") do
          sheet = sheet_of(params["id"])
          found = ButtonSimulation.of(sheet, **button_trial) or raise Store::Missing
          json(View::ButtonStitchView.of(found, sheet, present))
        end
        app.get("/api/workrooms/:slug/closures/:id/card.pdf") do
          closure = in_its_unit(closures.find(number(params["id"])))
          raise Store::Missing if closure.sheet.way

          sends("card.pdf", of: closure.called)
          held = View::SwatchView.held(closure.sheet, present)
          drawn { Document::CardPdf.new(closure.sheet, present, title: closure.called, held: held).render(dialect) }
        end
        app.get("/api/stretch-scale.pdf") do
          content_type "application/pdf"
          drawn("the same for all") { Document::StretchScalePdf.new.render(dialect) }
        end
        app.post("/api/workrooms/:slug/feel") { json(feel(body_hash)) }
      end

      module Helpers
        # Dials as typed.
        def trial
          read = lambda do |name|
            text = body_hash[name].to_s.strip
            text.empty? ? nil : ClosureFields.fetch("recipe.#{name}").read(text, unit: present.unit)
          end
          Trial.new(stitch_width: read.call("stitch_width"), stitch_length: read.call("stitch_length"),
                    tension: read.call("tension"), balance: body_hash.fetch("balance", 0)).validate
        end

        # How far the button lies off its place, and another width, as typed.
        def button_trial
          off, across = %w[off across].map { |name| Length.mm(body_hash.fetch(name, 0).to_f.clamp(-5, 5).round(3)) }
          text = body_hash["width"].to_s.strip
          width = ClosureFields.fetch("attach.width").read(text, unit: present.unit) unless text.empty?
          { off: off, across: across, width: width }
        end

        # What a cloth is like, from a square on the scales, a folded stack, or two marks pulled apart.
        def feel(typed)
          length = ->(name) { Typing::Notation.read(typed[name].to_s, unit: present.unit, field: "feel.#{name}") }
          case typed.fetch("test")
          when "weigh" then { weight: ClothFeel.weight(grams: figure(typed["grams"], "feel.grams"), side: length.call("side")).to_s }
          when "fold"
            { thickness: present.words(ClothFeel.thickness(folded: length.call("folded"),
                                                           layers: figure(typed["layers"], "feel.layers").to_i)) }
          else { stretch: ClothFeel.stretch(marked: length.call("marked"), pulled: length.call("pulled")).to_s }
          end
        end

        def figure(text, field)
          raise Refusal.field(field, text, "Write a number, such as 1.2.") unless text.to_s.match?(/\A\s*\d{1,4}([.,]\d{1,3})?\s*\z/)

          Rational(text.strip.tr(",", "."))
        end
      end
    end
  end
end
