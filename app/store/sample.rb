# frozen_string_literal: true

# Sample lays out the sample workroom, read from the files in db/sample: once in an empty database,
# and again whenever somebody asks for it fresh. It lies there in the middle of the work: db/sample/story.yml.
#
#   Store::Sample.new(db).first   # => true when it was laid out in an empty database
#   Store::Sample.new(db).fresh   # => Workroom

require "yaml"
require_relative "../form/closure_form"
require_relative "closures"
require_relative "garment_photos"
require_relative "sample_story"
require_relative "workrooms"

module NimbleEyelet
  module Store
    class Sample
      FOLDER = File.expand_path("../../db/sample", __dir__)

      # @param db [Sequel::Database]
      # @param story [Boolean] whether it lies there in the middle of the work, or as planned and never sewn
      # @param now [Time]
      # @param album [Album, nil] where its photos go; nowhere leaves them out
      # @param account [Integer, nil] whose it is
      def initialize(db, story: true, now: Time.now, folder: FOLDER, album: nil, account: nil)
        @db = db
        @account = account
        @album = album
        @story = story
        @now = now
        @folder = folder
      end

      # @return [Boolean] false when there already is a workroom
      def first
        @db.transaction do
          # One at a time, when several servers start on one empty database.
          @db.run("LOCK TABLE workrooms IN EXCLUSIVE MODE")
          next false unless @db[:workrooms].empty?

          fresh
          true
        end
      end

      # @return [Workroom]
      def fresh
        @db.transaction do
          @workroom = Workrooms.new(@db, account: @account).begin(name: read("workroom").fetch("name"), sample: true)
          @scope = @workroom.scope
          machines = read("machines").to_h { |machine| [machine["name"], add_machine(machine)] }
          @shelves = %w[cloths threads buttons].to_h do |table|
            [table, read(table).to_h { |row| [row["name"], add(table, row)] }]
          end
          read("stabilisers").each { |row| add("stabilisers", row) }
          read("garments").each { |garment| add_garment(garment, machines) }
          read("story").each { |part| happen(part) } if @story
          @workroom
        end
      end

      private

      def read(name) = YAML.safe_load_file(File.join(@folder, "#{name}.yml"))

      def happen(part)
        SampleStory.new(@workroom, part, now: @now).happen
        show(part) if @album && part["photo"]
      end

      # A store of photos that is away leaves the sample without them.
      def show(part)
        image = @album.read(File.binread(File.join(@folder, part["photo"])))
        garment = @scope[:garments].where(name: part.fetch("garment")).get(:id)
        GarmentPhotos.new(@scope, @album).add(garment, image)
      rescue Sequel::Error
        raise
      rescue StandardError
        nil
      end

      def add(table, row)
        @scope.insert(table.to_sym, row.transform_keys(&:to_sym))
        row
      end

      def add_machine(machine)
        row = machine.except("feet").transform_keys(&:to_sym)
        id = @scope.insert(:machines, row.merge(styles: Sequel.pg_array(row[:styles], :text), practice: true))
        machine["feet"].each { |foot| add("feet", foot.merge("machine_id" => id)) }
        @workroom.machines.one(id)
      end

      def add_garment(garment, machines)
        id = @scope.insert(:garments, name: garment["name"])
        closures = Closures.new(@workroom)
        garment["closures"].each { |closure| closures.create(id, plan(closure, machines.fetch(closure["machine"]))) }
      end

      # A closure names what it takes off the shelves; the rest is written as a person would type it.
      def plan(closure, machine)
        typed = { "button" => "buttons", "cloth" => "cloths", "thread" => "threads" }
                .map { |section, table| from_shelf(section, table, closure) }.reduce(:merge)
                .merge(closure.fetch("typed", {}), "placket.pins" => rows(closure["pins"], %w[at label]),
                                                   "placket.keep_outs" => rows(closure["keep_outs"], %w[from to label]))
        Form::ClosureForm.new(:mm).blank(name: closure["name"], machine: machine, typed: typed)
      end

      def from_shelf(section, table, closure)
        return {} unless closure.key?(section)

        row = @shelves.fetch(table).fetch(closure.fetch(section))
        row.except("owned", "colour", "note").to_h do |column, value|
          ["#{section}.#{column.sub(/_(mm|g_m2|percent)\z/, '')}", value.to_s]
        end
      end

      def rows(rows, names) = rows.to_a.each_with_index.to_h { |row, index| ["row#{index + 1}", names.zip(row).to_h] }
    end
  end
end
