// What is under way in the workroom somebody is in: asked for once, whoever shows it.
import { createQuery } from '@tanstack/svelte-query';
import { read } from './ask';
import { client } from './client';
import { workroom } from './workroom.svelte';

export function underWay() {
  return createQuery(() => {
    const { slug } = workroom;
    return {
      queryKey: ['under-way', slug],
      queryFn: () => read(client.GET('/api/workrooms/{slug}/under-way', { params: { path: { slug } } })),
      enabled: slug !== '',
    };
  });
}

/** Sessions that go on, with what of each machine is away from its usual: a small answer, for every page. */
export function sessionsOpen() {
  return createQuery(() => {
    const { slug } = workroom;
    return {
      queryKey: ['sessions', slug],
      queryFn: () => read(client.GET('/api/workrooms/{slug}/sessions', { params: { path: { slug } } })),
      enabled: slug !== '',
    };
  });
}
