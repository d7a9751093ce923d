# frozen_string_literal: true

# For any Rack server: DATABASE_URL says where the database is, NIMBLE_EYELET_ORIGIN under which address people reach
# it. The database is brought up to date first; servers that start at once take turns.

require_relative "app/http/web"

url = ENV.fetch("DATABASE_URL")
live = NimbleEyelet::Http::Live.new(url)
db = NimbleEyelet::Store::Database.connect(url)
NimbleEyelet::Store::Database.migrate(db)
# Processes that are forked from here open connections of their own.
db.disconnect
run NimbleEyelet::Http::Web.application(db: db, aside: NimbleEyelet::Store::Database.aside(url), live: live,
                                        origins: NimbleEyelet::Http::Origins.of(ENV.fetch("NIMBLE_EYELET_ORIGIN", nil)))
