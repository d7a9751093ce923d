# frozen_string_literal: true

# LengthRange is between which lengths the opening lies while nobody has measured how thick the button is: the commonest
# cause of a hole that is too short.
#
#   LengthRange.of(sheet)   # => [32 mm, 36.5 mm]

require_relative "../answer/refusal"

module NimbleEyelet
  module LengthRange
    # @param sheet [Sheet]
    # @return [Array(Length, Length), nil] nothing of what is measured, where it changes nothing, and where test holes
    #   tell how it goes through
    def self.of(sheet)
      button = sheet.plan.button
      return unless button.opens? && button.guessed? && sheet.seen_to_fit.nil?

      found = button.likely.filter_map { |one| opening(sheet, one) }
      found.minmax if found.uniq.size > 1
    end

    # @return [Length, nil] nothing where there is no such button
    def self.opening(sheet, button)
      sheet.planned(sheet.plan.changed("button.thickness" => button.thickness).validate).opening
    rescue Refusal
      nil
    end
    private_class_method :opening
  end
end
