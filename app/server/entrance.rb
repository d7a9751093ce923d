# frozen_string_literal: true

# Entrance reads from the environment who may come in, and by which addresses: one person on their own machine, who
# signs in nowhere; the house's network; or whoever a proxy lets through.
#
#   entrance = Server::Entrance.new({ "HOST" => "0.0.0.0" }, var: "var")
#   entrance.shared?   # => true
#   entrance.access    # => Http::Access

require "fileutils"
require "ipaddr"
require "securerandom"
require_relative "../../lib/nimble_eyelet"
require_relative "../device/post"
require_relative "../http/access"
require_relative "../http/origins"
require_relative "certificate"

module NimbleEyelet
  module Server
    class Entrance
      HERE = "127.0.0.1"
      EVERYWHERE = "0.0.0.0"
      SWITCH = { "on" => true, "off" => false, "1" => true, "0" => false, "" => nil }.freeze
      OFF_OUTSIDE = "Whoever reaches this address reaches all of the data: leave NIMBLE_EYELET_SIGN_IN=off, or listen on 127.0.0.1 only."

      # @return [String] address that is listened on
      attr_reader :host

      # @param environment [Hash] HOST, PORT, NIMBLE_EYELET_ORIGIN, ALLOWED_HOSTS, TRUST_PROXY, NIMBLE_EYELET_SIGN_IN,
      #   NIMBLE_EYELET_SECRET, SMTP_URL and MAIL_FROM
      # @param var [String] folder of the data
      # @param share [Boolean] whether the house's network is let in
      def initialize(environment, var:, share: false)
        @environment = environment
        @var = var
        @share = share
        @host = environment.fetch("HOST", share ? EVERYWHERE : HERE)
      end

      # @return [Boolean] whether it listens elsewhere than on this machine, or is to
      def shared? = @share || (!%w[localhost ::1].include?(host) && !host.start_with?("127."))

      # @return [Boolean] whether people sign in
      # @raise [ArgumentError] in words
      def asked?
        said = switch("NIMBLE_EYELET_SIGN_IN")
        raise ArgumentError, OFF_OUTSIDE if said == false && shared?

        said.nil? ? shared? || proxied? || origins.public.any? : said
      end

      def proxied? = switch("TRUST_PROXY") == true

      # @return [Boolean] whether what is sent is sealed by this machine itself
      def tls? = shared? && !proxied?

      # @return [Http::Origins]
      # @raise [ArgumentError] in words
      def origins
        @origins ||= Http::Origins.of(@environment["NIMBLE_EYELET_ORIGIN"],
                                      more: names + @environment["ALLOWED_HOSTS"].to_s.split(",").map(&:strip))
      end

      # @return [Certificate, nil]
      def certificate
        tls? ? @certificate ||= Certificate.in(File.join(@var, "tls"), names: names) : nil
      end

      # @param port [Integer, nil] nil where somebody else listens
      # @return [String, nil] the address that people are told
      def address(port)
        return origins.public.first if origins.public.any?
        return unless port

        at = [EVERYWHERE, "::"].include?(host) ? Certificate.in_the_house || HERE : host
        "#{tls? ? 'https' : 'http'}://#{at.include?(':') ? "[#{at}]" : at}:#{port}"
      end

      # @param port [Integer, nil]
      # @return [Http::Access]
      # @raise [ArgumentError] in words
      def access(port)
        Http::Access.new(asked: asked?, secret: secret, secure: secure?, proxied: proxied?, address: asked? ? address(port) : nil,
                         post: Device::Post.of(@environment, folder: File.join(@var, "mail")))
      end

      private

      def secure? = tls? || (origins.public.any? && origins.public.all? { |one| one.start_with?("https:") })

      # What this machine goes by, where others ask for it.
      def names = shared? ? Certificate.own_names | ([host] - [EVERYWHERE, "::"]) : []

      # What seals sessions and passwords: made once, and kept beside the data.
      def secret
        said = @environment["NIMBLE_EYELET_SECRET"].to_s
        return kept_secret if said.empty?
        return said if said.size >= Http::Access::SHORTEST

        raise ArgumentError, "NIMBLE_EYELET_SECRET is too short: make it #{Http::Access::SHORTEST} letters."
      end

      def kept_secret
        file = File.join(@var, "secret")
        FileUtils.mkdir_p(@var)
        unless File.file?(file)
          File.open(file, File::WRONLY | File::CREAT | File::EXCL, 0o600) do |io|
            io.write(SecureRandom.hex(Http::Access::SHORTEST))
          end
        end
        File.read(file)
      rescue Errno::EEXIST
        retry
      end

      def switch(name)
        SWITCH.fetch(@environment[name].to_s.strip.downcase) { raise ArgumentError, "#{name} is on or off." }
      end
    end
  end
end
