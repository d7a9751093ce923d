<script lang="ts">
  // A labelled figure to read, not to type.
  import Term from './Term.svelte';

  let {
    label,
    text,
    term,
    across = false,
  }: { label: string; text: string; term?: string; across?: boolean } = $props();
</script>

<div class={across ? 'col-span-full' : undefined}>
  <dt class="text-sm text-secondary">
    {#if term}<Term of={term} as={label} />{:else}{label}{/if}
  </dt>
  <dd class="text-xl font-semibold">{text}</dd>
</div>
