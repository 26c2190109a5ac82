import { expect, it } from 'vitest';
import {
  age,
  clockOffset,
  clockTime,
  endOfDay,
  localDay,
  localInput,
  mediumDay,
  shortDay,
  shortTime,
  startOfDay,
  timesIn,
  writeHours12,
} from './time';

const ZONE = 'Europe/Amsterdam';

it('speaks in the home’s zone, on both sides of a clock change', () => {
  expect(localInput(new Date('2025-10-26T00:30:00Z'), ZONE)).toBe('2025-10-26T02:30');
  expect(localInput(new Date('2025-10-26T01:30:00Z'), ZONE)).toBe('2025-10-26T02:30');
  expect(localInput(new Date('2026-01-05T23:00:00Z'), ZONE)).toBe('2026-01-06T00:00');
  expect(clockTime('2026-07-01T08:00:00Z', ZONE)).toBe('10:00');
});

it('knows when a day begins, the ones with 23 and 25 hours too', () => {
  const hours = (day: string, next: string) =>
    (startOfDay(next, ZONE) - startOfDay(day, ZONE)) / 3_600_000;
  expect(new Date(startOfDay('2026-07-01', ZONE)).toISOString()).toBe('2026-06-30T22:00:00.000Z');
  expect(hours('2026-03-29', '2026-03-30')).toBe(23);
  expect(hours('2026-10-25', '2026-10-26')).toBe(25);
  expect(localDay(startOfDay('2026-10-26', ZONE), ZONE)).toBe('2026-10-26');
  expect(new Date(startOfDay('2026-07-01', 'America/Los_Angeles')).toISOString()).toBe(
    '2026-07-01T07:00:00.000Z',
  );
});

it('leaves the day out when it is today', () => {
  const now = new Date('2026-11-12T20:00:00Z');
  expect(shortTime('2026-11-12T08:55:00Z', ZONE, now)).toBe('09:55');
  expect(shortTime('2026-11-11T08:55:00Z', ZONE, now)).toContain('11 Nov');
});

it('tells ages in the coarsest unit that serves', () => {
  expect(age(0)).toBe('same time');
  expect(age(0.5)).toBe('30 min earlier');
  expect(age(16)).toBe('16 h before');
  expect(age(96)).toBe('4 days earlier');
});

it('knows how far a zone’s clocks are ahead, whatever the second', () => {
  const at = (instant: string, zone: string) => clockOffset(Date.parse(instant), zone) / 60_000;
  expect(at('2026-07-01T08:00:31.5Z', ZONE)).toBe(120);
  expect(at('2026-01-01T08:00:59Z', ZONE)).toBe(60);
  expect(at('2026-01-01T08:00:00Z', 'Asia/Kathmandu')).toBe(345);
  expect(at('2026-01-01T08:00:00Z', 'America/St_Johns')).toBe(-210);
});

it('names a day by the zone it is asked in', () => {
  const late = Date.parse('2026-11-12T23:30:00Z');
  expect(shortDay(late, 'UTC')).toBe('12 Nov');
  expect(shortDay(new Date(late), ZONE)).toBe('13 Nov');
  expect(mediumDay(late, ZONE)).toBe('13 Nov 2026');
});

it('writes twelve hours where the account reads so, and never where a form holds the time', () => {
  writeHours12(true);
  try {
    expect(clockTime('2026-07-01T18:05:00Z', ZONE)).toBe('8:05 pm');
    expect(clockTime('2026-06-30T22:00:00Z', ZONE)).toBe('12:00 am');
    expect(endOfDay()).toBe('12:00 am');
    expect(timesIn('Held until 00:15. 12:30 and 20:45 on 2026-11-12T20:45')).toBe(
      'Held until 12:15 am. 12:30 pm and 8:45 pm on 2026-11-12T20:45',
    );
    expect(localInput(new Date('2026-07-01T18:05:00Z'), ZONE)).toBe('2026-07-01T20:05');
  } finally {
    writeHours12(false);
  }
  expect(clockTime('2026-07-01T18:05:00Z', ZONE)).toBe('20:05');
  expect(timesIn('Held until 00:15.')).toBe('Held until 00:15.');
});
