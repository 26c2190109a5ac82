import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { Found, NewChore } from './types';

export const useUpkeep = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('upkeep'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/upkeep', { params: { path: { tankId } } })),
  });

export const useAddChore = (tankId: string) =>
  useChange(
    (body: NewChore) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/upkeep', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

export const useEditChore = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; name: string; days?: number }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/upkeep/{id}', { params: { path: { tankId, id } }, body }),
      ),
    logged(tankId),
  );

export const useTick = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; at: string; found?: Found; note: string }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/upkeep/{id}/done', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useUntick = (tankId: string) =>
  useChange(
    ({ id, doneId }: { id: string; doneId: string }) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/upkeep/{id}/done/{doneId}', {
          params: { path: { tankId, id, doneId } },
        }),
      ),
    logged(tankId),
  );

/** Not before a day; without one that is taken back. */
export const usePutOff = (tankId: string) =>
  useChange(
    ({ id, until }: { id: string; until?: string }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/upkeep/{id}/later', {
          params: { path: { tankId, id } },
          body: { until },
        }),
      ),
    logged(tankId),
  );

export const useEndChore = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/upkeep/{id}/end', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );

export const useTakeUpAgain = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/upkeep/{id}/end', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );
