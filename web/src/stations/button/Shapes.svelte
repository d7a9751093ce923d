<script lang="ts">
  // What goes through, as a gallery of sections: the usual shapes first, the rest folded away.
  import { workroom } from '../../api/workroom.svelte';
  import type { ClosureWork } from '../../closure/work.svelte';
  import Fold from '../../ui/Fold.svelte';

  let { work }: { work: ClosureWork } = $props();

  const id = $props.id();
  const PATH = 'button.shape';
  const FIRST = ['rounded', 'flat', 'rimmed', 'domed', 'half_ball', 'ball', 'square', 'bar'];
  /** A section each, on a sheet of 80 by 40, the cloth side below. */
  const SECTIONS: Record<string, string> = {
    rounded: 'M18 14H62A6 6 0 0 1 62 26H18A6 6 0 0 1 18 14Z',
    flat: 'M12 14H68V26H12Z',
    rimmed: 'M12 12H20Q22 17 28 17H52Q58 17 60 12H68V26Q68 28 64 28H16Q12 28 12 26Z',
    domed: 'M12 28Q40 2 68 28Z',
    half_ball: 'M20 32A20 20 0 0 1 60 32Z',
    ball: 'M40 4A16 16 0 1 1 39.9 4Z',
    square: 'M24 6H56V34H24Z',
    polygon: 'M40 4L58 14V28L40 36L22 28V14Z',
    irregular: 'M18 16Q30 4 46 8Q66 10 62 24Q56 36 36 34Q14 32 18 16Z',
    bar: 'M12 20Q14 12 26 12H54Q66 12 68 20Q66 28 54 28H26Q14 28 12 20Z',
    cord: 'M4 14Q20 8 36 14T72 14V24Q56 30 40 24T8 24Z',
    ribbon: 'M6 10L30 16L54 10L76 16V28L54 22L30 28L6 22Z',
    hook: 'M16 8H40Q62 8 62 20T40 32H34V26H40Q54 26 54 20T40 14H16Z',
    ring: 'M40 4A16 16 0 1 1 39.9 4ZM40 10A10 10 0 1 0 40.1 10Z',
    bar_tack: 'M14 14H66V26H14Z',
  };
  let shapes = $derived(workroom.catalogue?.shapes ?? []);
  let chosen = $derived(work.text(PATH));
  let first = $derived(shapes.filter((shape) => FIRST.includes(shape.key)));
  let rest = $derived(shapes.filter((shape) => !FIRST.includes(shape.key)));

  function pick(key: string): void {
    work.type(PATH, key);
    work.saver.soon(0);
  }
</script>

{#snippet gallery(list: typeof shapes)}
  <div class="grid grid-cols-[repeat(auto-fill,minmax(7.4rem,1fr))] gap-2">
    {#each list as shape (shape.key)}
      <label
        class={[
          'flex cursor-pointer flex-col items-center rounded border-2 bg-base-100 px-1 pt-1.5 pb-1 text-center text-sm leading-tight has-focus-visible:outline-3 has-focus-visible:outline-offset-1 has-focus-visible:outline-primary',
          shape.key === chosen ? 'border-primary font-semibold' : 'border-base-300 hover:border-primary',
        ]}
      >
        <input
          type="radio"
          class="sr-only"
          name="{id}-shape"
          value={shape.key}
          checked={shape.key === chosen}
          onchange={() => pick(shape.key)}
        />
        <svg viewBox="0 0 80 40" class="h-9 w-20" aria-hidden="true">
          <path
            d={SECTIONS[shape.key] ?? SECTIONS['flat']}
            fill="var(--shell)"
            fill-rule="evenodd"
            stroke="var(--color-base-content)"
            stroke-width="1.6"
            stroke-linejoin="round"
          />
        </svg>
        {shape.name}
      </label>
    {/each}
  </div>
{/snippet}

<fieldset data-path={PATH}>
  <legend class="sr-only">{workroom.heading(PATH)}</legend>
  {@render gallery(first)}
  {#if rest.some((shape) => shape.key === chosen)}
    <div class="mt-2">{@render gallery(rest)}</div>
  {:else}
    <Fold name="button-shapes" title="A cord, ribbon, strap, hook or bar tack instead"
      >{@render gallery(rest)}</Fold
    >
  {/if}
</fieldset>
