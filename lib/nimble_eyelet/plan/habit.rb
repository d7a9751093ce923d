# frozen_string_literal: true

# Habits are the questions on which people who do this work were taught differently. A workroom
# answers each once; a closure may answer otherwise for itself.
#
#   HABITS.fetch("placket.seat").option("centre").against
#
# A habit without options takes a length, or nothing, which leaves it to the rules.

require_relative "../value"

module NimbleEyelet
  # speaks_for, against - String or Sentence, one sentence each
  HabitOption = Value.of(:key, :name, :speaks_for, :against)

  # path - String, the field of a closure it stands in for; label - String, what that field is called
  # begins - String or nil, the first school; inches - String or nil, the first one for whoever has an inch ruler
  class Habit < Value.of(:path, :label, :question, begins: nil, inches: nil, options: [], speaks_for: "", against: "")
    # @param unit [Symbol]
    # @return [String, nil] the first school; the ruler comes with the unit
    def begins_in(unit) = unit == :in && inches ? inches : begins

    # @return [HabitOption, nil]
    def option(key) = options.find { |option| option.key == key }

    # @return [Hash{String => String, Sentence}, nil] what its options are called, nil where it takes a length
    def choices = options.empty? ? nil : options.to_h { |option| [option.key, option.name] }

    # @return [HabitOption]
    def self.says(key, name, speaks_for, against)
      HabitOption.new(key: key, name: name, speaks_for: speaks_for, against: against)
    end
  end
end
