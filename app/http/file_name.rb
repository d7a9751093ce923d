# frozen_string_literal: true

# FileName is what a file is called in the folder of whoever saves it: what it belongs to and what it is, in signs every
# system takes; and the same as it is really written, for browsers that take that.
#
#   FileName.of("Übergangsmantel: left cuff", "strip", "pdf").header
#   # => "filename=\"ubergangsmantel-left-cuff-strip.pdf\"; filename*=UTF-8''%C3%9Cbergangsmantel%20left%20cuff%20strip.pdf"

require "erb"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  class FileName < Value.of(:plain, :whole)
    # Longer names are cut, characters.
    LONGEST = 100
    # What some system does not take in a name.
    TAKEN = %r{[\\/:*?"<>|.[:cntrl:]]+}

    # @param whose [String] what it belongs to; "" for what is of the whole workroom
    # @param what [String]
    # @param ending [String]
    # @return [FileName]
    def self.of(whose, what, ending)
      of = whose.gsub(TAKEN, " ").split.join(" ")[0, LONGEST]
      bare = of.unicode_normalize(:nfkd).gsub(/\p{Mn}/, "").downcase.gsub(/[^a-z0-9]+/, "-").gsub(/\A-|-\z/, "")
      new(plain: "#{[bare, what.tr(' ', '-')].reject(&:empty?).join('-')}.#{ending}",
          whole: "#{[of, what].reject(&:empty?).join(' ')}.#{ending}")
    end

    # @return [String] for Content-Disposition (RFC 6266)
    def header = "filename=\"#{plain}\"; filename*=UTF-8''#{ERB::Util.url_encode(whole)}"
  end
end
