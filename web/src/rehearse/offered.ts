// What can be practised for one closure, asked anew whenever a page of it opens.
import { createQuery } from '@tanstack/svelte-query';
import { read } from '../api/ask';
import { client } from '../api/client';

export function offeredFor(whose: () => { slug: string; id: number }) {
  return createQuery(() => {
    const { slug, id } = whose();
    return {
      queryKey: ['rehearsal', slug, id],
      queryFn: () =>
        read(client.GET('/api/workrooms/{slug}/closures/{id}/rehearsal', { params: { path: { slug, id } } })),
      enabled: slug !== '',
      refetchOnMount: 'always' as const,
    };
  });
}
