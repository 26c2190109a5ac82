import type { Line, PutMeasure } from '../../api/types';
import { asMeasure } from './doseWords';

/** A step is worth offering from here on, as a share of what was dosed before. */
const A_JUMP = 0.1;

/** The first half of a rise; nothing where it is none worth parting. */
export function firstStep(from: number, to: number): number | undefined {
  if (to - from <= A_JUMP * from) return undefined;
  const half = from + (to - from) / 2;
  return half >= 10 ? Math.round(half) : Math.round(10 * half) / 10;
}

/** What the Bench would put on for a line that gives so much a day; nothing for what moves no alkalinity. */
export function asPlanned(line: Line, mlPerDay: number): PutMeasure | undefined {
  return line.mlPerDay > 0
    ? asMeasure({
        ...line,
        mlPerDay,
        meqPerLPerDay: (line.meqPerLPerDay / line.mlPerDay) * mlPerDay,
      })
    : undefined;
}
