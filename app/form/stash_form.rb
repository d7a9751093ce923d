# frozen_string_literal: true

# StashForm reads a button of the stash as typed or as a row of a file says it.
#
#   Form::StashForm.read({ "name" => "shell", "diameter" => "28L" }, unit: :mm)   # => StashButton

require_relative "../../lib/nimble_eyelet"
require_relative "../field/stash_fields"

module NimbleEyelet
  module Form
    module StashForm
      # @param typed [Hash{String => String, nil}] by name of field
      # @param unit [Symbol]
      # @return [StashButton] valid
      # @raise [Refusal] with every fault
      def self.read(typed, unit:)
        check = Refusal::Check.new
        values = StashFields::ALL.to_h do |name, field|
          text = typed[name].to_s
          text = StashFields::OPEN.fetch(name, "") if text.strip.empty?
          [name.to_sym, check.gather { field.read(text, unit: unit) }]
        end
        values = by_itself(values, check.faults)
        raise Refusal, check.faults unless check.faults.empty?

        more = values.slice(:owned, :colour, :note)
        StashButton.new(button: Button.new(**values.except(*more.keys)), **more).validate
      end

      # A ball is as thick as it is wide, and many corners give their own width.
      def self.by_itself(values, faults)
        form = values[:shape] && ButtonShape.fetch(values[:shape]) or return values
        unasked = []
        unasked << "button.thickness" unless form.measured?(:thickness)
        unasked << "button.diameter" if form.measured?(:outline) && values[:outline]
        faults.reject! { |fault| unasked.include?(fault.field) && fault.given.to_s.empty? }
        diameter = values[:diameter] || values[:outline]&.largest_width
        values.merge({ diameter: diameter, thickness: diameter }.merge(values.compact))
      end
      private_class_method :by_itself
    end
  end
end
