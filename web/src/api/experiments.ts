import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { ChosenEnd, Experiment } from './types';

const LOOKED_AT_EVERY_MS = 30_000;

/** Planned or going on; whoever has any screen open learns within half a minute that it is over. */
export const useCurrentExperiment = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('experiment'),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/experiments/current', { params: { path: { tankId } } }),
      ),
    refetchInterval: LOOKED_AT_EVERY_MS,
  });

export const useExperiments = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('experiments'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/experiments', { params: { path: { tankId } } })),
    staleTime: 60_000,
  });

export const usePlanExperiment = (tankId: string) =>
  useChange(
    (experiment: Experiment['experiment']) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/experiments', {
          params: { path: { tankId } },
          body: { experiment },
        }),
      ),
    logged(tankId),
  );

export const useBeginExperiment = (tankId: string) =>
  useChange(
    ({ id, at }: { id: string; at?: string }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/experiments/{id}/begin', {
          params: { path: { tankId, id } },
          body: { at },
        }),
      ),
    logged(tankId),
  );

export const useEndExperiment = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; at?: string; ended: ChosenEnd }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/experiments/{id}/end', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useCallOffExperiment = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/experiments/{id}', {
          params: { path: { tankId, id } },
        }),
      ),
    logged(tankId),
  );
