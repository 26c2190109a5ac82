import { expect, test } from 'vitest';
import type { GasBalance, GasBalanceRow, OneGas } from '../../api/types';
import { balanceSentence, limitedBy } from './gasWords';

const row = (kind: GasBalanceRow['kind'], now: number, day = now): GasBalanceRow => ({
  kind,
  name: '',
  nowMmolPerH: { value: now, low: now, high: now },
  dayMmol: { value: day, low: day, high: day },
});
const gas = (...rows: GasBalanceRow[]): OneGas => ({
  rows,
  bubbleShare: 0.7,
  storedDayMmol: 0,
  waterUatm: 900,
});
const balance = {
  co2: gas(row('REEF', 6, 10), row('FISH', 2, 30), row('SKIMMER', -7), row('SURFACE', -1)),
  oxygen: gas(row('REEF', -6), row('SKIMMER', 9), row('SURFACE', 1)),
} as unknown as GasBalance;

test('the largest way in and out is named with its share, of the hour or of the day', () => {
  expect(balanceSentence(balance, 'hour')).toBe(
    'Largest source of CO2: reef respiration, 75 %. Largest way out: skimmer, 88 %. Largest source of oxygen: skimmer, 90 %.',
  );
  expect(balanceSentence(balance, 'day')).toContain(
    'Largest source of CO2: fish respiration, 75 %',
  );
});

test('what does not happen is not named', () => {
  expect(balanceSentence({ ...balance, co2: gas(row('REEF', 6)) }, 'hour')).not.toContain(
    'way out',
  );
});

test('a skimmer whose air is nearly full wants air, else contact', () => {
  expect(limitedBy(0.66)).toBe('more air would help');
  expect(limitedBy(0.03)).toContain('contact');
});
