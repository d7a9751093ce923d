# frozen_string_literal: true

# DatabaseFailure puts into words what PostgreSQL refused, with the field it is about where its name tells.
#
#   DatabaseFailure.of(error)   # => Failure(status: 422, field: "button.diameter", says: "…")

require "pg"
require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"

module NimbleEyelet
  module Http
    module DatabaseFailure
      # status - Integer; field - String or nil, its path; says - String
      Failure = Value.of(:status, :field, :says)

      BUSY = "The database is busy with something else and did not answer in time. Nothing was kept of this; please try again."
      FULL = "The disk of the database is full. What you typed is kept here, and saved once there is room again."
      OUTSIDE = "This is outside of what can be kept here. Write another figure."
      STRANGE = "Something in this cannot be kept. Nothing was changed."

      SAYS = { PG::DiskFull => [503, FULL], PG::QueryCanceled => [503, BUSY], PG::LockNotAvailable => [503, BUSY],
               PG::TRDeadlockDetected => [503, BUSY], PG::TRSerializationFailure => [503, BUSY],
               PG::AdminShutdown => [503, BUSY], PG::IdleInTransactionSessionTimeout => [503, BUSY],
               PG::ReadOnlySqlTransaction => [503, BUSY], PG::IntegrityConstraintViolation => [422, OUTSIDE],
               PG::DataException => [422, OUTSIDE], PG::ProgramLimitExceeded => [422, STRANGE] }.freeze

      # @param error [Sequel::DatabaseError]
      # @return [Failure]
      # @raise [Sequel::DatabaseError] what is nobody's fault but ours
      def self.of(error)
        cause = error.wrapped_exception || error.cause
        status, says = SAYS.find { |kind, _| cause.is_a?(kind) }&.last
        raise error unless status

        Failure.new(status: status, field: status == 422 ? field(cause) : nil, says: says)
      end

      # Constraints and columns carry the names of fields.
      def self.field(cause)
        result = cause.respond_to?(:result) && cause.result or return
        name = [result.error_field(PG::Result::PG_DIAG_COLUMN_NAME),
                result.error_field(PG::Result::PG_DIAG_CONSTRAINT_NAME)].compact.join(" ")
        ClosureFields::ALL.select { |field| name.include?(field.column.to_s.sub(/_(mm|g_m2|percent)\z/, "")) }
                          .max_by { |field| field.column.length }&.path
      end
      private_class_method :field
    end
  end
end
