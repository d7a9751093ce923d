# frozen_string_literal: true

# Described finds which path of the description an address means. The paths are sorted once by verb and number of parts,
# so an address is compared with a handful of them.
#
#   described = Http::Described.new(description)
#   described.find("get", "/api/workrooms/dyer/closures/3")
#   # => ["/api/workrooms/{slug}/closures/{id}", { "slug" => "dyer", "id" => "3" }]

require "committee"
require "openapi_parser"

module NimbleEyelet
  module Http
    class Described
      VERBS = %w[get post put patch delete].freeze
      GAP = /\{(\w+)\}/

      # path - String, as described; parts - Array<String, Regexp, nil>, what each part is or matches, nil for anything;
      # gaps - Array<String>
      Row = Struct.new(:path, :parts, :gaps)

      # @param description [Hash] openapi.yaml
      def initialize(description)
        rows = description["paths"].flat_map { |path, item| item.slice(*VERBS).keys.map { |verb| [verb, row(path)] } }
        # What is spelled out comes before what is filled in.
        @rows = rows.sort_by { |_, row| row.parts.count(&:nil?) }.group_by { |verb, row| [verb, row.parts.size] }
                    .transform_values { |list| list.map(&:last) }
      end

      # @param verb [String] in small letters
      # @param path [String]
      # @return [Array(String, Hash{String => String}), nil] the path as described, and what fills its gaps
      def find(verb, path)
        parts = path.split("/")
        @rows[[verb, parts.size]]&.each do |row|
          filled = filled(row, parts) and return [row.path, filled]
        end
        nil
      end

      private

      def row(path)
        parts = path.split("/").map { |part| pattern(part) if part != part[GAP] }
        Row.new(path, parts, path.scan(GAP).flatten)
      end

      def pattern(part)
        return part unless part.match?(GAP)

        spelled = part.split(GAP, -1).each_with_index.map { |text, at| at.even? ? Regexp.escape(text) : "(.+)" }
        Regexp.new("\\A#{spelled.join}\\z", Regexp::MULTILINE)
      end

      # @return [Hash, nil]
      def filled(row, parts)
        found = row.parts.each_with_index.flat_map do |want, at|
          case want
          when parts[at] then []
          when nil then parts[at]
          when Regexp then want.match(parts[at])&.captures || break
          else break
          end
        end
        found && row.gaps.zip(found).to_h
      end

      # A schema that looks up its operations here instead of comparing an address with every path.
      #
      #   schema.extend(Http::Described::Operations).look_up(described)
      module Operations
        # How to check comes with each check.
        CONFIG = OpenAPIParser::Config.new({ strict_reference_validation: true })
        private_constant :CONFIG

        # @param described [Described]
        # @return [self]
        def look_up(described)
          @finder = Finder.new(described, open_api.paths.path)
          self
        end

        # @param path [String]
        # @param verb [String]
        # @return [Committee::SchemaValidator::OpenAPI3::OperationWrapper, nil]
        def operation_object(path, verb)
          found = OpenAPIParser::RequestOperation.create(verb, path, @finder, CONFIG)
          found && Committee::SchemaValidator::OpenAPI3::OperationWrapper.new(found)
        end
      end

      Finder = Struct.new(:described, :items) do
        def operation_object(verb, path)
          known, filled = described.find(verb.to_s, path)
          item = items[known] or return
          OpenAPIParser::PathItemFinder::Result.new(item, item.operation(verb), known, filled)
        end
      end
      private_constant :Finder, :Row
    end
  end
end
