// Parts that are fetched when they are first needed: what nobody opens is not sent.
import type { Component } from 'svelte';

/** All that were named so far: fetched in good time, they open without a connection too. */
const named = new Set<() => Promise<unknown>>();

/** Fetches everything that could be opened here. */
export async function fetchParts(): Promise<void> {
  await Promise.allSettled([...named].map((fetch) => fetch()));
}

/**
 * @param load imports the component
 * @returns the component once it is there, and how to fetch it: false while nobody answers
 */
export function later<Props extends Record<string, unknown>>(
  load: () => Promise<{ default: Component<Props, object, 'open' | ''> }>,
) {
  named.add(load);
  let part = $state.raw<Component<Props, object, 'open' | ''>>();
  return {
    get part() {
      return part;
    },
    async fetch(): Promise<boolean> {
      try {
        part ??= (await load()).default;
        return true;
      } catch {
        return false;
      }
    },
  };
}
