import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { NewConsumer } from './types';

export const useRunningCost = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('consumers'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/consumers', { params: { path: { tankId } } })),
  });

export const useAddConsumer = (tankId: string) =>
  useChange(
    (body: NewConsumer) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/consumers', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

export const useEditConsumer = (tankId: string) =>
  useChange(
    ({ id, ...body }: NewConsumer & { id: string }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/consumers/{id}', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useDropConsumer = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/consumers/{id}', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );
