import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { HomeDescription, RoomDescription, TankDescription } from './types';

export const useHomes = () =>
  useQuery({ queryKey: keys.homes, queryFn: () => bodyOf(api.GET('/api/v1/homes')) });

export const useTanks = () =>
  useQuery({ queryKey: keys.tanks, queryFn: () => bodyOf(api.GET('/api/v1/tanks')) });

export const useTank = (id: string) =>
  useQuery({
    queryKey: keys.tank(id).description,
    queryFn: () => bodyOf(api.GET('/api/v1/tanks/{id}', { params: { path: { id } } })),
  });

export const useCreateHome = () =>
  useChange((body: HomeDescription) => bodyOf(api.POST('/api/v1/homes', { body })), [keys.homes]);

export const useEditHome = (id: string) =>
  useChange(
    (body: { version: number; description: HomeDescription }) =>
      bodyOf(api.PUT('/api/v1/homes/{id}', { params: { path: { id } }, body })),
    [keys.homes, keys.tanks, keys.everyTank, keys.everyHome],
  );

export const useCreateRoom = () =>
  useChange(
    ({ homeId, room }: { homeId: string; room: RoomDescription }) =>
      bodyOf(
        api.POST('/api/v1/homes/{id}/rooms', { params: { path: { id: homeId } }, body: room }),
      ),
    [keys.homes],
  );

export const useEditRoom = (id: string) =>
  useChange(
    (body: { version: number; description: RoomDescription }) =>
      bodyOf(api.PUT('/api/v1/rooms/{id}', { params: { path: { id } }, body })),
    [keys.homes, keys.everyTank, keys.everyHome],
  );

export const useCreateTank = () =>
  useChange(
    ({ roomId, tank }: { roomId: string; tank: TankDescription }) =>
      bodyOf(
        api.POST('/api/v1/rooms/{id}/tanks', { params: { path: { id: roomId } }, body: tank }),
      ),
    [keys.tanks, keys.everyHome],
  );

export const useEditTank = (id: string) =>
  useChange(
    (body: { version: number; description: TankDescription; since?: string }) =>
      bodyOf(api.PUT('/api/v1/tanks/{id}', { params: { path: { id } }, body })),
    [keys.tank(id).all, keys.tanks, keys.everyHome],
  );

const PLACES = [keys.homes, keys.tanks, keys.removed, keys.everyTank, keys.everyHome];

export type Removable = 'tanks' | 'rooms' | 'homes';

/** With all that is in it; it comes back as it was for a day. */
export const useRemove = () =>
  useChange(({ what, id }: { what: Removable; id: string }) => {
    const at = { params: { path: { id } } };
    switch (what) {
      case 'tanks':
        return bodyOf(api.DELETE('/api/v1/tanks/{id}', at));
      case 'rooms':
        return bodyOf(api.DELETE('/api/v1/rooms/{id}', at));
      case 'homes':
        return bodyOf(api.DELETE('/api/v1/homes/{id}', at));
    }
  }, PLACES);

export const useRemoved = () =>
  useQuery({ queryKey: keys.removed, queryFn: () => bodyOf(api.GET('/api/v1/removed')) });

export const useUndoRemove = () =>
  useChange(
    (id: string) => bodyOf(api.POST('/api/v1/removed/{id}/undo', { params: { path: { id } } })),
    PLACES,
  );

/** @param asked false for whoever may not see them */
export const useChapters = (tankId: string, asked: boolean) =>
  useQuery({
    enabled: asked,
    queryKey: keys.tank(tankId).log('chapters'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/chapters', { params: { path: { tankId } } })),
  });

export const useMendChapter = (tankId: string) =>
  useChange(
    ({
      id,
      ...body
    }: {
      id: string;
      version: number;
      until?: string;
      description?: TankDescription;
    }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/chapters/{id}', { params: { path: { tankId, id } }, body }),
      ),
    logged(tankId),
  );

export const useJoinChapter = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/chapters/{id}', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );
