<script lang="ts">
  // A labelled figure to read, not to type.
  let { label, text }: { label: string; text: string } = $props();
</script>

<div>
  <dt class="text-sm text-secondary">{label}</dt>
  <dd class="text-xl font-semibold">{text}</dd>
</div>
