import type { History, Method, Track } from '../../api/types';
import { shortDay } from '../../lib/time';
import { METHOD } from '../../lib/units';

interface At {
  ms: number;
  value: number;
  method: Method;
}

/** The lowest and highest of a track between two times, each with its moment and method; undefined without readings there. */
export function extremes(track: Track, from: number, to: number): [At, At] | undefined {
  const all = [
    ...track.stretches.flatMap((s) =>
      s.at.flatMap((second, i) =>
        [s.low[i], s.high[i]].flatMap((value) =>
          value === undefined ? [] : { ms: second * 1000, value, method: 'PROBE' as const },
        ),
      ),
    ),
    ...track.marks.map((m) => ({
      ms: Date.parse(m.at),
      value: m.value,
      method: m.method,
    })),
  ].filter(({ ms }) => ms >= from && ms <= to);
  const [first] = all;
  if (!first) return undefined;
  return all.reduce(
    ([low, high], one) => [one.value < low.value ? one : low, one.value > high.value ? one : high],
    [first, first],
  );
}

/** What the tank's pH did between two times, in a sentence. */
export function phOver(history: History, from: number, to: number, zone: string): string {
  const track = history.tracks.find((t) => t.quantity === 'PH' && t.place === 'TANK');
  const found = track && extremes(track, from, to);
  if (!found) return 'No pH readings in these days';
  const [low, high] = found.map(
    ({ ms, value, method }) => `${value.toFixed(2)} (${METHOD[method]}, ${shortDay(ms, zone)})`,
  );
  return `pH ${low ?? ''} to ${high ?? ''}`;
}
