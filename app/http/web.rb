# frozen_string_literal: true

# Web is the application: the guards, the routes of the interface, and the built front end.
#
#   app = NimbleEyelet::Http::Web.application(db: Store::Database.connect(url))   # a Rack application

require "sinatra/base"
require_relative "../../lib/nimble_eyelet"
require_relative "../presenter"
require_relative "../memo"
require_relative "../problem"
require_relative "../device/post"
require_relative "../route/account"
require_relative "../route/caliper"
require_relative "../route/closure"
require_relative "../route/about"
require_relative "../route/everything"
require_relative "../route/garment"
require_relative "../route/garment_papers"
require_relative "../route/garment_photo"
require_relative "../route/journal"
require_relative "../route/machine"
require_relative "../route/measure"
require_relative "../route/people"
require_relative "../route/photo"
require_relative "../route/photo_reading"
require_relative "../route/print"
require_relative "../route/rehearsal"
require_relative "../route/request"
require_relative "../route/shelf"
require_relative "../route/session"
require_relative "../route/stash"
require_relative "../route/stitch"
require_relative "../route/supplies"
require_relative "../route/swatch"
require_relative "../route/swatch_book"
require_relative "../route/workroom"
require_relative "../store/database"
require_relative "../store/errors"
require_relative "../store/person"
require_relative "../store/stamps"
require_relative "../store/workrooms"
require_relative "access"
require_relative "browser_name"
require_relative "database_failure"
require_relative "described"
require_relative "exchange"
require_relative "first_load"
require_relative "front_end"
require_relative "origins"
require_relative "rights"
require_relative "sheets"
require_relative "sign_in"
require_relative "stack"
require_relative "stores"

