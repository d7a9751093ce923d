# frozen_string_literal: true

# The swatch book with 100,000 test holes against one with 1,000: by words, by cloth and verdict, a page deep in it.

require_relative "world"

module NimbleEyelet
  module Support
    module SwatchBookBench
      SMALL = 1_000
      LARGE = 100_000
      ASKED = { "a page" => {}, "by a rare word" => { words: "w77x" }, "by two words" => { words: "linen tight" },
                "by cloth and verdict" => { cloth: "knit", verdict: "tight" }, "nearly written so" => { words: "w77xq" } }.freeze
      # Test holes are invented in the database: words of a few cloths, and one of a thousand.
      FILL = <<~SQL
        WITH made AS (
          INSERT INTO journal (workroom_id, id, kind, closure_id, machine_id, data, happened_at, imported)
          SELECT :workroom, gen_random_uuid(), 'swatch', NULL, NULL,
                 jsonb_build_object('passes', (ARRAY['tight','passes','easy'])[1 + n % 3], 'symptoms', '[]'::jsonb, 'measured', '22.5', 'with',
                   jsonb_build_object('opening.length', '{"mm":"22.5"}'::jsonb, 'recipe.stitch_width', '{"mm":"4.5"}'::jsonb,
                     'recipe.stitch_length', '{"mm":"0.4"}'::jsonb, 'recipe.tension', '3', 'recipe.stabiliser', 'strip',
                     'cloth.kind', (ARRAY['knit','light_woven'])[1 + n % 2])),
                 now() - n * interval '1 minute', true FROM generate_series(1, :count) AS n RETURNING *)
        INSERT INTO swatch_book (workroom_id, entry, sewn_at, verdict, cloth_kind, words)
        SELECT workroom_id, id, happened_at, data->>'passes', data->'with'->>'cloth.kind',
               (ARRAY['linen','flannel','wool'])[1 + (random() * 2)::int] || ' ' || (data->>'passes') || ' w' || (random() * 1000)::int || 'x' FROM made
      SQL

      def swatch_book(world)
        db = world.db
        small, large = [SMALL, LARGE].map { |count| filled(db, count) }
        ASKED.each do |name, asked|
          times = [small, large].map { |book| fastest { book.search(**asked) } }
          puts format("swatch book %<name>s: %<ratio>.1f times as long with #{LARGE} as with #{SMALL} (2), %<ms>.1f ms", name: name,
                      ratio: times[1] / times[0], ms: times[1] * 1000)
        end
      end

      def filled(db, count)
        room = Store::Workrooms.new(db).begin(name: "Bench #{count}")
        db.fetch(FILL, workroom: room.id, count: count).all
        db.run("ANALYZE swatch_book; ANALYZE journal")
        Store::SwatchBook.new(room.scope)
      end

      def fastest
        Array.new(12) do
          from = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          yield
          Process.clock_gettime(Process::CLOCK_MONOTONIC) - from
        end.min
      end
    end
  end
end
