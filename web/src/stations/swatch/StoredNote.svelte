<script lang="ts">
  // Where a recent test hole stands for a test, it says so.
  import type { Sheet } from '../../api/client';

  let { stored }: { stored: Sheet['swatch']['stored'] } = $props();
</script>

{#if stored}
  <p class="mt-1 max-w-prose border-l-4 border-primary pl-3" role="status" data-stored>
    No test is needed. Everything is set as on the test hole of {new Date(
      stored.sewn_at,
    ).toLocaleDateString()}, which came out well.
  </p>
{/if}
