<script lang="ts">
  // A proxy wants a name first. A reload would show the page that the browser keeps: this address is never kept, so the
  // proxy answers it, and this page goes on by itself afterwards.
</script>

You need to sign in again. Nothing is lost: it is kept here until then.
<a class="btn min-h-11 btn-primary" href="/api/signed-in" target="_blank" rel="noreferrer">Sign in</a>
