import { expect, test } from 'vitest';
import type { History, Track } from '../../api/types';
import { extremes, phOver } from './phOver';

const at = (day: string) => Date.parse(`${day}T12:00:00Z`);
const ph: Track = {
  quantity: 'PH',
  place: 'TANK',
  stretches: [
    {
      at: [at('2026-11-02') / 1000, at('2026-11-03') / 1000, at('2026-11-09') / 1000],
      low: [7.81, 7.74, 7.6],
      high: [8.2, 8.3, 8.5],
    },
  ],
  marks: [{ at: '2026-11-05T12:00:00Z', value: 7.7, method: 'METER' }],
};
const history = (tracks: Track[]) => ({ tracks }) as unknown as History;
const from = at('2026-11-01');
const to = at('2026-11-06');

test('lowest and highest are of the days shown only, stretches and marks alike', () => {
  expect(extremes(ph, from, to)).toEqual([
    { ms: at('2026-11-05'), value: 7.7, method: 'METER' },
    { ms: at('2026-11-03'), value: 8.3, method: 'PROBE' },
  ]);
  expect(extremes(ph, at('2026-01-01'), at('2026-01-02'))).toBeUndefined();
});

test('the sentence says how and on which day each was read', () => {
  expect(phOver(history([ph]), from, to, 'Europe/Amsterdam')).toBe(
    'pH 7.70 (meter, 5 Nov) to 8.30 (probe, 3 Nov)',
  );
  expect(phOver(history([ph]), from, at('2026-11-02'), 'Europe/Amsterdam')).toBe(
    'pH 7.81 (probe, 2 Nov) to 8.20 (probe, 2 Nov)',
  );
  expect(phOver(history([{ ...ph, place: 'ROOM' }]), from, to, 'UTC')).toBe(
    'No pH readings in these days',
  );
});
