import type { History, Track } from '../../api/types';
import { between } from '../../lib/number';
import { shortDay } from '../../lib/time';

interface At {
  ms: number;
  value: number;
}

/** The lowest and highest of a track between two times, each with its moment; undefined without readings there. */
export function extremes(track: Track, from: number, to: number): [At, At] | undefined {
  const all = [
    ...track.stretches.flatMap((s) =>
      s.at.flatMap((second, i) =>
        [s.low[i], s.high[i]].flatMap((value) =>
          value === undefined ? [] : { ms: second * 1000, value },
        ),
      ),
    ),
    ...track.marks.map((m) => ({ ms: Date.parse(m.at), value: m.value })),
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
  if (!found) return 'No pH in these days';
  const [low, high] = found;
  const span = between(low.value.toFixed(2), high.value.toFixed(2));
  const [lowOn, highOn] = [low, high].map(({ ms }) => shortDay(ms, zone));
  return lowOn === highOn
    ? `pH ${span} on ${lowOn ?? ''}`
    : `pH ${span}, lowest on ${lowOn ?? ''}, highest on ${highOn ?? ''}`;
}
