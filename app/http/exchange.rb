# frozen_string_literal: true

# Exchange is what routes share in reading a request and writing an answer: versions, bodies, JSON, and answers that are
# remembered until what they hang on changes.

require "json"
require "monitor"
require_relative "../dialect"
require_relative "../document/separated"
require_relative "../problem"
require_relative "../store/errors"
require_relative "answer"
require_relative "file_name"

module NimbleEyelet
  module Http
    module Exchange
      # The version a change came to. What is only read says more than its own row, and is known by all it says.
      #
      # @param version [String, Integer]
      def etag_of(version) = request.get? ? nil : response["etag"] = "\"#{version}\""

      # The body as the guards have checked it.
      def body_hash = env["committee.request_body_hash"] || {}

      # What does not change unless its stamp does: the client's own where it has it, else as it was sent last.
      #
      # @param stamp [String] of Store::Stamps
      # @yieldreturn [Hash, Array] the answer
      def remembered(stamp)
        tag = response["etag"] = Answer.tag(stamp)
        halt 304 if request.env["HTTP_IF_NONE_MATCH"].to_s.split(/,\s*/).include?(tag)

        answer = settings.answers.of([request.fullpath, tag]) { Answer.of(JSON.generate(yield)) }
        content_type :json
        halt 200, answer.plain unless request.env["HTTP_ACCEPT_ENCODING"].to_s.include?("gzip")

        headers "content-encoding" => "gzip", "vary" => "accept-encoding"
        halt 200, answer.packed
      end

      # One print at a time is worked out: what takes long leaves room for whoever asks something short.
      DRAWING = Monitor.new
      private_constant :DRAWING

      # Whatever is worked out for a print before it is drawn, too, waits until the one before is done.
      def for_print(&) = DRAWING.synchronize(&)

      # A print as it was drawn last, or drawn now.
      #
      # @param hangs_on [Array] all that it depends on beside the address; nothing where each request draws it
      # @yieldreturn [String] its bytes
      def drawn(*hangs_on, &)
        return DRAWING.synchronize(&) if hangs_on.empty?

        settings.prints.of([request.path_info, request.query_string, dialect, *hangs_on]) { DRAWING.synchronize(&) }
      end

      # How this browser's person likes to read, for prints.
      def dialect = @dialect ||= Dialect.of(request.cookies[Dialect::COOKIE])

      def json(value, status: 200)
        content_type :json
        halt status, JSON.generate(value)
      end

      # What a file is by its ending, and whether a browser shows it or puts it away.
      ENDINGS = { "pdf" => ["inline", ["application/pdf"]],
                  "svg" => ["inline", ["image/svg+xml", { charset: "utf-8" }]],
                "csv" => ["attachment", ["text/csv", { charset: "utf-8" }]], "json" => ["attachment", [:json]],
                  "ics" => ["attachment", ["text/calendar", { charset: "utf-8" }]] }.freeze

      # Says which file the answer is.
      #
      # @param file [String] what it is, with its ending
      # @param of [String] what it belongs to, where that is not the workroom
      # @param kept [String, nil] "inline" or "attachment", where it is not as its kind mostly is
      def sends(file, of: "", kept: nil)
        what, ending = file.split(".")
        usual, type = ENDINGS.fetch(ending)
        content_type(*type)
        response["content-disposition"] = "#{kept || usual}; #{FileName.of(of, what, ending).header}"
      end

      # Rows of a table as the workroom's spreadsheet takes them.
      #
      # @param rows [String] comma separated
      # @return [String]
      def table(rows) = Document::Separated.as(workroom.settings.fetch(:csv), rows)

      # The version the person saw.
      def seen
        tag = request.env["HTTP_IF_MATCH"] or halt Problem.new(428, "Say which version you saw, in If-Match.").render
        tag[/\A"([a-z0-9.]{1,40})"\z/, 1].to_s
      end

      # Of what has no versions of its own, a number.
      def revision_seen = seen[/\A\d{1,9}\z/].to_i

      # What somebody said of the columns of their file.
      def columns_said
        said = JSON.parse(params.fetch("columns", "{}"))
        said.is_a?(Hash) ? said.transform_values(&:to_s) : {}
      rescue JSON::ParserError
        raise Refusal.field("columns", "", "Say of each column what it is, as JSON.")
      end

      # @param text [String] from the path
      # @return [Integer]
      def number(text) = text.match?(/\A\d{1,9}\z/) ? text.to_i : raise(Store::Missing)
    end
  end
end
