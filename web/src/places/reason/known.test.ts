import { describe, expect, it } from 'vitest';
import type {
  Experiment,
  Open,
  OverExperiment,
  Finding,
  Twin,
  Unknown,
  Units,
} from '../../api/types';
import { standing } from '../../drawings/KnownDrawing';
import { stretches } from '../../drawings/LeftDrawing';
import { after, daysOfPh, came, how, narrows, openness, finding, verdict } from './known';

const METRIC: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  volume: 'LITRE',
  salinity: 'PSU',
};

const band = (low: number, value: number, high: number) => ({ low, value, high });

function unknown(
  name: Unknown['unknown'],
  now: Unknown['after'],
  learnt = true,
  before = band(0.5, 1, 2),
): Unknown {
  return { unknown: name, name, before, after: now, learnt };
}

it('says respiration in the unit of the oxygen screens', () => {
  // 0.012 mmol/(L·h) × 31.998 g/mol, by hand.
  expect(after(unknown('RESPIRATION', band(0.012, 0.015, 0.0185)), METRIC)).toBe(
    '0.38–0.59 mg/L an hour',
  );
});

it('says what tests, meters and clocks are off by, in their own units', () => {
  expect(after(unknown('ALKALINITY', band(-0.1, 0, 0.1)), METRIC)).toBe('−0.3 to +0.3 dKH');
  expect(
    after(unknown('ALKALINITY', band(-0.1, 0, 0.1)), { ...METRIC, alkalinity: 'PPM_CACO3' }),
  ).toBe('−5 to +5 ppm CaCO3');
  expect(after(unknown('ROOM', band(-41, 0, 40)), METRIC)).toBe('−41 to +40 ppm');
  expect(after(unknown('LAMPS', band(0.9, 1, 1.1)), METRIC)).toBe('+54 to +66 min');
  expect(after(unknown('DRIFT', band(-0.001, 0, 0.001)), METRIC)).toBe(
    '−0.007 to +0.007 pH a week',
  );
  expect(after(unknown('SKIMMER', band(0.78, 1, 1.26)), METRIC)).toBe('× 0.78–1.26');
});

it('says what comes through a hose as a share, placed by its odds', () => {
  const hose = unknown('INTAKE', band(0.45, 0.52, 0.6), true, band(0.62, 0.95, 0.996));
  expect(after(hose, METRIC)).toBe('45–60 % outdoor air');
  expect(how({ ...hose, learnt: false })).toBe('assumed');
  expect(standing(0.95, hose)).toBe(0);
  expect(standing(0.62, hose)).toBeCloseTo(-1, 1);
  expect(standing(0.996, hose)).toBeCloseTo(1, 1);
});

it('says a use of alkalinity by the day, and whether doses and tests tell it', () => {
  const use = unknown('USE', band(0.07, 0.078, 0.0857), false);
  expect(after(use, METRIC)).toBe('0.20–0.24 dKH a day');
  expect(how(use)).toBe('as described');
  expect(how(use, true)).toBe('doses and tests');
  expect(how({ ...use, learnt: true }, true)).toBe('learned');
});

it('says how each is known', () => {
  expect(how(unknown('SKIMMER', band(0.9, 1, 1.1)))).toBe('learned');
  expect(how(unknown('SKIMMER', band(0.5, 1, 2), false))).toBe('as described');
  expect(how(unknown('ALKALINITY', band(-1, 0, 1), false))).toBe('as tested');
});

it('places a factor by its logarithm, and nothing beyond the track', () => {
  const skimmer = unknown('SKIMMER', band(0.5, 1, 2));
  expect(standing(1, skimmer)).toBeCloseTo(0);
  expect(standing(2, skimmer)).toBeCloseTo(1);
  expect(standing(0.5, skimmer)).toBeCloseTo(-1);
  expect(standing(100, skimmer)).toBe(1.5);
  const room = unknown('ROOM', band(-20, 0, 20), true, band(-41, 0, 41));
  expect(standing(20.5, room)).toBeCloseTo(0.5);
});

it('breaks the trace where nothing was read', () => {
  const at = (hour: number) => ({ at: new Date(Date.UTC(2026, 8, 14, hour)).toISOString(), ph: 0 });
  expect(stretches([at(0), at(1), at(5), at(6)]).map((s) => s.length)).toEqual([2, 2]);
  expect(stretches([])).toEqual([]);
});

const OPEN: Open[] = [
  { decision: 'TROUGH', name: 'your daily low', value: band(7.83, 7.87, 7.89) },
  { decision: 'LINE_GAIN', name: 'the gain of an outdoor hose', value: band(0.1, 0.15, 0.21) },
  { decision: 'OXYGEN_WITHOUT_SKIMMER', name: 'the lowest oxygen with the skimmer off' },
];

it('says what is open as a range', () => {
  expect(OPEN.map(openness)).toEqual([
    '7.83–7.89',
    '+0.10 to +0.21',
    'not possible: this tank would run out of oxygen',
  ]);
});

it('names what an experiment narrows, the most first, and not what it hardly does', () => {
  const experiment: Experiment = {
    experiment: 'OXYGEN_NIGHT',
    name: 'an oxygen probe',
    minutes: 20,
    narrowing: [0.049, 0.2, 0.345],
    ofTheBest: 0.2,
    allowed: true,
  };
  expect(narrows(experiment, OPEN)).toEqual([
    'the lowest oxygen with the skimmer off by 35 %',
    'the gain of an outdoor hose by 20 %',
  ]);
});

it('says the length of a log in hours below two days, else in days', () => {
  expect(daysOfPh(11)).toBe('6 hours');
  expect(daysOfPh(95)).toBe('2 days');
  expect(daysOfPh(371)).toBe('8 days');
});

it('claims nothing without a log', () => {
  const twin: Twin = {
    fitted: false,
    halfHours: 0,
    scatterPh: 0,
    dispersion: 1,
    useDosed: false,
    fishMmolPerLPerH: 0,
    unknowns: [unknown('RESPIRATION', band(0.008, 0.018, 0.04), false)],
    alike: [],
    open: [],
    experiments: [],
    left: [],
    standing: [],
  };
  expect(verdict(twin)).toContain('learned nothing');
  expect(verdict({ ...twin, fitted: true })).toBe(
    'This reef uses 0.26–1.28 mg/L of oxygen an hour.',
  );
});

describe('an experiment that is over', () => {
  const one = (achieved: number | undefined): Finding => ({
    decision: 'TROUGH_WITHOUT_SKIMMER',
    name: 'the daily low with the skimmer off',
    promised: 0.38,
    before: band(7.8, 7.88, 7.96),
    after: achieved === undefined ? undefined : band(7.84, 7.88, 7.92),
    achieved,
  });
  const over = (findings: Finding[], settled = true) =>
    came({ findings, settled, chosen: {} as OverExperiment['chosen'] });

  it('says what it showed of what it promised most', () => {
    expect(over([one(0.5)])).toBe(
      'Result for the daily low with the skimmer off: 7.84–7.92, 50 % narrower, 38 % promised.',
    );
    expect(over([one(0.5)], false)).toContain('so far');
  });

  it('says so when a band grew', () => {
    expect(finding(one(-0.104)).narrower).toBe('10 % wider, 38 % promised');
  });

  it('claims nothing without a fit', () => {
    expect(finding(one(undefined)).now).toBe('unknown');
    expect(over([one(undefined)])).toMatch(/No result yet/);
    expect(over([])).toMatch(/No result yet/);
  });
});
