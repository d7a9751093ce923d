# frozen_string_literal: true

# stitch: the hole sewn before it is sewn, with the recipe as it stands or with dials turned for a try;
# the same as SVG and CSV; and the card for the machine.

require_relative "say"
require_relative "../document/stitches"
require_relative "../document/card_pdf"
require_relative "../document/stretch_scale_pdf"

module NimbleEyelet
  module Api
    module StitchView
      # @param simulation [HoleSimulation]
      # @param say [Say]
      # @return [Hash] points in whole micrometres, x and y in turn, in sewing order
      def self.of(simulation, say)
        path = simulation.path
        shape = path.shape
        set = { width: Length.mm(shape.width), stitch_length: Length.mm(shape.length) }.transform_values do |length|
          say.length(length)
        end
        { **set, tension: say.number(simulation.tension), parts: parts(path), points: path.points.flatten.map do |figure|
          (figure * 1000).round
        end,
          cords: path.cords.map { |line| line.flatten.map { |figure| (figure * 1000).round } },
          overall: shape.overall.round(4),
          slit: [shape.slit[0].round(4), shape.slit[1].round(4)],
          thread: simulation.thread.to_f, **comes_to(simulation.reckoning, say),
          row: row(simulation.row, say) }
      end

      def self.parts(path)
        from = 0
        path.parts.map do |part|
          { name: part.name, kind: part.kind, from: from, to: from += part.points.size }
        end
      end

      def self.comes_to(reckoning, say)
        { top: say.length(whole(reckoning.top)), bobbin: say.length(whole(reckoning.bobbin)), seconds: reckoning.seconds.round(1),
          cover: reckoning.cover.map { |name, index| { name: name, index: index.round(3), words: SewingThread.looks(index) } },
          hits: reckoning.hits.round(2), bulk: say.length(reckoning.bulk), cautions: say.cautions(reckoning.cautions) }
      end

      # Thread is not measured finer than this.
      def self.whole(length) = length.round_to(Length.mm(1))

      def self.row(row, say)
        row && { holes: row.holes, enough_for: row.enough_for, says: row.says,
                 left: say.length(row.left), needed: say.length(row.needed) }
      end
      private_class_method :parts, :comes_to, :whole, :row
    end

    module StitchRoutes
      def self.registered(app)
        app.helpers Helpers
        app.post("/api/closures/:id/stitches") do
          json(StitchView.of(HoleSimulation.of(sheet_of(params["id"]), trial), say))
        end
        app.get(%r{/api/closures/(\d+)/stitches\.(svg|csv)}) do |id, format|
          sheet = sheet_of(id)
          simulation = HoleSimulation.of(sheet)
          content_type format == "svg" ? "image/svg+xml" : "text/csv", charset: "utf-8"
          response["content-disposition"] = "attachment; filename=\"stitches-#{id}.#{format}\""
          format == "svg" ? Document::StitchesSvg.new(simulation, sheet.plan.name).render : Document::StitchesCsv.of(simulation.path)
        end
        app.get(%r{/api/closures/(\d+)/card\.pdf}) do |id|
          closure = closures.find(number(id))
          content_type "application/pdf"
          response["content-disposition"] = "inline; filename=\"card-#{id}.pdf\""
          Document::CardPdf.new(Sheet.of(closure.plan), say, title: "#{closure.garment_name}: #{closure.plan.name}").render
        end
        app.get("/api/stretch-scale.pdf") do
          content_type "application/pdf"
          Document::StretchScalePdf.new.render
        end
        app.post("/api/feel") { json(feel(body_hash)) }
      end

      module Helpers
        def sheet_of(id) = Sheet.of(closures.find(number(id)).plan)

        # Dials as typed.
        def trial
          read = lambda do |name|
            text = body_hash[name].to_s.strip
            text.empty? ? nil : Store::Field.fetch("recipe.#{name}").read(text, unit: workroom.unit)
          end
          Trial.new(stitch_width: read.call("stitch_width"), stitch_length: read.call("stitch_length"),
                    tension: read.call("tension"), balance: body_hash.fetch("balance", 0)).validate
        end

        # What a cloth is like, from a square on the scales, a folded stack, or two marks pulled apart.
        def feel(typed)
          length = ->(name) { Typing::Notation.read(typed[name].to_s, unit: say.unit, field: "feel.#{name}") }
          case typed.fetch("test")
          when "weigh" then { weight: ClothFeel.weight(grams: figure(typed["grams"], "feel.grams"), side: length.call("side")).to_s }
          when "fold"
            { thickness: say.words(ClothFeel.thickness(folded: length.call("folded"),
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
