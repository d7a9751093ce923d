# frozen_string_literal: true

require_relative "../core_helper"

# Thread and cloth as they are weighed, counted and felt.
class ThreadTest < CoreTest
  # Textbook: 590.5 divided by the cotton count, 1000 by the metric one, a ninth of the deniers.
  def test_threads_by_every_system
    { "27" => 27, "270 dtex" => 27, "243 den" => 27, "Nm 40" => 25, "Nm 80/2" => 25, "Ne 40/2" => 29.527,
      "No. 120" => 25,
      "ticket 100" => 30,
      "tex 27,5" => 27.5 }.each do |said, tex|
      assert_in_delta tex, LinearDensity.read(said).to_f, 0.001, said
    end
    ["", "0", "thick", "27 kg", "No. 120/2", "tex 27 den", "-3"].each do |said|
      assert_equal ["thread.tex"], refused { LinearDensity.read(said) }.keys, said
    end
    assert_equal({ "dtex" => 250, "den" => 225, "Nm" => 40, "Ne" => 24, "No." => 120 }, LinearDensity.in_all(25r))
  end

  # A shop sells all-purpose thread by 100 to 120, strong by 75, topstitching by 50: nobody asks for tex.
  def test_a_thread_is_called_as_a_shop_does
    named = { 18 => ["fine polyester", 165], 27 => ["all-purpose polyester", 110], 40 => ["strong polyester", 75],
              60 => ["topstitching polyester", 50] }

    named.each do |tex, (called, number)|
      assert_equal "#{called}, number #{number}", thread(tex: tex).spool
      # As an earlier version kept what a machine is threaded with.
      kept = { "top_thread" => "tex #{tex} polyester", "bobbin_thread" => "grey (tex #{tex} polyester)" }

      assert_equal ["#{called}, number #{number}", "grey polyester, number #{number}"], Sewing::KeptLedger.of(kept).state.values
    end
  end

  def test_a_cloth_by_feel
    assert_equal 120, ClothFeel.weight(grams: 1.2r, side: mm(100))
    assert_equal mm(0.5r), ClothFeel.thickness(folded: mm(4), layers: 8)
    assert_equal 25, ClothFeel.stretch(marked: mm(100), pulled: mm(125))
    [-> { ClothFeel.weight(grams: 0r, side: mm(100)) }, -> { ClothFeel.weight(grams: 1r, side: mm(1)) },
     -> { ClothFeel.thickness(folded: mm(4), layers: 1000) }, -> { ClothFeel.thickness(folded: mm(0), layers: 8) },
     -> { ClothFeel.stretch(marked: mm(100), pulled: mm(90)) }].each { |wrong| assert_equal 1, refused(&wrong).size }
  end

  def test_what_is_left_on_the_bobbin_as_people_say_it
    { "20 m" => 20_000, "0,54 g" => 20_000, "about a third" => 11_667, "Half" => 17_500, "full" => 35_000,
      "empty" => 0 }.each do |said, left|
      assert_in_delta left, Bobbin.left(said, thread).to_f, 1, said
    end
    assert_equal ["thread.bobbin"], refused { thread(bobbin: "some").validate }.keys
    row = HoleSimulation.of(sheet(thread: thread(bobbin: "4 m"))).row

    assert_includes row.says, "It lasts for #{row.enough_for} of 7 holes: change the bobbin before hole #{row.enough_for + 1}"
    assert_includes 1..6, row.enough_for
    assert_includes HoleSimulation.of(sheet(thread: thread(bobbin: "full"))).row.says, said("hole_simulation.whole_row")
    assert_nil HoleSimulation.of(sheet).row
  end

  # From strands to thickness and back.
  def test_a_cord_is_made_of_strands_both_ways
    [10, 27, 40, 75].each do |tex|
      made = thread(tex: tex)
      cord = Cord.of(made, overall: mm(25))

      assert_equal cord.strands, (0.75 * ((cord.thickness / made.thickness).to_f**2)).round
      assert_equal cord.thickness, Cord.thickness_of(made)
      assert_equal cord.length * 5 * 1.1r, cord.strand(5)
      assert_operator cord.zigzag, :>=, mm(1)
    end
  end
end
