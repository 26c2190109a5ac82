import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys } from './keys';
import { useChange } from './query';
import type { Bench, GasBalanceHour, PutMeasure, Variant } from './types';

/** @param allowed whether whoever is signed in may ask: a helper may not */
export const useBench = (tankId: string, allowed = true) =>
  useQuery({
    enabled: allowed,
    queryKey: keys.tank(tankId).log('bench'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/bench', { params: { path: { tankId } } })),
    staleTime: 300_000,
  });

export const useForecast = (
  tankId: string,
  tanks: Bench['tanks'] | undefined,
  variants: Variant[],
  days: number,
) =>
  useQuery({
    queryKey: keys.tank(tankId).log('forecast', tanks, variants, days),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/bench/forecast', {
          params: { path: { tankId } },
          body: { tanks: tanks ?? [], variants, days },
        }),
      ),
    enabled: tanks !== undefined,
    placeholderData: (previous) => previous,
    staleTime: 300_000,
  });

export const useKeptSets = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).sets,
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/bench/sets', { params: { path: { tankId } } })),
  });

export const useKeepSet = (tankId: string) =>
  useChange(
    (body: { name: string; measures: PutMeasure[] }) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/bench/sets', { params: { path: { tankId } }, body })),
    [keys.tank(tankId).sets],
  );

export const useDropSet = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/bench/sets/{id}', { params: { path: { tankId, id } } }),
      ),
    [keys.tank(tankId).sets],
  );

export const useGasBalance = (tankId: string, hour: GasBalanceHour) =>
  useQuery({
    queryKey: keys.tank(tankId).log('gasBalance', hour),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/gas-balance', {
          params: { path: { tankId }, query: { hour } },
        }),
      ),
    placeholderData: (previous) => previous,
    staleTime: 60_000,
  });

/** @param day at whose end; now without one */
export const useTwin = (tankId: string, day: string | undefined) =>
  useQuery({
    queryKey: keys.tank(tankId).log('twin', day),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/twin', { params: { path: { tankId }, query: { day } } }),
      ),
    staleTime: 60_000,
  });

/** Each day as it was forecast at its beginning, and as it came. */
export const useForecastScore = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('forecast score'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/forecasts', { params: { path: { tankId } } })),
    staleTime: 300_000,
  });

/** @param turn whether its turn has come, where many are asked for */
export const useOxygenMargin = (tankId: string, turn = true) =>
  useQuery({
    enabled: turn,
    queryKey: keys.tank(tankId).log('oxygenMargin'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/oxygen-margin', { params: { path: { tankId } } })),
    staleTime: 60_000,
  });
