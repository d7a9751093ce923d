# frozen_string_literal: true

# Material is what can be done to a cloth that is sewn so: which ways out there are when something went wrong.
#
#   Material.of(cloth, :straight).zigzagged?   # => false, a box of leather is never mended by zigzag

require_relative "../value"

module NimbleEyelet
  module Sewing
    # irons, keeps_holes, frays, straight - Boolean: takes an iron, keeps its needle holes, frays, is sewn by straight
    #   stitch
    class Material < Value.of(irons: true, keeps_holes: false, frays: true, straight: false)
      # @param cloth [Cloth]
      # @param stitched [Symbol] :satin, :open or :straight
      # @return [Material]
      def self.of(cloth, stitched)
        new(irons: cloth.iron?, keeps_holes: cloth.type.perforates, frays: cloth.frays?,
            straight: stitched == :straight)
      end

      def ironed? = irons
      def unpicked? = !keeps_holes
      def kept? = keeps_holes
      def sealed? = frays && !straight
      def zigzagged? = !straight
    end
  end
end
