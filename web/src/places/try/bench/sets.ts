import type { Variant } from '../../../api/types';

/** A set of remedies with a name, as it stands in the address. */
export interface NamedSet {
  name: string;
  put: Variant;
}

export const isSet = (value: unknown): value is NamedSet =>
  typeof value === 'object' &&
  value !== null &&
  'name' in value &&
  typeof value.name === 'string' &&
  'put' in value &&
  typeof value.put === 'object' &&
  value.put !== null;

/** What a set does to the CO2: takes its source away, carries it out, or sets something against it. */
export function means(put: Variant): string {
  const ways = [
    (put.ventilationTimes ?? 1) > 1 || put.nobodyHome || put.line ? 'removes the source' : '',
    put.stone || (put.surfaceTimes ?? 1) > 1 || (put.skimmerShare ?? 1) > 1
      ? 'carries more out'
      : '',
    put.mediaPass !== undefined || put.limewaterMlPerDay !== undefined ? 'offsets' : '',
  ].filter((w) => w !== '');
  return ways.join(', ') || 'changes nothing';
}

/** A set in a few words. */
export function inWords(put: Variant): string {
  const words = [
    put.nobodyHome ? 'nobody home' : '',
    put.ventilationTimes !== undefined ? `ventilation × ${put.ventilationTimes}` : '',
    put.line
      ? `${put.line.lengthM} m of ${put.line.boreMm} mm hose${put.line.flue ? ' by a flue' : ''}`
      : '',
    put.mediaPass !== undefined ? 'media' : '',
    put.freshShare !== undefined && put.freshShare < 1
      ? `${Math.round((1 - put.freshShare) * 100)} % recirculated`
      : '',
    put.skimmerShare !== undefined ? `skimmer draw × ${put.skimmerShare}` : '',
    put.surfaceTimes !== undefined ? `surface × ${put.surfaceTimes}` : '',
    put.stone ? `stone ${put.stone.airLPerH} L/h` : '',
    put.limewaterMlPerDay !== undefined ? `limewater ${put.limewaterMlPerDay} mL/day` : '',
  ].filter((w) => w !== '');
  return words.join(', ') || 'as it is';
}
