import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { EVERYTHING, useChange } from './query';
import type {
  NewEvent,
  Bench,
  FillEnd,
  HomeDescription,
  ImportPlan,
  LedgerHour,
  MomentName,
  NewCalibration,
  NewFill,
  NewReadings,
  RoomDescription,
  TankDescription,
  Units,
  PutMeasure,
} from './types';

export const useSession = () =>
  useQuery({ queryKey: keys.session, queryFn: () => bodyOf(api.GET('/api/v1/session')) });

export const useHomes = () =>
  useQuery({ queryKey: keys.homes, queryFn: () => bodyOf(api.GET('/api/v1/homes')) });

export const useTanks = () =>
  useQuery({ queryKey: keys.tanks, queryFn: () => bodyOf(api.GET('/api/v1/tanks')) });

export const useTank = (id: string) =>
  useQuery({
    queryKey: keys.tank(id).description,
    queryFn: () => bodyOf(api.GET('/api/v1/tanks/{id}', { params: { path: { id } } })),
  });

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

export const useBench = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('bench'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/bench', { params: { path: { tankId } } })),
    staleTime: 300_000,
  });

export const useForecast = (
  tankId: string,
  tanks: Bench['tanks'] | undefined,
  sets: PutMeasure[][],
  days: number,
) =>
  useQuery({
    queryKey: keys.tank(tankId).log('forecast', tanks, sets, days),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/bench/forecast', {
          params: { path: { tankId } },
          body: { tanks: tanks ?? [], variants: sets.map((measures) => ({ measures })), days },
        }),
      ),
    enabled: tanks !== undefined,
    placeholderData: (previous) => previous,
    staleTime: 300_000,
  });

export const useLogSpan = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('span'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/history/span', { params: { path: { tankId } } })),
  });

export const useImports = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('imports'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/imports', { params: { path: { tankId } } })),
  });

/** An import; asked for again and again while it runs. */
export const useImport = (tankId: string, id: number) =>
  useQuery({
    queryKey: keys.tank(tankId).import(id),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/imports/{id}', { params: { path: { tankId, id } } })),
    refetchInterval: (query) => (query.state.data?.state === 'RUNNING' ? 400 : false),
  });

export const useOffer = (tankId: string, id: number) =>
  useQuery({
    queryKey: keys.tank(tankId).import(id, 'offer'),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/imports/{id}/offer', { params: { path: { tankId, id } } }),
      ),
    staleTime: Infinity,
  });

export const usePreview = (tankId: string, id: number, plan: ImportPlan | null) =>
  useQuery({
    queryKey: keys.tank(tankId).import(id, 'preview', plan),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/imports/{id}/preview', {
          params: { path: { tankId, id } },
          body: plan ?? { channels: [] },
        }),
      ),
    enabled: plan !== null,
    placeholderData: (previous) => previous,
  });

export const useBadLines = (tankId: string, id: number) =>
  useQuery({
    queryKey: keys.tank(tankId).import(id, 'bad'),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/imports/{id}/bad', { params: { path: { tankId, id } } }),
      ),
  });

export const useConflicts = (tankId: string, id: number) =>
  useQuery({
    queryKey: keys.tank(tankId).import(id, 'conflicts'),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/imports/{id}/conflicts', {
          params: { path: { tankId, id } },
        }),
      ),
  });

export const useLedger = (tankId: string, hour: LedgerHour) =>
  useQuery({
    queryKey: keys.tank(tankId).log('ledger', hour),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/ledger', {
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

export const useProbe = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('probe'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/probe', { params: { path: { tankId } } })),
  });

/** What a calibration would say and move, before it is kept; nothing while it is not all typed. */
export const useLook = (tankId: string, body: NewCalibration | null) =>
  useQuery({
    queryKey: keys.tank(tankId).log('look', body),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/probe/look', {
          params: { path: { tankId } },
          body: body ?? { at: '', points: [], meter: 'LEFT_AS_IT_WAS', note: '' },
        }),
      ),
    enabled: body !== null,
    retry: false,
  });

export const useMargin = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('margin'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/margin', { params: { path: { tankId } } })),
    staleTime: 60_000,
  });

export const useMedia = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('media'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/media', { params: { path: { tankId } } })),
  });

export const useKeptSets = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).sets,
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/bench/sets', { params: { path: { tankId } } })),
  });

export const useSignIn = () =>
  useChange(
    (body: { name: string; password: string }) => bodyOf(api.POST('/api/v1/session', { body })),
    EVERYTHING,
  );

export const useCreateKeeper = () =>
  useChange(
    (body: { name: string; password: string; setupCode?: string }) =>
      bodyOf(api.POST('/api/v1/keepers', { body })),
    EVERYTHING,
  );

