import { useQuery } from '@tanstack/react-query';
import { writeHours12 } from '../lib/time';
import { api, bodyOf } from './client';
import { keys } from './keys';
import { EVERYTHING, useChange } from './query';
import type { Units } from './types';

export const useSession = () =>
  useQuery({
    queryKey: keys.session,
    queryFn: async () => {
      const session = await bodyOf(api.GET('/api/v1/session'));
      writeHours12(session.units?.clock === 'HOURS_12');
      return session;
    },
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
