import { QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, Problem, told } from './client';
import type {
  EventKind,
  HomeDescription,
  MomentName,
  NewReadings,
  RoomDescription,
  TankDescription,
  Units,
} from './types';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) =>
        count < 3 && error instanceof Problem && (error.status === 0 || error.status === 503),
      staleTime: 10_000,
    },
  },
});

export const useSession = () =>
  useQuery({ queryKey: ['session'], queryFn: () => told(api.GET('/api/v1/session')) });

export const useHomes = () =>
  useQuery({ queryKey: ['homes'], queryFn: () => told(api.GET('/api/v1/homes')) });

export const useTanks = () =>
  useQuery({ queryKey: ['tanks'], queryFn: () => told(api.GET('/api/v1/tanks')) });

export const useTank = (id: string) =>
  useQuery({
    queryKey: ['tank', id],
    queryFn: () => told(api.GET('/api/v1/tanks/{id}', { params: { path: { id } } })),
  });

export const useGlance = (tankId: string) =>
  useQuery({
    queryKey: ['readings', tankId, 'glance'],
    queryFn: () => told(api.GET('/api/v1/tanks/{tankId}/glance', { params: { path: { tankId } } })),
    refetchInterval: 60_000,
  });

export const useReadings = (tankId: string, after: string | undefined) =>
  useQuery({
    queryKey: ['readings', tankId, 'page', after],
    queryFn: () =>
      told(
        api.GET('/api/v1/tanks/{tankId}/readings', {
          params: { path: { tankId }, query: { limit: 25, after } },
        }),
      ),
  });

export const useStaircase = (
  tankId: string,
  moment: MomentName | undefined,
  at: string | undefined,
) =>
  useQuery({
    queryKey: ['readings', tankId, 'staircase', moment, at],
    queryFn: () =>
      told(
        api.GET('/api/v1/tanks/{tankId}/staircase', {
          params: { path: { tankId }, query: { moment, at } },
        }),
      ),
    placeholderData: (previous) => previous,
  });

export const useDay = (tankId: string, day: string | undefined) =>
  useQuery({
    queryKey: ['readings', tankId, 'day', day],
    queryFn: () =>
      told(api.GET('/api/v1/tanks/{tankId}/day', { params: { path: { tankId }, query: { day } } })),
    placeholderData: (previous) => previous,
  });

/** A change at the server, after which what it touches is read anew. */
function useChange<Body, Result>(change: (body: Body) => Promise<Result>, touches: string[]) {
  const client = useQueryClient();
  return useMutation<Result, Problem, Body>({
    mutationFn: change,
    onSuccess: () =>
      Promise.all(touches.map((key) => client.invalidateQueries({ queryKey: [key] }))),
  });
}

const EVERYTHING = ['session', 'homes', 'tanks', 'tank', 'readings', 'tokens'];

export const useSignIn = () =>
  useChange(
    (body: { name: string; password: string }) => told(api.POST('/api/v1/session', { body })),
    EVERYTHING,
  );

export const useCreateKeeper = () =>
  useChange(
    (body: { name: string; password: string; setupCode?: string }) =>
      told(api.POST('/api/v1/keepers', { body })),
    EVERYTHING,
  );

export const useEnterDemo = () =>
  useChange(() => told(api.POST('/api/v1/session/demo')), EVERYTHING);

export const useSignOut = () => useChange(() => told(api.DELETE('/api/v1/session')), ['session']);

export const useSaveUnits = () =>
  useChange((body: Units) => told(api.PUT('/api/v1/me/units', { body })), ['session']);

export const useCreateHome = () =>
  useChange((body: HomeDescription) => told(api.POST('/api/v1/homes', { body })), ['homes']);

export const useEditHome = (id: string) =>
  useChange(
    (body: { version: number; description: HomeDescription }) =>
      told(api.PUT('/api/v1/homes/{id}', { params: { path: { id } }, body })),
    ['homes', 'tanks', 'tank', 'readings'],
  );

export const useCreateRoom = () =>
  useChange(
    ({ homeId, room }: { homeId: string; room: RoomDescription }) =>
      told(api.POST('/api/v1/homes/{id}/rooms', { params: { path: { id: homeId } }, body: room })),
    ['homes'],
  );

export const useEditRoom = (id: string) =>
  useChange(
    (body: { version: number; description: RoomDescription }) =>
      told(api.PUT('/api/v1/rooms/{id}', { params: { path: { id } }, body })),
    ['homes', 'readings'],
  );

export const useCreateTank = () =>
  useChange(
    ({ roomId, tank }: { roomId: string; tank: TankDescription }) =>
      told(api.POST('/api/v1/rooms/{id}/tanks', { params: { path: { id: roomId } }, body: tank })),
    ['tanks'],
  );

export const useEditTank = (id: string) =>
  useChange(
    (body: { version: number; description: TankDescription }) =>
      told(api.PUT('/api/v1/tanks/{id}', { params: { path: { id } }, body })),
    ['tank', 'tanks', 'readings'],
  );

export const useSaveReadings = (tankId: string) =>
  useChange(
    (body: NewReadings) =>
      told(api.POST('/api/v1/tanks/{tankId}/readings', { params: { path: { tankId } }, body })),
    ['readings'],
  );

export const useCorrectReading = (tankId: string) =>
  useChange(
    ({ id, body }: { id: string; body: NewReadings }) =>
      told(
        api.PUT('/api/v1/tanks/{tankId}/readings/{id}', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    ['readings'],
  );

export const useDeleteReadings = (tankId: string) =>
  useChange(
    (ids: string[]) =>
      Promise.all(
        ids.map((id) =>
          told(
            api.DELETE('/api/v1/tanks/{tankId}/readings/{id}', {
              params: { path: { tankId, id } },
            }),
          ),
        ),
      ),
    ['readings'],
  );

export const useAddEvent = (tankId: string) =>
  useChange(
    (body: { kind: EventKind; at: string; title: string; note: string }) =>
      told(api.POST('/api/v1/tanks/{tankId}/events', { params: { path: { tankId } }, body })),
    ['readings'],
  );

export const useDeleteEvent = (tankId: string) =>
  useChange(
    (id: string) =>
      told(api.DELETE('/api/v1/tanks/{tankId}/events/{id}', { params: { path: { tankId, id } } })),
    ['readings'],
  );

export const useTokens = () =>
  useQuery({ queryKey: ['tokens'], queryFn: () => told(api.GET('/api/v1/tokens')) });

export const useCreateToken = () =>
  useChange((label: string) => told(api.POST('/api/v1/tokens', { body: { label } })), ['tokens']);

export const useRevokeToken = () =>
  useChange(
    (id: string) => told(api.DELETE('/api/v1/tokens/{id}', { params: { path: { id } } })),
    ['tokens'],
  );
