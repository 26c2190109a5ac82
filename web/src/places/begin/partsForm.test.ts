import { expect, test } from 'vitest';
import type { Units } from '../../api/types';
import { NO_PARTS, partsSchema, toParts, toPartsForm } from './partsForm';

const METRIC: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  salinity: 'PSU',
  volume: 'LITRE',
};

const messages = (form: Partial<typeof NO_PARTS>) =>
  partsSchema
    .safeParse({ ...NO_PARTS, ...form })
    .error?.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);

test('a hose is described whole or not at all', () => {
  expect(messages({})).toBeUndefined();
  expect(messages({ lineLengthM: '6', lineBoreMm: '12.7' })).toBeUndefined();
  expect(messages({ lineLengthM: '6' })).toEqual([
    'lineBoreMm: Enter the length and diameter of the hose.',
  ]);
  expect(messages({ lineDrawnLPerH: '400' })).toHaveLength(2);
  expect(messages({ lineLengthM: 'long', lineBoreMm: '12' })).toEqual([
    'lineLengthM: The length must be a number or empty.',
  ]);
});

test('what was described comes back as it was', () => {
  const parts = {
    ...toParts(NO_PARTS, METRIC),
    skimmerLine: { lengthM: 6, boreMm: 12.7, drawnLPerH: 410 },
    stones: [{ airLPerH: 90, depthM: 0.3, outdoors: true }],
  };
  expect(toParts(toPartsForm(parts, METRIC), METRIC)).toEqual(parts);
});

test('who counts in gallons describes the same hose in feet and inches', () => {
  const us: Units = { ...METRIC, volume: 'US_GALLON' };
  const parts = { ...toParts(NO_PARTS, us), skimmerLine: { lengthM: 3.048, boreMm: 12.7 } };
  const form = toPartsForm(parts, us);
  expect([form.lineLengthM, form.lineBoreMm]).toEqual(['10', '0.5']);
  expect(toParts(form, us).skimmerLine?.lengthM).toBeCloseTo(3.048, 6);
  expect(toParts(form, us).skimmerLine?.boreMm).toBeCloseTo(12.7, 6);
});
