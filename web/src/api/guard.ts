import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys } from './keys';
import { useChange } from './query';
import { timesIn } from '../lib/time';
import type { Due, KitDescription } from './types';

export const useReadiness = (homeId: string) =>
  useQuery({
    queryKey: keys.home(homeId).guard(),
    queryFn: () =>
      bodyOf(api.GET('/api/v1/homes/{homeId}/readiness', { params: { path: { homeId } } })),
    staleTime: 60_000,
  });

export const useAddKit = (homeId: string) =>
  useChange(
    (body: KitDescription) =>
      bodyOf(api.POST('/api/v1/homes/{homeId}/kit', { params: { path: { homeId } }, body })),
    [keys.home(homeId).guard(), keys.home(homeId).due],
  );

export const useEditKit = (homeId: string) =>
  useChange(
    ({ id, ...body }: { id: string; version: number; description: KitDescription }) =>
      bodyOf(
        api.PUT('/api/v1/homes/{homeId}/kit/{id}', { params: { path: { homeId, id } }, body }),
      ),
    [keys.home(homeId).guard(), keys.home(homeId).due],
  );

export const useDeleteKit = (homeId: string) =>
  useChange(
    (id: string) =>
      bodyOf(api.DELETE('/api/v1/homes/{homeId}/kit/{id}', { params: { path: { homeId, id } } })),
    [keys.home(homeId).guard(), keys.home(homeId).due],
  );

/** What a cut at the same hours every day does. */
export const useCuts = (homeId: string, from: string, hours: number | null) =>
  useQuery({
    queryKey: keys.home(homeId).guard('cuts', from, hours),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/homes/{homeId}/cuts', {
          params: { path: { homeId }, query: { from, hours: hours ?? 0 } },
        }),
      ),
    enabled: from !== '' && hours !== null,
    placeholderData: (previous) => previous,
  });

/** What is due at a home, the next first. */
/** When the address was made that a calendar reads by itself. */
export const useCalendarSince = (homeId: string) =>
  useQuery({
    queryKey: keys.home(homeId).calendar,
    queryFn: () =>
      bodyOf(api.GET('/api/v1/homes/{homeId}/calendar', { params: { path: { homeId } } })),
  });

export const useSubscribe = (homeId: string) =>
  useChange(
    () => bodyOf(api.POST('/api/v1/homes/{homeId}/calendar', { params: { path: { homeId } } })),
    [keys.home(homeId).calendar],
  );

export const useWithdrawCalendar = (homeId: string) =>
  useChange(
    () => bodyOf(api.DELETE('/api/v1/homes/{homeId}/calendar', { params: { path: { homeId } } })),
    [keys.home(homeId).calendar],
  );

/** One function for all askers, so that what is selected is the same as long as its data are. */
const inOwnHours = (all: Due[]) => all.map((due) => ({ ...due, what: timesIn(due.what) }));

export const dueQuery = (homeId: string) => ({
  queryKey: keys.home(homeId).due,
  queryFn: () => bodyOf(api.GET('/api/v1/homes/{homeId}/due', { params: { path: { homeId } } })),
  select: inOwnHours,
  staleTime: 300_000,
});

export const useDue = (homeId: string) => useQuery(dueQuery(homeId));
