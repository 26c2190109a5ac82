import { expect, test } from 'vitest';
import type { Delivered, DoseUse, Line, MixingCard, Units } from '../../api/types';
import {
  asMeasure,
  plannedAt,
  shareOfOthers,
  beforeAndAfter,
  brings,
  emptyIn,
  headline,
  nextStep,
  staysBehind,
  stepWithoutPlan,
  timesInWords,
  used,
  weighed,
} from './doseWords';

const units = { alkalinity: 'DKH' } as Units;
const estimate = (value: number, by: number) => ({ value, low: value - by, high: value + by });

const run = (share: number): Delivered => ({
  from: '2026-11-01T08:00:00Z',
  until: '2026-11-09T08:00:00Z',
  levels: [],
  plannedMl: 480,
  share: estimate(share, 0.02),
  fallsShort: share < 0.9,
  tooMuch: share > 1.1,
});

const line = (over: Partial<Line> = {}): Line => ({
  id: 'l',
  version: 0,
  name: 'limewater',
  solute: 'LIMEWATER',
  molPerL: 0.0203,
  share: 1,
  stopped: [],
  place: '',
  vesselMl: 5000,
  plans: [],
  mlPerDay: 800,
  meqPerLPerDay: 0.0773,
  calciumMgPerLPerDay: 1.55,
  notes: [],
  runs: [run(0.74)],
  delivers: run(0.74).share,
  state: 'SHORT',
  lookFor: [],
  ...over,
});

test('a line says what arrives of its plan', () => {
  expect(headline(line())).toBe('This dosing line delivers only 72–76 % of plan.');
  expect(headline(line({ state: 'AS_PLANNED', delivers: run(1).share }))).toContain('98–102 %');
  expect(headline(line({ state: 'TOO_MUCH', delivers: run(1.3).share }))).toContain(
    'Stop the pump',
  );
  expect(headline(line({ state: 'NOT_KNOWN', delivers: undefined }))).toContain('Log a filling');
  expect(headline(line({ state: 'NOT_KNOWN', delivers: estimate(0.93, 0.08) }))).toBe(
    'This dosing line delivers 85–101 % of plan. That range is too wide to judge: read the level once more.',
  );
  const byCylinder = estimate(0.8, 0.03);
  expect(headline(line({ state: 'SHORT', delivers: byCylinder, cylinderShare: byCylinder }))).toBe(
    'This dosing line delivers only 77–83 % of plan, by the cylinder.',
  );
  expect(headline(line({ endedAt: '2026-11-09T08:00:00Z' }))).toBe('This dosing line has stopped.');
  expect(beforeAndAfter([run(0.74), run(0.99)])).toBe('72–76 % in the run before, 97–101 % since.');
  expect(beforeAndAfter([run(1)])).toBeUndefined();
  expect(beforeAndAfter([run(1), run(1.01)])).toBeUndefined();
});

test('days are said as days', () => {
  expect(emptyIn(estimate(6, 1.5))).toBe('Empty in 4–8 days.');
  expect(emptyIn(estimate(6, 0.1))).toBe('Empty in about 6 days.');
  expect(emptyIn(estimate(0.2, 0.1))).toBe('The reservoir is about empty.');
  expect(emptyIn(undefined)).toBeUndefined();
});

test('a line says what it brings', () => {
  expect(brings(line(), units)).toBe('800 mL a day, 0.22 dKH and 1.6 mg/L of calcium');
  expect(brings(line({ meqPerLPerDay: 0 }), units)).toBe('800 mL a day, 1.6 mg/L of calcium');
});

test('use is what arrived less what tests show', () => {
  const alkalinity = {
    perDay: estimate(0.08, 0.01),
    arrivedPerDay: estimate(0.0773, 0.004),
    changedPerDay: estimate(-0.003, 0.009),
    tests: 4,
  };
  const use: DoseUse = { days: 28, alkalinity };
  expect(used(use, units)[0]).toBe(
    'Your animals use 0.20–0.25 dKH a day: 0.21–0.23 arrived, and 4 tests changed by −0.03 to 0.02 a day.',
  );
  const both = { ...use, calcium: { ...alkalinity, perDay: estimate(1.6, 0.2) } };
  expect(used({ ...both, calciumPerMeq: estimate(20, 4) }, units)[2]).toContain('Animals grow');
  expect(used({ ...both, calciumPerMeq: estimate(40, 4) }, units)[2]).toContain('Something else');
  expect(used({ ...use, alkalinity: undefined }, units)[0]).toContain('fewer than three');
});

const NOV = Date.parse('2026-11-01T12:00:00Z');

test('potassium has a date, and the water change that holds it', () => {
  const fast = {
    potassiumMgPerL: 14,
    potassiumNow: 400,
    saltMgPerL: 0,
    daysToMostPotassium: 100 / 14,
    weeklyForPotassium: 0.98,
    weeklyForSalt: 0,
  };
  expect(staysBehind(fast, NOV)).toEqual([
    'Potassium rises by 14 mg/L a day. From about 400 it passes 500 mg/L on 8 Nov 2026; no usual water change keeps up. Test potassium.',
  ]);
  const slow = {
    ...fast,
    potassiumMgPerL: 2,
    potassiumNow: 400,
    daysToMostPotassium: 50,
    weeklyForPotassium: 0.14,
  };
  expect(staysBehind(slow, NOV)[0]).toContain('changing 14 % of the water a week');
});

