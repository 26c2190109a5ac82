import { QueryClient, useMutation, useQueryClient, type QueryKey } from '@tanstack/react-query';
import { Problem } from './client';

/** A server that computes answers again soon: it is asked for about a minute. One that is not there, three times. */
const AGAIN = { busy: 15, gone: 3 };
const LONGEST_WAIT_MS = 5000;

/** Whether to ask once more, after so many failures. */
export const again = (failures: number, error: Error) =>
  error instanceof Problem &&
  (error.status === 0
    ? failures < AGAIN.gone
    : [429, 503].includes(error.status) && failures < AGAIN.busy);

export const queryClient = new QueryClient({
  defaultOptions: {
    // The server is at home: whether there is any other network says nothing about it.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      retry: again,
      retryDelay: (failures) => Math.min(1000 * 2 ** failures, LONGEST_WAIT_MS),
      staleTime: 10_000,
    },
  },
});

/** What follows one change: called whatever became of the screen that asked for it. */
interface Then<Result> {
  onSuccess?: (result: Result) => void;
  onError?: (problem: Problem) => void;
}

/**
 * A change at the server, after which what it touches is read anew. What follows it goes by its promise: the library calls
 * nobody back whose part is gone by then, and a row that is deleted is.
 */
export function useChange<Body, Result>(
  change: (body: Body) => Promise<Result>,
  touches: readonly QueryKey[],
  {
    waits = true,
  }: {
    /** Whether it counts as done only once what it touches was read anew. */ waits?: boolean;
  } = {},
) {
  const client = useQueryClient();
  const mutation = useMutation<Result, Problem, Body>({
    mutationFn: change,
    onSuccess: () => {
      const read = Promise.all(touches.map((queryKey) => client.invalidateQueries({ queryKey })));
      return waits ? read : undefined;
    },
  });
  const { mutateAsync } = mutation;
  const mutate = (body: Body, then: Then<Result> = {}) =>
    void mutateAsync(body).then(then.onSuccess, then.onError ?? (() => undefined));
  return { ...mutation, mutate };
}

/** Whoever comes in, sees everything anew: every key begins with nothing. */
export const EVERYTHING: readonly QueryKey[] = [[]];
