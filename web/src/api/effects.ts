import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, bodyOf } from './client';
import { keys } from './keys';
import type { EffectCard } from './types';

const KEPT_MS = 60_000;

/** A card for each change of a tank. */
export const useEffects = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('effects'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/effects', { params: { path: { tankId } } })),
    staleTime: KEPT_MS,
  });

/** Has a card made that is not yet, and the list read anew with it. */
export function useMakeCard(tankId: string, card: EffectCard | undefined) {
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
  });
  // Made anew after a change of its log it has another time, and may say the same.
  const at = made.data?.missing === false && made.dataUpdatedAt;
  useEffect(() => {
    if (at) void client.invalidateQueries({ queryKey: keys.tank(tankId).log('effects') });
  }, [client, at, tankId]);
  return made;
}
