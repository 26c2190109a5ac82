import { expect, it } from 'vitest';
import type { Bench, Units, Variant } from '../../../api/types';
import { REMEDIES } from './remedies';
import { bare, inWords, isPlaced, isSet, means } from './sets';

const BENCH = {
  skimmerAirDrawLPerH: 500,
  cabinet: true,
  canopy: true,
  reactor: true,
  roomM3: 100,
  alkalinityUseDkhPerDay: 1,
  evaporationLPerDay: 3,
} as Bench;

const METRIC: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  salinity: 'PSU',
  volume: 'LITRE',
};
const US: Units = { ...METRIC, temperature: 'FAHRENHEIT', volume: 'US_GALLON' };

it('says what a set does to the source', () => {
  expect(means([])).toBe('changes nothing');
  expect(means(['REMOVES_THE_SOURCE', 'OFFSETS'])).toBe('removes the source, offsets');
});

it('names a set by its remedies', () => {
  expect(inWords({}, METRIC)).toBe('as it is');
  const set: Variant = {
    line: { lengthM: 6, boreMm: 4 },
    media: { massKg: 1, freshShare: 0.05, hours: 'LAMPS_OFF', driesBetween: true },
  };
  expect(inWords(set, METRIC)).toBe('6 m of 4 mm hose, 1 kg of media, 95 % recirculated by night');
  expect(inWords(set, US)).toBe(
    '19.7 ft of 0.16 in hose, 2.2 lb of media, 95 % recirculated by night',
  );
  expect(inWords({ warmerByK: 3 }, US)).toBe('+5.4 °F');
});

it('places every remedy, shows it as on, and takes it off again', () => {
  for (const remedy of REMEDIES) {
    expect(remedy.here(BENCH), remedy.name).toBe(true);
    const placed: Variant = remedy.place(BENCH);
    expect(remedy.on(placed), remedy.name).toBe(true);
    expect(isPlaced(placed), remedy.name).toBe(true);
    expect(inWords(placed, METRIC), remedy.name).not.toBe('as it is');
    for (const knob of remedy.knobs(placed, BENCH, METRIC)) {
      const turned =
        knob.kind === 'slide' ? knob.set(knob.max) : knob.set(knob.options.at(-1)?.value ?? '');
      expect(remedy.on({ ...placed, ...turned }), `${remedy.name}, ${knob.label}`).toBe(true);
    }
    expect(bare({ ...placed, ...remedy.take })).toEqual({});
  }
});

it('takes only sets from an address', () => {
  expect(isSet({ name: 'a', put: {} })).toBe(true);
  for (const wrong of [null, 'a', { name: 3, put: {} }, { name: 'a' }, { name: 'a', put: null }])
    expect(isSet(wrong)).toBe(false);
});
