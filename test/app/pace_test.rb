# frozen_string_literal: true

require_relative "../app_helper"

# How long somebody's steps really take is read off the journal of their sessions.
class PaceStoreTest < AppTest
  def begin_session = call(:post, "/api/workroom/sessions", { closures: [SMOCK] })

  def done(found, step, at, device: "11111111-1111-4111-8111-111111111111")
    step["enter"].each do |entry|
      with = entry.fetch("with", {}).merge("sitting.id" => found["id"].to_s)
      body = { "machine" => 4, **entry, "with" => with, happened_at: at.iso8601, sent_at: NOW.iso8601 }
      call(:put, "/api/journal/#{SecureRandom.uuid}", body, { "HTTP_X_DEVICE" => device })

      assert_status 200
    end
  end

  def pace(found) = Store::Sessions.new(workroom, now: NOW).find(found["id"]).session.pace

  def test_a_break_is_none_and_two_screens_are_not_mixed_up
    found = begin_session
    places = found["steps"].select { |step| step["key"].start_with?("place-at") }
    places.each_with_index { |step, index| done(found, step, NOW - 9000 + (index * 100)) }
    looks = found["steps"].select { |step| step["key"].start_with?("look-at") }
    looks.each_with_index do |step, index|
      done(found, step, NOW - 9050 + (index * 100), device: "22222222-2222-4222-8222-222222222222")
    end

    assert_in_delta 100, pace(found).seen.fetch("place").median, 0.1, "by one screen, not between two"
    usual = places.first["seconds"]

    assert_operator pace(found).seconds("place", usual), :>, usual
    refute pace(found).seen.key?("stabilise")
    done(found, found["steps"].find { |step| step["key"] == "stabilise" }, NOW - 10)

    refute pace(found).seen.key?("stabilise"), "two hours after the step before: a break"
  end

  def test_what_is_ticked_at_the_table_teaches_no_pace
    tick("stabilise")
    tick("mark")

    assert_equal 0, pace(begin_session).count
  end
end
