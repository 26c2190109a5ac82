import { expect, test } from 'vitest';
import type { EffectCard, EffectFound, EffectTrial, Units, UseBeside } from '../../api/types';
import {
  beside,
  besideTrial,
  costs,
  headline,
  since,
  sizeOf,
  summary,
  title,
  usedSince,
  word,
} from './effectWords';

const comparison = {
  before: 7.85,
  after: 8,
  raw: 0.15,
  explained: 0.02,
  left: { value: 0.13, deviation: 0.02, ofDays: 0.01, low: 0.1, high: 0.16 },
  scatter: 0.02,
  chance: 0.001,
};

const found = (over: Partial<EffectFound> = {}): EffectFound => ({
  effect: {
    daysBefore: ['2026-10-30', '2026-10-31', '2026-11-01'],
    daysAfter: ['2026-11-04', '2026-11-05', '2026-11-06'],
    trough: comparison,
    peak: comparison,
    mean: comparison,
    explained: true,
    ofAlkalinity: -0.01,
  },
  verdict: 'AS_POSSIBLE',
  possible: { value: 0.12, low: 0.09, high: 0.15 },
  moreDays: 0,
  lookFor: [],
  before: [],
  after: [],
  roomMeasured: true,
  calibrated: false,
  ...over,
});

const card = (over: Partial<EffectCard> = {}): EffectCard => ({
  at: '2026-11-02T12:20:00Z',
  changes: [
    {
      at: '2026-11-02T12:20:00Z',
      what: 'BEGAN',
      title: 'hose',
      plainly: 'outdoor line',
      parts: [],
      moves: true,
    },
  ],
  windows: {
    before: '2026-10-30',
    change: '2026-11-02',
    after: '2026-11-04',
    end: '2026-11-07',
    coming: false,
  },
  beside: [],
  missing: false,
  found: found(),
  ...over,
});

test('a card says what it compares and what it found', () => {
  expect(title(card())).toBe('Hose');
  expect(since(card())).toBe('since 2 Nov 2026 · 3 whole days before, 3 after');
  expect(headline(card())).toBe('It worked as expected.');
  expect(beside(card())[0]).toBe(
    'Explained: room air, temperature and other changes +0.03, alkalinity −0.01.',
  );
});

test('what went the other way is not called less', () => {
  const left = { ...comparison.left, value: -0.05, low: -0.08, high: -0.02 };
  const effect = { ...found().effect, trough: { ...comparison, left } };
  expect(headline(card({ found: found({ effect, verdict: 'LESS_THAN_POSSIBLE' }) }))).toBe(
    'It did the opposite.',
  );
  expect(headline(card({ found: found({ effect, verdict: 'FELL' }) }))).toBe(
    'The daily low fell by 0.02–0.08. Nothing measured explains that.',
  );
});

test('a thin card still says whether it is as expected', () => {
  expect(headline(card({ found: found({ verdict: 'THIN' }) }))).toBe(
    'Not enough days yet: fewer than three on one side. So far this change could have moved the low by +0.10 to +0.16, as expected.',
  );
  const possible = { value: 0.3, low: 0.25, high: 0.35 };
  expect(headline(card({ found: found({ verdict: 'THIN', possible }) }))).toContain('unlike');
});

test('days that could still come are counted, those that cannot are not', () => {
  const open = found({ verdict: 'NOT_TOLD', moreDays: 4 });
  const windows = { ...card().windows, coming: true };
  expect(headline(card({ found: open, windows }))).toContain('yet (4 more days would)');
  expect(headline(card({ found: open }))).not.toContain('more days');
});

test('what cannot be compared says why', () => {
  const cutAfter = { at: '2026-11-03T08:00:00Z', title: 'media' };
  const short = card({
    found: undefined,
    windows: { ...card().windows, end: card().windows.after, cutAfter },
  });
  expect(word(short)).toBe('cut short');
  expect(headline(short)).toContain('“media” came before the water had settled');
});

