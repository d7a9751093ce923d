# frozen_string_literal: true

# Stores are what a request can ask and write: each is made when a route first asks for it, for the workroom that the
# address names.
# What several routes read or say alike stands here too, so that no route leans on another one.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/garment_file"
require_relative "../form/journal_form"
require_relative "../store/closures"
require_relative "../store/errors"
require_relative "../store/garment_photos"
require_relative "../store/garments"
require_relative "../store/journal"
require_relative "../store/photos"
require_relative "../store/rehearsals"
require_relative "../store/reservations"
require_relative "../store/sessions"
require_relative "../store/swatch_book"
require_relative "../store/waste_basket"
require_relative "../view/closure"

module NimbleEyelet
  module Http
    module Stores
      def machines = workroom.machines
      def stash = workroom.stash
      def shelf = @shelf ||= workroom.shelf_of(params["shelf"])
      def closures = @closures ||= Store::Closures.new(workroom)
      def garments = @garments ||= Store::Garments.new(workroom)
      def journal = @journal ||= Store::Journal.new(workroom.scope)
      def sessions = @sessions ||= Store::Sessions.new(workroom, now: settings.now)
      def book = @book ||= Store::SwatchBook.new(workroom.scope)
      def photos = @photos ||= Store::Photos.new(workroom.scope, settings.album)
      def garment_photos = @garment_photos ||= Store::GarmentPhotos.new(workroom.scope, settings.album)
      def rehearsals = @rehearsals ||= Store::Rehearsals.new(workroom.scope, now: settings.now)
      def reservations = @reservations ||= Store::Reservations.new(workroom.scope)
      def waste_basket = @waste_basket ||= Store::WasteBasket.new(workroom.scope)

      # @return [String, nil] of whoever types: what is typed on within a minute is one revision
      def device = request.env["HTTP_X_DEVICE"].to_s[/\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/]

      # @param text [String] from the path
      # @return [String]
      # @raise [Store::Missing] for what names no fact
      def uuid(text) = text.to_s.downcase[Form::JournalForm::UUID] || raise(Store::Missing)

      # @param id [String] of a closure, from the path
      # @return [Sheet]
      def sheet_of(id) = in_its_unit(closures.find(number(id))).sheet

      # A garment with its closures, what was sewn, and its photos, in the middle size: enough to see every stitch.
      #
      # @param garment [Store::Garment]
      # @return [String] JSON
      def garment_file(garment)
        entries = garment.closures.flat_map { |closure| closure.facts.swatches.map(&:id) }
        seen = photos.of(entries).transform_values { |photo| settings.album.bytes(photo.kept, "large") }.compact
        pictures = garment_photos.of(garment.id).map { |photo| garment_photos.bytes(photo[:id], "large") }
        Document::GarmentFile.write(garment, seen, pictures)
      end

      # Answers with a closure, in its unit.
      #
      # @param closure [Store::Closure]
      # @param sheet [Sheet] it was checked with
      def show(closure, status: 200, sheet: closure.sheet, **more)
        etag_of(closure.version)
        json(shown(closure, sheet: sheet).merge(more), status: status)
      end

      # @return [Hash]
      def shown(closure, sheet: closure.sheet)
        in_its_unit(closure)
        View::ClosureView.of(closure, present, sheet: sheet, station: params["station"])
      end
    end
  end
end
