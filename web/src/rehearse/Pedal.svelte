<script lang="ts">
  // The pedal: held by pointer or touch, by Space, or by a pedal that sends keys. Its right-hand part presses it hard.
  import type { Practice } from './practice.svelte';

  let { practice, hinted }: { practice: Practice; hinted: boolean } = $props();

  const KEYS = [' ', 'PageDown'];
  let down = $derived(practice.pressed);

  const taken = (event: KeyboardEvent): boolean => {
    const at = event.target instanceof HTMLElement ? event.target : document.body;
    if (!KEYS.includes(event.key) || event.altKey || event.ctrlKey || event.metaKey) return false;
    if (at.closest('input, select, textarea, [role=dialog], summary')) return false;
    return !(event.key === ' ' && at.closest('button, a') && !at.closest('[data-pedal]'));
  };
  function keyDown(event: KeyboardEvent): void {
    if (!taken(event)) return;
    event.preventDefault();
    if (!event.repeat) practice.press(event.shiftKey);
  }
  function keyUp(event: KeyboardEvent): void {
    if (!KEYS.includes(event.key)) return;
    if (practice.pressed) event.preventDefault();
    practice.letGo();
  }
  function pointerDown(event: PointerEvent, hard: boolean): void {
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    practice.press(hard);
  }
</script>

<svelte:window onkeydown={keyDown} onkeyup={keyUp} onblur={() => practice.letGo()} />

<div class="flex touch-none gap-1 select-none" data-pedal>
  {#each [false, true] as hard (hard)}
    <button
      class={[
        'min-h-16 cursor-pointer rounded border-2 px-4 text-lg font-semibold lg:min-h-18',
        hard ? 'shrink-0 text-base' : 'flex-1',
        down ? 'border-primary bg-primary text-primary-content' : 'border-base-300 bg-base-200',
        hinted && !hard && !down && 'border-dashed border-primary',
      ]}
      aria-pressed={down}
      onpointerdown={(event) => pointerDown(event, hard)}
      onpointerup={() => practice.letGo()}
      onpointercancel={() => practice.letGo()}
      oncontextmenu={(event) => event.preventDefault()}
    >
      {#if hard}Press hard{:else}{down ? 'Sewing' : 'Hold the pedal'}
        <span class="font-normal max-sm:sr-only">(Space)</span>{/if}
    </button>
  {/each}
</div>