const none = {
  potassiumMgPerL: 0,
  potassiumNow: 400,
  saltMgPerL: 0,
  weeklyForPotassium: 0,
  weeklyForSalt: 0,
};

test('salt creeps, and limewater leaves nothing', () => {
  expect(staysBehind({ ...none, saltMgPerL: 8.2, weeklyForSalt: 0.0574 }, NOV)[0]).toBe(
    'Salinity rises by about 0.25 psu a month; changing 6 % of the water a week keeps it within 1 psu of now.',
  );
  expect(staysBehind(none, NOV)).toEqual([]);
});

test('what is weighed out is also said in spoons and ounces, lye never in spoons', () => {
  const card = { grams: 9.8, teaspoons: 3.44 } as MixingCard;
  expect(weighed(card, { volume: 'LITRE' } as Units)).toBe(
    '9.8 g, about 3.5 level teaspoons of 5 mL',
  );
  expect(weighed({ grams: 200 } as MixingCard, { volume: 'US_GALLON' } as Units)).toBe(
    '200 g (7.05 oz), on a scale only',
  );
});

test('times and what the bench puts on for a line', () => {
  expect(timesInWords(undefined)).toBe('runs all day');
  expect(timesInWords({ perDay: 6, first: '21:00', overH: 12 })).toBe(
    '6 doses from 21:00 over 12 h',
  );
  expect(asMeasure(line())).toEqual({
    kind: 'limewater',
    numbers: { mlPerDay: 800, strength: 1 },
  });
  expect(
    asMeasure(line({ solute: 'SODA_ASH', meqPerLPerDay: 0.357 }))?.numbers?.dkhPerDay,
  ).toBeCloseTo(1, 2);
  expect(asMeasure(line({ solute: 'CALCIUM_CHLORIDE', meqPerLPerDay: 0 }))).toBeUndefined();
});

test('the next step is half of what is missing', () => {
  const next = { mlPerDay: 503.4, missing: estimate(0.02, 0.005), limited: false };
  expect(nextStep(line({ next }), units)).toBe(
    'Tests fall: 0.04–0.07 dKH a day more are used than arrive. Correct half of that first: 503 mL a day. Test again in 2–3 days at the same hour.',
  );
  const much = { mlPerDay: 300, missing: estimate(-0.02, 0.005), limited: true };
  expect(nextStep(line({ next: much }), units)).toContain(
    'Tests climb: 0.04–0.07 dKH a day more arrive than are used',
  );
  expect(nextStep(line(), units)).toBeUndefined();
});

test('without one of two lines the other goes on', () => {
  const can = line({ id: 'a', meqPerLPerDay: 0.06 });
  const soda = line({ id: 'b', meqPerLPerDay: 0.02 });
  const ended = line({ id: 'c', meqPerLPerDay: 0.5, endedAt: '2026-10-01T08:00:00Z' });
  expect(shareOfOthers(can, [can])).toBe(0);
  expect(shareOfOthers(can, [can, soda, ended])).toBeCloseTo(0.25);
  expect(shareOfOthers(soda, [can, soda, ended])).toBeCloseTo(0.75);
});

test('what was planned then comes back by undo, not what is planned now', () => {
  const plans = [
    { since: '2026-10-01T08:00:00Z', mlPerDay: 800 },
    { since: '2026-11-01T08:00:00Z', mlPerDay: 1200 },
    { since: '2026-11-08T08:00:00Z', mlPerDay: 700 },
  ];
  const at = (local: string) => plannedAt(line({ plans }), local, 'Europe/Amsterdam');
  expect(at('2026-09-30T12:00')).toBe(0);
  expect(at('2026-10-20T12:00')).toBe(800);
  expect(at('2026-11-01T08:59')).toBe(800);
  expect(at('2026-11-01T09:00')).toBe(1200);
  expect(at('2026-11-20T12:00')).toBe(700);
});

test('one next step is named where the plan stays', () => {
  expect(stepWithoutPlan(line({ state: 'TOO_MUCH', daysLeft: estimate(1, 0.1) }))).toContain(
    'Stop the pump',
  );
  expect(stepWithoutPlan(line())).toBe('Find out why less arrives.');
  expect(stepWithoutPlan(line({ state: 'AS_PLANNED', daysLeft: estimate(3, 1.5) }))).toBe(
    'Refill the reservoir.',
  );
  expect(stepWithoutPlan(line({ state: 'NOT_KNOWN' }))).toBe('Log the level of the reservoir.');
  expect(stepWithoutPlan(line({ state: 'AS_PLANNED', daysLeft: estimate(6, 0.5) }))).toBe(
    'Nothing to change.',
  );
});
