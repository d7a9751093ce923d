# frozen_string_literal: true

# For any Rack server: DATABASE_URL says where the database is.

require_relative "app/http/web"

url = ENV.fetch("DATABASE_URL")
live = NimbleEyelet::Http::Live.new(url)
run NimbleEyelet::Http::Web.application(db: NimbleEyelet::Store::Database.connect(url), aside: NimbleEyelet::Store::Database.aside(url),
                                        live: live)
