<script lang="ts">
  // The page somebody went to could not be fetched.
  import Again from './Again.svelte';
</script>

<main id="main" class="m-auto p-6 text-center"><Again /></main>
