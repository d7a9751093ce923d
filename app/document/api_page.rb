# frozen_string_literal: true

# ApiPage renders the interface description as one readable page, with nothing to fetch but our
# own style sheet.
#
#   Document::ApiPage.new(YAML.safe_load_file("openapi.yaml")).html

require "cgi"

module NimbleEyelet
  module Document
    class ApiPage
      VERBS = %w[get post put patch delete].freeze

      # @param description [Hash] an OpenAPI 3 document
      def initialize(description)
        @description = description
      end

      # @return [String]
      def html
        info = @description["info"]
        <<~HTML
          <!doctype html>
          <html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
          <title>#{h(info['title'])}: the interface</title><link rel="stylesheet" href="/api/docs.css"></head>
          <body><main><h1>#{h(info['title'])}: the interface</h1><p>#{h(info['description'])}</p>
          <p><a href="/api/openapi.yaml">The description itself</a></p>
          <h2>Calls</h2>#{@description['paths'].map { |path, item| path_part(path, item) }.join}
          <h2>Values</h2>#{@description.dig('components', 'schemas').map { |name, schema| schema_part(name, schema) }.join}
          </main></body></html>
        HTML
      end

      private

      def h(text) = CGI.escapeHTML(text.to_s)

      def path_part(path, item)
        item.slice(*VERBS).map do |verb, operation|
          body = schema_of(operation["requestBody"])
          "<section><h3><code>#{verb.upcase} #{h(path)}</code></h3><p>#{h(operation['summary'])}</p>" \
            "#{"<p>Takes #{type(body)}</p>" if body}<ul>#{answers(operation)}</ul></section>"
        end.join
      end

      def answers(operation)
        operation["responses"].map do |status, answer|
          answer = @description.dig("components", "responses", answer["$ref"].split("/").last) if answer["$ref"]
          schema = schema_of(answer)
          "<li><strong>#{h(status)}</strong> #{h(answer['description'])}#{": #{type(schema)}" if schema}</li>"
        end.join
      end

      def schema_of(part) = (part || {}).fetch("content", {}).values.first&.fetch("schema")

      def schema_part(name, schema)
        rows = schema.fetch("properties", {}).map do |field, value|
          "<tr><th scope=\"row\">#{h(field)}</th><td>#{type(value)}</td></tr>"
        end
        body = rows.empty? ? "<p>#{type(schema)}</p>" : "<table>#{rows.join}</table>"
        "<section id=\"#{h(name)}\"><h3>#{h(name)}</h3>#{body}</section>"
      end

      def type(schema)
        return reference(schema["$ref"]) if schema["$ref"]

        words = schema["enum"] ? "one of #{h(schema['enum'].join(', '))}" : h([schema["type"], schema["format"]].compact.join(", "))
        words = "list of #{type(schema['items'])}" if schema["items"]
        words += " with #{h(schema['properties'].keys.join(', '))}" if schema["properties"]
        schema["nullable"] ? "#{words}, or nothing" : words
      end

      def reference(ref)
        name = ref.split("/").last
        "<a href=\"##{h(name)}\">#{h(name)}</a>"
      end
    end
  end
end