export const useEnterDemo = () =>
  useChange(() => bodyOf(api.POST('/api/v1/session/demo')), EVERYTHING);

export const useSignOut = () =>
  useChange(() => bodyOf(api.DELETE('/api/v1/session')), [keys.session]);

export const useSaveUnits = () =>
  useChange((body: Units) => bodyOf(api.PUT('/api/v1/me/units', { body })), [keys.session]);

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

export const useAddEvent = (tankId: string) =>
  useChange(
    (body: NewEvent) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/events', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

export const useEvent = (tankId: string, id: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('event', id),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/events/{id}', { params: { path: { tankId, id } } })),
  });

export const useEditEvent = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; version: number; event: NewEvent }) =>
      bodyOf(
        api.PUT('/api/v1/tanks/{tankId}/events/{id}', { params: { path: { tankId, id } }, body }),
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

export const useKeepCalibration = (tankId: string) =>
  useChange(
    (body: NewCalibration) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/probe/calibrations', {
          params: { path: { tankId } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useDropCalibration = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/probe/calibrations/{id}', {
          params: { path: { tankId, id } },
        }),
      ),
    logged(tankId),
  );

/** What the glass of air should show; nothing is kept. */
export const useAirBalance = (tankId: string) =>
  useChange(
    (body: { shownPh: number; glassC: number; airPpm?: number }) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/probe/air', { params: { path: { tankId } }, body })),
    [],
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

export const useDeleteEvent = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/events/{id}', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );

export const useFillMedia = (tankId: string) =>
  useChange(
    (body: NewFill) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/media', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

export const useReadColour = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; at: string; changedShare: number }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/media/{id}/colours', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useEndFill = (tankId: string) =>
  useChange(
    ({ id, ...body }: { id: string; at: string; by: FillEnd }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/media/{id}/end', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    logged(tankId),
  );

export const useReopenFill = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/media/{id}/end', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );

export const useDeleteFill = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(api.DELETE('/api/v1/tanks/{tankId}/media/{id}', { params: { path: { tankId, id } } })),
    logged(tankId),
  );

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

export const useUpload = (tankId: string) =>
  useChange(
    (file: File) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/imports', {
          params: { path: { tankId }, query: { name: file.name.slice(0, 200) } },
          headers: { 'Content-Type': 'application/octet-stream' },
          // The document types a body of bytes as text; the file itself is sent.
          body: file as unknown as string,
          bodySerializer: (body) => body,
        }),
      ),
    logged(tankId),
  );

export const useStartImport = (tankId: string, id: number) =>
  useChange(
    (body: ImportPlan) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/imports/{id}/start', {
          params: { path: { tankId, id } },
          body,
        }),
      ),
    [keys.tank(tankId).import(id), ...logged(tankId)],
  );

export const useStopImport = (tankId: string, id: number) =>
  useChange(
    () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/imports/{id}/stop', { params: { path: { tankId, id } } }),
      ),
    [keys.tank(tankId).import(id), ...logged(tankId)],
  );

export const useReplaceConflicts = (tankId: string, id: number) =>
  useChange(
    (byTheFile: boolean) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/imports/{id}/replace', {
          params: { path: { tankId, id }, query: { byTheFile } },
        }),
      ),
    [keys.tank(tankId).import(id), ...logged(tankId)],
  );

export const useUndoImport = (tankId: string) =>
  useChange(
    (id: number) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/imports/{id}', { params: { path: { tankId, id } } }),
      ),
    logged(tankId),
  );

export const useTokens = () =>
  useQuery({ queryKey: keys.tokens, queryFn: () => bodyOf(api.GET('/api/v1/tokens')) });

/** A token for everything, or for a sensor that may only tell of the mains of one home. */
export const useCreateToken = () =>
  useChange(
    ({ label, mainsHomeId }: { label: string; mainsHomeId: string | undefined }) =>
      mainsHomeId === undefined
        ? bodyOf(api.POST('/api/v1/tokens', { body: { label } }))
        : bodyOf(
            api.POST('/api/v1/homes/{homeId}/mains/tokens', {
              params: { path: { homeId: mainsHomeId } },
              body: { label },
            }),
          ),
    [keys.tokens],
  );

export const useRevokeToken = () =>
  useChange(
    (id: string) => bodyOf(api.DELETE('/api/v1/tokens/{id}', { params: { path: { id } } })),
    [keys.tokens],
  );

export const useChangePassword = () =>
  useChange(
    (body: { current: string; next: string; revokeTokens: boolean }) =>
      bodyOf(api.PUT('/api/v1/me/password', { body })),
    [keys.tokens],
  );
