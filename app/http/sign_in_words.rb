# frozen_string_literal: true

# SignInWords has the sentences for signing in, new accounts and forgotten passwords.
#
#   SignInWords.wrong_with("short")   # => "A password has at least 10 characters. …"

module NimbleEyelet
  module Http
    module SignInWords
      SHORTEST = 10
      LONGEST = 128
      TOO_SHORT = "A password has at least #{SHORTEST} characters. A short sentence is easy to keep.".freeze
      TOO_LONG = "A password has at most #{LONGEST} characters.".freeze
      EASY = "Choose another password: this one is easy to guess."
      SAME = "This is your password already: choose another."
      NOT_YOURS = "This is not your password."
      NO_EMAIL = "Type an email address, such as ana@marsh.example."
      ALREADY = "There is an account with this email already. Sign in with it instead."
      NO_LONGER = "This link no longer works. Ask for a new one."
      SUBJECT = "A new password for Nimble Eyelet"
      LETTER = <<~TEXT
        Somebody asked for a new password for your account at Nimble Eyelet.
        Choose one within an hour with this link:

        %s

        If it was not you, do nothing: your password stays as it is.
      TEXT

      # @param password [String] that is not taken
      # @return [String] why
      def self.wrong_with(password)
        return TOO_SHORT if password.length < SHORTEST

        password.length > LONGEST ? TOO_LONG : EASY
      end

      # Whoever asks waits no longer for a letter than for none.
      def self.send_letter(post, to, address)
        Thread.new do
          post.send_to(to, subject: SUBJECT, text: format(LETTER, address))
        rescue StandardError => e
          warn "error  A letter could not be sent: #{e.class}"
        end
      end
    end
  end
end
