import { expect, test } from 'vitest';
import type { DriftView } from '../../api/types';
import { driftSentence, driftTitle, level, notedOf } from './driftWords';

const view = (over: Partial<DriftView['drift']> = {}, noted: string[] = []): DriftView => ({
  drift: {
    from: '2026-10-24',
    until: '2026-11-07',
    begins: 3.07,
    ends: 2.79,
    perDay: { value: -0.02, low: -0.03, high: -0.01 },
    ...over,
  },
  noted,
});

test('a dose that falls short is said in the keeper’s unit, as a range a day', () => {
  expect(driftSentence('ALKALINITY', view(), 'DKH')).toBe(
    'From about 24 Oct 2026 to 7 Nov 2026 alkalinity fell by 0.8 dKH: 0.03 to 0.08 dKH a day less dosed than used.',
  );
  expect(driftSentence('ALKALINITY', view(), 'MEQ_PER_L')).toContain(
    'fell by 0.28 meq/L: 0.010 to 0.030 meq/L a day less',
  );
  expect(driftTitle('ALKALINITY', view())).toBe('less alkalinity dosed than used');
});

test('what rises is more than was used, a room that fills was sealed or has more people', () => {
  const rise = view({ begins: 2.79, ends: 3.07, perDay: { value: 0.04, low: 0.02, high: 0.05 } });
  expect(driftSentence('ALKALINITY', rise, 'DKH')).toContain(
    'rose by 0.8 dKH: 0.06 to 0.14 dKH a day more dosed than used',
  );
  const room = view({ begins: 203, ends: 561 });
  expect(driftSentence('ROOM_EXCESS', room, 'DKH')).toContain(
    'room CO2 above outdoors went from 200 to 560 ppm: less fresh air, or more people',
  );
  expect(driftTitle('ROOM_EXCESS', room)).toBe('room fuller or tighter');
  expect(level('ROOM_EXCESS', 203, 'DKH')).toBe(203);
  expect(level('ALKALINITY', 20 / 56.0774, 'DKH')).toBeCloseTo(1, 9);
});

test('what is noted of its beginning is named', () => {
  expect(notedOf(view())).toBe('Nothing is logged around its start.');
  expect(notedOf(view({}, ['New limewater pump']))).toBe(
    'Logged around then: “New limewater pump”.',
  );
});
