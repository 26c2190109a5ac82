import type { Calibration, Looked, Probe } from '../../../api/types';

export const CONDITION: Record<Calibration['condition'], string> = {
  GOOD: 'A good probe.',
  SUSPECT_BUFFERS: 'Steeper than any probe: check the buffers.',
  AGEING: 'This probe is ageing.',
  REPLACE: 'Replace this probe.',
  UNKNOWN: 'Slope unknown.',
};

export const METER: Record<Calibration['meter'], string> = {
  LEFT_AS_IT_WAS: 'Meter left unchanged.',
  SET_ITSELF: 'Meter calibrated.',
  NEW_PROBE: 'New probe.',
};

const EXACT = 0.005;

/** How the probe stands, in a sentence. */
export function stands(probe: Probe): string {
  if (probe.uncertaintyPh === undefined)
    return 'Not calibrated yet. Until then we assume an error of ±0.1.';
  const off =
    Math.abs(probe.correctionPh) < EXACT
      ? 'The probe reads right'
      : `This probe reads ${Math.abs(probe.correctionPh).toFixed(2)} too ${probe.correctionPh > 0 ? 'low' : 'high'}, and we correct that`;
  return `${off}, ±${probe.uncertaintyPh.toFixed(2)}.`;
}

/** What a calibration moves, in a sentence; nothing where it moves nothing that shows. */
export function moves({ moved }: Looked): string {
  if (!moved) return 'No pH in the last three weeks to correct.';
  const by = moved.troughAfter - moved.troughBefore;
  const days = moved.days === 1 ? 'last whole day' : `last ${moved.days} whole days`;
  return Math.abs(by) < EXACT
    ? `The daily low of the ${days} stays ${moved.troughAfter.toFixed(2)}.`
    : `The daily low of the ${days} is ${Math.abs(by).toFixed(2)} ${by > 0 ? 'higher' : 'lower'}: ${moved.troughAfter.toFixed(2)} instead of ${moved.troughBefore.toFixed(2)}.`;
}
