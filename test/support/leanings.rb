# frozen_string_literal: true

# Leanings reads Ruby files without running them and tells what leans on what: which file defines a
# constant, which constants a file uses or names in its comments, and which files it requires.
#
#   leanings = Support::Leanings.new(Dir["lib/**/*.rb"], inside: "NimbleEyelet")
#   leanings.uses("lib/nimble_eyelet/opening/slit_length.rb")   # => ["lib/nimble_eyelet/style/ends.rb", …]

require "prism"

module NimbleEyelet
  module Support
    class Leanings
      # A type between brackets in a documenting comment: `@param cloth [Cloth]`.
      TYPES = /@(?:param|return|raise|yieldparam|yieldreturn)[^\[]*\[([^\]]+)\]/

      # One file as read. nesting of each use - Array<String>, innermost first
      Reading = Struct.new(:defines, :methods, :uses, :types, :requires)

      # @param files [Array<String>]
      # @param inside [String] module all of them open
      def initialize(files, inside:)
        @inside = inside
        @readings = files.to_h { |file| [File.expand_path(file), read(File.expand_path(file))] }
        @modules = @readings.each_value.flat_map do |reading|
          reading.defines.filter_map do |name, kind|
            name if kind == :module
          end
        end.uniq
        @homes = homes
      end

      def files = @readings.keys

      # @return [Hash{String => Array<String>}] files by the bare name of the constants they give a value to
      def names
        @readings.each_with_object(Hash.new { |hash, key| hash[key] = [] }) do |(file, reading), found|
          reading.defines.each { |name, kind| found[name[/\w+\z/]] << file unless kind == :module }
        end
      end

      # @param types [Boolean] whether types named in comments count
      # @return [Array<String>] files that define what this one uses
      def uses(file, types: true)
        reading = @readings.fetch(File.expand_path(file))
        found = types ? reading.uses + reading.types : reading.uses
        (found.filter_map { |nesting, path, call| home(nesting, path, call) } - [file]).uniq.sort
      end

      # @return [Array<String>] files required
      def requires(file) = @readings.fetch(File.expand_path(file)).requires

      private

      # Where each constant has its home; a module that many files open has none.
      def homes
        @readings.each_with_object({}) do |(file, reading), found|
          reading.defines.each { |name, kind| found[name] ||= file unless kind == :module && shared?(name) }
          reading.methods.each { |name| found[name] ||= file }
        end
      end

      def shared?(name) = @readings.each_value.count { |reading| reading.defines.include?([name, :module]) } > 1

      def home(nesting, path, call)
        nesting.each do |scope|
          name = scope.empty? ? path : "#{scope}::#{path}"
          next unless known?("#{scope}::#{path[/\A\w+/]}".delete_prefix("::"))

          return @homes["#{name}.#{call}"] if call && @homes["#{name}.#{call}"]

          name = name[0...name.rindex("::")] until @homes.key?(name) || !name.include?("::")
          return @homes[name]
        end
        nil
      end

      def known?(name) = @homes.key?(name) || @modules.include?(name)

      def read(file)
        source = File.read(file)
        parsed = Prism.parse(source)
        reading = Reading.new([], [], [], [], source.scan(/^require_relative "(.+)"/).map do |(path)|
          File.expand_path("#{path}.rb", File.dirname(file))
        end)
        visit(parsed.value, [""], reading)
        scope = reading.defines.filter_map do |name, kind|
          name if kind == :module
        end.reduce([""]) { |nesting, name| [name, *nesting] }
        source.scan(TYPES) { |(types)| types.scan(/[A-Z]\w*(?:::\w+)*/) { |path| reading.types << [scope, path, nil] } }
        reading
      end

      def visit(node, nesting, reading)
        case node
        when Prism::ModuleNode, Prism::ClassNode then return go_into(node, nesting, reading)
        when Prism::ConstantWriteNode then define(node.name.to_s, :value, nesting, reading)
        when Prism::ConstantPathWriteNode then define(node.target.slice, :value, nesting, reading)
        when Prism::ConstantReadNode, Prism::ConstantPathNode
          return reading.uses << [nesting, node.slice.delete_prefix("::"), nil]
        when Prism::DefNode
          reading.methods << "#{nesting.first}.#{node.name}" if node.receiver.is_a?(Prism::SelfNode)
        when Prism::CallNode
          constant = node.receiver
          if constant.is_a?(Prism::ConstantReadNode) || constant.is_a?(Prism::ConstantPathNode)
            reading.uses << [nesting, constant.slice, node.name.to_s]
            [node.arguments, node.block].compact.each { |child| visit(child, nesting, reading) }
            return
          end
        end
        node.compact_child_nodes.each { |child| visit(child, nesting, reading) }
      end

      def go_into(node, nesting, reading)
        name = full(node.constant_path.slice, nesting)
        reading.defines << [name, node.is_a?(Prism::ModuleNode) ? :module : :class]
        visit(node.superclass, nesting, reading) if node.is_a?(Prism::ClassNode) && node.superclass
        visit(node.body, [name, *nesting], reading) if node.body
      end

      def define(name, kind, nesting, reading) = reading.defines << [full(name, nesting), kind]
      def full(name, nesting) = nesting.first.empty? ? name : "#{nesting.first}::#{name}"
    end
  end
end
