# frozen_string_literal: true

# Description is the interface as openapi.yaml has it: every operation, and bodies as it wants them.

require "yaml"

module Description
  CONTENT = YAML.safe_load_file(NimbleEyelet::Http::Web::DESCRIPTION)
  VERBS = %w[get post put patch delete].freeze

  def operations
    CONTENT["paths"].flat_map { |path, item| (item.keys & VERBS).map { |verb| [verb, path, item[verb]] } }
  end

  def deref(schema) = schema["$ref"] ? deref(CONTENT.dig(*schema["$ref"].delete_prefix("#/").split("/"))) : schema

  # A body as the description has it, with the same text wherever any text can go.
  def body(schema, text)
    schema = deref(schema)
    return body(schema["anyOf"].last, text) if schema["anyOf"]
    return schema["enum"].first if schema["enum"]

    case schema["type"]
    when "object" then object(schema, text)
    when "array" then [body(schema["items"], text)]
    when "integer", "number" then 1
    when "boolean" then true
    else text
    end
  end

  def object(schema, text)
    rows = schema["additionalProperties"].is_a?(Hash) ? { "row1" => body(schema["additionalProperties"], text) } : {}
    (schema["properties"] || {}).transform_values { |part| body(part, text) }.merge(rows)
  end

  def json_schema(operation) = operation.dig("requestBody", "content", "application/json", "schema")
end
