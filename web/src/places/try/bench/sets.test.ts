import { expect, it } from 'vitest';
import type { MeasureKind, Parameter, TankEvent, Units } from '../../../api/types';
import { inWords, knobs, shownAs, turned, withMeasure, withoutMeasure } from './measures';
import { changes, means, readSet, setInWords, toggled, withStanding } from './sets';

const METRIC: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  salinity: 'PSU',
  volume: 'LITRE',
};
const US: Units = { ...METRIC, temperature: 'FAHRENHEIT', volume: 'US_GALLON' };

const number = (
  name: string,
  unit: Parameter['unit'],
  at: number,
  more: Partial<Parameter> = {},
): Parameter => ({
  name,
  label: name,
  unit,
  min: 0,
  max: 10,
  step: 1,
  number: at,
  options: [],
  tells: true,
  ...more,
});

const HOSE: MeasureKind = {
  kind: 'outdoor-line',
  name: 'Outdoor air hose to the skimmer',
  shortName: 'hose',
  fault: false,
  reversible: false,
  parameters: [
    number('lengthM', 'METRES', 6),
    number('boreMm', 'MILLIMETRES', 12.7, {
      options: [
        { value: '4.0', label: '' },
        { value: '12.7', label: '' },
      ],
    }),
    {
      ...number('mouth', 'NONE', 0, { tells: false }),
      number: undefined,
      choice: 'CLEAN',
      options: [
        { value: 'CLEAN', label: 'in clean air' },
        { value: 'FLUE', label: 'near a flue' },
      ],
    },
    number('fluePpm', 'PPM', 780, { tells: false, shownWith: { value: 'mouth', label: 'FLUE' } }),
  ],
};
const medium = (kind: string): MeasureKind => ({
  kind,
  name: kind,
  shortName: kind,
  group: 'MEDIA',
  fault: false,
  reversible: true,
  parameters: [number('massKg', 'KILOGRAMS', 1)],
});
const WARMTH: MeasureKind = {
  kind: 'warmth',
  name: 'Warmer or cooler water',
  shortName: 'water',
  fault: false,
  reversible: true,
  parameters: [number('byK', 'KELVIN', 3, { min: -4 })],
};
const ALL = [HOSE, medium('scrubber'), medium('recirculated-media'), WARMTH];

it('says what a set does to the source', () => {
  expect(means([])).toBe('changes nothing');
  expect(means(['REMOVES_THE_SOURCE', 'OFFSETS'])).toBe('removes the source, offsets');
  expect(means(['MASKS'])).toContain('the CO2 stays');
});

it('names a set by its measures, in the keeper’s units', () => {
  expect(inWords(ALL, [], METRIC)).toBe('current setup');
  const set = [
    { kind: 'scrubber' },
    { kind: 'outdoor-line', numbers: { boreMm: 4 } },
    { kind: 'unheard-of' },
  ];
  expect(inWords(ALL, set, METRIC)).toBe('hose (6 m, 4 mm), scrubber (1 kg)');
  expect(inWords(ALL, set, US)).toBe('hose (19.7 ft, 0.16 in), scrubber (2.2 lb)');
  expect(inWords(ALL, [{ kind: 'warmth' }], US)).toBe('water (+5.4 °F)');
});

it('draws what has a meaning and turns it', () => {
  const bare = { kind: 'outdoor-line' };
  expect(knobs(HOSE, bare, METRIC).map((k) => k.parameter.name)).toEqual([
    'lengthM',
    'boreMm',
    'mouth',
  ]);
  const [, , mouth] = HOSE.parameters;
  if (!mouth) throw new Error('no mouth');
  const flue = turned(bare, mouth, 'FLUE');
  expect(knobs(HOSE, flue, METRIC).map((k) => k.parameter.name)).toContain('fluePpm');
  const bore = knobs(HOSE, { ...bare, numbers: { boreMm: 9 } }, METRIC)[1];
  expect(bore?.kind === 'choose' && bore.options.map((o) => o.value)).toEqual(['4', '9', '12.7']);
  expect(bore?.kind === 'choose' && bore.options[2]?.label).toBe('12.7 mm');
  const [length] = HOSE.parameters;
  if (!length) throw new Error('no length');
  expect(turned(flue, length, 3)).toEqual({
    kind: 'outdoor-line',
    numbers: { lengthM: 3 },
    choices: { mouth: 'FLUE' },
  });
});

