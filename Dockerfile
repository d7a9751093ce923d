# Nimble Eyelet in a container: the database is elsewhere, DATABASE_URL says where. Photos lie in /data.
#
#   docker build -t nimble-eyelet .
#   docker run -p 127.0.0.1:4567:4567 -v nimble-eyelet:/data -e DATABASE_URL=postgres://… \
#     -e NIMBLE_EYELET_ORIGIN=https://sewing.example -e TRUST_PROXY=on nimble-eyelet
#   docker exec -it … ruby app/server/new_account.rb   # makes the first account

FROM node:22-bookworm-slim AS build
RUN apt-get update && apt-get install -y --no-install-recommends \
    ruby ruby-dev ruby-bundler build-essential libyaml-dev libpq-dev libssl-dev postgresql libvips42 && rm -rf /var/lib/apt/lists/*
WORKDIR /app
COPY . .
RUN NIMBLE_EYELET_VAR=/tmp/var bin/setup --for-use && rm -rf web/node_modules web/src/api/schema.d.ts

FROM debian:12-slim
RUN apt-get update && apt-get install -y --no-install-recommends ruby ruby-bundler libpq5 libvips42 libyaml-0-2 \
    && rm -rf /var/lib/apt/lists/* && useradd --system --home /data --create-home nimble-eyelet
WORKDIR /app
COPY --from=build /app /app
USER nimble-eyelet
ENV NIMBLE_EYELET_VAR=/data WEB_CONCURRENCY=2
VOLUME /data
EXPOSE 4567
HEALTHCHECK --interval=30s --timeout=3s CMD ["ruby", "-rnet/http", "-e", "exit Net::HTTP.get_response(URI('http://127.0.0.1:4567/api/health')).code == '200'"]
CMD ["bundle", "exec", "puma", "--bind", "tcp://0.0.0.0:4567", "--threads", "1:12", "--environment", "production", "config.ru"]
