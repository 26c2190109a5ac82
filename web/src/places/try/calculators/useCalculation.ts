import { useQuery } from '@tanstack/react-query';
import type { Problem } from '../../../api/client';
import { keys } from '../../../api/keys';

/**
 * What comes of what is typed, asked again with every change of it; the last answer stands until the next one is there.
 *
 * @param typed null while something is missing
 */
export const useCalculation = <A>(
  name: string,
  typed: Record<string, unknown> | null,
  ask: () => Promise<A>,
) =>
  useQuery<A, Problem>({
    queryKey: keys.sum(name, typed),
    queryFn: ask,
    enabled: typed !== null,
    placeholderData: (previous) => previous,
    retry: false,
    staleTime: Infinity,
  });
