# frozen_string_literal: true

# What bin/bench has judged by Lighthouse: every main view, on a desktop and on a phone. It is installed where it is
# used, in test/judges, since nothing else needs it.

require "json"
require "open3"
require "tmpdir"

module NimbleEyelet
  module Support
    module PagesBench
      PAGES = %w[/ /w/marsh-walk /w/marsh-walk/stash /w/marsh-walk/habits /w/marsh-walk/garments/1 /w/marsh-walk/machines/4
                 /w/marsh-walk/closures/1/opening /w/marsh-walk/closures/1/placket /w/marsh-walk/closures/1/sewing].freeze

      BUSY = "mainthread-work-breakdown"
      BLOCKED = "total-blocking-time"

      # Every main view, on a desktop and on a phone; how long it blocks, beside the emptiest page of the same
      # framework.
      def lighthouse(world)
        Dir.mktmpdir do |folder|
          web = File.expand_path("../../web", __dir__)
          system("npx", "vite", "build", "test/empty", "--config", "test/empty/vite.config.ts", "--outDir", folder,
                 chdir: web, out: File::NULL, err: File::NULL) || raise("the empty page was not built")
          empty = serve(Rack::Files.new(folder))
          out, status = Open3.capture2("node", "#{judges}/lighthouse.mjs", world.serve, "#{empty}/index.html", *PAGES)
          raise "Lighthouse did not run" unless status.success?

          pages = out.lines.map { |line| JSON.parse(line) }
          least = pages.shift(2).to_h { |page| [page["device"], page["figures"]] }
          least.each { |device, figures| puts format("an empty page keeps a %s busy %.0f ms", device, figures.fetch(BUSY)) }
          pages.each { |page| puts looked_at(page, least.fetch(page["device"])) }
        end
      end

      # Where the judges are installed, which nothing but this needs.
      def judges
        File.expand_path("../judges", __dir__).tap do |folder|
          next if File.exist?("#{folder}/node_modules")

          system("npm", "ci", "--no-fund", "--no-audit", chdir: folder, out: File::NULL) || raise("the judges could not be installed")
        end
      end

      def looked_at(page, least)
        figures = Hash.new(Float::NAN).merge(page["figures"].compact)
        format("%-34s %-8s %s; layout shift %.3f (aim 0.02), busy %.0f ms, %.1f times an empty page, blocked %.0f ms%s", page["path"],
               page["device"], page["scores"].map { |name, score| "#{name} #{score}" }.join(", "),
               figures["cumulative-layout-shift"], figures[BUSY], figures[BUSY] / least[BUSY], figures[BLOCKED],
               page["failing"].empty? ? "" : "; fails: #{page['failing'].join(', ')}")
      end

      def serve(app)
        server = Puma::Server.new(app, nil, { min_threads: 1, max_threads: 6, log_writer: Puma::LogWriter.null })
        port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
        server.run
        "http://127.0.0.1:#{port}"
      end
    end
  end
end
