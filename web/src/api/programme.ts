import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { paths } from './schema';
import type { HoldAsked, Programme, WhatIf } from './types';

export const useProgramme = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('programme'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/programme', { params: { path: { tankId } } })),
  });

/** A day of a programme that need not be saved; what was drawn stays until the next is there. */
export const useProgrammeDay = (
  tankId: string,
  programme: Programme,
  day?: string,
  what?: WhatIf,
  asked = true,
) =>
  useQuery({
    queryKey: keys.tank(tankId).log('programme', 'day', programme, day, what),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/programme/day', {
          params: { path: { tankId } },
          body: { programme, day, what },
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: asked,
  });

/** The twin by a programme, beside the saved one. */
export const useProgrammeRun = (
  tankId: string,
  programme: Programme,
  days: number,
  asked: boolean,
  what?: WhatIf,
) =>
  useQuery({
    queryKey: keys.tank(tankId).log('programme', 'run', programme, days, what),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/programme/run', {
          params: { path: { tankId } },
          body: { programme, days, what },
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: asked,
  });

export const useSaveProgramme = (tankId: string) =>
  useChange(
    (body: { version?: number; programme: Programme }) =>
      bodyOf(api.PUT('/api/v1/tanks/{tankId}/programme', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

/** Lanes that are held by hand, or were until lately. */
export const useHolds = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('programme', 'holds'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/programme/holds', { params: { path: { tankId } } })),
  });

export const useHold = (tankId: string) =>
  useChange(
    (body: HoldAsked) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/programme/holds', { params: { path: { tankId } }, body }),
      ),
    logged(tankId),
  );

/** Ends a hold, or says that what was held runs as it should. */
export const useLetGo = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/programme/holds/{id}', {
          params: { path: { tankId, id } },
        }),
      ),
    logged(tankId),
  );

export type TemplateName =
  paths['/api/v1/tanks/{tankId}/programme/templates/{template}']['post']['parameters']['path']['template'];

/** A programme with what keepers commonly make of a day; nothing is saved. */
export const useTemplate = (tankId: string) =>
  useChange(
    ({
      template,
      ...body
    }: {
      template: TemplateName;
      programme: Programme;
      holidayFrom?: string;
      holidayUntil?: string;
    }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/programme/templates/{template}', {
          params: { path: { tankId, template } },
          body,
        }),
      ),
    [],
  );
