import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, bodyOf } from './client';
import { keys } from './keys';
import type { EffectCard } from './types';

const KEPT_MS = 60_000;
const OVERTAKEN_MS = 10_000;

/** A card for each change of a tank. */
export const useEffects = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('effects'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/effects', { params: { path: { tankId } } })),
    staleTime: KEPT_MS,
  });

/** Times when nobody was home. */
export const useAbsences = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('absences'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/effects/absences', { params: { path: { tankId } } })),
    staleTime: KEPT_MS,
  });

/** Local days, both ends of each included. */
export interface TwoWindows {
  from: string;
  until: string;
  after: string;
  end: string;
}

/** Any days beside any later ones. */
export const useBetween = (tankId: string, windows: TwoWindows | undefined) =>
  useQuery({
    queryKey: keys.tank(tankId).log('between', windows),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/effects/between', {
          params: {
            path: { tankId },
            query: windows ?? { from: '', until: '', after: '', end: '' },
          },
        }),
      ),
    enabled: windows !== undefined,
    staleTime: KEPT_MS,
  });

/**
 * Has a card made that is not yet, and the list read anew with it.
 *
 * @param listedAt when the list that lacks it was read
 */
export function useMakeCard(tankId: string, card: EffectCard | undefined, listedAt: number) {
  const client = useQueryClient();
  const made = useQuery({
    queryKey: keys.tank(tankId).log('effect', card?.at),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/effects/{at}', {
          params: { path: { tankId, at: card?.at ?? '' } },
        }),
      ),
    enabled: card !== undefined,
    staleTime: 0,
    gcTime: 0,
    // A fit or a reading that landed meanwhile asks for another card than was made.
    refetchInterval: ({ state }) =>
      state.data && listedAt > state.dataUpdatedAt ? OVERTAKEN_MS : false,
  });
  // Made anew after a change of its log it has another time, and may say the same.
  const at = made.data?.missing === false && made.dataUpdatedAt;
  useEffect(() => {
    if (at) void client.invalidateQueries({ queryKey: keys.tank(tankId).log('effects') });
  }, [client, at, tankId]);
  return made;
}
