import { expect, it } from 'vitest';
import { hoursDown, spanDown } from './outageTime';

const UNIT_H = { min: 1 / 60, h: 1, days: 24 };

/** What was said, in hours. */
function heard(said: string): number {
  const [, whole = '', half, unit = ''] = /^(\d+)(½?) (min|h|days)$/.exec(said) ?? [];
  return (Number(whole) + (half ? 0.5 : 0)) * UNIT_H[unit as keyof typeof UNIT_H];
}

it('says hours until danger as people do', () => {
  expect([0.7, 2.9, 13.8, 48, 73.1].map(hoursDown)).toEqual([
    '40 min',
    '2½ h',
    '13 h',
    '48 h',
    '3 days',
  ]);
});

it('never says more than there is, and loses at most half of what it says', () => {
  for (let h = 0.1; h < 200; h += 0.037) {
    expect(heard(hoursDown(h))).toBeLessThanOrEqual(h + 1e-6);
    expect(heard(hoursDown(h))).toBeGreaterThan(h / 2);
  }
});

it('says two ends with one unit where they share it', () => {
  expect(spanDown(2.6, 13.2)).toBe('2½–13 h');
  expect(spanDown(3, 3.2)).toBe('3 h');
  expect(spanDown(0.5, 2.1)).toBe('30 min–2 h');
  expect(spanDown(70, 153)).toBe('2½–6 days');
});
