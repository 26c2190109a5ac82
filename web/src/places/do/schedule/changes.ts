import type { Lane, LaneRule, LaneWindow, Schedule, WindowEdge } from '../../../api/types';
import { WEEKEND, WORKDAYS } from './words';

/** Changes of a schedule: each gives a new one and leaves the old as it is. */

/** An id that is not taken, made of a name. */
export function freshId(name: string, taken: readonly { id: string }[]): string {
  const base =
    name
      .normalize('NFD')
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '')
      .slice(0, 30) || 'one';
  let id = base;
  for (let n = 2; taken.some((t) => t.id === id); n++) id = `${base}-${n}`;
  return id;
}

const put = <T extends { id: string }>(all: readonly T[], one: T): T[] =>
  all.some((a) => a.id === one.id) ? all.map((a) => (a.id === one.id ? one : a)) : [...all, one];

export const withWindow = (p: Schedule, window: LaneWindow): Schedule => ({
  ...p,
  windows: put(p.windows, window),
});

/** With all that hangs on it. */
export const withoutWindow = (p: Schedule, id: string): Schedule => ({
  ...p,
  windows: p.windows.filter((w) => w.id !== id),
  rules: p.rules.filter((r) => r.window !== id),
});

export const withLane = (p: Schedule, lane: Lane): Schedule => ({
  ...p,
  lanes: put(p.lanes, lane),
});

export const withoutLane = (p: Schedule, id: string): Schedule => ({
  ...p,
  lanes: p.lanes.filter((l) => l.id !== id),
  rules: p.rules.filter((r) => r.lane !== id),
});

/** A rule, or one in another's place. */
export const withRule = (p: Schedule, rule: LaneRule, of?: LaneRule): Schedule => ({
  ...p,
  rules: of ? p.rules.map((r) => (r === of ? rule : r)) : [...p.rules, rule],
});

export const withoutRule = (p: Schedule, rule: LaneRule): Schedule => ({
  ...p,
  rules: p.rules.filter((r) => r !== rule),
});

const DAY_MIN = 1440;

/** An edge so many minutes later; by the clock it goes round midnight. */
export function movedEdge(edge: WindowEdge, minutes: number): WindowEdge {
  if (edge.time === undefined) return { ...edge, minutes: (edge.minutes ?? 0) + minutes };
  const [h = 0, m = 0] = edge.time.split(':').map(Number);
  const at = (((h * 60 + m + minutes) % DAY_MIN) + DAY_MIN) % DAY_MIN;
  const two = (n: number) => String(n).padStart(2, '0');
  return { ...edge, time: `${two(Math.floor(at / 60))}:${two(at % 60)}` };
}

export function withEdge(
  p: Schedule,
  id: string,
  which: 'from' | 'until',
  minutes: number,
): Schedule {
  const window = p.windows.find((w) => w.id === id);
  return window ? withWindow(p, { ...window, [which]: movedEdge(window[which], minutes) }) : p;
}

/** A window for workdays and its Copy for weekends, with the same rules, so that both can differ. */
export function weekendApart(p: Schedule, id: string): Schedule {
  const window = p.windows.find((w) => w.id === id);
  if (!window) return p;
  const name = `${window.name}, weekends`;
  const copy = { ...window, id: freshId(name, p.windows), name, days: [...WEEKEND] };
  return {
    ...p,
    windows: [...put(p.windows, { ...window, days: [...WORKDAYS] }), copy],
    rules: [
      ...p.rules,
      ...p.rules.filter((r) => r.window === id).map((r) => ({ ...r, window: copy.id })),
    ],
  };
}

/** All that beats the usual day: once for workdays, and a Copy for weekends. */
export const weekendOfItsOwn = (p: Schedule): Schedule =>
  p.windows
    .filter(
      (w) => w.days === undefined && p.rules.some((r) => r.kind === 'SPECIAL' && r.window === w.id),
    )
    .reduce((made, w) => weekendApart(made, w.id), p);
