// A length as it was typed is read by the server before anything is entered, so that nothing wrong goes
// into the log.
import { ask, faultsOf, words } from '../api/ask';
import { client } from '../api/client';
import { workroom } from '../api/workroom.svelte';

/** @returns what is the matter with it, or nothing; without a server it is read later */
export async function readLength(text: string): Promise<string> {
  const params = { path: { slug: workroom.slug } };
  const answer = await ask(
    client.POST('/api/workrooms/{slug}/readings', { params, body: { readings: [text] } }),
  );
  return answer.kind === 'refused' ? (faultsOf(answer)['readings.1'] ?? words(answer)) : '';
}
