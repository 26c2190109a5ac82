import { expect, it } from 'vitest';
import type { Chosen } from '../api/types';
import { left, standing } from './experimentTime';

const RUNNING: Chosen = {
  id: 'one',
  experiment: 'SKIMMER_OFF_BEFORE_LIGHT',
  name: 'the skimmer off',
  stops: 'SKIMMER',
  stage: 'RUNNING',
  from: '2026-11-13T07:00:00Z',
  until: '2026-11-13T09:00:00Z',
  lateFrom: '2026-11-13T09:15:00Z',
  lowestOxygenMgPerL: 5.8,
};

const at = (time: string) => Date.parse(`2026-11-13T${time}Z`);

it('is at its end on the minute, and late a quarter of an hour after', () => {
  expect(standing(RUNNING, at('08:59:59'))).toBe('running');
  expect(standing(RUNNING, at('09:00:00'))).toBe('over');
  expect(standing(RUNNING, at('09:14:59'))).toBe('over');
  expect(standing(RUNNING, at('09:15:00'))).toBe('late');
});

it('is late before its end where oxygen would run short', () => {
  expect(standing({ ...RUNNING, lateFrom: '2026-11-13T08:30:00Z' }, at('08:31:00'))).toBe('late');
});

it('puts a reading before every clock', () => {
  expect(standing({ ...RUNNING, shortOfOxygen: 4.6 }, at('07:10:00'))).toBe('short');
});

it('never says that less is left than there is', () => {
  expect(left(RUNNING.until, at('07:00:00'))).toBe('2 h 0 min');
  expect(left(RUNNING.until, at('08:00:01'))).toBe('1 h 0 min');
  expect(left(RUNNING.until, at('08:59:30'))).toBe('1 min');
  expect(left(RUNNING.until, at('09:30:00'))).toBe('0 min');
});
