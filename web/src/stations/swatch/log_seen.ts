// Enters what was seen on a test hole. The figure is read by the server first, so that nothing wrong goes into the history.
import { uuid } from '../../api/browser_store';
import type { Closure } from '../../api/client';
import { readLength } from '../../closure/reading';
import type { ClosureWork } from '../../closure/work.svelte';
import { photos } from '../../outbox/photos';
import type { Seen } from './seen.svelte';

/** A second press on its way is the same press. @returns what is wrong with what was typed, or nothing once it is entered */
export function logSeen(
  work: ClosureWork,
  closure: Closure,
  seen: Seen,
  again: { id: string } | undefined,
): Promise<string> {
  seen.logging ??= logOnce(work, closure, seen, again).finally(() => (seen.logging = undefined));
  return seen.logging;
}

async function logOnce(
  work: ClosureWork,
  closure: Closure,
  seen: Seen,
  again: { id: string } | undefined,
): Promise<string> {
  const { swatch, button } = closure.sheet;
  if (!seen.said)
    return button.opens
      ? `Say what you saw: how the ${button.noun} went through, at least.`
      : 'Say what you saw: how long it came out, at least.';
  const measured = seen.form.measured.trim();
  const fault = measured ? await readLength(measured) : '';
  if (fault) return fault;
  const entry = seen.entry(
    swatch.looks.map((look) => look.key),
    swatch.with,
  );
  const second = again ? { again: again.id } : {};
  const id = uuid();
  // First, so that the one is never kept without the other.
  if (seen.picture) await photos.add({ entry: id, slug: work.slug, file: seen.picture });
  work.enter({ id, kind: 'swatch', machine: closure.machine.id, ...entry, ...second }, 'a test hole');
  seen.clear();
  return '';
}
