import { describe, expect, it } from 'vitest';
import type { History, Units } from '../api/types';
import { inRows, layOut, placeLabels } from './historyLayout';

const UNITS: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  salinity: 'PSU',
  volume: 'LITRE',
};

const NOTHING: History = {
  from: '2026-11-01T00:00:00Z',
  to: '2026-11-02T00:00:00Z',
  tracks: [],
  days: [],
  events: [],
  lit: [],
  occupied: [],
};

describe('layOut', () => {
  it('has strips for what was measured only', () => {
    const layout = layOut(
      {
        ...NOTHING,
        tracks: [
          {
            quantity: 'PH',
            place: 'TANK',
            stretches: [{ at: [100, 200], low: [8, 8.2], high: [8.1, 8.3] }],
            marks: [],
          },
        ],
      },
      0,
      300_000,
      UNITS,
    );
    expect(layout.panels.map((p) => p.key)).toEqual(['ph']);
    expect(layout.lanes).toEqual({ light: null, people: null });
    const [low, high] = layout.panels[0]?.domain ?? [0, 0];
    expect(low).toBeLessThan(8);
    expect(high).toBeGreaterThan(8.3);
    expect(high - low).toBeGreaterThanOrEqual(0.4);
  });

  it('scales to the window that is shown', () => {
    const tracks: History['tracks'] = [
      {
        quantity: 'CO2',
        place: 'ROOM',
        stretches: [{ at: [100, 200], low: [400, 3000], high: [420, 3100] }],
        marks: [],
      },
    ];
    const layout = layOut({ ...NOTHING, tracks }, 0, 150_000, UNITS);
    expect(layout.panels[0]?.domain[1]).toBeLessThan(700);
  });
});

it('flags whose words have no room stay without', () => {
  const flags = [0, 1, 2, 3].map((i) => ({ x: 100 + i, words: 'window open' }));
  expect(placeLabels(flags, 900)).toEqual([0, 1, 2, null]);
  expect(placeLabels([{ x: 880, words: 'window open' }], 900)).toEqual([null]);
});

describe('inRows', () => {
  const event = (id: string, at: number, until?: number) => ({
    id,
    at: new Date(at).toISOString(),
    until: until === undefined ? undefined : new Date(until).toISOString(),
    did: ['hose'],
  });

  it('lays what stood together in rows of its own, and one after the other in one', () => {
    const rows = inRows([event('a', 0, 10), event('b', 5, 20), event('c', 10, 30)], 100);
    expect(rows.map((r) => r.row)).toEqual([0, 1, 0]);
  });

  it('keeps the row of what still stands, and leaves out what did nothing to the tank', () => {
    const rows = inRows([event('a', 0), { ...event('b', 5), did: [] }, event('c', 10, 30)], 100);
    expect(rows).toEqual([
      { id: 'a', row: 0 },
      { id: 'c', row: 1 },
    ]);
  });
});
