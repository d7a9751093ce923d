# frozen_string_literal: true

# BenchPage keeps what bin/bench prints, and shows it on a small page beside the runs before.
#
#   BenchPage.keep("var/bench") { puts "a save 12.6 times a bare route (aim 10)" }   # var/bench/index.html

require "cgi"
require "fileutils"
require "json"
require "time"

module NimbleEyelet
  module Support
    class BenchPage
      # Runs that are kept, the newest last.
      RUNS = 12
      FIGURE = /\d+(?:[.,]\d+)*/
      # A figure and what it is held to.
      HELD = /(#{FIGURE})[^\d()]*\(aim (#{FIGURE})/

      # Prints a text and keeps it.
      Both = Struct.new(:out, :kept) do
        def write(*texts) = texts.sum { |text| kept << text.to_s and out.write(text) }
        def puts(*lines) = lines.flatten.each { |line| write(line.to_s.end_with?("\n") ? line : "#{line}\n") }
        def flush = out.flush

        def sync=(value)
          out.sync = value
        end
      end
      private_constant :Both

      # @param folder [String]
      # @yield with everything that is printed kept
      # @return [void]
      def self.keep(folder)
        out = $stdout
        kept = +""
        $stdout = Both.new(out, kept)
        yield
      ensure
        $stdout = out
        new(folder).add(kept) unless kept.empty?
      end

      # @param folder [String]
      def initialize(folder) = @folder = FileUtils.mkdir_p(folder).first

      # @param text [String] what a run printed
      # @return [void]
      def add(text)
        run = { "at" => Time.now.utc.iso8601, "load" => File.read("/proc/loadavg").split.first(3).join(" "),
                "lines" => text.lines.map(&:strip).reject(&:empty?) }
        all = [*runs, run].last(RUNS)
        File.write(file("runs.json"), JSON.pretty_generate(all))
        File.write(file("index.html"), page(all))
      end

      # @return [Array<Hash>] the runs before
      def runs = File.exist?(file("runs.json")) ? JSON.parse(File.read(file("runs.json"))) : []

      # @param line [String]
      # @return [Boolean, nil] whether its figure is within its aim; nil where it has none
      def self.reached(line) = line.match(HELD)&.then { |found| number(found[1]) <= number(found[2]) }
      def self.number(text) = text.delete(",").to_f

      private

      def file(name) = File.join(@folder, name)

      # Lines that say the same of other figures.
      def same(line) = line.gsub(FIGURE, "#")
      def shown(line) = line[HELD, 1] || line[FIGURE]

      def page(all)
        heads = all.reverse.map { |run| "<th>#{run['at'][0, 16].tr('T', ' ')}<br>load #{run['load']}</th>" }
        lines = all.reverse.flat_map { |run| run["lines"] }.uniq { |line| same(line) }
        rows = lines.map { |line| row(line, all.reverse) }
        <<~HTML
          <!doctype html><html lang="en"><meta charset="utf-8"><title>What bin/bench measured</title>
          <style>body{font:16px sans-serif;margin:2rem}td,th{padding:.2rem .6rem;text-align:right;vertical-align:top}
          td:first-child{text-align:left}.no{font-weight:bold}</style>
          <h1>What bin/bench measured</h1><p>The newest first; bold is beyond its aim.</p>
          <table><tr><th></th>#{heads.join}</tr>
          #{rows.join("\n")}
          </table></html>
        HTML
      end

      def row(line, all)
        cells = all.map do |run|
          found = run["lines"].find { |one| same(one) == same(line) }
          beyond = found && BenchPage.reached(found) == false
          "<td#{' class="no"' if beyond}>#{found && shown(found)}</td>"
        end
        "<tr><td>#{CGI.escapeHTML(line)}</td>#{cells.join}</tr>"
      end
    end
  end
end
