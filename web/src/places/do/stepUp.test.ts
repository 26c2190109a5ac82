import { expect, it } from 'vitest';
import type { Line } from '../../api/types';
import { asPlanned, firstStep } from './stepUp';

it('goes up by half, and leaves small changes alone', () => {
  expect(firstStep(100, 160)).toBe(130);
  expect(firstStep(0, 7)).toBe(3.5);
  expect(firstStep(100, 109)).toBeUndefined();
  expect(firstStep(100, 60)).toBeUndefined();
});

it('asks the Bench for the dose as it would be', () => {
  const line = { solute: 'SODA_ASH', mlPerDay: 60, meqPerLPerDay: 0.357 } as Line;
  expect(asPlanned(line, 120)?.numbers?.dkhPerDay).toBeCloseTo(2, 2);
  expect(asPlanned({ ...line, mlPerDay: 0 }, 120)).toBeUndefined();
});
