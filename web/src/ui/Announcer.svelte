<script lang="ts">
  import { announcements } from './announce.svelte';
</script>

<p class="sr-only" aria-live="polite" data-announced>{announcements.text}</p>
