<script lang="ts">
  // A sewing machine seen from the chair, drawn by ourselves: whatever hands reach can be touched. The list of its parts
  // beside it says the same in words, so nothing of it is read aloud.
  import type { Attempt } from '../api/client';
  import type { Control } from './controls';

  let {
    state: at,
    controls,
    angle,
    running,
    chosen,
    hinted,
    pick,
    turned,
    turning,
  }: {
    state: Attempt['state'];
    controls: Control[];
    /** Degrees the wheel stands at just now. */ angle: number;
    running: boolean;
    chosen: string;
    hinted: string;
    pick: (key: string) => void;
    /** The wheel is being turned, and has been. */ turning: (degrees: number) => void;
    turned: (degrees: number) => void;
  } = $props();

  const UP = 250;
  const DOWN = 318;
  let height = $derived((1 - Math.cos((angle * Math.PI) / 180)) / 2);
  let tip = $derived(UP + (DOWN - UP) * height);
  let foot = $derived(at.foot_down ? 0 : -26);
  let leverDown = $derived(at.parts['lever'] === 'down');
  let has = $derived((key: string) => controls.some((one) => one.key === key));
  let now = $derived((key: string) => controls.find((one) => one.key === key)?.now ?? '');
  /** A pointer that stands otherwise for every place on a dial. */
  const pointer = (key: string): number => {
    const found = controls.find((one) => one.key === key);
    const index = found?.moves.findIndex((move) => move.here) ?? 0;
    return -120 + (240 * Math.max(index, 0)) / Math.max((found?.moves.length ?? 2) - 1, 1);
  };
  const DIALS = [
    { key: 'selector', x: 512, y: 112, r: 31 },
    { key: 'width', x: 478, y: 196, r: 20 },
    { key: 'length', x: 546, y: 196, r: 20 },
    { key: 'balance', x: 478, y: 250, r: 13 },
    { key: 'tension', x: 122, y: 108, r: 21 },
    { key: 'foot_pressure', x: 96, y: 46, r: 11 },
    { key: 'speed', x: 300, y: 112, r: 13 },
  ];

  let from = 0;
  let turns = 0;
  function hold(event: PointerEvent): void {
    pick('wheel');
    from = event.clientY;
    turns = 0;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function drag(event: PointerEvent): void {
    if (!(event.currentTarget as Element).hasPointerCapture(event.pointerId)) return;
    turns = Math.round(((event.clientY - from) * 1.6) / 5) * 5;
    turning(turns);
  }
  function letGo(): void {
    const done = turns;
    turns = 0;
    if (Math.abs(done) >= 10) turned(done);
  }
</script>

{#snippet halo(key: string, x: number, y: number, width: number, height: number)}
  <rect
    {x}
    {y}
    {width}
    {height}
    rx="9"
    fill="transparent"
    stroke={chosen === key || hinted === key ? 'var(--color-primary)' : 'transparent'}
    stroke-width="2.4"
    stroke-dasharray={hinted === key ? '5 4' : undefined}
  />
{/snippet}

<!-- Whatever can be touched here is a button in the list of parts, too. -->
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
<svg
  viewBox="30 8 640 388"
  class="block max-h-[clamp(13rem,49vh,30rem)] w-full touch-none select-none"
  aria-hidden="true"
>
  <g stroke="var(--color-base-content)" stroke-width="2" stroke-linejoin="round" stroke-linecap="round">
    <!-- What stands on the table. -->
    <path d="M44 392H636" stroke-opacity="0.35" />
    <path
      d="M52 334H604Q616 334 616 346V380Q616 390 606 390H62Q52 390 52 380Z"
      fill="var(--color-base-200)"
    />
    <path
      d="M86 62Q86 52 98 52H584Q600 52 600 68V334H430V190Q430 158 404 158H178V226Q178 236 168 236H96Q86 236 86 226Z"
      fill="var(--color-base-200)"
    />
    <path d="M86 88H600" stroke-opacity="0.18" />

    <!-- Thread from its spool to the needle. -->
    <g fill="var(--cloth)">
      <path d="M278 52V18M262 22H294V28H262ZM262 46H294V52H262Z" />
      <rect x="266" y="27" width="24" height="20" fill="var(--thread)" stroke="var(--thread-edge)" />
    </g>
    {#if at.threading !== 'none'}
      <path
        d={at.threading === 'broken'
          ? 'M266 34C220 26 160 40 122 60V86M122 130V186'
          : `M266 34C220 26 160 40 122 60V${at.threading === 'outside' ? 70 : 86}M${at.threading === 'outside' ? '150 70V' : '122 '}130V${tip - 14}`}
        fill="none"
        stroke="var(--thread)"
        stroke-width="1.8"
      />
    {/if}

    <!-- Hand wheel. -->
    <g
      class="cursor-ns-resize"
      onpointerdown={hold}
      onpointermove={drag}
      onpointerup={letGo}
      onpointercancel={letGo}
    >
      <rect x="604" y="86" width="34" height="124" rx="12" fill="var(--cloth)" />
      {#each [0, 1, 2, 3, 4, 5] as rib (rib)}
        {@const turn = (((angle / 60 + rib) % 6) + 6) % 6}
        {@const y = 148 - Math.cos((turn * Math.PI) / 6) * 56}
        <path d="M606 {y}H636" stroke-opacity="0.5" />
      {/each}
      {@render halo('wheel', 598, 80, 46, 136)}
      <text x="621" y="232" class="label" text-anchor="middle">hand wheel</text>
    </g>

    <!-- Dials. -->
    {#each DIALS.filter((one) => has(one.key)) as one (one.key)}
      <g class="cursor-pointer" onclick={() => pick(one.key)}>
        <circle cx={one.x} cy={one.y} r={one.r} fill="var(--cloth)" />
        <path
          d="M{one.x} {one.y}v{-one.r + 5}"
          transform="rotate({pointer(one.key)} {one.x} {one.y})"
          stroke="var(--color-warning)"
          stroke-width="2.6"
        />
        {@render halo(one.key, one.x - one.r - 8, one.y - one.r - 6, one.r * 2 + 16, one.r * 2 + 26)}
        <text x={one.x} y={one.y + one.r + 15} class="label" text-anchor="middle"
          >{one.r > 12
            ? now(one.key).length > 12
              ? one.key
              : `${one.key === 'selector' ? '' : `${one.key} `}${now(one.key)}`
            : ''}</text
        >
      </g>
    {/each}

    <!-- Reverse key. -->
    {#if has('key')}
      <g class="cursor-pointer" onclick={() => pick('key')}>
        <path d="M520 246H560Q566 246 566 252V266Q566 272 560 272H520Z" fill="var(--cloth)" />
        <path d="M548 254L536 259L548 264" fill="none" />
        {@render halo('key', 512, 238, 62, 52)}
        <text x="542" y="286" class="label" text-anchor="middle">reverse key</text>
      </g>
    {/if}

    <!-- Power. -->
    <g class="cursor-pointer" onclick={() => pick('power')}>
      <rect x="566" y="300" width="26" height="20" rx="4" fill="var(--cloth)" />
      <rect
        x={at.power ? 579 : 568}
        y="302"
        width="11"
        height="16"
        rx="3"
        fill={at.power ? 'var(--color-primary)' : 'var(--color-base-300)'}
        stroke="none"
      />
      {@render halo('power', 548, 294, 62, 34)}
      <text x="556" y="315" class="label" text-anchor="end">{at.power ? 'on' : 'off'}</text>
    </g>

    <!-- Presser foot lever, behind the head. -->
    <g class="cursor-pointer" onclick={() => pick('presser')}>
      <path
        d="M178 206H196L210 {at.foot_down ? 236 : 184}"
        fill="none"
        stroke-width="7"
        stroke="var(--color-base-content)"
      />
      <path
        d="M178 206H196L210 {at.foot_down ? 236 : 184}"
        fill="none"
        stroke-width="3.4"
        stroke="var(--cloth)"
      />
      {@render halo('presser', 180, 170, 46, 78)}
      <text x="230" y={at.foot_down ? 240 : 188} class="label">foot {at.foot_down ? 'down' : 'up'}</text>
    </g>

    <!-- Buttonhole lever. -->
    {#if has('lever')}
      <g class="cursor-pointer" onclick={() => pick('lever')}>
        <path d="M96 236V{leverDown ? 300 : 252}" stroke-width="8" />
        <path d="M96 236V{leverDown ? 300 : 252}" stroke-width="4" stroke="var(--cloth)" />
        {@render halo('lever', 82, 230, 26, 82)}
        <text x="76" y="262" class="label" text-anchor="end">lever</text>
        <text x="76" y="276" class="label" text-anchor="end">{leverDown ? 'down' : 'up'}</text>
      </g>
    {/if}

    <!-- Needle bar, needle, foot. -->
    <path d="M112 236V{268 + foot + 26}" stroke-width="5" />
    <path d="M112 236V{268 + foot + 26}" stroke-width="2" stroke="var(--cloth)" />
    <g class="cursor-pointer" onclick={() => pick('foot')}>
      <path
        d="M100 {300 + foot}H{at.parts['button_in_foot'] ? 172 : 150}V{312 + foot}H96V{304 + foot}Z"
        fill="var(--cloth)"
      />
      {#if at.parts['button_in_foot']}
        <ellipse cx="158" cy={304 + foot} rx="15" ry="4" fill="var(--shell)" />
      {/if}
      {@render halo('foot', 86, 264 + (at.foot_down ? 20 : 0), 30, 30)}
    </g>
    {#if has('frame')}
      <g class="cursor-pointer" onclick={() => pick('frame')}
        >{@render halo('frame', 140, 268 + foot + 26, 40, 44)}</g
      >
    {/if}
    <g class="cursor-pointer" onclick={() => pick('needle')}>
      <path d="M130 236V{tip - 34}" stroke-width="6" />
      <path d="M130 236V{tip - 34}" stroke-width="2.6" stroke="var(--cloth)" />
      {#if at.needle_whole}
        <path d="M130 {tip - 34}V{tip}" stroke-width="2.6" />
      {:else}
        <path d="M130 {tip - 34}v14l4 5" fill="none" stroke="var(--color-warning)" stroke-width="2.6" />
      {/if}
      {@render halo('needle', 118, 238, 22, 58)}
    </g>
    <g class="cursor-pointer" onclick={() => pick('thread')}>
      {@render halo('thread', 254, 10, 48, 48)}
    </g>

    <!-- The plate, the bobbin under it, the feed dogs. -->
    <path d="M84 334H186" stroke-width="4" />
    {#if !at.parts['feed_dogs'] && !at.parts['cover_plate']}
      <path d="M104 332l4-4 4 4 4-4 4 4M142 332l4-4 4 4 4-4 4 4" fill="none" stroke-width="1.6" />
    {/if}
    <g class="cursor-pointer" onclick={() => pick('bobbin')}>
      <circle cx="132" cy="362" r="17" fill="var(--cloth)" />
      <circle
        cx="132"
        cy="362"
        r={at.bobbin ? 11 : 5}
        fill={at.bobbin ? 'var(--thread)' : 'var(--color-base-200)'}
        stroke="var(--thread-edge)"
      />
      {#if at.jammed}
        <path
          d="M116 350C128 378 146 340 150 372C120 384 128 344 144 350"
          fill="none"
          stroke="var(--color-warning)"
        />
      {/if}
      {@render halo('bobbin', 108, 340, 48, 46)}
      <text x="164" y="366" class="label">bobbin</text>
    </g>
    {#if has('feed')}
      <g class="cursor-pointer" onclick={() => pick('feed')}>
        <rect x="300" y="354" width="44" height="14" rx="7" fill="var(--cloth)" />
        <circle
          cx={at.parts['feed_dogs'] || at.parts['cover_plate'] ? 336 : 308}
          cy="361"
          r="7"
          fill="var(--color-base-100)"
        />
        {@render halo('feed', 292, 344, 130, 34)}
        <text x="352" y="366" class="label">feed dogs</text>
      </g>
    {/if}

    <!-- Fabric, under the needle or beside the machine. -->
    <g class="cursor-pointer" onclick={() => pick('fabric')}>
      <path
        d={at.under ? 'M62 326Q120 318 240 326L262 332H58Z' : 'M252 322Q300 310 396 318L412 330H246Z'}
        fill="var(--cloth)"
        stroke="var(--cloth-edge)"
      />
      {@render halo('fabric', at.under ? 190 : 246, 306, at.under ? 72 : 168, 30)}
    </g>
    {#if running}
      <path d="M146 250h10M148 260h14M146 270h10" stroke="var(--color-accent)" />
    {/if}
  </g>
</svg>

<style>
  .label {
    font-size: 12.5px;
    fill: var(--color-base-content);
    stroke: none;
  }

  /* Too small to be read on a phone: the list of parts below says the same. */
  @media (max-width: 40rem) {
    .label {
      display: none;
    }
  }
</style>
