// Signing in and out, from every page that does it: what was read before is forgotten, and who it is now is known.
import { ask, type Answer } from './ask';
import { client, type Account } from './client';
import { queries } from './queries';
import { forgetSeen } from './seen';
import { who } from './who.svelte';

async function forget(): Promise<void> {
  await forgetSeen();
  queries.clear();
}

/** Asks who is signed in now. */
export async function whoIsIt(): Promise<Account | undefined> {
  // Also where nobody answers just now.
  who.came();
  const answer = await ask(client.GET('/api/account'));
  if (answer.kind !== 'data') return undefined;
  const { kind, account } = answer.data;
  if (kind !== 'nobody') await who.is(account, forget);
  await queries.invalidateQueries();
  return answer.data;
}

/** Signs out, here or everywhere. */
export async function signOut(everywhere: boolean): Promise<Answer<unknown>> {
  const body = everywhere ? { global_logout: true } : {};
  const answer = await ask(client.POST('/api/account/logout', { body }));
  if (answer.kind === 'data') await forget();
  return answer;
}
