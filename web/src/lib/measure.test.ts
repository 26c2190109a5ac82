import { expect, it } from 'vitest';
import type { Units } from '../api/types';
import { measure, readAs, show, typed, type Measure } from './measure';

const METRIC: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  salinity: 'PSU',
  volume: 'LITRE',
};
const US: Units = {
  alkalinity: 'DKH',
  temperature: 'FAHRENHEIT',
  salinity: 'SG_25',
  volume: 'US_GALLON',
};

/** International yard and pound agreement of 1959; the US gallon is 231 cubic inches. */
it.each<[number, Measure, string]>([
  [378.5411784, 'volume', '100 US gal'],
  [3.048, 'length', '10 ft'],
  [12.7, 'bore', '0.5 in'],
  [0.09290304, 'area', '1 ft²'],
  [28.316846592, 'room', '1000 ft³'],
  [0.45359237, 'mass', '1 lb'],
  [25, 'temperature', '77 °F'],
  [5, 'warmth', '9 °F'],
])('%d as %s reads %s', (value, kind, text) => {
  expect(show(value, kind, US)).toBe(text);
});

it('leaves the server’s units alone where they are the keeper’s', () => {
  expect(show(420, 'volume', METRIC)).toBe('420 L');
  expect(show(25.5, 'temperature', METRIC)).toBe('25.5 °C');
  expect(show(35, 'salinity', METRIC)).toBe('35 psu');
});

/** Common practice: S 35 reads 1.0264 on a hydrometer made for 25 °C, and 53 mS/cm. */
it('reads salinity on the keeper’s scale', () => {
  expect(measure('salinity', US).from(35)).toBeCloseTo(1.0264, 3);
  expect(measure('salinity', { ...US, salinity: 'MS_PER_CM' }).from(35)).toBeCloseTo(53.06, 1);
});

it('brings every value back as it was', () => {
  const kinds: Measure[] = [
    'volume',
    'flow',
    'length',
    'bore',
    'area',
    'room',
    'mass',
    'temperature',
    'warmth',
    'salinity',
  ];
  for (const units of [METRIC, US])
    for (const kind of kinds)
      for (const value of [0.4, 12.7, 33.3])
        expect(
          Math.abs((readAs(typed(value, kind, units), kind, units) ?? Number.NaN) - value),
        ).toBeLessThan(kind === 'salinity' ? 0.1 : 0.002);
  expect(readAs('deep', 'length', US)).toBeUndefined();
  expect(typed(undefined, 'length', US)).toBe('');
});
