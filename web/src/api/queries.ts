// Reads of the interface, kept and shared between pages. What is gone is not asked for again; what does not answer is
// asked again until it does, and until then shown as it was seen last.
import { QueryClient, type QueryPersister } from '@tanstack/svelte-query';
import { Unanswered } from './ask';
import { keepSeen, recallSeen } from './seen';

const away = (error: unknown): boolean => error instanceof Unanswered && error.answer.kind === 'away';

const seen: QueryPersister = async (fetch, context, query) => {
  try {
    const data: unknown = await (fetch as (given: typeof context) => unknown)(context);
    void keepSeen(query.queryHash, data);
    return data as never;
  } catch (error) {
    const kept = away(error) && query.state.data === undefined && (await recallSeen(query.queryHash));
    if (!kept) throw error;
    // Shown at once, and asked for again behind it.
    setTimeout(() => void queries.invalidateQueries({ queryKey: query.queryKey, exact: true }));
    return kept as never;
  }
};

export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 2000,
      networkMode: 'always',
      refetchOnWindowFocus: true,
      refetchOnReconnect: true,
      persister: seen,
      retry: (_count, error) => away(error),
      retryDelay: (count) => Math.min(500 * 2 ** count, 4000),
    },
  },
});
