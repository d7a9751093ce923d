# frozen_string_literal: true

# Loaded before all else: a start reads what the one before it has compiled, and where each file lies, and frees no
# memory while it loads what stays anyway. Nearly all of a start is reading some fourteen hundred files.
#
# A file that changed is compiled again, and so is one whose folder in the cache cannot be written to.

require "bootsnap"

GC.disable
Bootsnap.setup(cache_dir: File.join(ENV.fetch("NIMBLE_EYELET_VAR", File.expand_path("../../var", __dir__)), "cache"),
               development_mode: false, compile_cache_iseq: true, compile_cache_yaml: false)
