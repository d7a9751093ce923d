<script module lang="ts">
  const load = () => import('./MenuBody.svelte');
</script>

<script lang="ts">
  // A menu of places to go and things to do, by keyboard and by pointer. Until it is first opened it is a button.
  import { ChevronDown } from '@lucide/svelte';
  import type { Snippet } from 'svelte';
  import { later } from './later.svelte';
  import type { MenuGroup } from './menu';

  type Props = { label: string; groups: MenuGroup[]; trigger: Snippet; narrow?: boolean };
  let { label, groups, trigger, narrow = false }: Props = $props();

  const body = later(load);
  let open = $state(false);

  async function first(): Promise<void> {
    if (await body.fetch()) open = true;
  }
</script>

{#if body.part}
  <body.part {label} {groups} {trigger} {narrow} bind:open />
{:else}
  <button
    type="button"
    class="btn max-w-full min-w-0 btn-ghost btn-sm"
    aria-label={label}
    aria-haspopup="menu"
    aria-expanded="false"
    onclick={first}
  >
    {@render trigger()}
    {#if !narrow}<ChevronDown size={16} aria-hidden="true" />{/if}
  </button>
{/if}
