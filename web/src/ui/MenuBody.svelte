<script lang="ts">
  // What a menu is made of: fetched when it is first opened.
  import { ChevronDown } from '@lucide/svelte';
  import { DropdownMenu } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import type { MenuGroup } from './menu';

  type Props = { label: string; groups: MenuGroup[]; trigger: Snippet; narrow?: boolean; open: boolean };
  let { label, groups, trigger, narrow = false, open = $bindable() }: Props = $props();
</script>

<DropdownMenu.Root bind:open>
  <DropdownMenu.Trigger class="btn max-w-full min-w-0 btn-ghost btn-sm" aria-label={label}>
    {@render trigger()}
    {#if !narrow}<ChevronDown size={16} aria-hidden="true" />{/if}
  </DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      align={narrow ? 'end' : 'start'}
      sideOffset={4}
      class="z-30 max-h-[70vh] {narrow
        ? 'w-48'
        : 'w-72'} overflow-y-auto rounded border border-base-300 bg-base-100 p-2 text-base-content shadow-lg outline-none"
    >
      {#each groups as group, index (index)}
        <DropdownMenu.Group>
          {#if group.title}
            <DropdownMenu.GroupHeading class="mt-1 px-2 text-sm text-secondary"
              >{group.title}</DropdownMenu.GroupHeading
            >
          {/if}
          {#each group.items as item (item.key)}
            <DropdownMenu.Item
              class={[
                'block cursor-pointer truncate rounded px-2 py-1.5 data-highlighted:bg-base-200',
                item.here && 'font-semibold',
              ]}
              aria-current={item.here ? 'true' : undefined}
              onSelect={item.pick}>{item.name}</DropdownMenu.Item
            >
          {/each}
        </DropdownMenu.Group>
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
