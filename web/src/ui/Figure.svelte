<script lang="ts">
  // A labelled figure to read, not to type.
  let { label, text, across = false }: { label: string; text: string; across?: boolean } = $props();
</script>

<div class={across ? 'col-span-full' : undefined}>
  <dt class="text-sm text-secondary">{label}</dt>
  <dd class="text-xl font-semibold">{text}</dd>
</div>
