<script lang="ts">
  // For those who want it all on one page: every fold and every part stands open, for good.
  import { everything } from './everything.svelte';
</script>

<label class="flex min-h-11 w-fit cursor-pointer items-center gap-2 text-sm text-secondary">
  <input
    type="checkbox"
    class="checkbox checkbox-xs"
    checked={everything.on}
    onchange={() => everything.toggle()}
  />
  <span>Show everything</span>
</label>
