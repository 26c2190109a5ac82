import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys, logged } from './keys';
import { useChange } from './query';
import type { NewCalibration } from './types';

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

/** What two reads of a colour kit say together; nothing is kept. */
export const useColourKit = () =>
  useChange(
    (body: { firstPh: number; secondPh: number }) =>
      bodyOf(api.POST('/api/v1/calculators/colour-kit', { body })),
    [],
  );

/** What the glass of air should show; nothing is kept. */
export const useAirBalance = (tankId: string) =>
  useChange(
    (body: { shownPh: number; glassC: number; airPpm?: number }) =>
      bodyOf(api.POST('/api/v1/tanks/{tankId}/probe/air', { params: { path: { tankId } }, body })),
    [],
  );
