import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { paths } from './schema';
import type { HoldAsked, Schedule, WhatIf } from './types';

export const useSchedule = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('schedule'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/schedule', { params: { path: { tankId } } })),
  });

/** A day of a schedule that need not be saved; what was drawn stays until the next is there. */
export const useScheduleDay = (
  tankId: string,
  schedule: Schedule,
  day?: string,
  what?: WhatIf,
  asked = true,
) =>
  useQuery({
    queryKey: keys.tank(tankId).log('schedule', 'day', schedule, day, what),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/schedule/day', {
          params: { path: { tankId } },
          body: { schedule, day, what },
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: asked,
  });

/** The twin by a schedule, beside the saved one. */
export const useScheduleRun = (
  tankId: string,
  schedule: Schedule,
  days: number,
  asked: boolean,
  what?: WhatIf,
) =>
  useQuery({
    queryKey: keys.tank(tankId).log('schedule', 'run', schedule, days, what),
    queryFn: () =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/schedule/run', {
          params: { path: { tankId } },
          body: { schedule, days, what },
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: asked,
  });

export const useSaveSchedule = (tankId: string) =>
  useChange(
    (body: { version?: number; schedule: Schedule }) =>
      bodyOf(api.PUT('/api/v1/tanks/{tankId}/schedule', { params: { path: { tankId } }, body })),
    logged(tankId),
  );

/** Lanes that are held by hand, or were until lately. */
export const useHolds = (tankId: string) =>
  useQuery({
    queryKey: keys.tank(tankId).log('schedule', 'holds'),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/tanks/{tankId}/schedule/holds', { params: { path: { tankId } } })),
  });

export const useHold = (tankId: string) =>
  useChange(
    (body: HoldAsked) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/schedule/holds', { params: { path: { tankId } }, body }),
      ),
    logged(tankId),
  );

/** Ends a hold, or says that what was held runs as it should. */
export const useLetGo = (tankId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/tanks/{tankId}/schedule/holds/{id}', {
          params: { path: { tankId, id } },
        }),
      ),
    logged(tankId),
  );

export type TemplateName =
  paths['/api/v1/tanks/{tankId}/schedule/templates/{template}']['post']['parameters']['path']['template'];

/** A schedule with what keepers commonly make of a day; nothing is saved. */
export const useTemplate = (tankId: string) =>
  useChange(
    ({
      template,
      ...body
    }: {
      template: TemplateName;
      schedule: Schedule;
      holidayFrom?: string;
      holidayUntil?: string;
    }) =>
      bodyOf(
        api.POST('/api/v1/tanks/{tankId}/schedule/templates/{template}', {
          params: { path: { tankId, template } },
          body,
        }),
      ),
    [],
  );
