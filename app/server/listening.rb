# frozen_string_literal: true

# Listening is the address a server listens on: whether it can, and what is said of it when it does.
#
#   Server::Listening.new(entrance, 4567).taken   # => nil, or what is in the way

require "socket"

module NimbleEyelet
  module Server
    class Listening
      # @param entrance [Entrance]
      # @param port [Integer]
      def initialize(entrance, port)
        @entrance = entrance
        @port = port
      end

      # @return [String, nil] why nobody can listen there
      def taken
        TCPServer.new(@entrance.host, @port).close
        nil
      rescue Errno::EADDRNOTAVAIL, SocketError
        "HOST is an address of this machine, such as 127.0.0.1, or 0.0.0.0 for all of them: #{@entrance.host} is none."
      rescue Errno::EADDRINUSE
        "Port #{@port} is taken by another program. Choose another: PORT=#{@port + 1} bin/start"
      rescue Errno::EACCES
        "Port #{@port} needs more rights. Choose another: PORT=4567 bin/start"
      end

      # @param puma [Puma::DSL]
      def open(puma)
        certificate = @entrance.certificate
        return puma.ssl_bind(bracketed, @port, sealed(certificate)) if certificate

        puma.bind "tcp://#{bracketed}:#{@port}"
        puma.bind "tcp://[::1]:#{@port}" if @entrance.host == Entrance::HERE && ipv6?
      end

      # Where it is, and how to know it.
      def tell
        puts "Nimble Eyelet is at #{@entrance.address(@port)}"
        return unless (certificate = @entrance.certificate)

        puts "A browser asks once whether to trust this machine. Compare the SHA-256 fingerprint of its certificate first:"
        puts certificate.fingerprint
      end

      private

      def sealed(certificate) = { cert: certificate.certificate, key: certificate.key, verify_mode: "none" }
      def bracketed = @entrance.host.then { |host| host.include?(":") ? "[#{host}]" : host }

      def ipv6?
        TCPServer.new("::1", 0).close
        true
      rescue SystemCallError
        false
      end
    end
  end
end
