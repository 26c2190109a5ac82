import { expect, it } from 'vitest';
import { age, clockTime, localInput, shortTime } from './time';

const ZONE = 'Europe/Amsterdam';

it('speaks in the home’s zone, on both sides of a clock change', () => {
  expect(localInput(new Date('2025-10-26T00:30:00Z'), ZONE)).toBe('2025-10-26T02:30');
  expect(localInput(new Date('2025-10-26T01:30:00Z'), ZONE)).toBe('2025-10-26T02:30');
  expect(localInput(new Date('2026-01-05T23:00:00Z'), ZONE)).toBe('2026-01-06T00:00');
  expect(clockTime('2026-07-01T08:00:00Z', ZONE)).toBe('10:00');
});

it('leaves the day out when it is today', () => {
  const now = new Date('2026-11-12T20:00:00Z');
  expect(shortTime('2026-11-12T08:55:00Z', ZONE, now)).toBe('09:55');
  expect(shortTime('2026-11-11T08:55:00Z', ZONE, now)).toContain('11 Nov');
});

it('tells ages in the coarsest unit that serves', () => {
  expect(age(0)).toBe('same time');
  expect(age(0.5)).toBe('30 min before');
  expect(age(16)).toBe('16 h before');
  expect(age(96)).toBe('4 days before');
});
