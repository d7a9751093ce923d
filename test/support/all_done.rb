# frozen_string_literal: true

module NimbleEyelet
  module Support
    # What a closure of a Workplace has to be like when everything is done.
    module AllDone
      private

      def whole(piece)
        @piece = piece
        piece.sheet.layout.holes.each { |hole| sewn_and_open(piece, hole) }
        unless_so(piece.sewn.size == piece.sheet.layout.holes.size, :sewn_elsewhere, piece.sewn.keys)
        finished_off(piece)
        fastened(piece) if piece.plan.button.fastens?
      end

      def sewn_and_open(piece, hole)
        place = hole.at.to_s
        real = piece.sewn.fetch(place, [])
        unless_so(real.size == 1 || (real.size > 1 && piece.done.key?(:wrong)), :sewn_so_often, place, real.size)
        otherwise(piece.wanted, real.last) if real.any?
        return unless piece.plan.button.opens?

        cut = piece.cut[place]
        unless_so(cut, :left_closed, place)
        unless_so(cut.nil? || cut.to_r <= hole.opening.millimetres + 0.005r, :cut_longer_than_sewn, cut,
                  hole.opening.to_s)
        unless_so(cut.nil? || cut.to_r >= hole.opening.millimetres - 0.005r, :cut_shorter_than_planned, cut,
                  hole.opening.to_s)
      end

      def finished_off(piece)
        @where = "in the end, #{piece.plan.cloth.kind}"
        unless_so(did?(:tails), :tails_left)
        unless_so(did?(:torn) || !piece.stay&.torn, :stay_left)
        unless_so(did?(:rinsed) || !piece.stay&.film, :film_left)
        unless_so(did?(:rinsed) || !piece.stay&.wash, :wash_away_left)
        unless_so(did?(:unmarked), :marks_left)
        unless_so(did?(:tried) || did?(:swatch_lies_there), :never_tried)
        unless_so(did?(:corded) || !piece.recipe.cord.value, :cord_left_open)
      end

      def fastened(piece)
        piece.sheet.layout.holes.each do |hole|
          unless_so(piece.buttons.fetch(hole.at.to_s, []).any?, :button_missing, hole.at.to_s)
        end
        spaced = piece.sheet.attaching.by_machine && piece.sheet.attaching.shank.positive?
        unless_so(did?(:secured) || piece.buttons.values.flatten.all?(&:empty?), :never_secured)
        unless_so(did?(:wound) || !did?(:spacer), :spacer_left)
        unless_so(did?(:spacer) || !spaced || piece.buttons.values.flatten.all?(&:empty?), :no_shank)
      end
    end
  end
end
