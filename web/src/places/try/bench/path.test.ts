import { expect, it } from 'vitest';
import type { Forecast, MeasureKind } from '../../../api/types';
import { alongThePath, cheapestFirst, placeOf } from './path';

const kind = (name: string, fault = false) => ({ kind: name, name, fault }) as MeasureKind;
const gain = (low: number, toFit: number, perMonth: number) =>
  ({ gainPh: { value: low, low, high: low + 0.05 }, cost: { toFit, perMonth } }) as Forecast;

const ALL = ['limewater', 'window', 'stone', 'scrubber', 'a-kind-of-tomorrow'].map((k) => kind(k));

it('follows the CO2 from outdoors into the water', () => {
  expect(
    alongThePath([...ALL, kind('guests', true)]).map((g) => [
      g.name,
      g.measures.map((m) => m.kind),
    ]),
  ).toEqual([
    ['Room air', ['window']],
    ['Skimmer intake', ['scrubber']],
    ['Surface and bubbles', ['stone']],
    ['Water', ['limewater', 'a-kind-of-tomorrow']],
    ['Faults, to see their effect', ['guests']],
  ]);
  expect(placeOf(kind('lamps', true))).toBe('Faults, to see their effect');
});

it('sorts what surely gains by its cost over three years', () => {
  const gains = new Map([
    ['window', gain(0.1, 0, 0)],
    ['scrubber', gain(0.15, 30, 10)],
    ['stone', gain(0.04, 60, 1)],
    ['limewater', gain(0.01, 0, 2)],
  ]);
  expect(cheapestFirst(ALL, gains).map((g) => g.measures.map((m) => m.kind))).toEqual([
    ['window', 'stone', 'scrubber'],
    ['limewater', 'a-kind-of-tomorrow'],
  ]);
});
