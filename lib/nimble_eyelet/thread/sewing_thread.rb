# frozen_string_literal: true

# SewingThread is a thread by its linear density and fibre; its thickness and the cover it gives
# at a stitch length follow from those.
#
#   thread = SewingThread.new(fibre: "polyester", tex: 27)
#   thread.thickness                            # 0.196 mm
#   thread.coverage(Length.mm(0.4))            # 0.49
#
# Source of the thickness: textbook, area = mass per length / density, with the packing of a twisted
# thread: d = √(4·tex·10⁻⁶ / (π·ρ·φ)) metres.

require_relative "../answer/refusal"
require_relative "../length/length"
require_relative "../typing/limit"
require_relative "../value"
require_relative "bobbin"

module NimbleEyelet
  # tex - Numeric, grams a kilometre; fibre - String, a key of DENSITIES
  # bobbin - String, what is left on it as the person says it, or empty
  class SewingThread < Value.of(:fibre, :tex, name: "", bobbin: "")
    # kg/m³
    DENSITIES = { "polyester" => 1380, "cotton" => 1540, "rayon" => 1520, "silk" => 1340 }.freeze
    # Share of a twisted thread that is fibre.
    PACKING = 0.65

    # Up to so much tex, what a shop calls it.
    SORTS = { 22 => "fine", 32 => "all-purpose", 45 => "strong" }.freeze
    THICKEST_SORT = "topstitching"

    LIMITS = { tex: Typing::Limit.number(5..200) }.freeze

    # The coverage index k = thread thickness / stitch length.
    COVERAGE_AIM = 0.51
    # Below, cloth shows through.
    COVERAGE_LEAST = 0.40
    # Above, stitches pile up and the feed stalls.
    COVERAGE_MOST = 0.66

    # @param index [Float] coverage index
    # @return [String] what a bead of it looks like: gappy, full or piled up
    def self.looks(index)
      return "gappy" if index < COVERAGE_LEAST

      index > COVERAGE_MOST ? "piled up" : "full"
    end

    # @return [String] as its owner calls it, or a shop; what it is made of is always said
    def called
      return name.downcase.include?(fibre) ? name : "#{name} #{fibre}" unless name.empty?

      "#{SORTS.find { |most, _| tex <= most }&.last || THICKEST_SORT} #{fibre}"
    end

    # @return [Integer] about the number on its spool, to five. Source: number = 3000 / tex
    def number = (3000 / tex.to_r / 5).round * 5

    # @return [String] what to take from the drawer or ask for: "all-purpose polyester, number 110"
    def spool = "#{called}, number #{number}"

    # A thread as it was kept before, by its tex and fibre behind its name where it had one.
    OLDER = /\A(?:(?<name>.+) \()?tex (?<tex>[\d.]+) (?<fibre>[a-z]+)\)?\z/
    private_constant :OLDER

    # @param kept [String, nil] by an earlier version or this one
    # @return [String, nil] as it is called now
    def self.spool_of(kept)
      found = kept.to_s.match(OLDER)
      found ? new(fibre: found[:fibre], tex: found[:tex].to_r, name: found[:name].to_s).spool : kept
    end

    # @return [Length] to the micrometre
    def thickness
      density = DENSITIES.fetch(fibre)
      Length.mm(Math.sqrt(4 * tex * 1e-6 / (Math::PI * density * PACKING)) * 1000)
    end

    # An index, not a fraction: thread flattens and fluffs.
    #
    # @param stitch_length [Length] more than zero
    # @return [Float]
    def coverage(stitch_length) = (thickness / stitch_length).to_f

    # @param aim [Float] coverage index wanted
    # @return [Length] stitch length that gives it
    def stitch_length(aim = COVERAGE_AIM) = Length.mm(thickness.to_f / aim)

    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        sound = Typing::Limit.check_all(check, "thread", self, LIMITS)
        check.gather { Bobbin.left(bobbin, self) } if sound && !bobbin.empty?
      end
      self
    end
  end
end
