# frozen_string_literal: true

# The swatch book: every test hole with what it was sewn on and with, and what was seen.

require_relative "../../lib/nimble_eyelet"
require_relative "photo"

module NimbleEyelet
  module View
    module SwatchBookView
      # @param page [Store::SwatchBook::Page]
      # @param there [Hash] what there is to go by
      # @param photos [Hash{String => Store::Photo}]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(page, there, present, photos = {})
        { leaves: page.leaves.map { |leaf| leaf(leaf, present, photos[leaf.swatch.id]) }, following: page.following, alike: page.alike,
          there: there.to_h { |name, keys| [name, keys.map { |key| { key: key, name: NAMES.fetch(name)[key]&.name || key } }] } }
      end
      NAMES = { cloth: CLOTH_KINDS, foot: FOOT_KINDS, style: STYLES, verdict: Swatches::PASSES }.freeze

      # @param leaf [Store::SwatchBook::Leaf]
      # @param photo [Store::Photo, nil]
      # @return [Hash]
      def self.leaf(leaf, present, photo = nil)
        swatch = leaf.swatch
        { id: swatch.id, **%i[closure garment machine accepted imported].to_h do |name|
          [name, leaf[name]]
        end, simulated: swatch.simulated,
          sewn_at: swatch.sewn_at.to_s, note: swatch.note, **sewn(swatch), settings: settings(swatch, present),
          **seen(swatch, present), drawn: drawn(swatch), photo: photo && PhotoView.of(photo, present) }
      end

      def self.sewn(swatch)
        with = swatch.sewn_with
        { cloth: with["cloth.name"], cloth_kind: CLOTH_KINDS[with["cloth.kind"]]&.name, thread: with["thread.name"],
          thread_tex: with["thread.tex"] && "tex #{with['thread.tex']} #{with['thread.fibre']}", needle: with["recipe.needle"],
          foot: FOOT_KINDS[with["recipe.foot"]]&.name, style: STYLES[with["recipe.style"]]&.name, stabiliser: swatch.stabiliser }
      end

      # In the machine's own numbers, the length in the person's unit.
      def self.settings(swatch, present)
        found = { "opening wanted" => present.words(swatch.opening), "set to" => present.words(swatch.hands),
                  "stitch width" => plain(swatch.stitch_width), "stitch length" => plain(swatch.stitch_length),
                  "top tension" => present.number(swatch.tension), "balance" => swatch.sewn_with["recipe.balance"] }
        found.compact.map { |name, text| { name: name, text: text } }
      end

      def self.plain(length) = Wording.decimal(length.millimetres, 2)

      def self.seen(swatch, present)
        looks = swatch.looks.map { |look, grade| "#{Swatches::LOOKS.fetch(look).name}: #{grade_name(look, grade)}" }
        others = swatch.symptoms.map { |symptom| Swatches::SYMPTOMS.fetch(symptom).name }
        { verdict: swatch.passes && Swatches::PASSES.fetch(swatch.passes).name, good: swatch.clean?, seen: looks + others,
          measured: present.length(swatch.measured) }
      end

      def self.grade_name(look, grade) = Swatches::LOOKS.fetch(look).grades.find { |one| one.key == grade }&.name

      # To draw it to scale, mm.
      def self.drawn(swatch)
        width = swatch.stitch_width.to_f
        style = STYLES[swatch.sewn_with["recipe.style"]]
        ends = style ? style.ends(width: swatch.stitch_width).both.to_f / 2 : USUAL_END
        { opening: (swatch.measured || swatch.opening).to_f.round(2), width: width.round(2),
          stitch: swatch.stitch_length.to_f.round(3), ends: ends.round(2),
          space: (swatch.sewn_with["recipe.space"]&.to_f || (width * USUAL_SPACE)).round(2),
          stitched: style&.stitched || :satin }
      end
      # Of older ones, where more was not kept: an end, mm, and the cloth between the beads as a share of the width.
      USUAL_END = 1.25
      USUAL_SPACE = 0.15
      private_class_method :sewn, :settings, :plain, :seen, :grade_name
    end
  end
end
