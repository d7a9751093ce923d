# frozen_string_literal: true

# What the hands are told to do, for tests of what people were taught differently.
module InWords
  def told(changes) = words(sheet(**changes))
  def sewn(**attach) = { attach: NimbleEyelet::Attach::ButtonSewing.new(pattern: "two_bars", **attach) }
  def at(name, found) = found.find { |key, _| key.start_with?("#{name}-at") }.last
end
