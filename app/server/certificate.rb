# frozen_string_literal: true

# Certificate is what this machine shows of itself in the house's network: made by itself, once, and again when it goes
# by other addresses or has run out. Whoever comes first compares its fingerprint.
#
#   certificate = Server::Certificate.in("var/tls", names: ["192.168.1.20", "loft.local"])
#   certificate.fingerprint   # => "4F:0A:…"

require "digest"
require "fileutils"
require "ipaddr"
require "openssl"
require "socket"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Server
    # certificate, key - String, files; fingerprint - String, SHA-256
    class Certificate < Value.of(:certificate, :key, :fingerprint)
      # What browsers take at most. Days
      LASTS = 397
      ANEW = 14
      DAY = 86_400

      # @param folder [String] made when missing, readable to its owner only
      # @param names [Array<String>] addresses and names that it is good for
      # @param now [Time]
      # @return [Certificate]
      def self.in(folder, names:, now: Time.now)
        FileUtils.mkdir_p(folder, mode: 0o700)
        files = %w[certificate.pem key.pem].map { |name| File.join(folder, name) }
        make(*files, names, now) unless good?(files.first, names, now)
        new(certificate: files[0], key: files[1], fingerprint: fingerprint(OpenSSL::X509::Certificate.new(File.read(files[0]))))
      end

      # @return [Array<String>] addresses of this machine in the networks it is in, and what it is called there
      def self.own_names
        addresses = Socket.ip_address_list.reject { |one| one.ip_address.include?("%") }.map(&:ip_address)
        host = Socket.gethostname[/\A[a-zA-Z0-9.-]+\z/].to_s.downcase
        [*addresses, *(host.empty? ? [] : [host, "#{host.delete_suffix('.local')}.local"]), "localhost"].uniq
      end

      # @return [String, nil] the address that others in the house's network reach this machine by
      def self.in_the_house
        Socket.ip_address_list.find { |one| one.ipv4? && !one.ipv4_loopback? && !one.ipv4_multicast? }&.ip_address
      end

      def self.good?(file, names, now)
        return false unless File.file?(file)

        found = OpenSSL::X509::Certificate.new(File.read(file))
        found.not_after > now + (ANEW * DAY) && names.all? { |name| OpenSSL::SSL.verify_certificate_identity(found, name) }
      rescue OpenSSL::OpenSSLError
        false
      end

      def self.address?(name)
        IPAddr.new(name) && true
      rescue IPAddr::Error
        false
      end

      def self.make(file, key_file, names, now)
        key = OpenSSL::PKey::EC.generate("prime256v1")
        made = OpenSSL::X509::Certificate.new
        made.version = 2
        made.serial = OpenSSL::BN.rand(120)
        made.subject = made.issuer = OpenSSL::X509::Name.new([["CN", "Nimble Eyelet"]])
        made.public_key = key
        made.not_before = now - DAY
        made.not_after = now + (LASTS * DAY)
        add_extensions(made, names)
        made.sign(key, OpenSSL::Digest.new("SHA256"))
        File.write(key_file, key.to_pem, perm: 0o600)
        File.write(file, made.to_pem, perm: 0o600)
      end

      def self.add_extensions(made, names)
        factory = OpenSSL::X509::ExtensionFactory.new(made, made)
        said = names.map { |name| "#{address?(name) ? 'IP' : 'DNS'}:#{name}" }.join(",")
        [["basicConstraints", "CA:FALSE", true], ["keyUsage", "digitalSignature", true],
         ["extendedKeyUsage", "serverAuth", false], ["subjectAltName", said, false]].each do |extension|
          made.add_extension(factory.create_extension(*extension))
        end
      end

      def self.fingerprint(certificate) = Digest::SHA256.hexdigest(certificate.to_der).upcase.scan(/../).join(":")
      private_class_method :good?, :address?, :make, :add_extensions, :fingerprint
    end
  end
end
