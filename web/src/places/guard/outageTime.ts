import type { OutageView } from '../../api/types';
import { clockOffset, clockTime, localDay, shiftDay } from '../../lib/time';
import { dangerAhead } from './outageLog';

export const since = (view: OutageView, now: number) =>
  Math.max(
    0,
    ((view.endedAt ? Date.parse(view.endedAt) : now) - Date.parse(view.startedAt)) / 3.6e6,
  );

/** Rounded down: what is promised is never later than the sum. */
export const span = (h: number) => {
  const minutes = Math.floor(h * 60 + 1e-6);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
};

/** As people say hours until danger, rounded down: 40 min, 2½ h, 14 h. */
export function hoursDown(h: number): string {
  if (h < 1) return `${Math.floor(h * 12 + 1e-6) * 5} min`;
  if (h >= 10) return `${Math.floor(h + 1e-6)} h`;
  const halves = Math.floor(h * 2 + 1e-6);
  return `${Math.floor(halves / 2)}${halves % 2 === 1 ? '½' : ''} h`;
}

export const atClock = (view: OutageView, h: number, zone: string) =>
  clockTime(new Date(Date.parse(view.startedAt) + h * 3.6e6).toISOString(), zone);

/** From now on: danger that has passed, because air runs, is danger no more. */
export function dangerInWords(points: Parameters<typeof dangerAhead>[0], line: number, h: number) {
  const ahead = dangerAhead(points, line, h);
  return ahead === undefined
    ? 'No danger in sight within a day and a half.'
    : ahead > 0
      ? `${hoursDown(ahead)} until oxygen may be dangerous.`
      : 'Oxygen may be dangerous now: aerate.';
}

/** The last moment before now at which the clocks of a zone stood so ("19:40"). */
export function lastAt(clock: string, now: number, zone: string): string {
  const on = (day: string) => {
    const there = Date.parse(`${day}T${clock}Z`);
    return there - clockOffset(there - clockOffset(there, zone), zone);
  };
  const today = localDay(now, zone);
  const at = on(today);
  return new Date(at <= now ? at : on(shiftDay(today, -1))).toISOString();
}
