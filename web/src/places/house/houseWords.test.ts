import { expect, it } from 'vitest';
import type { Due, HouseRow, Readiness, Tank } from '../../api/types';
import { headline, needsOf, withoutPower } from './houseWords';

const tank = (id: string, name: string) =>
  ({
    id,
    description: { name, band: { troughAtLeast: 8, peakAtMost: 8.4, actBelow: 7.8 } },
  }) as Tank;
const TANKS = [tank('a', 'Lantern Reef'), tank('b', 'Heron')];

const row = (tankId: string, urgency: HouseRow['urgency'], ph?: number): HouseRow => ({
  tankId,
  urgency,
  curve: [],
  lit: [],
  low: ph === undefined ? undefined : { at: '2026-12-01T06:45:00Z', ph },
});

const due = (id: string, tankId: string, late: boolean, subject: Due['subject'] = 'UPKEEP') =>
  ({ id, tankId, late, subject, what: `Task ${id}.`, on: '2026-12-01' }) as Due;

it('puts danger first, then lows below the action level, then what is due', () => {
  const needs = needsOf([row('b', 'ACT_NOW', 7.66), row('a', 'BELOW_GOAL', 7.9)], TANKS, [
    due('cup', 'a', true),
    due('salt', 'a', false),
    due('spike', 'a', true, 'SPIKE'),
  ]);
  expect(needs.map((n) => n.key)).toEqual(['spike', 'low-b', 'cup']);
  expect(needs.map((n) => n.weight)).toEqual(['danger', 'soon', 'soon']);
  expect(needs[1]?.what).toBe('Heron fell to 7.66');
  expect(needs[1]?.why).toBe('Below your action level of 7.80.');
});

it('leaves out tanks that are gone meanwhile', () => {
  expect(needsOf([row('x', 'ACT_NOW', 7.6)], TANKS, [due('cup', 'x', true)])).toEqual([]);
});

it('says how many things need you', () => {
  const needs = needsOf([], TANKS, [due('1', 'a', true), due('2', 'a', true)]);
  expect(headline([])).toBe('Nothing needs you now.');
  expect(headline(needs.slice(0, 1))).toBe('One thing needs you today.');
  expect(headline(needs)).toBe('Two things need you today.');
  expect(headline(Array.from({ length: 12 }, () => needs[0] as (typeof needs)[number]))).toBe(
    '12 things need you today.',
  );
});

it('rounds hours until danger down', () => {
  const nights = (early?: number) =>
    ({ keptTonight: { early } }) as unknown as Readiness['tanks'][number];
  expect(withoutPower(nights(2.9), 48)).toBe('2½ h');
  expect(withoutPower(nights(15.9), 48)).toBe('15 h');
  expect(withoutPower(nights(), 48)).toBe('over 48 h');
});
