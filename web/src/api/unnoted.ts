import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys } from './keys';
import { useChange } from './query';
import type { Unnoted } from './types';

const AT_ONCE_MS = 50;

/** Changes that nobody noted: asked for again until every stretch of the log is searched, one with each answer. */
export const useUnnoted = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('unnoted'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/effects/unnoted', { params: { path: { tankId } } })),
    staleTime: Infinity,
    refetchInterval: ({ state }) =>
      !state.error && state.data && state.data.searched < state.data.stretches ? AT_ONCE_MS : false,
  });

/** Those that are neither noted nor said to be nothing. */
export const useOpenUnnoted = (tankId: string): Unnoted[] =>
  (useUnnoted(tankId).data?.changes ?? []).filter((c) => !c.dismissed).map((c) => c.found);

/** Says that one of them is nothing, or that it is something after all. */
export const useDismiss = (tankId: string) =>
  useChange(
    ({ found, nothing }: { found: Unnoted; nothing: boolean }) => {
      const params = { path: { tankId, from: found.from, cause: found.cause } };
      const path = '/api/v1/tanks/{tankId}/effects/unnoted/{from}/{cause}/dismissal';
      return bodyOf(nothing ? api.PUT(path, { params }) : api.DELETE(path, { params }));
    },
    [keys.tank(tankId).log('unnoted')],
  );

/** Stretches in which the room or alkalinity rose or fell. */
export const useDrifts = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('drifts'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/effects/drifts', { params: { path: { tankId } } })),
    staleTime: Infinity,
  });
