# frozen_string_literal: true

# RequestForm makes a plan of one line: what is said in it, what is usual where nothing is said, and what was used last.
#
#   Form::RequestForm.new(:mm, machines: [lapwing]).read("shirt, 7 buttons 11.5 mm").plan   # => Plan

require_relative "../../lib/nimble_eyelet"
require_relative "../field/conventions"
require_relative "closure_form"
require_relative "machine_form"

module NimbleEyelet
  module Form
    class RequestForm
      # A line as it was taken. request - Typing::Request; plan - Plan, not yet checked; machine - Machine
      # typed - Hash of path to what would be typed
      # origins - Hash of path to where that comes from: "said", "chosen", "usual" or "last"
      # garment, part - String, what they will be called
      Taken = Value.of(:request, :plan, :machine, :typed, :origins, :garment, :part)

      # What a machine is taken to be until its owner says: one that senses the button, as most of them do.
      FACTS = { "name" => "My machine", "kind" => "sensing", "stops" => "machine", "reset" => "none",
                "max_width" => "7mm", "width_step" => "0.5mm", "length_step" => "0.25mm", "neutral_tension" => "4",
                "tension_step" => "0.5", "feed_stop" => "drop_feed", "needle_positions" => "2", "top_speed" => "700",
                "anchor" => "centre", "eye_end" => "far", "second_bead" => "back", "forgets" => "other_programme",
                "foot_lift" => "6mm" }.freeze
      FOOT = { "kind" => "carriage_foot", "scale_pitch" => "5mm", "scale_reads" => "overall" }.freeze
      MACHINE = { "facts" => FACTS, "styles" => %w[two_tacks], "feet" => [FOOT] }.freeze

      # @param unit [Symbol] the person's unit
      # @param machines [Array<Machine>] real ones first
      # @param last [Hash] machine - Integer or nil; fields - Hash of path to what was used last
      # @param words [Array<Typing::RequestWord>] names of their own
      def initialize(unit, machines:, last: {}, words: [])
        @unit = unit
        @machines = machines
        @last = last
        @words = words
      end

      # @param text [String]
      # @param chosen [Hash{String => String}] by path, what was chosen instead
      # @return [Taken]
      # @raise [Refusal]
      def read(text, chosen = {})
        lists = chosen.keys & ClosureFields::LISTS.keys
        raise Refusal.field(lists.first, "", "This is no single figure.") if lists.any?

        request = Typing::RequestReader.read(text, words: [*@words, *RequestWords::ALL], unit: @unit)
        said = RequestWords.typed(request)
        typed, origins = gathered(said, chosen)
        machine = machine_of(typed)
        plan = ClosureForm.new(@unit).blank(name: part(request, typed), machine: machine,
                                            typed: typed.except("machine.id", "garment.name"))
        Taken.new(request: request, plan: plan, machine: machine, typed: typed, origins: origins, garment: garment(request, said),
                  part: plan.name)
      end

      # An edge nobody has measured is as long as its holes need.
      #
      # @param taken [Taken]
      # @param length [Length]
      # @return [Taken] on an edge of that length
      def self.on(taken, length)
        text = "#{Field.decimal(length)}mm"
        taken.with(plan: taken.plan.changed("placket.run_length" => length), typed: taken.typed.merge("placket.run_length" => text))
      end

      private

      # What is said goes before what is usual there, and that before what was used last.
      def gathered(said, chosen)
        known = { **said, **chosen }
        layers = { "last" => last(known), "usual" => usual(known), "said" => said, "chosen" => chosen }
        [layers.values.reduce(:merge), layers.reduce({}) { |all, (origin, paths)| all.merge(paths.transform_values { origin }) }]
      end

      def usual(known)
        { **Conventions.button(known), **Conventions.of(known["placket.place"]), **cloth(known["cloth.kind"]) }
      end

      # The figures that are typical of a kind of fabric.
      def cloth(key)
        kind = CLOTH_KINDS[key] or return {}
        { "cloth.weight" => kind.weight.to_s, "cloth.thickness" => "#{Field.decimal(kind.thickness)}mm", "cloth.stretch" => kind.stretch.to_s }
      end

      # The fabric used last, unless another is said; its thread.
      def last(known)
        fields = @last.fetch(:fields, {}).select { |path, _| path.start_with?("cloth.", "thread.") }.compact
        fields.reject { |path, _| path.start_with?("cloth.") && known.key?("cloth.kind") }
      end

      def machine_of(typed)
        id = typed["machine.id"]&.to_i || @last[:machine]
        @machines.find { |one| one.id == id } || @machines.first || MachineForm.new(:mm).read(MACHINE)
      end

      def garment(request, said)
        return said["garment.name"] if said["garment.name"]

        name = [request.words_of("fabric"), request.words_of("garment")].reject(&:empty?).join(" ")
        name.empty? ? "New garment" : name[0, Field::LONGEST_TEXT]
      end

      def part(request, typed)
        said = request.words_of("part")
        said.empty? ? (Placket::PLACES[typed["placket.place"]]&.key || "front").tr("_", " ") : said[0, Field::LONGEST_TEXT]
      end
    end
  end
end
