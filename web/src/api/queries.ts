// Reads of the interface, kept and shared between pages. What is gone is not asked for again; what
// does not answer is asked again until it does.
import { QueryClient } from '@tanstack/svelte-query';
import { Unanswered } from './ask';

export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 2000,
      networkMode: 'always',
      refetchOnWindowFocus: true,
      refetchOnReconnect: true,
      retry: (_count, error) => error instanceof Unanswered && error.answer.kind === 'away',
      retryDelay: (count) => Math.min(500 * 2 ** count, 4000),
    },
  },
});
