# frozen_string_literal: true

source "https://rubygems.org"

ruby ">= 3.1"

# The web application
gem "bootsnap", "~> 1.18", require: false # a start reads what the one before it compiled
gem "committee", "~> 5.6"
gem "fsrs", "~> 0.9" # what is due again when practising
gem "icalendar", "~> 2.10" # a session in a calendar
gem "matrix", "~> 0.4" # prawn needs it, and photos are measured with it
gem "prawn", "~> 2.5"
gem "puma", "~> 8.0"
gem "rackup", "~> 2.3"
gem "sinatra", "~> 4.2"

# Who is there
gem "argon2", "~> 2.3" # passwords
gem "mail", "~> 2.8" # by SMTP, where somebody says so
gem "rack-attack", "~> 6.7" # how often somebody may try
gem "roda", "~> 3.90"
gem "rodauth", "~> 2.39" # accounts, on roda
gem "rqrcode", "~> 3.0" # what a tablet reads
gem "webauthn", "~> 3.4" # passkeys

# The database
gem "pg", "~> 1.5"
gem "sequel", "~> 5.110"

# Photos of test holes
gem "aws-sdk-s3", "~> 1.170", require: false # only where photos lie in a store that speaks S3
gem "rexml", "~> 3.3", require: false # reads what such a store says
gem "ruby-vips", "~> 2.2"
gem "shrine", "~> 3.6"

group :development, :test do
  gem "capybara", "~> 3.40"
  gem "minitest", "~> 5.25"
  gem "pdf-reader", "~> 2.16"
  gem "prism", "~> 1.7" # reads what leans on what
  gem "rack-test", "~> 2.2"
  gem "rubocop", "~> 1.80", require: false
  gem "rubocop-minitest", require: false
  gem "rubocop-performance", require: false
  gem "rubocop-sequel", require: false
  gem "selenium-webdriver", "~> 4.20"
end
