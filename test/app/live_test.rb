# frozen_string_literal: true

require_relative "../app_helper"
require "socket"

# Screens that listen are told what happens, wherever it was entered.
class LiveTest < AppTest
  # Whoever listens is told at once what kind of thing happened, wherever it was entered, and holds no thread.
  def test_screens_that_listen_are_told
    live = Http::Live.new(db.uri)
    ours, theirs = Socket.pair(:UNIX, :STREAM)
    live.add(theirs, workroom.id)
    read_until(ours, "again")
    tick("stabilise")

    assert_includes read_until(ours, "change"), "\"closure\":1"
    other, gone = Socket.pair(:UNIX, :STREAM)
    live.add(gone, workroom.id)
    other.close
    tick("mark")
    read_until(ours, "journal")

    assert_equal 1, live.count, "who is gone is let go"
  ensure
    live&.close
  end

  def test_where_nobody_can_listen_it_is_said
    call(:get, "/api/workroom/live")

    assert_status 503
  end

  def test_a_line_is_only_for_hosts_that_are_ours
    custom_request("GET", "/api/workroom/live", {}, HEADERS.merge("HTTP_HOST" => "elsewhere.example"))

    assert_status 403
    refute_equal "text/event-stream", last_response.content_type
  end

  private

  def read_until(socket, word)
    found = +""
    found << socket.readpartial(1000) until found.include?(word) || !socket.wait_readable(5)

    assert_includes found, word
    found
  end
end
