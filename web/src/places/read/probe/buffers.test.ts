import { describe, expect, it } from 'vitest';
import type { Units } from '../../../api/types';
import { calibration, valueAt, type Typed } from './buffers';

const SEVEN: Typed = { buffer: '7.00', ph: '7.00', temperature: '22', shown: '7.04' };
const BORAX: Typed = { buffer: 'BORAX', ph: '', temperature: '22', shown: '-128.5' };
const METRIC: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  salinity: 'PSU',
  volume: 'LITRE',
};
const HOW = { at: '2026-11-12T10:00', meter: 'LEFT_AS_IT_WAS', note: '', setTo: null } as const;

describe('calibration', () => {
  it('sends a bottle’s value, or the name of a standard buffer', () => {
    expect(
      calibration([SEVEN, { ...BORAX, shown: '9.2' }], { ...HOW, millivolts: false }, METRIC),
    ).toEqual({
      at: '2026-11-12T10:00',
      meter: 'LEFT_AS_IT_WAS',
      note: '',
      setC: undefined,
      points: [
        { buffer: undefined, bufferPh: 7, bufferC: 22, shownPh: 7.04 },
        { buffer: 'BORAX', bufferPh: undefined, bufferC: 22, shownPh: 9.2 },
      ],
    });
  });

  it('sends millivolts as such, and what a meter takes for granted', () => {
    const sent = calibration([BORAX], { ...HOW, millivolts: true, setTo: '20' }, METRIC);
    expect(sent?.points[0]).toMatchObject({ millivolts: -128.5 });
    expect(sent?.points[0]).not.toHaveProperty('shownPh');
    expect(sent?.setC).toBe(20);
  });

  it('reads degrees Fahrenheit where the keeper does', () => {
    const us: Units = { ...METRIC, temperature: 'FAHRENHEIT' };
    const sent = calibration(
      [{ ...SEVEN, temperature: '77' }],
      { ...HOW, millivolts: false, setTo: '68' },
      us,
    );
    expect(sent?.points[0]?.bufferC).toBeCloseTo(25, 6);
    expect(sent?.setC).toBeCloseTo(20, 6);
  });

  it.each([
    ['no reading', { ...SEVEN, shown: '' }],
    ['no temperature', { ...SEVEN, temperature: 'warm' }],
    ['no value of the bottle', { ...SEVEN, ph: '' }],
  ])('waits with %s', (_, typed) => {
    expect(calibration([typed], { ...HOW, millivolts: false }, METRIC)).toBeNull();
  });
});

it('finds a standard buffer at its temperature, and nothing beyond its table', () => {
  const buffers = [{ buffer: 'PHOSPHATE' as const, fromC: 20, ph: [6.881, 6.878] }];
  expect(valueAt(buffers, 'PHOSPHATE', 21.2)).toBe(6.878);
  expect(valueAt(buffers, 'PHOSPHATE', 40)).toBeNull();
  expect(valueAt(buffers, '7.00', 21)).toBeNull();
});
