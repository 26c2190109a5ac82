import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys } from './keys';
import { useChange } from './query';
import type { NewSupply, NewSupplyEntry } from './types';

/** What a change of the cupboard touches; what it costs is computed for the tank in view. */
const touched = (homeId: string) => [
  keys.home(homeId).supplies,
  keys.home(homeId).due,
  keys.everyTank,
];

export const useSupplies = (homeId: string) =>
  useQuery({
    queryKey: keys.home(homeId).supplies,
    queryFn: () =>
      bodyOf(api.GET('/api/v1/homes/{homeId}/supplies', { params: { path: { homeId } } })),
  });

export const useAddSupply = (homeId: string) =>
  useChange(
    (body: NewSupply) =>
      bodyOf(api.POST('/api/v1/homes/{homeId}/supplies', { params: { path: { homeId } }, body })),
    touched(homeId),
  );

export const useEditSupply = (homeId: string) =>
  useChange(
    ({ id, ...body }: NewSupply & { id: string }) =>
      bodyOf(
        api.PUT('/api/v1/homes/{homeId}/supplies/{id}', {
          params: { path: { homeId, id } },
          body,
        }),
      ),
    touched(homeId),
  );

export const useNoteSupply = (homeId: string) =>
  useChange(
    ({ id, ...body }: NewSupplyEntry & { id: string }) =>
      bodyOf(
        api.POST('/api/v1/homes/{homeId}/supplies/{id}/entries', {
          params: { path: { homeId, id } },
          body,
        }),
      ),
    touched(homeId),
  );

export const useForgetEntry = (homeId: string) =>
  useChange(
    ({ id, entryId }: { id: string; entryId: string }) =>
      bodyOf(
        api.DELETE('/api/v1/homes/{homeId}/supplies/{id}/entries/{entryId}', {
          params: { path: { homeId, id, entryId } },
        }),
      ),
    touched(homeId),
  );

export const useEndSupply = (homeId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.POST('/api/v1/homes/{homeId}/supplies/{id}/end', {
          params: { path: { homeId, id } },
        }),
      ),
    touched(homeId),
  );

export const useKeepSupply = (homeId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/homes/{homeId}/supplies/{id}/end', {
          params: { path: { homeId, id } },
        }),
      ),
    touched(homeId),
  );
