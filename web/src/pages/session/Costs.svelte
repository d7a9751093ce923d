<script lang="ts">
  // How long things dry, and how long a change of needle, thread or foot takes this person.
  import type { Session, SessionChange } from '../../api/client';

  let { doc, change }: { doc: Session; change: (body: SessionChange) => Promise<boolean> } = $props();

  const whole = (text: string): number | undefined =>
    /^\d{1,4}$/.test(text.trim()) ? Number(text) : undefined;
  let faults = $state<Record<string, string>>({});

  async function drying(text: string): Promise<void> {
    const minutes = whole(text);
    faults = minutes === undefined || minutes > 1440 ? { drying: 'Whole minutes, up to a day: 1440.' } : {};
    if (minutes !== undefined && minutes <= 1440) await change({ drying_minutes: minutes });
  }
  async function cost(part: string, text: string): Promise<void> {
    const seconds = whole(text);
    faults = seconds === undefined || seconds > 1800 ? { [part]: 'Whole seconds, up to 1800.' } : {};
    if (seconds === undefined || seconds > 1800) return;
    const own = doc.costs.filter((one) => one.seconds !== one.usual && one.part !== part);
    const costs = Object.fromEntries(own.map((one) => [one.part, one.seconds]));
    await change({ costs: { ...costs, [part]: seconds } });
  }
</script>

<details class="mt-7">
  <summary class="cursor-pointer font-serif text-xl font-semibold">Your own times</summary>
  <div class="mt-2 grid max-w-3xl gap-x-6 gap-y-3 sm:grid-cols-2">
    <label class="flex flex-col text-secondary"
      >Fray sealant dries, minutes as its label says
      <input
        class={['input bg-base-100 text-base-content', faults['drying'] && 'input-error']}
        inputmode="numeric"
        aria-invalid={faults['drying'] ? 'true' : undefined}
        value={doc.drying_minutes}
        onchange={(event) => drying(event.currentTarget.value)}
      />
      {#if faults['drying']}<span role="alert" class="font-semibold text-error">{faults['drying']}</span>{/if}
    </label>
    {#each doc.costs as one (one.part)}
      <label class="flex flex-col text-secondary"
        >Another {one.name}, seconds{one.seconds === one.usual ? '' : ` (usual: ${one.usual})`}
        <input
          class={['input bg-base-100 text-base-content', faults[one.part] && 'input-error']}
          inputmode="numeric"
          aria-invalid={faults[one.part] ? 'true' : undefined}
          value={one.seconds}
          onchange={(event) => cost(one.part, event.currentTarget.value)}
        />
        {#if faults[one.part]}<span role="alert" class="font-semibold text-error">{faults[one.part]}</span
          >{/if}
      </label>
    {/each}
  </div>
</details>
