import { QueryClient, useMutation, useQueryClient, type QueryKey } from '@tanstack/react-query';
import { Problem } from './client';

export const queryClient = new QueryClient({
  defaultOptions: {
    // The server is at home: whether there is any other network says nothing about it.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      retry: (count, error) =>
        count < 3 && error instanceof Problem && [0, 429, 503].includes(error.status),
      staleTime: 10_000,
    },
  },
});

/** A change at the server, after which what it touches is read anew. */
export function useChange<Body, Result>(
  change: (body: Body) => Promise<Result>,
  touches: readonly QueryKey[],
) {
  const client = useQueryClient();
  return useMutation<Result, Problem, Body>({
    mutationFn: change,
    onSuccess: () => Promise.all(touches.map((queryKey) => client.invalidateQueries({ queryKey }))),
  });
}

/** Whoever comes in, sees everything anew: every key begins with nothing. */
export const EVERYTHING: readonly QueryKey[] = [[]];