test('a change right after another is measured against nothing', () => {
  const cutBefore = { at: '2026-10-31T08:00:00Z', title: 'media' };
  const windows = { ...card().windows, before: '2026-11-02', cutBefore };
  const close = card({ found: undefined, windows });
  expect(word(close)).toBe('too close to the previous change');
  expect(headline(close)).toBe('“media” had not settled yet when this change came.');
});

test('without a log the next change is not to blame', () => {
  const cutAfter = { at: '2026-11-06T08:00:00Z', title: 'media' };
  const windows = { ...card().windows, cutAfter };
  const bare = card({ found: undefined, windows });
  expect(word(bare)).toBe('no days to compare');
  expect(headline(bare)).toContain('No whole day of pH');
});

test('nothing seen where much was possible did not go the other way', () => {
  const left = { ...comparison.left, value: -0.002, low: -0.02, high: 0.016 };
  const effect = { ...found().effect, trough: { ...comparison, left } };
  expect(headline(card({ found: found({ effect, verdict: 'LESS_THAN_POSSIBLE' }) }))).toBe(
    'It helped less than expected.',
  );
});

test('a change that may be chance among many says so', () => {
  expect(beside(card({ stands: false })).join(' ')).toContain('could be chance');
  expect(beside(card({ stands: true })).join(' ')).not.toContain('chance');
});

const trial = (over: Partial<EffectTrial> = {}): EffectTrial => ({
  hours: {
    from: '2026-11-02T18:20:00Z',
    until: '2026-11-04T18:40:00Z',
    through: 0.98,
    left: { value: 0, deviation: 0.01, ofDays: 0.01, low: -0.01, high: 0.01 },
    possible: { value: 0.1, low: 0.05, high: 0.16 },
    stretches: 3,
    halfHours: [],
  },
  verdict: 'LESS_THAN_POSSIBLE',
  lookFor: [],
  roomMeasured: true,
  ...over,
});

test('what was cut short is said by its hours', () => {
  const short = card({ found: undefined, trial: trial() });
  expect(headline(short)).toBe('In 48 h it helped less than expected: −0.01 to +0.01.');
  expect(word(short)).toBe('less than expected, by hours');
  expect(besideTrial(trial())).toContain('Expected in these hours: +0.05 to +0.16.');
});

test('a trial that went down is not called less, and one of which nobody said more fell', () => {
  const left = { value: -0.05, deviation: 0.01, ofDays: 0.01, low: -0.07, high: -0.03 };
  const hours = { ...trial().hours, left };
  expect(headline(card({ found: undefined, trial: trial({ hours }) }))).toBe(
    'In 48 h it did the opposite: −0.07 to −0.03.',
  );
  const fell = trial({ hours: { ...hours, possible: undefined }, verdict: 'FELL' });
  expect(headline(card({ found: undefined, trial: fell }))).toBe(
    'In 48 h pH fell by 0.03–0.07. Nothing measured explains that.',
  );
  expect(besideTrial(fell)[2]).toContain('Describe the change on the Bench');
});

const METRIC: Units = {
  volume: 'LITRE',
  temperature: 'CELSIUS',
  alkalinity: 'DKH',
  salinity: 'PSU',
};

const used = (over: Partial<UseBeside> = {}): UseBeside => {
  const one = { value: 0.05, low: 0.04, high: 0.06 };
  return {
    step: {
      before: { perDay: one, arrivedPerDay: one, changedPerDay: one, tests: 6 },
      after: { perDay: one, arrivedPerDay: one, changedPerDay: one, tests: 5 },
      changed: { value: 0.0357, low: 0.0178, high: 0.0535 },
    },
    said: 'ROSE',
    dosed: true,
    omegaAtPeak: 4,
    ...over,
  };
};

test('use that rose with pH is shown beside it, and never as its proof', () => {
  const words = usedSince(card({ use: used() }), METRIC);
  expect(words[0]).toBe(
    'Animals use 0.05–0.15 dKH a day more alkalinity since then (6 tests before, 5 since, with delivered doses).',
  );
  expect(words[1]).toContain('does not prove');
  expect(words).toHaveLength(2);
});

test('where aragonite may fall out by itself crusts are asked for first', () => {
  expect(usedSince(card({ use: used({ omegaAtPeak: 5.6 }) }), METRIC).join(' ')).toContain(
    '5.6 times saturated. Check heaters and pumps',
  );
});

