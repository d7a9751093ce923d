# frozen_string_literal: true

# RequestForm makes a plan of one line: what stands in it, what is usual there, and what was used
# last.
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
      # origins - Hash of path to where its figure comes from: "said", "chosen", "usual" or "last"
      # garment - String, what it will be called; own - String or nil, name of the person's own garment it is a part of
      class Taken < Value.of(:request, :plan, :machine, :origins, :garment, :own)
        SAID = %w[said chosen].freeze

        # @param path [String]
        # @return [String] where its figure comes from
        def origin(path) = origins.fetch(path, "usual")

        # @return [Array<String>] of FirstSheet::GUESSES, what nobody has said anything of
        def guessed = FirstSheet::GUESSES.reject { |path| SAID.include?(origin(path)) }
      end

      # What a machine is taken to be until its owner corrects it: a new one.
      MACHINE = { **MachineFields::BEGUN, "facts" => { **MachineFields::BEGUN_FACTS, "name" => "My machine" } }.freeze

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
        # What was said of one fabric does not hold of another.
        said = said.except(*RequestWords::CARE.keys) if chosen.key?("cloth.kind")
        @shown = request.inches? ? :in : @unit
        typed, origins = gathered(said, chosen, RequestWords.mostly(request))
        machine = machine_of(typed)
        plan = planned(request, typed, chosen, machine)
        own = said["garment.name"]
        Taken.new(request: request, plan: plan, machine: machine, origins: origins, own: own, garment: own || garment(request))
      end

      private

      # Whoever measures in inches goes on in inches: what is chosen on the card is typed in what the card shows.
      def planned(request, typed, chosen, machine)
        begun = ClosureForm.new(@unit).blank(name: part(request, typed), machine: machine,
                                             typed: typed.except(*chosen.keys, *NO_FIELDS))
        ClosureForm.new(@shown).apply({ **chosen.except(*NO_FIELDS), "closure.unit" => @shown.to_s }, begun)
      end
      NO_FIELDS = %w[machine.id garment.name].freeze
      private_constant :NO_FIELDS

      # The line goes before what is usual there, and that before what was used last.
      def gathered(said, chosen, mostly)
        known = { **said, **chosen }
        made_of = mostly unless known.key?("cloth.kind") || like_last?(mostly)
        known = { "cloth.kind" => made_of, **known } if made_of
        layers = { "last" => last(known), "usual" => usual(known), "said" => said, "chosen" => chosen }
        [layers.values.reduce(:merge), layers.reduce({}) { |all, (origin, paths)| all.merge(paths.transform_values { origin }) }]
      end

      def usual(known)
        { **Conventions.button(known), **Conventions.edge(@shown),
          **Conventions.of(known["placket.place"], unit: @shown), **cloth(known["cloth.kind"]) }
      end

      # What was used last does for such a garment too: any knit for a cardigan, whatever is not light for a coat.
      def like_last?(mostly)
        last = CLOTH_KINDS[@last.dig(:fields, "cloth.kind")] or return mostly.nil?
        mostly.nil? || (mostly == "knit" ? last.knitted : !last.knitted && !LIGHT.include?(last.key))
      end
      LIGHT = %w[light_woven sheer].freeze
      private_constant :LIGHT

      # The figures that are typical of a kind of fabric.
      def cloth(key)
        kind = CLOTH_KINDS[key] or return {}
        { "cloth.kind" => key, "cloth.weight" => kind.weight.to_s, "cloth.thickness" => "#{Field.decimal(kind.thickness)}mm", "cloth.stretch" => kind.stretch.to_s }
      end

      # The fabric used last, unless the line names another; its thread.
      def last(known)
        fields = @last.fetch(:fields, {}).select { |path, _| path.start_with?("cloth.", "thread.") }.compact
        fields.reject { |path, _| path.start_with?("cloth.") && known.key?("cloth.kind") }
      end

      def machine_of(typed)
        id = typed["machine.id"]&.to_i || @last[:machine]
        @machines.find { |one| one.id == id } || @machines.first || MachineForm.new(:mm).read(MACHINE)
      end

      def garment(request)
        name = %w[wearer fabric garment].map { |kind| request.words_of(kind) }.reject(&:empty?).join(" ")
        name.empty? ? "New garment" : name[0, Field::LONGEST_TEXT]
      end

      def part(request, typed)
        said = request.words_of("part")
        said.empty? ? (Placket::PLACES[typed["placket.place"]]&.key || "front").tr("_", " ") : said[0, Field::LONGEST_TEXT]
      end
    end
  end
end
