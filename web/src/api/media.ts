import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { FillEnd, NewFill } from './types';

export const useMedia = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('media'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/media', { params: { path: { tankId } } })),
  });

export const useFillMedia = (tankId: string) =>
  useChange(
    (body: NewFill) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/media', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

export const useReadColour = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; at: string; changedShare: number }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/media/{id}/colours', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useEndFill = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; at: string; by: FillEnd }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/media/{id}/end', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useReopenFill = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/media/{id}/end', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );

export const useDeleteFill = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(api.DELETE('/api/v1/tanks/{tankId}/media/{id}', { params: { path: { tankId, id } } })),
    logged(tankId),
  );
