<script lang="ts">
  // What the workroom is called; its address stays when that changes.
  import { refusal } from '../../api/ask';
  import { queries } from '../../api/queries';
  import { workroom } from '../../api/workroom.svelte';
  import Rename from '../../ui/Rename.svelte';

  async function save(name: string): Promise<string> {
    const answer = await workroom.change({ name });
    const { faults, failed } = refusal(answer);
    if (answer.kind === 'data') await queries.invalidateQueries({ queryKey: ['workrooms'] });
    return faults['workroom.name'] ?? failed;
  }
</script>

<Rename
  name={workroom.data?.name ?? 'The workroom'}
  label="Name of the workroom"
  disabled={!workroom.data || !workroom.may('plan')}
  {save}
/>
{#if workroom.data?.sample}
  <p class="mt-1 text-secondary">An example to try things on. Nothing here reaches your own workroom.</p>
{/if}
