<script lang="ts">
  // A sheet as it comes out of the printer, small: tapping it opens it. Paper is white by day and by night.
  import type { Snippet } from 'svelte';

  type Props = {
    href: string;
    title: string;
    /** What it is for. */ note: string;
    main?: boolean;
    children: Snippet;
  };
  let { href, title, note, main = false, children }: Props = $props();
</script>

<li class={['flex flex-col', main ? 'w-64' : 'w-40']}>
  <a class="group flex flex-col gap-2" {href} target="_blank" rel="noopener">
    <span
      class={[
        'block aspect-[210/297] w-full overflow-hidden border bg-white group-hover:border-primary',
        main ? 'border-2 border-primary' : 'border-base-300',
      ]}
    >
      {@render children()}
    </span>
    <span class={['leading-tight underline', main ? 'text-lg font-semibold' : 'font-semibold']}>{title}</span>
  </a>
  <span class="mt-0.5 text-sm text-secondary">{note}</span>
</li>
