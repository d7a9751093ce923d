# frozen_string_literal: true

# HandsAround is what the hands would do for a hole a little shorter or longer than the one that is set.
#
#   HandsAround.of(setting, correction, cut) { |one| clamped(one) }.first   # => [Length of -7 mm, Length of 15.5 mm]

module NimbleEyelet
  module HandsAround
    # Marks of the ruler either way.
    EITHER_WAY = 14

    # @param setting [Opening::Setting]
    # @param correction [Length] what is set beyond what is wanted
    # @param cut [Opening::SlitLength]
    # @yieldparam correction [Length]
    # @yieldreturn [Length] what the hands do with a button that is clamped
    # @return [Array<Array(Length, Length)>] by correction, what the hands do then
    def self.of(setting, correction, cut)
      return [[correction, setting.hands]] if setting.by.key == "own" || (setting.gives.nil? && setting.stops.nil?)

      corrections = (-EITHER_WAY..EITHER_WAY).map { |number| correction + (cut.ruler.finest * number) }
      corrections.map { |one| [one, setting.by.key == "clamp" ? yield(one) : cut.length + one] }
    end
  end
end
