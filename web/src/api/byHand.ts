import { useQuery } from '@tanstack/react-query';
import { api, bodyOf, type Problem } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type {
  Amount,
  ChangeSum,
  NewAddition,
  NewTopOff,
  NewWaterChange,
  Parted,
  WaterPutIn,
} from './types';

export const useByHand = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('by-hand'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/by-hand', { params: { path: { tankId } } })),
  });

/** What an addition would do; nothing is asked while there is none. */
export const usePartedAddition = (tankId: string, body: Amount | undefined) =>
  useQuery<Parted, Problem>({
    queryKey: keys.tank(tankId).log('addition', body),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/by-hand/additions/preview', {
          params: { path: { tankId } },
          body: body as Amount,
        }),
      ),
    enabled: body !== undefined,
    placeholderData: (previous) => previous,
    retry: false,
  });

/** What new water would do, likewise. */
export const useChangedWater = (tankId: string, body: WaterPutIn | undefined) =>
  useQuery<ChangeSum, Problem>({
    queryKey: keys.tank(tankId).log('water-change', body),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/by-hand/water-changes/preview', {
          params: { path: { tankId } },
          body: body as WaterPutIn,
        }),
      ),
    enabled: body !== undefined,
    placeholderData: (previous) => previous,
    retry: false,
  });

export const useAddByHand = (tankId: string) =>
  useChange(
    (body: NewAddition) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/by-hand/additions', {
          params: { path: { tankId } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useChangeWater = (tankId: string) =>
  useChange(
    (body: NewWaterChange) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/by-hand/water-changes', {
          params: { path: { tankId } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useTopOff = (tankId: string) =>
  useChange(
    (body: NewTopOff) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/by-hand/top-offs', {
          params: { path: { tankId } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useForgetByHand = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/by-hand/{id}', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );
