import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys } from './keys';
import { EVERYTHING, useChange } from './query';

export const useEnterToHelp = () =>
  useChange(
    (code: string) => bodyOf(api.POST('/api/v1/session/helper', { body: { code } })),
    EVERYTHING,
  );

export const useHelpers = (homeId: string) =>
  useQuery({
    queryKey: keys.home(homeId).helpers,
    queryFn: () =>
      bodyOf(api.GET('/api/v1/homes/{homeId}/helpers', { params: { path: { homeId } } })),
  });

export const useInvite = (homeId: string) =>
  useChange(
    (name: string) =>
      bodyOf(
        api.POST('/api/v1/homes/{homeId}/helpers', {
          params: { path: { homeId } },
          body: { name },
        }),
      ),
    [keys.home(homeId).helpers],
  );

export const useWithdraw = (homeId: string) =>
  useChange(
    (id: string) =>
      bodyOf(
        api.DELETE('/api/v1/homes/{homeId}/helpers/{id}', { params: { path: { homeId, id } } }),
      ),
    [keys.home(homeId).helpers],
  );
