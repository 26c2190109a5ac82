import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { ImportPlan } from './types';

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
