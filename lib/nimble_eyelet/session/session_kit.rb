# frozen_string_literal: true

# SessionKit is what to lay ready before a session begins, from everything that is still to be done.
#
#   SessionKit.of(session).map(&:name)   # => ["universal needle 80/12", "carriage foot", …]

require_relative "../answer/sentence"
require_relative "../cloth/stabiliser"
require_relative "../thread/cord"
require_relative "../value"

module NimbleEyelet
  # kind - String, key of SessionKit::KIT_KINDS; name - String or Sentence; lacks - String or nil, what the shelves do
  #   not have
  KitItem = Value.of(:kind, :name, lacks: nil)

  module SessionKit
    KIT_KINDS = { "needle" => "Needles", "foot" => "Feet", "thread" => "Thread", "stay" => "Interfacing",
                  "cord" => "Cord", "button" => "Buttons", "tool" => "Tools" }.freeze

    # What a step is done with, beside the machine.
    TOOLS = { "mark" => "ruler and what marks this fabric", "pins" => "pins or clips", "seal" => "fray sealant",
              "punch" => "punch and block",
              "open" => "seam ripper, two pins", "tails" => "hand needle", "stabilise" => "iron and press cloth",
                "spacer" => "thin upright spacer",
              "test-sew" => "scrap of the same layers", "hand-thread" => ["hand needle", "wax"] }.freeze

    # @param session [SewingSession]
    # @return [Array<KitItem>] each once
    def self.of(session)
      open = session.works.reject { |work| work.blocks.empty? }
      open.flat_map do |work|
        [*machine(work), *materials(work), *tools(work)]
      end.uniq.sort_by.with_index { |item, index| [KIT_KINDS.keys.index(item.kind), index] }
    end

    def self.machine(work)
      sheet = work.part.sheet
      buttons = work.blocks.any? { |block| block.key == "buttons" && block.machine? }
      [(KitItem.new(kind: "needle", name: sheet.recipe.needle.value.to_s) if sewn?(work)),
       (KitItem.new(kind: "foot", name: sheet.recipe.foot.value.full_name) if sewn?(work)),
       (button_foot(sheet.plan.machine) if buttons),
       thread(sheet.plan.thread)].compact
    end

    def self.button_foot(machine)
      owned = machine.foot("button_foot")
      KitItem.new(kind: "foot", name: owned ? owned.full_name : "button foot",
                  lacks: owned ? nil : "not in the box; tape or a dot of glue holds the button")
    end

    def self.thread(thread)
      KitItem.new(kind: "thread", name: "#{thread.spool}, and a matching full bobbin")
    end

    def self.materials(work)
      sheet = work.part.sheet
      stay = sheet.recipe.stay
      buttons = button(sheet.plan.button, sheet.layout.holes.size)
      found = []
      if stay && has?(work, "stabilise")
        found << KitItem.new(kind: "stay", name: sheet.recipe.stay_words, lacks: lacks(stay, sheet))
      end
      found << squares(sheet) if has?(work, "stabilise-buttons") && stay&.goes?
      found << cord(sheet) if has?(work, "cord")
      found << KitItem.new(kind: "button", name: buttons) if has?(work, "button")
      found
    end

    # What of it does not lie in the drawer.
    def self.lacks(stay, sheet)
      missing = stay.needs - sheet.plan.stabilisers
      "not in the drawer: #{missing.map { |key| STABILISER_KINDS.fetch(key) }.join(' and ')}" if missing.any?
    end

    # Behind the buttons, where what is under the holes does not stay.
    def self.squares(sheet)
      KitItem.new(kind: "stay", name: "#{sheet.layout.holes.size} small squares of #{sheet.plan.cloth.behind_a_button}, " \
                                      "for behind the buttons")
    end

    def self.cord(sheet)
      cord = Cord.of(sheet.plan.thread, overall: sheet.overall)
      KitItem.new(kind: "cord", name: Sentence["%s of cord, %s for each hole", cord.length * sheet.layout.holes.size, cord.length])
    end

    def self.button(button, count)
      return "#{count} of #{button.name}" unless button.name.empty?

      Sentence["#{count} #{button.form.noun}#{'s' if count > 1}, %s", button.across]
    end

    def self.tools(work)
      used = TOOLS.select { |name, _| has?(work, name) && (name != "stabilise" || work.part.sheet.plan.cloth.iron?) }
      used.values.flatten.map { |tool| KitItem.new(kind: "tool", name: tool) }
    end

    def self.sewn?(work) = has?(work, "sew") || has?(work, "test-sew")
    def self.has?(work, name) = work.blocks.any? { |block| block.hands.any? { |step| step.name == name } }
    private_class_method :machine, :button_foot, :thread, :materials, :lacks, :squares, :cord, :button, :tools, :sewn?,
                         :has?
  end
end
