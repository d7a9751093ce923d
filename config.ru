# frozen_string_literal: true

# For any Rack server: DATABASE_URL says where the database is.

require_relative "app/web"

run NimbleEyelet::App::Web.application(db: NimbleEyelet::Store::Database.connect(ENV.fetch("DATABASE_URL")))
