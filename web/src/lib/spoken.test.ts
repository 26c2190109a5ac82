import { expect, it } from 'vitest';
import { spoken } from './spoken';

it.each([
  [
    'netVolumeL',
    '0.0',
    '1 to 100000 L',
    'netVolumeL is 0. Allowed: 1 to 100000 L.',
    'Net volume must be 1–100,000 L. You entered 0.',
  ],
  [
    'areaCm2',
    'NaN',
    '1 to 900 cm²',
    'areaCm2 is not a number. Allowed: 1 to 900 cm².',
    'Area must be 1–900 cm².',
  ],
  [
    'altitudeM',
    '-900',
    '-500 to 6000 m',
    'altitudeM is -900. Allowed: -500 to 6000 m.',
    'Altitude must be −500 to 6000 m. You entered −900.',
  ],
  ['airLPerH', 'NaN', 'a number', 'airLPerH is missing.', 'Air is missing.'],
  [
    'values[0].method',
    undefined,
    'one of METER',
    'values[0].method must be one of METER.',
    'Method must be one of METER.',
  ],
  ['name', '', 'must not be blank', 'name must not be blank.', 'Name must not be blank.'],
  [
    'loadW',
    '150.0',
    'at most 100 W',
    'Overloaded: it would switch off at once.',
    'Overloaded: it would switch off at once.',
  ],
])('says %s as a label', (field, value, allowed, message, said) => {
  expect(spoken({ field, value, allowed, message })).toBe(said);
});