it('puts on and takes off; of a group one is on', () => {
  const one = withMeasure(ALL, [{ kind: 'warmth' }], { kind: 'scrubber' });
  expect(one.map((p) => p.kind)).toEqual(['warmth', 'scrubber']);
  const other = withMeasure(ALL, one, { kind: 'recirculated-media' });
  expect(other.map((p) => p.kind)).toEqual(['warmth', 'recirculated-media']);
  const again = withMeasure(ALL, other, { kind: 'warmth', numbers: { byK: 1 } });
  expect(again[0]).toEqual({ kind: 'warmth', numbers: { byK: 1 } });
  expect(withoutMeasure(again, 'warmth').map((p) => p.kind)).toEqual(['recirculated-media']);
});

it('shows each unit as a keeper reads it', () => {
  const as = (unit: Parameter['unit'], value: number, more: Partial<Parameter> = {}) =>
    shownAs(number('n', unit, 0, more), value, METRIC);
  expect(as('TIMES', 1.5)).toBe('× 1.5');
  expect(as('SHARE', 0.05)).toBe('5 %');
  expect(as('PH', 8.2)).toBe('8.20');
  expect(as('HOUR', 3)).toBe('3:00');
  expect(as('ML_PER_DAY', 500)).toBe('500 mL');
  expect(as('DKH', 1, { min: -3 })).toBe('+1.0 dKH');
  expect(as('DKH', 1)).toBe('1.0 dKH');
});

it('takes only sets from an address', () => {
  const set = { name: 'a', put: [{ kind: 'surface', numbers: { times: 2 } }] };
  expect(readSet(set)).toEqual(set);
  for (const wrong of [null, 'a', { name: 3, put: [] }, { name: 'a' }, { name: 'a', put: 3 }])
    expect(readSet(wrong)).toBeUndefined();
});

it('opens the links of before the registry', () => {
  const old = readSet({
    name: 'A',
    put: {
      line: { lengthM: 6, boreMm: 4, flue: { fromHour: 3, toHour: 7, ppm: 780 } },
      media: { massKg: 1, freshShare: 0.05, hours: 'LAMPS_OFF', driesBetween: true },
      source: 'SODA_ASH',
      sourceDkhPerDay: 1,
      refugium: { mmolPerH: 3, on: '00:00', off: '23:45' },
      surfaceTimes: 'much',
      nobodyHome: true,
    },
  });
  expect(old?.put.map((p) => p.kind)).toEqual([
    'nobody',
    'outdoor-line',
    'scrubber',
    'source',
    'refugium',
  ]);
  const [, hose, media] = old?.put ?? [];
  expect(hose?.numbers).toEqual({ lengthM: 6, boreMm: 4, flueFrom: 3, flueTo: 7, fluePpm: 780 });
  expect(hose?.choices).toEqual({ mouth: 'FLUE' });
  expect(media?.numbers?.recirculated).toBeCloseTo(0.95);
  expect(media?.choices).toEqual({ hours: 'LAMPS_OFF', soaked: 'PASSES', otherwise: 'DRY' });
});

const hose = { id: 'h', title: 'hose' } as TankEvent;

it('what stands can be tried without, and back', () => {
  const off = toggled({ name: 'A', put: [] }, 'h');
  expect(off.without).toEqual(['h']);
  expect(changes(off)).toBe(true);
  expect(setInWords(off, [], [hose], {} as Units)).toBe('without “hose”');
  expect(changes(toggled(off, 'h'))).toBe(false);
});

it('what no longer stands is tried without no more', () => {
  const off = toggled({ name: 'A', put: [] }, 'h');
  expect(withStanding(off, [hose])).toBe(off);
  expect(changes(withStanding(off, []))).toBe(false);
});
