# frozen_string_literal: true

# MachineFields is the table of what can be typed about a machine and about one of its feet, by name.
#
#   MachineFields::MACHINE[:max_width].column   # => :max_width_mm

require_relative "../../lib/nimble_eyelet"
require_relative "field"

module NimbleEyelet
  module MachineFields
    def self.field(path, kind, choices: nil, **more)
      section, name = path.split(".")
      noun = section == "foot" ? Foot : Machine
      Field.new(path: path, kind: kind, column: (kind == :length ? "#{name}_mm" : name).to_sym, choices: Field.names(choices),
                limit: noun::LIMITS[name.to_sym], **more)
    end

    def self.by_name(fields) = fields.to_h { |field| [field.path.split(".").last.to_sym, field] }.freeze

    FLAGS = %w[bobbin_finger balance straight_first lift_resets length_stepless width_stepless foot_pressure
               speed_limiter].freeze

    MACHINE = by_name([
                        field("machine.name", :text), field("machine.kind", :choice, choices: MACHINE_KINDS),
                        field("machine.stops", :choice, choices: STOPS), field("machine.reset", :choice, choices: RESETS),
                        *%w[max_width width_step length_step].map do |dial|
                          field("machine.#{dial}", :length, dial: true)
                        end,
                        field("machine.neutral_tension", :decimal), field("machine.tension_step", :decimal),
                        field("machine.feed_stop", :choice, choices: FEED_STOPS),
                        *FLAGS.map { |name| field("machine.#{name}", :flag) },
                        field("machine.first_side", :choice, choices: FIRST_SIDES, optional: true),
                        field("machine.first_direction", :choice, choices: FIRST_DIRECTIONS, optional: true),
                        field("machine.anchor", :choice, choices: ANCHORS), field("machine.eye_end", :choice, choices: EYE_ENDS),
                        field("machine.second_bead", :choice, choices: SECOND_BEADS),
                        field("machine.forgets", :choice, choices: FORGETS),
                        field("machine.foot_lift", :length), field("machine.tack_length", :length, optional: true),
                        field("machine.needle_positions", :whole), field("machine.top_speed", :whole)
                      ])

    FOOT = by_name([
                     field("foot.kind", :choice, choices: FOOT_KINDS), field("foot.nickname", :text),
                     field("foot.largest_button", :length, optional: true),
                     *%w[allowance click].map do |name|
                       field("foot.#{name}", :length, optional: true)
                     end, field("foot.scale_pitch", :length),
                     field("foot.scale_reads", :choice, choices: SCALE_READS)
                   ])

    # What a new machine begins with, as it is typed: one that senses the button, as most do, with its foot; and
    # another foot.
    BEGUN_FACTS = { "name" => "", "kind" => "sensing", "stops" => "machine", "reset" => "none", "max_width" => "7mm",
                    "width_step" => "0.5mm", "length_step" => "0.1mm", "neutral_tension" => "4",
                    "tension_step" => "0.5", "feed_stop" => "drop_feed", **FLAGS.to_h { |flag| [flag, "no"] },
                    "first_side" => "", "first_direction" => "", "needle_positions" => "2", "top_speed" => "700",
                    "anchor" => "centre", "eye_end" => "far", "second_bead" => "back",
                    "forgets" => "other_programme", "foot_lift" => "6mm", "tack_length" => "" }.freeze
    BEGUN_FOOT = { "kind" => "sliding_scale_foot", "nickname" => "", "largest_button" => "", "allowance" => "",
                   "click" => "", "scale_pitch" => "5mm", "scale_reads" => "overall" }.freeze
    BEGUN = { "facts" => BEGUN_FACTS, "styles" => %w[two_tacks].freeze,
              "feet" => [{ **BEGUN_FOOT, "kind" => MACHINE_KINDS.fetch("sensing").foot }.freeze].freeze }.freeze

    # @param fields [Hash] MACHINE or FOOT
    # @param row [Hash] as in the table
    # @return [Hash{Symbol => Object}] values by name
    def self.load(fields, row) = fields.transform_values { |field| field.load(row[field.column]) }

    # @return [Hash{Symbol => Object}] columns
    def self.dump(fields, thing) = fields.to_h { |name, field| [field.column, field.dump(thing[name])] }
  end
end
