import type { Calibration, Looked, Probe } from '../../../api/types';

export const CONDITION: Record<Calibration['condition'], string> = {
  GOOD: 'A good probe.',
  SUSPECT_BUFFERS: 'Steeper than a probe can be: suspect the buffers.',
  AGEING: 'It is ageing.',
  REPLACE: 'Replace it.',
  UNKNOWN: 'Its slope is not known.',
};

export const METER: Record<Calibration['meter'], string> = {
  LEFT_AS_IT_WAS: 'The meter was left as it was.',
  SET_ITSELF: 'The meter set itself by them.',
  NEW_PROBE: 'A new probe.',
};

const EXACT = 0.005;

/** How the probe stands, in a sentence. */
export function stands(probe: Probe): string {
  if (probe.uncertaintyPh === undefined)
    return 'Nobody has said how this probe reads its buffers. Until then ±0.1 is assumed.';
  const off =
    Math.abs(probe.correctionPh) < EXACT
      ? 'It is read as it shows'
      : `It shows ${Math.abs(probe.correctionPh).toFixed(2)} too ${probe.correctionPh > 0 ? 'little' : 'much'} and is corrected`;
  return `${off}, give or take ${probe.uncertaintyPh.toFixed(2)}.`;
}

/** What a calibration moves, in a sentence; nothing where it moves nothing that shows. */
export function moves({ moved }: Looked): string {
  if (!moved) return 'There is no log of the last three weeks to move.';
  const by = moved.troughAfter - moved.troughBefore;
  const days = moved.days === 1 ? 'last whole day' : `last ${moved.days} whole days`;
  return Math.abs(by) < EXACT
    ? `The trough of the ${days} stays ${moved.troughAfter.toFixed(2)}.`
    : `The trough of the ${days} is ${Math.abs(by).toFixed(2)} ${by > 0 ? 'higher' : 'lower'}: ${moved.troughAfter.toFixed(2)} instead of ${moved.troughBefore.toFixed(2)}.`;
}
