import type { History, TankEvent, Track, Units } from '../api/types';
import { ALKALINITY } from '../lib/units';

export const LEFT = 56;
export const RIGHT = 14;
/** Rows for the flags' words; flags without room for words stand below them. */
export const LABEL_ROWS = 3;
const FLAGS_HEIGHT = 26 + LABEL_ROWS * 18;
const GAP = 16;
const LANE_HEIGHT = 14;
export const STOOD_HEIGHT = 22;
const AXIS_HEIGHT = 26;

/** One strip of the drawing with a scale of its own. */
export interface Panel {
  key: string;
  label: string;
  tracks: Track[];
  top: number;
  height: number;
  /** Lowest and highest value shown. */
  domain: [number, number];
  digits: number;
  ink: string;
}

interface Kind {
  key: string;
  label: string;
  quantity: Track['quantity'];
  height: number;
  digits: number;
  ink: string;
  /** The scale spans at least this much, so that noise does not look like news. */
  least: number;
}

const KINDS: readonly Kind[] = [
  { key: 'ph', label: 'pH', quantity: 'PH', height: 200, digits: 1, ink: 'var(--ink)', least: 0.4 },
  {
    key: 'co2',
    label: 'CO2, ppm',
    quantity: 'CO2',
    height: 120,
    digits: 0,
    ink: 'var(--co2)',
    least: 300,
  },
  {
    key: 'temperature',
    label: '°C',
    quantity: 'TEMPERATURE',
    height: 64,
    digits: 0,
    ink: 'var(--soft)',
    least: 2,
  },
  {
    key: 'oxygen',
    label: 'oxygen, mg/L',
    quantity: 'OXYGEN',
    height: 84,
    digits: 1,
    ink: 'var(--o2)',
    least: 1,
  },
  {
    key: 'alkalinity',
    label: 'alkalinity',
    quantity: 'ALKALINITY',
    height: 64,
    digits: 1,
    ink: 'var(--alk)',
    least: 0.5,
  },
  {
    key: 'calcium',
    label: 'calcium, mg/L',
    quantity: 'CALCIUM',
    height: 48,
    digits: 0,
    ink: 'var(--soft)',
    least: 40,
  },
  {
    key: 'potassium',
    label: 'potassium, mg/L',
    quantity: 'POTASSIUM',
    height: 48,
    digits: 0,
    ink: 'var(--soft)',
    least: 40,
  },
  {
    key: 'magnesium',
    label: 'magnesium, mg/L',
    quantity: 'MAGNESIUM',
    height: 48,
    digits: 0,
    ink: 'var(--soft)',
    least: 100,
  },
  {
    key: 'ammonia',
    label: 'ammonia, mg/L N',
    quantity: 'AMMONIA',
    height: 48,
    digits: 1,
    ink: 'var(--soft)',
    least: 0.2,
  },
  {
    key: 'nitrite',
    label: 'nitrite, mg/L N',
    quantity: 'NITRITE',
    height: 48,
    digits: 1,
    ink: 'var(--soft)',
    least: 0.2,
  },
  {
    key: 'salinity',
    label: 'salinity, psu',
    quantity: 'SALINITY',
    height: 48,
    digits: 0,
    ink: 'var(--soft)',
    least: 2,
  },
];

export interface Layout {
  panels: Panel[];
  lanes: { light: number | null; people: number | null };
  /** What stood on the tank, row by row so that no two lie over each other. */
  stood: { id: string; row: number; y: number }[];
  axis: number;
  height: number;
}

/** Which strips there are, where they lie, and from where to where their scales reach in the shown window. */
export function layOut(history: History, from: number, to: number, units: Units): Layout {
  let top = FLAGS_HEIGHT;
  const panels: Panel[] = [];
  for (const kind of KINDS) {
    const tracks = history.tracks.filter((t) => t.quantity === kind.quantity);
    if (tracks.length === 0) continue;
    panels.push({
      ...kind,
      label: label(kind, units),
      tracks,
      top,
      domain: domain(tracks, from, to, kind.least),
    });
    top += kind.height + GAP;
  }
  const lane = (shown: boolean) => {
    if (!shown) return null;
    const at = top;
    top += LANE_HEIGHT + 6;
    return at;
  };
  const light = lane(history.lit.length > 0);
  const people = lane(history.occupied.length > 0);
  const rows = inRows(
    history.events.filter((e) => Date.parse(e.at) < to && (!e.until || Date.parse(e.until) > from)),
    to,
  );
  const stood = rows.map(({ id, row }) => ({ id, row, y: top + row * STOOD_HEIGHT }));
  top += (Math.max(-1, ...rows.map((r) => r.row)) + 1) * STOOD_HEIGHT;
  return { panels, lanes: { light, people }, stood, axis: top, height: top + AXIS_HEIGHT };
}

/** Each event that put something on the tank in the first row that is free when it begins. */
export function inRows(
  events: readonly Pick<TankEvent, 'id' | 'at' | 'until' | 'did'>[],
  to: number,
): { id: string; row: number }[] {
  const ends: number[] = [];
  return events
    .filter((e) => e.did.length > 0)
    .map((e) => {
      const at = Date.parse(e.at);
      const free = ends.findIndex((end) => end <= at);
      const row = free < 0 ? ends.length : free;
      ends[row] = e.until ? Date.parse(e.until) : Math.max(to, at + 1);
      return { id: e.id, row };
    });
}

function label(kind: Kind, units: Units): string {
  if (kind.quantity === 'TEMPERATURE') return units.temperature === 'CELSIUS' ? '°C' : '°F';
  return kind.quantity === 'ALKALINITY'
    ? `alkalinity, ${ALKALINITY[units.alkalinity].label}`
    : kind.label;
}

function domain(tracks: Track[], from: number, to: number, least: number): [number, number] {
  let low = Infinity;
  let high = -Infinity;
  for (const track of tracks) {
    for (const stretch of track.stretches) {
      stretch.at.forEach((second, i) => {
        if (second * 1000 < from || second * 1000 > to) return;
        low = Math.min(low, stretch.low[i] ?? low);
        high = Math.max(high, stretch.high[i] ?? high);
      });
    }
    for (const mark of track.marks) {
      const at = Date.parse(mark.at);
      if (at < from || at > to) continue;
      low = Math.min(low, mark.value);
      high = Math.max(high, mark.value);
    }
  }
  if (low > high) return [0, 1];
  const spare = Math.max(0, least - (high - low)) / 2 + (high - low) * 0.06;
  return [low - spare, high + spare];
}

/** Where the flags' words go: in the first of three rows with room, else nowhere. */
export function placeLabels(
  flags: readonly { x: number; words: string }[],
  width: number,
): (number | null)[] {
  const filled = Array<number>(LABEL_ROWS).fill(-Infinity);
  return flags.map(({ x, words }) => {
    const length = words.length * 7.2 + 24;
    if (x < LEFT || x + length > width) return null;
    const row = filled.findIndex((end) => end <= x);
    if (row < 0) return null;
    filled[row] = x + length;
    return row;
  });
}
