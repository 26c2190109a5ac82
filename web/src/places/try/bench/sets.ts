import { z } from '../../../lib/zod';
import type { Forecast, PutMeasure } from '../../../api/types';
import { measuresOfFirstLinks } from './firstLinks';

/** A set of measures with a name, as it stands in the address. */
export interface NamedSet {
  name: string;
  put: PutMeasure[];
}

const PUT = z.object({
  kind: z.string(),
  numbers: z.record(z.string(), z.number()).optional(),
  choices: z.record(z.string(), z.string()).optional(),
});
const SET = z.object({ name: z.string(), put: z.array(PUT) });
const FIRST_SET = z.object({ name: z.string(), put: z.record(z.string(), z.unknown()) });

/** A set out of an address, of today's links or the first ones; undefined when it is none. */
export function readSet(value: unknown): NamedSet | undefined {
  const set = SET.safeParse(value);
  if (set.success) return set.data;
  const first = FIRST_SET.safeParse(value);
  return first.success
    ? { name: first.data.name, put: measuresOfFirstLinks(first.data.put) }
    : undefined;
}

const WAYS: Record<Forecast['ways'][number], string> = {
  REMOVES_THE_SOURCE: 'removes the source',
  OFFSETS: 'offsets',
  MASKS: 'masks: pH moves, the CO2 stays',
  A_FAULT: 'makes it worse, to see what a fault would do',
};

/** What a set does to the CO2, in words. */
export const means = (ways: Forecast['ways']) =>
  ways.map((way) => WAYS[way]).join(', ') || 'changes nothing';
