import type { History, Track, Units } from '../../api/types';
import { alkalinityFromMeq, temperatureFromCelsius } from '../../lib/units';
import { NAMES, PLACE } from './names';

/** A point this far from the pointer, or less, tells what stood there. */
const NEAR_SHARE = 0.01;

/** What each track shows around a time; nothing where there is a gap. */
export function standingAt(history: History, ms: number): string[] {
  const near = (Date.parse(history.to) - Date.parse(history.from)) * NEAR_SHARE;
  return history.tracks.flatMap((track) => {
    const value = valueAt(track, ms, near);
    return value === null ? [] : [`${NAMES[track.quantity]}${PLACE[track.place]} ${value}`];
  });
}

const DIGITS: Partial<Record<Track['quantity'], number>> = {
  PH: 2,
  CO2: 0,
  CALCIUM: 0,
  POTASSIUM: 0,
  MAGNESIUM: 0,
  AMMONIA: 2,
  NITRITE: 2,
};

function valueAt(track: Track, ms: number, near: number): string | null {
  let best: string | null = null;
  let distance = near;
  const digits = DIGITS[track.quantity] ?? 1;
  const offer = (at: number, low: number, high: number) => {
    if (Math.abs(at - ms) > distance) return;
    distance = Math.abs(at - ms);
    const a = low.toFixed(digits);
    const b = high.toFixed(digits);
    best = a === b ? a : `${a}–${b}`;
  };
  for (const s of track.stretches) {
    s.at.forEach((second, i) => offer(second * 1000, s.low[i] ?? 0, s.high[i] ?? 0));
  }
  for (const m of track.marks) offer(Date.parse(m.at), m.value, m.value);
  return best;
}

/** The history with alkalinity and temperature as the keeper likes them. */
export function inUnits(history: History, units: Units): History {
  return { ...history, tracks: history.tracks.map((track) => trackInUnits(track, units)) };
}

function trackInUnits(track: Track, units: Units): Track {
  const to =
    track.quantity === 'ALKALINITY'
      ? (v: number) => alkalinityFromMeq(v, units.alkalinity)
      : track.quantity === 'TEMPERATURE'
        ? (v: number) => temperatureFromCelsius(v, units.temperature)
        : null;
  if (!to) return track;
  return {
    ...track,
    marks: track.marks.map((m) => ({ ...m, value: to(m.value) })),
    stretches: track.stretches.map((s) => ({ ...s, low: s.low.map(to), high: s.high.map(to) })),
  };
}
