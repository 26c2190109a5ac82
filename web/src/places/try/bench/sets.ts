import { z } from '../../../lib/zod';
import type { Forecast, MeasureKind, PutMeasure, TankEvent, Units } from '../../../api/types';
import { measuresOfFirstLinks } from './firstLinks';
import { inWords } from './measures';

/** A set of measures with a name, as it stands in the address. */
export interface NamedSet {
  name: string;
  put: PutMeasure[];
  /** Events of what stands on the tank and is tried without. */
  without?: string[];
}

const PUT = z.object({
  kind: z.string(),
  numbers: z.record(z.string(), z.number()).optional(),
  choices: z.record(z.string(), z.string()).optional(),
});
const SET = z.object({
  name: z.string(),
  put: z.array(PUT),
  without: z.array(z.string()).optional(),
});
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

/** Whether it leaves the tank another one than it is. */
export const changes = (set: NamedSet) => set.put.length > 0 || (set.without ?? []).length > 0;

/** What no longer stands cannot be tried without. */
export function withStanding(set: NamedSet, standing: readonly TankEvent[]): NamedSet {
  const left = (set.without ?? []).filter((id) => standing.some((e) => e.id === id));
  return left.length === (set.without ?? []).length ? set : { ...set, without: left };
}

/** One of what stands, off the set or on it again. */
export function toggled(set: NamedSet, id: string): NamedSet {
  const without = set.without ?? [];
  return {
    ...set,
    without: without.includes(id) ? without.filter((one) => one !== id) : [...without, id],
  };
}

/** What is on it, and what is off. */
export function setInWords(
  set: NamedSet,
  measures: readonly MeasureKind[],
  standing: readonly TankEvent[],
  units: Units,
): string {
  const off = standing
    .filter((e) => set.without?.includes(e.id))
    .map((e) => `without “${e.title}”`);
  return [
    ...(set.put.length > 0 || off.length === 0 ? [inWords(measures, set.put, units)] : []),
    ...off,
  ].join(', ');
}

const WAYS: Record<Forecast['ways'][number], string> = {
  REMOVES_THE_SOURCE: 'removes the source',
  OFFSETS: 'offsets',
  MASKS: 'hides the cause: pH moves, the CO2 stays',
  A_FAULT: 'a fault, to see its effect',
};

/** What a set does to the CO2, in words. */
export const means = (ways: Forecast['ways']) =>
  ways.map((way) => WAYS[way]).join(', ') || 'changes nothing';
