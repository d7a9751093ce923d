# frozen_string_literal: true

# Origins are the addresses under which people reach the application: this machine, and the public ones that its owner
# names, such as that of a proxy in front of it. Other names for it are not answered: a page of theirs could read
# what is here.
#
#   origins = Origins.of("https://sewing.example, http://192.168.1.5:4567")
#   origins.hosts.last(2)                                              # => ["sewing.example", "192.168.1.5"]
#   origins.own?("https://sewing.example", "127.0.0.1:4567", "http")   # => true

require "uri"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Http
    # public - Array<String>, each scheme, host and port as a browser says it
    # more - Array<String>, further names that requests may give, without scheme or port
    class Origins < Value.of(public: [], more: [])
      HERE = %w[127.0.0.1 localhost ::1 [::1]].freeze

      # @param text [String, nil] origins with commas between them
      # @param more [Array<String>]
      # @return [Origins]
      # @raise [ArgumentError] for what is none, in words
      def self.of(text, more: [])
        new(public: text.to_s.split(",").map(&:strip).reject(&:empty?).map { |one| origin(one) },
            more: more.reject(&:empty?).flat_map { |name| name.include?(":") ? [name, "[#{name}]"] : [name] })
      end

      def self.origin(text)
        uri = URI(text)
        bare = uri.is_a?(URI::HTTP) && uri.host && ["", "/"].include?(uri.path) && uri.query.nil? && uri.userinfo.nil?
        raise URI::Error unless bare

        "#{uri.scheme}://#{uri.host}#{":#{uri.port}" unless uri.port == uri.default_port}"
      rescue URI::Error
        raise ArgumentError, "NIMBLE_EYELET_ORIGIN is an address such as https://sewing.example, without anything after it: #{text}"
      end
      private_class_method :origin

      # @return [Array<String>] names that requests may give
      def hosts = HERE + public.map { |origin| URI(origin).host } + more

      # @param origin [String, nil] of the page that asks
      # @param host [String] as the request names it
      # @param scheme [String]
      # @return [Boolean] whether that page is one of ours
      def own?(origin, host, scheme) = origin.nil? || origin == "#{scheme}://#{host}" || public.include?(origin)
    end
  end
end
