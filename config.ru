# frozen_string_literal: true

# For any Rack server: DATABASE_URL says where the database is, NIMBLE_EYELET_ORIGIN under which address people reach
# it, and NIMBLE_EYELET_SECRET what seals their sessions. People sign in, unless a proxy asks who is there and
# NIMBLE_EYELET_SIGN_IN=off says so. The database is brought up to date first; servers that start at once take turns.

require_relative "app/http/web"
require_relative "app/server/entrance"

url = ENV.fetch("DATABASE_URL")
var = ENV.fetch("NIMBLE_EYELET_VAR", File.expand_path("var", __dir__))
entrance = NimbleEyelet::Server::Entrance.new({ "NIMBLE_EYELET_SIGN_IN" => "on" }.merge(ENV.to_h), var: var)
live = NimbleEyelet::Http::Live.new(url)
db = NimbleEyelet::Store::Database.connect(url)
NimbleEyelet::Store::Database.migrate(db)
# Processes that are forked from here open connections of their own.
db.disconnect
run NimbleEyelet::Http::Web.application(db: db, aside: NimbleEyelet::Store::Database.aside(url), live: live,
                                        origins: entrance.origins, access: entrance.access(nil))
