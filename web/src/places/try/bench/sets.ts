import type { Forecast, Units, Variant } from '../../../api/types';
import { REMEDIES } from './remedies';

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

const WAYS: Record<Forecast['ways'][number], string> = {
  REMOVES_THE_SOURCE: 'removes the source',
  OFFSETS: 'offsets',
  A_FAULT: 'makes it worse, to see what a fault would do',
};

/** What a set does to the CO2, in words. */
export const means = (ways: Forecast['ways']) =>
  ways.map((way) => WAYS[way]).join(', ') || 'changes nothing';

/** A set in a few words. */
export function inWords(put: Variant, units: Units): string {
  const words = REMEDIES.filter((remedy) => remedy.on(put)).map((remedy) =>
    remedy.words(put, units),
  );
  return words.join(', ') || 'as it is';
}

/** Whether anything is on the tank at all. */
export const isPlaced = (put: Variant) => REMEDIES.some((remedy) => remedy.on(put));

/** A set as the server is asked for it: what is not set is not sent. */
export const bare = (put: Variant): Variant =>
  Object.fromEntries(Object.entries(put).filter(([, value]) => value !== undefined));
