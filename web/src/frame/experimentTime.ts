import type { Chosen } from '../api/types';

/** How an experiment that goes on stands: still good, at its end, or dangerous by its time or by the oxygen read. */
export type Standing = 'running' | 'over' | 'late' | 'short';

export function standing(chosen: Chosen, now: number): Standing {
  if (chosen.shortOfOxygen !== undefined) return 'short';
  if (chosen.lateFrom !== undefined && now >= Date.parse(chosen.lateFrom)) return 'late';
  return now >= Date.parse(chosen.until) ? 'over' : 'running';
}

/** In hours and minutes, up to the next one: what is left is never said to be less than it is. */
export function left(until: string, now: number): string {
  const minutes = Math.max(0, Math.ceil((Date.parse(until) - now) / 60_000));
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
