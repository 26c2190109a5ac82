import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { NewEvent, PutMeasure, TankEvent } from './types';

/** An event as it would be noted anew. */
export const asNoted = (e: TankEvent): NewEvent => ({
  kind: e.kind,
  at: e.at,
  until: e.until,
  excludesDays: e.excludesDays,
  title: e.title,
  note: e.note,
});

export const useEvent = (tankId: string, id: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('event', id),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/events/{id}', { params: { path: { tankId, id } } })),
  });

export const useAddEvent = (tankId: string) =>
  useChange(
    (body: NewEvent) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/events', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

export const useEditEvent = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; version: number; event: NewEvent }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/events/{id}', { params: { path: { tankId, id } }, body }),
      ),
    logged(tankId),
  );

export const useDeleteEvent = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/events/{id}', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );

/** What was tried and then done, as an event of its own. */
export const useDone = (tankId: string) =>
  useChange(
    (body: { event: NewEvent; measures: PutMeasure[] }) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/done', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

/** What an event did, said or mended later. */
export const useSetMeasures = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; version: number; measures: PutMeasure[] }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/events/{id}/measures', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

/** What was saved is said at once: computing anew what it touches takes long. */
const LATER = { waits: false };

/** Whether an event's days say nothing of the tank; the rest of it stays. */
export const useLeaveOut = (tankId: string) =>
  useChange(
    async ({ id, leave }: { id: string; leave: boolean }) => {
      const path = { tankId, id };
      const event = await bodyOf(
        api.GET('/api/v1/tanks/{tankId}/events/{id}', { params: { path } }),
      );
      return bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/events/{id}', {
          params: { path },
          body: { version: event.version, event: { ...asNoted(event), excludesDays: leave } },
        }),
      );
    },
    logged(tankId),
    LATER,
  );
