# frozen_string_literal: true

# NewClosure is what a closure starts with before anybody has said anything about it: a plain shirt
# button in light cloth, to be typed over.
#
#   Form::NewClosure.document(name: "front placket", machine_id: 1)

require_relative "../field/field"
require_relative "../field/initial"
require_relative "../store/document"

module NimbleEyelet
  module Form
    module NewClosure
      # @param name [String]
      # @param machine_id [Integer]
      # @param typed [Hash{String => String}] what is known already, in millimetres
      # @param lists [Hash] pins and keep_outs
      # @return [Document]
      def self.document(name:, machine_id:, typed: {}, **lists)
        said = INITIAL.merge(typed, "closure.name" => name)
        Store::Document.new(fields: FIELDS.to_h { |path, field| [path, field.read(said[path], unit: :mm)] }, machine_id: machine_id, **lists)
      end
    end
  end
end
