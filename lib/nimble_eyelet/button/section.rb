# frozen_string_literal: true

# Section is the geometry of the outlines that buttons are drawn and reckoned with.
#
#   Section.segment_arc(18.0, 5.0)   # 21.54 mm: the dome over a chord of 18 with a rise of 5

module NimbleEyelet
  module Section
    # Outlines are sampled this finely: enough for a smooth line at any size drawn.
    ARC_POINTS = 32

    # Points on an ellipse-free circular arc from one angle to another, both in radians.
    def self.arc(middle_x, middle_y, radius, from, to)
      (0..ARC_POINTS).map do |step|
        angle = from + ((to - from) * step / ARC_POINTS)
        [middle_x + (radius * Math.cos(angle)), middle_y + (radius * Math.sin(angle))]
      end
    end

    # Arc length of a circular segment of a given chord and rise (any rise up to the full circle).
    # Source: circle geometry, r = (c²/4 + h²) / 2h and half-angle 2·atan(2h/c).
    def self.segment_arc(chord, rise)
      return Math::PI * rise if chord < rise * 1e-6

      radius = segment_radius(chord, rise)
      radius * 4 * Math.atan(2 * rise / chord)
    end

    def self.segment_radius(chord, rise) = (((chord**2) / 4) + (rise**2)) / (2 * rise)

    # Flat back at the bottom, dome above.
    def self.segment_outline(chord, rise)
      radius = segment_radius(chord, rise)
      half_angle = 2 * Math.atan(2 * rise / chord)
      arc(0, radius - (rise / 2), radius, (-Math::PI / 2) - half_angle, (-Math::PI / 2) + half_angle)
    end

    def self.circle(across) = arc(0, 0, across / 2, 0, 2 * Math::PI)

    # Whatever its edge, a round thing passes flat on, as a circle.
    def self.at_most_flat(across, half) = [half, Math::PI * across / 2].min

    # A disc edge on; one so thick that it passes flat on, as a circle.
    def self.disc_outline(across, thickness)
      across + thickness > Math::PI * across / 2 ? circle(across) : rectangle_outline(across, thickness)
    end

    # Once round a dome on a flat back. Up to D/2 the back is the widest place: chord D and its arc. Above,
    # the widest is the ball of diameter D, cut flat at the back; seen from any other side its outline is
    # longer, since the cut shows less (the least over all tilts, tried against 2,000 tilts in the tests).
    #
    # @return [Float] mm
    def self.dome_outline_length(across, rise)
      return across + segment_arc(across, rise) if rise <= across / 2

      chord = cut_chord(across, rise)
      chord + segment_arc(chord, rise)
    end

    # Chord of a ball cut so that it is so high.
    def self.cut_chord(across, rise) = 2 * Math.sqrt([(across * rise) - (rise**2), 0].max)

    def self.dome_outline(across, rise)
      return segment_outline(across, rise) if rise <= across / 2
      return circle(across) if rise >= across

      segment_outline(cut_chord(across, rise), rise)
    end

    def self.stadium_outline(across, thickness)
      radius = thickness / 2
      reach = [(across / 2) - radius, 0].max
      arc(reach, 0, radius, -Math::PI / 2, Math::PI / 2) + arc(-reach, 0, radius, Math::PI / 2, Math::PI * 3 / 2)
    end

    def self.ellipse_outline(across, width)
      arc(0, 0, 1, 0, 2 * Math::PI).map { |x, y| [x * across / 2, y * width / 2] }
    end

    # A disc hollowed out within its rim, which alone is as thick as measured.
    def self.rimmed_outline(across, thickness)
      x = across / 2
      y = thickness / 2
      inside = x * 0.7
      [[-x, -y], [-inside, -y], [-inside, 0], [inside, 0], [inside, -y], [x, -y], [x, y], [-x, y]]
    end

    def self.rectangle_outline(across, thickness)
      x = across / 2
      y = thickness / 2
      [[-x, -y], [x, -y], [x, y], [-x, y]]
    end
  end
end
