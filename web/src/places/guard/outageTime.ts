import type { OutageView } from '../../api/types';
import { between } from '../../lib/number';
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

const halvesDown = (n: number) => {
  const halves = Math.floor(n * 2 + 1e-6);
  return `${Math.floor(halves / 2)}${halves % 2 === 1 ? '½' : ''}`;
};

const MOST_HOURS = 48;

function spoken(h: number): { much: string; unit: string } {
  if (h < 1) return { much: String(Math.floor(h * 12 + 1e-6) * 5), unit: 'min' };
  if (h > MOST_HOURS) return { much: halvesDown(h / 24), unit: 'days' };
  return { much: h < 10 ? halvesDown(h) : String(Math.floor(h + 1e-6)), unit: 'h' };
}

/** As people say hours until danger, rounded down: 40 min, 2½ h, 14 h, 3½ days. */
export function hoursDown(h: number): string {
  const { much, unit } = spoken(h);
  return `${much} ${unit}`;
}

/** Both ends rounded down, with one unit where they share it: 2½–13 h. */
export function spanDown(low: number, high: number): string {
  const [from, to] = [spoken(low), spoken(high)];
  return from.unit === to.unit
    ? `${between(from.much, to.much)} ${to.unit}`
    : `${hoursDown(low)}–${hoursDown(high)}`;
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
