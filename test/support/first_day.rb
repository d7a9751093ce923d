# frozen_string_literal: true

# FirstDay keeps a copy of every row of a database and puts them back: within milliseconds, and only when anything was
# written since.
#
#   first = FirstDay.new(cluster, "nimble_eyelet_test")
#   first.again

module NimbleEyelet
  module Support
    class FirstDay
      # What is no row of a workroom: the version of the schema, and who this database is.
      APART = %w[schema_info identity].freeze

      # What was put back is another database to whoever remembers the old one, as after a restore.
      OTHER = "UPDATE identity SET id = substr(md5(random()::text), 1, 6);"

      # @param cluster [Server::Cluster]
      # @param database [String]
      def initialize(cluster, database)
        @cluster = cluster
        @database = database
        keep
        @seen = written
      end

      # @return [void]
      def again
        return if written == @seen

        connection.exec(@restore)
      rescue PG::UnableToSend, PG::ConnectionBad
        close
        connection.exec(@restore)
      ensure
        @seen = written
      end

      def close
        @connection&.close
        @connection = nil
      end

      private

      # As its administrator: references are not checked and nobody is told.
      def connection
        @connection ||= @cluster.as_admin(@database).tap { |one| one.exec("SET session_replication_role = replica") }
      end

      # The transaction to come: the same number as before means that nobody wrote.
      def written = connection.exec("SELECT pg_snapshot_xmax(pg_current_snapshot())").getvalue(0, 0)

      def keep
        names = column("SELECT tablename FROM pg_tables WHERE schemaname = 'public'") - APART
        @restore = (names.map { |name| rows(name) } + counters + [OTHER]).join
      end

      def rows(name)
        given = column("SELECT quote_ident(column_name) FROM information_schema.columns WHERE table_schema = 'public' " \
                       "AND table_name = '#{name}' AND is_generated = 'NEVER'").join(", ")
        kept = connection.escape_literal(column("SELECT coalesce(json_agg(t), '[]') FROM public.#{name} t").first)
        "DELETE FROM public.#{name}; INSERT INTO public.#{name} (#{given}) OVERRIDING SYSTEM VALUE " \
          "SELECT #{given} FROM json_populate_recordset(NULL::public.#{name}, #{kept});"
      end

      def counters
        column("SELECT format('SELECT setval(%L, %s, %L);', schemaname || '.' || sequencename, coalesce(last_value, 1), " \
               "last_value IS NOT NULL) FROM pg_sequences WHERE schemaname = 'public'")
      end

      def column(query) = connection.exec(query).column_values(0)
    end
  end
end
