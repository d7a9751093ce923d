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
        { leaves: page.leaves.map { |leaf| leaf(leaf, present, photos[leaf.swatch.id]) }, following: page.following,
          alike: page.alike,
          there: there.to_h do |name, keys|
            [name, keys.map do |key|
              { key: key, name: NAMES.fetch(name)[key]&.name || key }
            end]
          end }
      end
      NAMES = { cloth: CLOTH_KINDS, foot: FOOT_KINDS, style: STYLES, verdict: Swatches::PASSES }.freeze

      # @param leaf [Store::SwatchBook::Leaf]
      # @param photo [Store::Photo, nil]
      # @return [Hash]
      def self.leaf(leaf, present, photo = nil)
        swatch = leaf.swatch
        told = Swatches::SwatchDescription.new(swatch)
        { id: swatch.id, **%i[closure garment machine accepted imported].to_h do |name|
          [name, leaf[name]]
        end, simulated: swatch.simulated,
          sewn_at: swatch.sewn_at.to_s, note: swatch.note, verdict: told.verdict, good: swatch.clean?, seen: told.seen,
          **told.sewn, measured: present.length(swatch.measured), drawn: drawn(swatch),
          photo: photo && PhotoView.of(photo, present),
          settings: told.settings.map { |name, value| { name: name, text: present.words(value) } } }
      end

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
    end
  end
end
