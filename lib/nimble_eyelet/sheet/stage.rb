# frozen_string_literal: true

# Stage is the table of the stages of the work, in order, with what each answers. A stage the person has
# settled (a tied knot) remembers what its answer was; when the answer is another, whatever the cause,
# it is stale, and can say from what to what.
#
#   Stage.fetch("opening").answer(sheet)            # => { "opening.length" => 27 mm, … }
#   Stage.fetch("opening").state(sheet, settled)    # => StageState

require_relative "../length/length"
require_relative "../length/wording"
require_relative "../otherways/ways"
require_relative "../value"
require_relative "../plan/plan"

module NimbleEyelet
  # state - String: "loose", "tied" or "stale"; changes - Array<PlanChange> since it was settled
  StageState = Value.of(:state, changes: [])

  # word - String, also the name of the room; title, question - String
  # figures - Proc(Sheet) -> Hash of path to value, the answer; buttoned - Boolean, only where a button is sewn on
  # by_machine - Boolean, only where a hole is sewn by machine; opened - Boolean, only where a button goes through
  # something
  # missing - Proc(Sheet) -> String or nil, what has to be there before one goes on
  class Stage < Value.of(:word, :title, :question, :figures, buttoned: false, by_machine: false, opened: false,
missing: nil)
    # @raise [KeyError]
    def self.fetch(word) = STAGES.fetch(word)

    # @param plan [Plan]
    # @return [Array<Stage>] that this closure goes through
    def self.of(plan)
      way = Otherways.instead(plan.recipe.way)
      buttons = plan.button.fastens? && (way.nil? || way.buttons)
      STAGES.values.reject do |stage|
        (stage.buttoned && !buttons) || (stage.by_machine && way) || (stage.opened && way && !way.opens)
      end
    end

    # What is still missing before one goes on from here.
    #
    # @param sheet [Sheet]
    # @return [String, nil]
    def missing_of(sheet) = missing&.call(sheet)&.then { |says| sheet.plan.button.of_sewn(says, sheet.sewn) }

    # @param sheet [Sheet]
    # @return [String] what is no button is called by what it is, and what is no hole too
    def title_for(sheet)
      button = sheet.plan.button
      return button.form.noun.capitalize if word == "button" && !button.fastens?

      word == "opening" && !button.opens? ? "Length" : button.of_sewn(title, sheet.sewn)
    end

    # @param sheet [Sheet]
    # @return [String]
    def question_for(sheet)
      button = sheet.plan.button
      return BY_ANOTHER_WAY.fetch(word) if sheet.way && BY_ANOTHER_WAY.key?(word)

      button.opens? ? button.of_sewn(question, sheet.sewn) : OF_A_TACK.fetch(word, button.of_sewn(question))
    end

    BY_ANOTHER_WAY = { "recipe" => "How does it close?" }.freeze
    # What is asked otherwise where nothing goes through.
    OF_A_TACK = { "button" => "How long is each tack?", "opening" => "How does it get its length?" }.freeze

    # The answer by path, in plain values that can be kept and compared.
    #
    # @param sheet [Sheet]
    # @return [Hash{String => Length, String}]
    def answer(sheet) = figures.call(sheet).transform_values { |value| plain(value) }

    # @param sheet [Sheet]
    # @param settled [Hash, nil] what it was settled with, as {#answer} gave it
    # @return [StageState]
    def state(sheet, settled)
      return StageState.new(state: "loose") unless settled

      now = answer(sheet)
      changes = settled.filter_map do |path, was|
        PlanChange.new(path: path, from: was, to: now[path]) if now.key?(path) && now[path] != was
      end
      StageState.new(state: changes.empty? && !(now.empty? && settled.any?) ? "tied" : "stale", changes: changes)
    end

    private

    # A length stays one; all else is one spelling for equal values.
    def plain(value)
      case value
      when Length then value
      when Array then value.join(", ")
      when Numeric then Wording.decimal(value.to_r, 6)
      else value.to_s
      end
    end
  end

  # What a stage waits for.
  module StageNeeds
    def self.room(sheet) = ("The holes do not fit the edge yet: put that right first." unless sheet.layout)

    def self.test_hole(sheet)
      return if sheet.stored || sheet.way

      swatch = sheet.facts.swatches.find { |one| one.id == sheet.plan.accepted }
      return if swatch&.like?(sheet.sewn_with)
      return "The settings changed since that test. Sew another." if swatch

      sheet.facts.swatches.empty? ? "No test hole is sewn yet: it comes before the garment." : "No test is in use yet."
    end

    def self.row(sheet)
      return room(sheet) unless sheet.layout

      open = sheet.layout.holes.count { |hole| !hole.sewn }
      "#{open} of #{sheet.layout.holes.size} holes are still to be sewn." if open.positive?
    end
  end

  # What each stage answers. A stage includes what it hands on from the stages before it.
  module StageAnswers
    # What a thing is called changes nothing; nor does what is left on the bobbin.
    NAMES = %i[name bobbin outline].freeze

    def self.members(section, noun) = (noun.members - NAMES).to_h { |name| ["#{section}.#{name}", noun[name]] }

    def self.cloth(sheet)
      plan = sheet.plan
      { **members("cloth", plan.cloth), **members("thread", plan.thread), "machine.name" => plan.machine.name,
        **machine(plan.machine), "stabilisers" => plan.stabilisers.sort }
    end

    # What of a machine the work goes by.
    def self.machine(machine)
      (machine.members - %i[id name feet styles]).to_h { |name| ["machine.#{name}", machine[name]] }
                                                 .merge("machine.feet" => machine.feet.map(&:kind).sort,
                                                        "machine.styles" => machine.styles.sort)
    end

    def self.button(sheet)
      button = sheet.plan.button
      { **members("button", button), "button.half_perimeter" => button.half_perimeter }
    end

    def self.opening(sheet)
      { "opening.length" => sheet.opening, "opening.overall" => sheet.overall, "opening.wanted" => sheet.cut.length,
        "opening.verdict" => sheet.verdict.key, "setting.figure" => sheet.setting.figure, "setting.opened" => sheet.setting.opened }
    end

    def self.placket(sheet)
      layout = sheet.layout or return {}
      holes = layout.holes.to_h { |hole| ["mark.#{hole.number}", hole.at] }
      buttons = sheet.plan.button.fastens? ? layout.holes.to_h { |hole| ["button.#{hole.number}", hole.button] } : {}
      starts = layout.holes.to_h { |hole| ["start.#{hole.number}", hole.starts.map(&:along)] }
      { "placket.count" => layout.holes.size, "mark.edge" => layout.holes.first.planned_edge, "opening.overall" => sheet.overall, **holes,
        **buttons, **starts }
    end

    # Said only where there is more than one.
    def self.layered(recipe)
      recipe.stay_layers.value > 1 ? { "recipe.stay_layers" => recipe.stay_layers.value.to_s } : {}
    end

    def self.recipe(sheet)
      recipe = sheet.recipe
      { "recipe.style" => recipe.style.value.key, "recipe.foot" => recipe.foot.value.kind,
        "recipe.stitch_width" => recipe.stitch_width.value,
        "recipe.stitch_length" => recipe.stitch_length.value, "recipe.tension" => recipe.tension.value,
        "recipe.tension_move" => recipe.tension_move.key, "recipe.balance" => recipe.notches,
        "recipe.stabiliser" => recipe.laid, **layered(recipe),
        "recipe.needle" => recipe.needle.value.key, "recipe.cord" => recipe.cord.value ? "yes" : "no",
        "recipe.second_pass" => recipe.passes }
    end

    def self.swatch(sheet)
      { **opening(sheet), **recipe(sheet), **members("thread", sheet.plan.thread),
        "machine.name" => sheet.plan.machine.name }
    end

    def self.sewing(sheet)
      return {} unless sheet.layout

      { **placket(sheet), **swatch(sheet), **attach(sheet) }
    end

    def self.attach(sheet)
      attaching = sheet.attaching
      { "attach.by" => attaching.by_machine ? "machine" : "hand", "attach.width" => attaching.width,
        **{ "attach.diagonal" => attaching.diagonal }.compact, "attach.clearance" => attaching.clearance,
        "attach.pattern" => attaching.pattern.key, "attach.stitches" => attaching.stitches, "attach.shank" => attaching.shank,
        "recipe.needle" => sheet.recipe.needle.value.key }
    end

    def self.print(sheet) = sheet.layout ? { **opening(sheet), **placket(sheet) } : {}
  end

  STAGES = [
    Stage.new(word: "cloth", title: "Fabric", question: "What are you sewing on?", figures: StageAnswers.method(:cloth)),
    Stage.new(word: "button", title: "Button", question: "What goes through?", figures: StageAnswers.method(:button)),
    Stage.new(word: "opening", title: "Length", question: "How long should the buttonhole be?", figures: StageAnswers.method(:opening),
              opened: true),
    Stage.new(word: "placket", title: "Placement", question: "Where do the holes go?", figures: StageAnswers.method(:placket),
              missing: StageNeeds.method(:room)),
    Stage.new(word: "recipe", title: "Settings", question: "How do you set the machine?", figures: StageAnswers.method(:recipe)),
    Stage.new(word: "swatch", title: "Test", question: "How did the test hole come out?", figures: StageAnswers.method(:swatch), by_machine: true,
              missing: StageNeeds.method(:test_hole)),
    Stage.new(word: "sewing", title: "Sew holes", question: "What do you do next?", figures: StageAnswers.method(:sewing),
              missing: StageNeeds.method(:row)),
    Stage.new(word: "attach", title: "Sew on", question: "How are the buttons sewn on?", figures: StageAnswers.method(:attach),
              buttoned: true),
    Stage.new(word: "print", title: "Print", question: "What would you like to print?", figures: StageAnswers.method(:print))
  ].to_h { |stage| [stage.word, stage] }.freeze
end
