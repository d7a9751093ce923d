# frozen_string_literal: true

# Plan is everything a person wants of one closure: the button, the cloth, the thread, the machine,
# how holes are sized and where they go, what was overruled, which test hole was accepted and which
# stages are settled. It is what is kept, edited, undone and brought back; what happened at the
# table is no part of it.
#
# Everything in it has a path, section and name: "button.thickness". What is nil is left open: the
# house decides, or the rules do.
#
#   plan.at("button.thickness")                             # => 3 mm
#   plan.changed("button.thickness" => Length.mm(4))        # => Plan
#   Sheet.of(plan.in(house), facts).cut.length

require_relative "../answer/refusal"
require_relative "../attach/attaching"
require_relative "../button/button"
require_relative "../cloth/cloth"
require_relative "../cloth/stabiliser"
require_relative "../length/wording"
require_relative "../opening/cut_method"
require_relative "../opening/opening_choice"
require_relative "../placket/run"
require_relative "../recipe/recipe"
require_relative "../thread/sewing_thread"
require_relative "../value"

module NimbleEyelet
  # opening - Opening::OpeningChoice; placket - Placket::Run; recipe - Recipes::Overrides; attach - Attach::ButtonSewing
  # cut - Opening::CutMethod
  # unit - String, "mm", "cm" or "in": what its lengths are read and typed in, and kept whatever the workroom reads
  #   later
  # settled - Hash of stage word to what it was settled from, as Stage#read gives it
  # accepted - String or nil, id of the swatch whose settings hold
  # stabilisers - Array<String>, keys of STABILISER_KINDS that lie in the drawer; known once it is in a house
  class Plan < Value.of(:name, :button, :cloth, :thread, :machine, :opening, :placket, :recipe, :attach,
                        cut: Opening::CutMethod.new, unit: "mm", settled: {}, accepted: nil,
                        stabilisers: STABILISER_KINDS.keys)
    UNITS = { "mm" => "millimetres", "cm" => "centimetres", "in" => "inches" }.freeze
    SECTIONS = { "button" => Button, "cloth" => Cloth, "thread" => SewingThread, "opening" => Opening::OpeningChoice,
                 "placket" => Placket::Run, "recipe" => Recipes::Overrides, "cut" => Opening::CutMethod,
                 "attach" => Attach::ButtonSewing }.freeze
    # Lists of a section, by path; their rows are known by their id.
    LISTS = %w[placket.pins placket.keep_outs].freeze
    # Paths that are no member of a section.
    OWN = { "closure.name" => :name, "closure.unit" => :unit, "swatch.accepted" => :accepted }.freeze
    MEMBERS = SECTIONS.flat_map { |section, noun| noun.members.map { |name| "#{section}.#{name}" } }.freeze
    PATHS = (%w[closure.name closure.unit] + MEMBERS - LISTS).freeze
    private_constant :MEMBERS

    # @return [Hash{String => Length, String, nil}] the cloth and thread a test hole is sewn in, by the paths of their
    #   figures
    def sewn_on
      { "thread.fibre" => thread.fibre, "thread.tex" => Wording.decimal(thread.tex.to_r, 4), "cloth.kind" => cloth.kind,
        "cloth.weight" => cloth.weight.to_s, "cloth.thickness" => cloth.thickness, "cloth.layers" => cloth.layers.to_s,
        "cloth.stretch" => cloth.stretch.to_s, **called }
    end

    # What cloth, thread and machine are called, as far as they are.
    def called
      { "cloth.name" => cloth.name, "thread.name" => thread.name, "machine.name" => machine.name }.reject do |_, name|
        name.empty?
      end
    end

    # @param path [String] one of PATHS, LISTS, "machine.id" or "swatch.accepted"
    # @return [Object]
    def at(path)
      own = OWN[path] and return self[own]

      section, name = path.split(".")
      self[section.to_sym][name.to_sym]
    end

    # @param changes [Hash{String => Object}] by path; "machine" takes a Machine
    # @return [Plan]
    def changed(changes)
      own, rest = changes.partition { |path, _| OWN.key?(path) || path == "machine" }
      sections = rest.group_by { |path, _| path[/\A\w+/] }.to_h do |section, values|
        [section.to_sym, self[section.to_sym].with(**values.to_h { |path, value| [path[/\w+\z/].to_sym, value] })]
      end
      with(**sections, **own.to_h { |path, value| [OWN.fetch(path, path.to_sym), value] })
    end

    # @param house [House]
    # @return [Plan] with what is left open filled in by the habits of the house
    def in(house)
      open = house.habits.select { |path, _| at(path).nil? }
      changed(open).with(stabilisers: house.stabilisers)
    end

    # @param other [Plan]
    # @return [Array<PlanChange>] what is otherwise here than there
    def changes_since(other)
      fields = (PATHS + ["machine.id", "swatch.accepted"]).reject { |path| at(path) == other.at(path) }
      fields.map { |path| PlanChange.new(path: path, from: other.at(path), to: at(path)) } +
        LISTS.flat_map { |list| rows_changed(list, other) } + stages_changed(other)
    end

    # Checks every part by itself, and gathers the faults of all.
    #
    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        [button, cloth, thread, opening, placket, recipe, cut, attach].each { |part| check.gather { part.validate } }
      end
      self
    end

    private

    def rows_changed(list, other)
      here, there = [self, other].map { |plan| plan.at(list).to_h { |row| [row.id, row] } }
      (there.keys | here.keys).reject { |id| here[id] == there[id] }
                              .map { |id| PlanChange.new(path: "#{list}.#{id}", from: there[id], to: here[id]) }
    end

    def stages_changed(other)
      (settled.keys | other.settled.keys).reject { |stage| settled[stage] == other.settled[stage] }.map do |stage|
        PlanChange.new(path: "settled.#{stage}", from: other.settled.key?(stage), to: settled.key?(stage))
      end
    end
  end

  # One thing that is otherwise than it was. from, to - values at the path; of a list, its row or nil
  PlanChange = Value.of(:path, :from, :to)
end
