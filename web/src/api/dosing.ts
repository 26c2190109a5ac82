import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { ClockedDoses, NewGuard, NewLine, NewLineNote } from './types';

export const useDosing = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('doses'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/dosing', { params: { path: { tankId } } })),
  });

export const useAddLine = (tankId: string) =>
  useChange(
    (body: NewLine) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/dosing', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

export const usePlanLine = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; at: string; mlPerDay: number }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/dosing/{id}/plans', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useTimeLine = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; times?: ClockedDoses }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/dosing/{id}/times', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const usePlaceLine = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; place: string }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/dosing/{id}/place', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

/** What keeps its vessel from emptying at once. */
export const useGuardLine = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string } & NewGuard) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/dosing/{id}/guard', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

/** After an outage: the return runs, and somebody saw that. */
export const useGoOn = (tankId: string) =>
  useChange(
    () => bodyOf(api.POST('/api/v1/tanks/{tankId}/dosing/go-on', { params: { path: { tankId } } })),
    logged(tankId),
  );

/**
 * @param ml to be mixed; a whole vessel without
 * @param assay share of the powder's weight that counts; all of it without
 */
export const useMixingCard = (
  tankId: string,
  id: string,
  ml: number | undefined,
  assay: number | undefined,
) =>
  useQuery({
    queryKey: keys.tank(tankId).log('card', id, ml, assay),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/dosing/{id}/card', {
          params: { path: { tankId, id }, query: { ml, assay } },
        }),
      ),
    placeholderData: (previous) => previous,
  });

export const useNoteLine = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string } & NewLineNote) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/dosing/{id}/notes', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useForgetLineNote = (tankId: string) =>
  useChange(
    ({ id, noteId }: { id: string; noteId: string }) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/dosing/{id}/notes/{noteId}', {
          params: { path: { tankId, id, noteId } },
        }),
      ),
    logged(tankId),
  );

export const useEndLine = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/dosing/{id}/end', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );

export const useReopenLine = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/dosing/{id}/end', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );

/** Undo of a deletion. */
export const useRememberLine = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/dosing/{id}/remembered', {
          params: { path: { tankId, id } },
        }),
      ),
    logged(tankId),
  );

export const useDeleteLine = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/dosing/{id}', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );
