<script lang="ts">
  // What it is for, in three pictures: measure, sew a test, sew the row.
  import ButtonFace from '../../drawn/ButtonFace.svelte';
  import Cloth from '../../drawn/Cloth.svelte';
  import Garment from '../../drawn/Garment.svelte';
  import Measure from '../../drawn/Measure.svelte';
  import type { HoleFigures } from '../../drawn/hole';
  import SewnHole from '../../drawn/SewnHole.svelte';

  const BUTTON = {
    largest: { mm: 18 },
    face: null,
    hole: 2,
    holes: [
      [-2, -2],
      [2, -2],
      [2, 2],
      [-2, 2],
    ],
  };
  const HOLE: HoleFigures = {
    length: 22,
    across: 5,
    space: 0.7,
    stitch: 0.45,
    near: { finish: 'tack', long: 1.6 },
    far: { finish: 'tack', long: 1.6 },
    eye: 0,
  };
  const SHIRT = {
    use: 'shirt',
    place: 'front',
    orientation: 'vertical',
    places: [40, 130, 220, 310, 400, 490, 580],
    length: 620,
    sewn: [false, false, false, true, true, true, true],
  };
  const STEPS = [
    { key: 'measure', says: 'Measure the button. You get the length and the places.' },
    { key: 'test', says: 'Sew a test. You see what to change.' },
    { key: 'sew', says: 'Sew the row, step by step, at your own machine.' },
  ];
</script>

<ol class="mt-4 grid gap-4 sm:grid-cols-3">
  {#each STEPS as step, index (step.key)}
    <li class="overflow-hidden rounded-lg border border-base-300">
      <svg viewBox="-17 -12 34 24" class="block w-full" aria-hidden="true">
        <Cloth x={-17} y={-12} width={34} height={24} />
        {#if step.key === 'measure'}
          <g transform="translate(0 -2)"><ButtonFace button={BUTTON} /></g>
          <Measure from={-9} to={9} y={8.4} size={1.9} text="" />
        {:else if step.key === 'test'}
          <SewnHole hole={HOLE} />
        {:else}
          <svg x="-12" y="-11.5" width="24" height="23" viewBox="0 0 200 220">
            <Garment part={SHIRT} name="shirt" size="h-full" />
          </svg>
        {/if}
      </svg>
      <p class="p-3 text-lg"><strong>{index + 1}</strong> {step.says}</p>
    </li>
  {/each}
</ol>
