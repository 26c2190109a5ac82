import { expect, it } from 'vitest';
import type { Bench, Variant } from '../../../api/types';
import { REMEDIES } from './remedies';
import { bare, inWords, isSet, means } from './sets';

const BENCH = {
  skimmerAirDrawLPerH: 500,
  cabinet: true,
  canopy: true,
  reactor: true,
  roomM3: 100,
  alkalinityUseDkhPerDay: 1,
  evaporationLPerDay: 3,
} as Bench;

it('says what a set does to the source', () => {
  expect(means([])).toBe('changes nothing');
  expect(means(['REMOVES_THE_SOURCE', 'OFFSETS'])).toBe('removes the source, offsets');
});

it('names a set by its remedies', () => {
  expect(inWords({})).toBe('as it is');
  expect(
    inWords({
      line: { lengthM: 6, boreMm: 4 },
      media: { massKg: 1, freshShare: 0.05, hours: 'LAMPS_OFF', driesBetween: true },
    }),
  ).toBe('6 m of 4 mm hose, 1 kg of media, 95 % recirculated by night');
});

it('places every remedy, shows it as on, and takes it off again', () => {
  for (const remedy of REMEDIES) {
    expect(remedy.here(BENCH), remedy.name).toBe(true);
    const placed: Variant = remedy.place(BENCH);
    expect(remedy.on(placed), remedy.name).toBe(true);
    expect(inWords(placed), remedy.name).not.toBe('as it is');
    for (const knob of remedy.knobs(placed, BENCH)) {
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
