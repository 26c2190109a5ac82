import type { Bench } from '../api/types';

/** A range at a moment, milliseconds since 1970. */
export interface Expected {
  at: number;
  low: number;
  high: number;
}

/** What the model expects of the current setup for some hours. */
export interface Ahead {
  ph: Expected[];
  oxygen: Expected[];
  lit: Bench['lit'];
}

/** The moment of the lowest, or of the highest, of some hours. */
export const extreme = (points: readonly Expected[], of: 'low' | 'high') =>
  points.reduce<Expected | undefined>(
    (best, p) =>
      !best ||
      (of === 'low' ? p.low + p.high < best.low + best.high : p.low + p.high > best.low + best.high)
        ? p
        : best,
    undefined,
  );
