# frozen_string_literal: true

# Care is what a closure bears from now on, from its cloth, its stay, its buttons and how it was sealed.
#
#   Care.of(sheet)   # => ["No hot iron on this fabric.", …]

require_relative "children"

module NimbleEyelet
  module Care
    # @param sheet [Sheet] whose holes fit
    # @return [Array<String>]
    def self.of(sheet)
      plan = sheet.plan
      [wash(sheet), iron(sheet), liquid(sheet), buttons(plan), pull(sheet), *children(plan)].compact
    end

    def self.wash(sheet)
      plan = sheet.plan
      return "The fabric is not washed: wipe it, and keep the buttons dry." unless plan.cloth.washed?

      return "Wash it as its fabric is washed: a tack bears what the seams beside it bear." unless plan.button.opens?
      return "Wash it turned inside out." unless plan.button.fastens?
      return "Wash it closed and turned inside out." if sheet.way && !sheet.way.buttons

      "Wash it buttoned up and turned inside out: neither #{sheet.sewn}s nor buttons are pulled."
    end

    def self.iron(sheet)
      plan = sheet.plan
      return "No hot iron on this fabric." unless plan.cloth.iron?

      return unless plan.button.opens?
      return "Press the #{sheet.sewn}s from the wrong side." unless plan.button.fastens?
      return "Iron round the #{sheet.sewn}s, never over them." if sheet.way && !sheet.way.buttons

      "Iron round the buttons, never over them; press the #{sheet.sewn}s from the wrong side."
    end

    def self.liquid(sheet)
      sealed = sheet.progress&.steps.to_a.any? { |step| step.lasts.any? { |one| one.kind == "sealed" } }
      sealed ? "Sealed: a day before the first wash or iron, unless the label says less; no dry cleaning before it was tried." : nil
    end

    def self.buttons(plan)
      return unless plan.button.fastens?

      plan.button.shank? && plan.attach.shank_by == "pin" ? "The buttons come off first: take the pins out, and count them." : nil
    end

    def self.pull(sheet)
      return unless sheet.plan.button.fastens?

      sheet.plan.placket.usage.child ? "Pull every button hard again after washing." : nil
    end

    def self.children(plan) = Children.cautions(plan).map { |one| "#{one.says} #{one.instead}" }
    private_class_method :wash, :iron, :liquid, :buttons, :pull, :children
  end
end
