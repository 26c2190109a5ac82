import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { MomentName, NewReadings } from './types';

export const useGlance = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('glance'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/glance', { params: { path: { tankId } } })),
    refetchInterval: 60_000,
  });

/** What people entered, or each reading of the sensors, too. */
export const useReadings = (tankId: string, after: string | undefined, each: boolean) =>
  useQuery({
    queryKey: keys.tank(tankId).log('page', after, each),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/readings', {
          params: { path: { tankId }, query: { limit: 25, byHand: !each, after } },
        }),
      ),
  });

export const useSensors = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('sensors'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/readings/sensors', { params: { path: { tankId } } })),
  });

export const useSaveReadings = (tankId: string) =>
  useChange(
    (body: NewReadings) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/readings', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

export const useCorrectReading = (tankId: string) =>
  useChange(
    ({ id, body }: { id: string; body: NewReadings }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/readings/{id}', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useDeleteReadings = (tankId: string) =>
  useChange(
    (ids: string[]) =>
      Promise.all(
        ids.map((id) =>
          bodyOf(
            api.DELETE('/api/v1/tanks/{tankId}/readings/{id}', {
              params: { path: { tankId, id } },
            }),
          ),
        ),
      ),
    logged(tankId),
  );

export const useStaircase = (
  tankId: string,
  moment: MomentName | undefined,
  at: string | undefined,
) =>
  useQuery({
    queryKey: keys.tank(tankId).log('staircase', moment, at),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/staircase', {
          params: { path: { tankId }, query: { moment, at } },
        }),
      ),
    placeholderData: (previous) => previous,
  });

export const useDay = (tankId: string, day: string | undefined) =>
  useQuery({
    queryKey: keys.tank(tankId).log('day', day),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/day', { params: { path: { tankId }, query: { day } } }),
      ),
    placeholderData: (previous) => previous,
  });

export const useHistory = (tankId: string, window: { from?: string; to?: string; width: number }) =>
  useQuery({
    queryKey: keys.tank(tankId).log('history', window),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/history', { params: { path: { tankId }, query: window } }),
      ),
    placeholderData: (previous) => previous,
    enabled: window.width > 0,
  });

export const useLogSpan = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('span'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/history/span', { params: { path: { tankId } } })),
  });
