// One tab at a time works on what waits of a workroom, of every build: the name of the lock never changes. Where the
// browser has no locks all of them do, which the ids of facts make harmless. Photos have a turn of their own.
export async function inTurn(slug: string, work: () => Promise<void>): Promise<void> {
  if (!('locks' in navigator)) return work();
  await navigator.locks.request(`nimble-eyelet:${slug}`, work);
}