test('use that moved against pH points at tests and doses', () => {
  const step = { ...used().step, changed: { value: -0.03, low: -0.05, high: -0.01 } };
  const words = usedSince(card({ use: used({ said: 'FELL', step }) }), METRIC);
  expect(words[0]).toContain('0.03–0.14 dKH a day less');
  expect(words[1]).toContain('the other way');
});

test('tests that leave a step of use open say so', () => {
  const step = { ...used().step, changed: { value: 0.01, low: -0.01, high: 0.03 } };
  expect(usedSince(card({ use: used({ said: 'NOT_TOLD', step, dosed: false }) }), METRIC)).toEqual([
    'Alkalinity use since: −0.03 to +0.08 dKH a day. Your tests show no step (6 tests before, 5 since, assuming the same dosing).',
  ]);
  expect(usedSince(card(), METRIC)).toEqual([]);
});

test('a step is held against what it costs a month', () => {
  expect(costs(card(), 'EUR')).toBeUndefined();
  expect(costs(card({ perMonth: 0.2 }), 'EUR')).toBe('Running cost: almost nothing.');
  // 0.10 to 0.16 for 48 a month: 30 to 48 for each tenth.
  expect(costs(card({ perMonth: 48 }), 'EUR')).toBe(
    'Running cost: about €48 a month at assumed prices: €30–€48 a month per 0.1 of daily low.',
  );
  const band = (low: number, high: number) => {
    const made = found();
    const trough = { ...made.effect.trough, left: { ...made.effect.trough.left, low, high } };
    return card({ perMonth: 48, found: { ...made, effect: { ...made.effect, trough } } });
  };
  expect(costs(band(-0.02, 0.08), 'EUR')).toContain('at least €60 a month');
  expect(costs(band(-0.05, -0.02), 'EUR')).toContain('without a gain');
  expect(costs(card({ perMonth: 48, found: undefined }), 'EUR')).toBe(
    'Running cost: about €48 a month at assumed prices.',
  );
});

const named = (name: string, low: number, high: number, over: Partial<EffectCard> = {}) => {
  const left = { ...comparison.left, value: (low + high) / 2, low, high };
  const it = found();
  return card({
    changes: card().changes.map((c) => ({ ...c, title: name })),
    found: { ...it, effect: { ...it.effect, trough: { ...comparison, left } } },
    ...over,
  });
};

test('the first sentence names the two changes that clearly raised the low most', () => {
  const cards = [
    named('hose', 0.1, 0.16),
    named('media', 0.2, 0.28),
    named('lamps', 0.02, 0.06),
    named('perhaps', -0.1, 0.9),
    named('window shut', -0.3, -0.2),
  ];
  expect(summary(cards)).toBe('Helped most: Media +0.24, Hose +0.13.');
});

test('what has too few days is promising, beside what is clear it is not named', () => {
  const thin = named('media', 0.36, 0.42);
  const few = { ...thin, found: { ...found(), ...thin.found, verdict: 'THIN' as const } };
  expect(summary([few])).toBe('Most promising so far: Media +0.39. Too few days to be sure.');
  expect(summary([few, named('hose', 0.1, 0.16)])).toBe('Helped most: Hose +0.13.');
  expect(sizeOf(few)?.clear).toBe(false);
});

test('nothing is said to have helped that could be chance, or is not compared yet', () => {
  expect(summary([named('hose', 0.1, 0.16, { stands: false })])).toBe(
    'No change has clearly raised your daily low yet.',
  );
  expect(summary([card({ found: undefined, missing: true })])).toContain('Comparing');
});

test('a change of one day on each side has a size, and no range that would claim more', () => {
  const alone = found();
  const left = { ...comparison.left, low: undefined, high: undefined };
  const size = sizeOf(
    card({ found: { ...alone, effect: { ...alone.effect, trough: { ...comparison, left } } } }),
  );
  expect(size).toEqual({
    value: 0.13,
    range: '1 day on each side',
    clear: false,
    promising: false,
  });
  expect(sizeOf(card({ found: undefined }))).toBeUndefined();
});
