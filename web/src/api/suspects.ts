import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys } from './keys';
import { useChange } from './query';
import type { SuspectCheck } from './types';

/** Why pH is low, since a day that somebody said, or else looked for in the last fortnight. */
export const useSuspects = (tankId: string, since: string | undefined) =>
  useQuery({
    queryKey: keys.tank(tankId).log('suspects', since),
    queryFn: () =>
      bodyOf(
        api.GET('/api/v1/tanks/{tankId}/suspects', {
          params: { path: { tankId }, query: { since } },
        }),
      ),
    placeholderData: keepPreviousData,
  });

/** Says what was found at a check, or takes that back where there is no answer. */
export const useCheck = (tankId: string) =>
  useChange(
    ({ check, answer }: { check: SuspectCheck['check']; answer?: number }) => {
      const path = '/api/v1/tanks/{tankId}/suspects/checks/{check}';
      const params = { path: { tankId, check } };
      return bodyOf(
        answer === undefined
          ? api.DELETE(path, { params })
          : api.PUT(path, { params, body: { answer } }),
      );
    },
    [keys.tank(tankId).log('suspects')],
  );
