# frozen_string_literal: true

# LookPictures draw what is asked about a test hole at the settings it is sewn with: the same stitches as
# they lie when they are right, a little and badly otherwise. Whoever does not know the words can answer.
#
#   LookPictures.of(sheet).find { |picture| picture.look == "bead_away" && picture.grade == "thin" }.lines

require_relative "../stitch/path"
require_relative "../swatch/look"
require_relative "../thread/sewing_thread"
require_relative "../value"
require_relative "hole_simulation"

module NimbleEyelet
  # look, grade - String; lines - Array of lines of [x, y], mm; box - Array(Float, Float, Float, Float): x, y, width and
  #   height, mm
  # cover - Float, coverage index of the beads; bobbin - Float, how much of the bobbin thread shows on top, 0 to 1;
  #   loops - Float, how much hangs loose below; button, thick - Float, mm across and thick, of what goes through, and
  #   slit - Float, mm,
  # long, or nil
  LookPicture = Value.of(:look, :grade, :lines, :box, cover: 0.0, bobbin: 0.0, loops: 0.0, button: nil, thick: nil,
                         slit: nil)

  class LookPictures
    # Height of a picture against its width, and what is no thicker is drawn so, mm.
    FRAME = 0.55
    LEAST_THICK = 1.0
    # Where on either side of right each grade is drawn: in logarithms of the cover, and in mm of room.
    COVERS = [-0.62, -0.33, 0.0, 0.33, 0.55].freeze
    ROOMS = [-1.0, -0.45, 0.0, 0.55, 1.2].freeze
    SLITS = [-2.2, -0.9, 0.0, 1.2, 3.2].freeze
    BOBBIN = [0.0, 0.0, 0.0, 0.45, 1.0].freeze
    LOOPS = [1.0, 0.45, 0.0, 0.0, 0.0].freeze

    # @param sheet [Sheet]
    # @return [Array<LookPicture>] of every grade of every look that is asked
    def self.of(sheet) = new(sheet).all

    def initialize(sheet)
      @sheet = sheet
      # Its aim is one pass that is full; a second one hides what is asked about.
      @shape = HoleSimulation.shape(sheet, Trial.new).with(twice: false)
    end

    # @return [Array<LookPicture>]
    def all
      Swatches.looks_of(@sheet.recipe.stitched, opens: opens?).flat_map do |look|
        look.grades.each_with_index.map do |grade, place|
          send(look.axis, look, place).with(look: look.key, grade: grade.key)
        end
      end
    end

    # A whole hole, each look as far from right as is said.
    #
    # @param places [Hash{String => Float}] look to its place among the grades, between two of them as well
    # @return [Hash] lines - Array of lines of [x, y] mm; covers - Array<Float>, coverage index of each of them;
    #   through -
    #   LookPicture of the button; box - Array(Float, Float, Float, Float) mm; bobbin, loops - Float
    def whole(places)
      room = between(ROOMS, places.fetch("space", RIGHT_GRADE))
      lines, covers = sewn(places).transpose
      lines = lines.map { |line| line.map { |x, y| [y, x + ((x <=> 0) * room / 2)] } }
      edge = places.fetch("tension", RIGHT_GRADE)
      { lines: lines, covers: covers, through: fit(nil, places.fetch("fit", RIGHT_GRADE)), box: about(lines),
        bobbin: between(BOBBIN, edge), loops: between(LOOPS, edge) }
    end

    private

    # The middle of five grades.
    RIGHT_GRADE = 2
    private_constant :RIGHT_GRADE

    # A little fabric about it.
    def about(lines)
      (left, right), (top, low) = lines.flatten(1).transpose.map(&:minmax)
      [left - 1, top - 1, right - left + 2, low - top + 2]
    end

    # @param table [Array<Float>] by place
    # @param place [Numeric]
    def between(table, place)
      below = place.floor.clamp(0, table.size - 2)
      table[below] + ((table[below + 1] - table[below]) * (place - below))
    end

    # Each line of a hole, and its coverage: its two sides by their own stitch, the ends as they are.
    def sewn(places)
      away, back = %w[bead_away bead_back].map { |key| aimed / Math.exp(between(COVERS, places.fetch(key, RIGHT_GRADE))) }
      as_aimed, one, other = [aimed, away, back].map { |length| sides(length) }
      as_aimed.each_with_index.map do |part, index|
        bead = as_aimed.take(index).count { |before| before.kind == :bead }
        next [part.points, thickness / aimed] unless part.kind == :bead

        [(bead.zero? ? one : other)[index].points, thickness / (bead.zero? ? away : back)]
      end
    end

    def sides(length)
      Stitches::Path.sew(@shape.with(length: length, balance: 0.0), @sheet.plan.machine).parts.reject { |part| part.kind == :lock }
    end

    def opens? = @sheet.plan.button.opens?

    def picture(**parts) = LookPicture.new(look: "", grade: "", lines: [], box: [0.0, 0.0, 1.0, 1.0], **parts)

    def fit(_look, place)
      return tack(place) unless opens?

      button = @sheet.plan.button
      wide = [button.across.to_f, @sheet.opening.to_f + SLITS.last].max + 2
      picture(button: button.across.to_f, thick: [button.height.to_f, LEAST_THICK].max,
              box: [0.0, 0.0, wide, wide * FRAME], slit: [@sheet.opening.to_f + between(SLITS, place), 1.0].max)
    end

    # The tack in one frame, as long as it may come out, with two marks as long as it should be.
    def tack(place)
      wanted = @sheet.opening.to_f
      longest = wanted + SLITS.last + 2
      tall = longest * FRAME
      marks = [-1, 1].map { |side| [[side * wanted / 2, -tall / 3], [side * wanted / 2, tall / 3]] }
      picture(lines: [tack_of([wanted + SLITS[place], 1.0].max), *marks], box: [-longest / 2, -tall / 2, longest, tall])
    end

    def tack_of(long)
      parts = Stitches::Path.sew(@shape.with(opening: long), @sheet.plan.machine).parts
      (parts.find { |part| part.kind == :tack } || parts.first).points.map { |x, y| [y - (long / 2), x] }
    end

    def cover(_look, place)
      length = aimed / Math.exp(COVERS[place])
      bead = beads(@shape.with(length: length, balance: 0.0)).first
      picture(lines: [bead], box: around([bead]), cover: thickness / length)
    end

    def tension(_look, place)
      bead = beads(@shape.with(length: aimed, balance: 0.0)).first
      picture(lines: [bead], box: around([bead]), cover: thickness / aimed, bobbin: BOBBIN[place], loops: LOOPS[place])
    end

    # Both beads, and the cloth between them.
    def space(_look, place)
      room = [@shape.space + ROOMS[place], -0.3].max
      found = beads(@shape.with(length: aimed, balance: 0.0)).map do |line|
        line.map { |x, y| [x, y + ((y <=> 0) * (room - @shape.space) / 2)] }
      end
      picture(lines: found, box: around(found), cover: thickness / aimed, slit: room)
    end

    # The stitch at which the beads are full.
    def aimed = thickness / (@sheet.recipe.cover&.aim || SewingThread::COVERAGE_AIM)

    def thickness = @sheet.plan.thread.thickness.to_f

    # The bead of an eyelet, laid out straight, on both sides of the hole it goes round.
    def ring(shape)
      far = from_the_middle(Stitches::Path.sew(shape, @sheet.plan.machine).parts.find { |part| part.kind == :eyelet })
      round = Math::PI * far.minmax.sum / far.size
      along = far.each_with_index.map { |from, at| [(at - (far.size / 2)) * round, from] }
      seen = along.select { |at, _| at.abs <= LONG_ENOUGH / 2 }
      [-1, 1].map { |side| seen.map { |at, from| [at, side * from] } }
    end

    def from_the_middle(part)
      middle = part.points.map(&:last).minmax.sum / 2
      part.points.map { |x, y| Math.hypot(x, y - middle) }
    end

    # A stretch of both beads, away from the ends.
    def beads(shape)
      return ring(shape) if @sheet.recipe.style.value.round?

      shape = shape.with(opening: [shape.opening, LONG_ENOUGH].max)
      middle = shape.overall / 2
      Stitches::Path.sew(shape, @sheet.plan.machine).parts.select do |part|
        part.kind == (opens? ? :bead : :tack)
      end.map do |part|
        # It lies along the longer side of its frame.
        part.points.select { |_, y| (y - middle).abs <= LONG_ENOUGH / 2 }.map { |x, y| [y - middle, x] }
      end
    end

    def around(lines)
      least, most = lines.flatten(1).map(&:last).minmax
      tall = most - least + (MARGIN * 2)
      [-tall / FRAME / 2, least - MARGIN, tall / FRAME, tall]
    end
    MARGIN = 0.45
    # A hole of this length, mm, has beads to fill any frame.
    LONG_ENOUGH = 16.0
    private_constant :MARGIN, :LONG_ENOUGH
  end
end