module NimbleEyelet
  module Http
    class Web < Sinatra::Base
      DESCRIPTION = Stack::DESCRIPTION
      SCHEMA = Committee::Drivers.load_from_data(Stack::CONTENT,
                                                 parser_options: { strict_reference_validation: true })
                                 .extend(Described::Operations).look_up(Stack::DESCRIBED)

      set :environment, :production
      set :logging, false
      set :show_exceptions, false
      set :raise_errors, true
      set :static, false
      # What is refused is answered; what goes wrong is noted once, by Failures.
      set :dump_errors, false
      # Frames are forbidden by our own headers, and Guards::Writes looks at origins: it knows the names of a proxy, for
      # which this one would throw the session away.
      set :protection, except: %i[frame_options http_origin]
      # Behind a proxy the browser knows its address better than we do.
      set :absolute_redirects, false
      # Hosts are looked at before anything else, see guarded.
      set :host_authorization, permitted_hosts: []

      # An address as nearly all of ours are written. Made into a pattern here: the way that knows every kind of address
      # takes half a second of each start for all of them.
      PLAIN = %r{\A[\w/:.-]+\z}
      private_constant :PLAIN

      def self.compile(path, options = {})
        return super unless path.is_a?(String) && path.match?(PLAIN)

        super(Regexp.new(Regexp.escape(path).gsub(/:(\w+)/) { "(?<#{Regexp.last_match(1)}>[^/?#]+)" }), options)
      end
      private_class_method :compile

      register Route::AboutRoutes
      register Route::AccountRoutes
      register Route::PeopleRoutes
      register Route::EverythingRoutes
      register Route::WorkroomRoutes
      register Route::JournalRoutes
      register Route::SessionRoutes
      register Route::MeasureRoutes
      register Route::RehearsalRoutes
      register Route::RequestRoutes
      register Route::ClosureRoutes
      register Route::PrintRoutes
      register Route::MachineRoutes
      register Route::StitchRoutes
      register Route::SwatchRoutes
      register Route::SwatchBookRoutes
      register Route::PhotoRoutes
      register Route::PhotoReadingRoutes
      register Route::GarmentRoutes
      register Route::GarmentPapersRoutes
      register Route::GarmentPhotoRoutes
      register Route::SuppliesRoutes
      register Route::ShelfRoutes
      register Route::StashRoutes
      register Route::CaliperRoutes

      # @param db [Sequel::Database]
      # @param aside [Sequel::Database, nil] a connection for health alone
      # @param log [IO, nil] where the request lines go
      # @param origins [Origins] addresses under which it is reached
      # @param caliper [Device::Gauge, nil]
      # @param clock [#call] gives the time
      # @param album [Store::Album, nil] where photos lie
      # @param live [Live, nil] that tells screens what happens
      # @param access [Access] whether people sign in
      # @param keeping [#write, #where, nil] writes all of the data into a folder, and says where it lies
      # @return [#call] Rack application
      def self.application(db:, aside: nil, log: $stdout, origins: Origins.new, caliper: nil, clock: -> { Time.now },
                           album: nil, live: nil, keeping: nil, access: Access::OPEN)
        app = Class.new(self) do
          set :keeping, keeping
          set :access, access
          set :named, BrowserName
          set :device_cookie, SignIn::DEVICE_COOKIE
          set :db, db
          set :caliper, caliper
          set :aside, aside || db
          set :album, album || Store::Album.of(ENV, PHOTOS)
          set :answers, Memo.new(128)
          set :prints, Memo.new(24)
          set :composed, Memo.new(32)
          set :now, clock # called anew each time it is asked for
        end
        Stack.over(app, SCHEMA, log: log, live: live, db: db, origins: origins, access: access, clock: clock)
      end

      # Where photos lie unless something else is said.
      PHOTOS = File.join(ENV.fetch("NIMBLE_EYELET_VAR", File.expand_path("../../var", __dir__)), "photos")

      helpers do
        def db = settings.db
        def stamps = @stamps ||= Store::Stamps.new(db)
        def person = request.env.fetch(Rights::PERSON, Store::Person::NOBODY)
        def role = request.env[Rights::ROLE]
        def workrooms = @workrooms ||= Store::Workrooms.new(db, now: settings.now, account: person.account)
        def workroom = @workroom ||= workrooms.find(params["slug"])

        # For addresses that are matched by a pattern.
        def workroom_at(slug) = @workroom = workrooms.find(slug)

        # In the unit of the workroom, where there is one.
        def present = @present ||= Presenter.new(params["slug"] || @workroom ? workroom.unit : :mm)

        # What is said about a closure from here on is in the unit that it was made in.
        #
        # @param closure [Store::Closure]
        # @return [Store::Closure]
        def in_its_unit(closure)
          @present = Presenter.new(closure.unit)
          closure
        end
      end
      helpers Exchange, Stores, Sheets

      # A browser keeps what it was told, and asks each time whether it still holds.
      before do
        next unless request.path_info.start_with?("/api/")

        request.get? ? cache_control(:private, :no_cache) : cache_control(:no_store)
      end

      GONE = "There is no such thing here, or not any more."

      error(Refusal) do |e|
        words = present
        problem 422, e.faults.map { |fault| words.words(fault.allowed) }.uniq.join(" "), faults: words.faults(e.faults)
      rescue Store::Missing
        # It was typed into a workroom that is none.
        problem 404, GONE
      end
      error(Store::Missing) { problem 404, GONE }
      error(Store::Removed) do |e|
        problem 409, "This goes back to the #{e.what[:kind]} #{e.what[:name] || 'of then'}, which is not here any more. " \
                     "#{e.what[:name] ? 'Take it out of the waste basket, or' : 'Please'} go to another revision.", missing: e.what
      end
      error(Sequel::DatabaseError) { |e| failed_database(e) }
      error(*Store::Database::AWAY) do
        db.disconnect
        response["retry-after"] = "2"
        problem 503, "The database is away. What you typed is kept and will be saved when it is back."
      end
      not_found { problem(404, "There is no such page.") if request.path_info.start_with?("/api/") }

      # Who came here was asked for a name by a proxy, if anybody wanted one.
      get("/api/signed-in") { redirect(settings.access.asked && person.nobody? ? "/sign-in" : "/", 302) }

      get "/api/openapi.yaml" do
        send_file DESCRIPTION, type: "application/yaml"
      end

      get("/api/docs") { send_file File.join(FrontEnd::FOLDER, "api-docs", "index.html") }

      # Addresses from before there were several workrooms.
      get(%r{/(closures|machines|garments)/(\d{1,9})(/[a-z]*)?}) { |kind, id, rest| moved("/w/%s/#{kind}/#{id}#{rest}", kind, id) }
      get(%r{/(stash|habits)}) { |page| redirect("/w/#{(workrooms.first || raise(Store::Missing)).slug}/#{page}", 302) }
      %i[get post put patch delete].each do |verb|
        public_send(verb, %r{/api/(closures|machines|garments)/(\d{1,9})((?:/[^?]*)?)}) do |kind, id, rest|
          moved("/api/workrooms/%s/#{kind}/#{id}#{rest}", kind, id, status: 308)
        end
      end

      # The front end: its files as built, and its one page for every other address.
      get "/*" do |path|
        pass if path.start_with?("api/")
        halt 503, "The front end is not built yet: run bin/setup." unless FrontEnd.built?
        found = FrontEnd.at(path, request.env["HTTP_ACCEPT_ENCODING"].to_s) or halt 404, "There is no such file."
        found.lasting ? cache_control(:public, :immutable, max_age: 31_536_000) : cache_control(:no_cache)
        headers "content-encoding" => found.encoding if found.encoding
        headers "vary" => "accept-encoding"
        page_headers if found.type == ".html"
        send_file found.file, type: found.type
      end

      private

      # What comes with the one page: which scripts may run in it, and what to fetch at once.
      def page_headers
        headers({ Guards::POLICY => Guards.policy(*FrontEnd.inline),
                  "link" => FirstLoad.links(request.path_info) }.compact)
      end

      def moved(address, kind, id, status: 302)
        found = workrooms.public_send(:"of_#{kind.delete_suffix('s')}", number(id)) or raise Store::Missing
        query = request.query_string
        redirect(format(address, found.slug) + (query.empty? ? "" : "?#{query}"), status)
      end

      # What the database says no to is said by the field where it can be, and never as a trace.
      def failed_database(error)
        refusal = DatabaseFailure.of(error)
        response["retry-after"] = "2" if refusal.status == 503
        return problem(refusal.status, refusal.says) unless refusal.field

        problem refusal.status, refusal.says, faults: [{ field: refusal.field, given: "", allowed: refusal.says }]
      end

      def problem(status, detail, **more)
        self.status status
        content_type Problem::TYPE
        body Problem.new(status, detail, **more).body
      end
    end
  end
end
