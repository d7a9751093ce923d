# frozen_string_literal: true

require_relative "../core_helper"

class StitchTest < CoreTest
  # Textbook: d = √(4·tex·10⁻⁶ / (π·ρ·φ)); worked by hand for φ = 0.65, in millimetres.
  def test_thread_thickness_by_fibre
    { ["polyester", 27] => 0.1958, ["polyester", 70] => 0.3152, ["cotton", 20] => 0.1595, ["silk", 45] => 0.2564,
      ["rayon", 40] => 0.2270 }.each do |(fibre, tex), expected|
      assert_in_delta expected, thread(fibre: fibre, tex: tex).thickness.to_f, 0.0006, "#{fibre} #{tex}"
    end
  end

  def test_thicker_thread_covers_with_longer_stitches
    sizes = (10..100).step(10).map { |tex| thread(tex: tex) }

    assert_equal sizes.map(&:thickness), sizes.map(&:thickness).sort
    assert_equal sizes.map(&:stitch_length), sizes.map(&:stitch_length).sort
    sizes.each { |one| assert_in_delta SewingThread::COVERAGE_AIM, one.coverage(one.stitch_length), 0.003 }
    # Four times the mass a length is twice the thickness.
    assert_in_delta 2, thread(tex: 80).thickness / thread(tex: 20).thickness, 0.01
  end

  def test_halving_the_stitch_doubles_the_cover
    assert_in_delta 2 * thread.coverage(mm(0.4)), thread.coverage(mm(0.2)), 0.001
  end

  def test_what_is_no_sewing_thread
    [0, 4, 201, -1].each { |tex| assert_includes refused { thread(tex: tex).validate }.keys, "thread.tex" }
    assert thread(tex: 5).validate
    assert thread(tex: 200).validate
  end
end
