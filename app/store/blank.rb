# frozen_string_literal: true

# Blank is what a closure starts with before anybody has said anything about it: a plain shirt
# button in light cloth, to be typed over.
#
#   Store::Blank.document(name: "front placket", machine_id: 1)

require_relative "document"

module NimbleEyelet
  module Store
    module Blank
      # @param name [String]
      # @param machine_id [Integer]
      # @param typed [Hash{String => String}] what is known already, in millimetres
      # @param lists [Hash] pins and keep_outs
      # @return [Document]
      def self.document(name:, machine_id:, typed: {}, **lists)
        said = INITIAL.merge(typed, "closure.name" => name)
        Document.new(fields: FIELDS.to_h { |path, field| [path, field.read(said[path], unit: :mm)] }, machine_id: machine_id, **lists)
      end
    end
  end
end
