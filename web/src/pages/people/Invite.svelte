<script lang="ts">
  // Inviting somebody: an address to hand on, which is said once.
  import { ask, words } from '../../api/ask';
  import { client, type Role } from '../../api/client';
  import { workroom } from '../../api/workroom.svelte';
  import Handed from '../../ui/Handed.svelte';
  import { ROLES } from './roles';

  let { invited }: { invited: () => void } = $props();
  let name = $state('');
  let role = $state<Role>('sews');
  let failed = $state('');
  let handed = $state.raw<{ name: string; address: string }>();

  async function invite(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const params = { path: { slug: workroom.slug } };
    const answer = await ask(
      client.POST('/api/workrooms/{slug}/invitations', { params, body: { role, name } }),
    );
    failed = words(answer);
    if (answer.kind !== 'data') return;
    handed = { name, address: answer.data.address };
    name = '';
    invited();
  }
</script>

<h2 class="mt-8 text-xl font-semibold">Invite somebody</h2>
{#if failed}<p role="alert" class="font-semibold text-error">{failed}</p>{/if}
<form class="mt-2 flex flex-wrap items-end gap-3" onsubmit={invite}>
  <label class="flex flex-col gap-0.5 text-sm text-secondary"
    >Their name
    <input class="input w-56 bg-base-100 text-lg text-base-content" maxlength="80" bind:value={name} />
  </label>
  <label class="flex flex-col gap-0.5 text-sm text-secondary"
    >What they do here
    <select class="select w-56 bg-base-100 text-base text-base-content" bind:value={role}>
      {#each Object.entries(ROLES) as [key, one] (key)}<option value={key}>{one.name}</option>{/each}
    </select>
  </label>
  <button class="btn btn-primary">Make an invitation</button>
</form>
<p class="mt-1 text-sm text-secondary">{ROLES[role].says}</p>
{#if handed}
  <Handed
    title={handed.name ? `For ${handed.name}: works once, within a week` : 'Works once, within a week'}
    address={handed.address}
  />
{/if}
