import { useQueries, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { api, bodyOf } from './client';
import { keys } from './keys';
import type { Bench, Forecast } from './types';

/** As many as the server takes at once. */
const AT_ONCE = 5;

/**
 * What each measure would gain on this tank, set as it stands at first: one lot after the other, so that a slider never
 * waits, and kept until the model is fitted anew.
 */
export function useGains(tankId: string, bench: Bench): ReadonlyMap<string, Forecast> {
  const client = useQueryClient();
  const lots = useMemo(() => {
    const kinds = bench.measures.filter((m) => !m.fault).map((m) => m.kind);
    return Array.from({ length: Math.ceil(kinds.length / AT_ONCE) }, (_, i) =>
      kinds.slice(i * AT_ONCE, (i + 1) * AT_ONCE),
    );
  }, [bench.measures]);
  const key = (lot: readonly string[]) => keys.tank(tankId).log('gains', bench.tanks, lot);
  const combine = useCallback(
    (found: readonly { data?: Forecast[] }[]): ReadonlyMap<string, Forecast> =>
      new Map(
        lots.flatMap((lot, i) =>
          lot.flatMap((kind, j): [string, Forecast][] => {
            const forecast = found[i]?.data?.[j];
            return forecast ? [[kind, forecast]] : [];
          }),
        ),
      ),
    [lots],
  );
  return useQueries({
    combine,
    queries: lots.map((lot, i) => ({
      queryKey: key(lot),
      queryFn: () =>
        bodyOf(
          api.POST('/api/v1/tanks/{tankId}/bench/forecast', {
            params: { path: { tankId } },
            body: {
              tanks: bench.tanks,
              variants: lot.map((kind) => ({ measures: [{ kind }] })),
              days: 1,
            },
          }),
        ),
      // One that failed holds back none of the others.
      enabled:
        i === 0 ||
        ['success', 'error'].includes(client.getQueryState(key(lots[i - 1] ?? []))?.status ?? ''),
      staleTime: Infinity,
    })),
  });
}
