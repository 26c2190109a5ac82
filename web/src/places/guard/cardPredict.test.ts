import { expect, it } from 'vitest';
// The card is one file without a build of its own; its module is read as the card gets it.
import source from '../../../../server/src/main/resources/card-predict.js?raw';

interface Sides {
  early: number;
  likely: number;
  late: number;
}
interface Flow {
  everyH: number;
  early: { falling: number[]; rising: number[] };
  likely: { falling: number[]; rising: number[] };
  late: { falling: number[]; rising: number[] };
}
type Event = { h: number; air: boolean } | { h: number; mgPerL: number };
interface Tank {
  start: Sides;
  bare: Flow;
  kept: Flow;
  airH: Sides;
}
interface Predict {
  at: (tank: Tank, events: Event[], hours: number) => Sides;
  below: (
    tank: Tank,
    events: Event[],
    line: number,
    side: keyof Sides,
    fromH: number,
    withinH: number,
  ) => number | null;
}

// The card is a file of its own, so its code is read as the card holds it.
// eslint-disable-next-line @typescript-eslint/no-implied-eval, @typescript-eslint/no-unsafe-call
const predict = new Function(`${source}; return cardPredict;`)() as Predict;

/** dO/dt = k (rests − O), solved exactly: what the core's tables would hold for it. */
const flow = (perH: number, rests: number, top = 7): Flow => {
  const way = (from: number) =>
    Array.from({ length: 145 }, (_, i) => rests + (from - rests) * Math.exp((-perH * i) / 6));
  const side = { falling: way(top), rising: way(0) };
  return { everyH: 1 / 6, early: side, likely: side, late: side };
};
const all = (value: number): Sides => ({ early: value, likely: value, late: value });
const tank: Tank = { start: all(6), bare: flow(0.3, -1), kept: flow(1, 5.5), airH: all(4) };
const exact = (from: number, perH: number, rests: number, h: number) =>
  rests + (from - rests) * Math.exp(-perH * h);

it('follows the tables from any level, down and up', () => {
  expect(predict.at(tank, [], 2).early).toBeCloseTo(exact(6, 0.3, -1, 2), 2);
  expect(predict.at(tank, [{ h: 0, mgPerL: 4.2 }], 1.5).early).toBeCloseTo(
    exact(4.2, 0.3, -1, 1.5),
    2,
  );
  const aired: Event[] = [
    { h: 0, mgPerL: 2 },
    { h: 0, air: true },
  ];
  expect(predict.at(tank, aired, 1).early).toBeCloseTo(exact(2, 1, 5.5, 1), 2);
});

it('goes on from where air was started, never as if it had always run', () => {
  const low = exact(6, 0.3, -1, 2);
  const events: Event[] = [{ h: 2, air: true }];
  expect(predict.at(tank, events, 1.9).early).toBeCloseTo(exact(6, 0.3, -1, 1.9), 2);
  expect(predict.at(tank, events, 2.5).early).toBeCloseTo(exact(low, 1, 5.5, 0.5), 2);
});

it('loses the air when its energy ends, on each side by itself', () => {
  const sides: Tank = { ...tank, airH: { early: 1, likely: 4, late: 9 } };
  const at = predict.at(sides, [{ h: 0, air: true }], 5);
  const aired = exact(6, 1, 5.5, 1);
  expect(at.early).toBeCloseTo(exact(aired, 0.3, -1, 4), 2);
  expect(at.late).toBeCloseTo(exact(6, 1, 5.5, 5), 2);
  expect(at.early).toBeLessThan(at.likely);
});

it('begins anew from a reading', () => {
  const read: Event[] = [{ h: 3, mgPerL: 5.8 }];
  expect(predict.at(tank, read, 3).early).toBeCloseTo(5.8, 5);
  expect(predict.at(tank, read, 4).early).toBeCloseTo(exact(5.8, 0.3, -1, 1), 2);
});

it('tells danger to the minute and never too late', () => {
  const exactH = Math.log((6 + 1) / (3.5 + 1)) / 0.3;
  const danger = predict.below(tank, [], 3.5, 'early', 0, 24);
  expect(danger).toBeLessThanOrEqual(exactH + 1e-3);
  expect(danger).toBeGreaterThan(exactH - 2 / 60);
  expect(predict.below(tank, [{ h: 0, air: true }], 3.5, 'early', 0, 3)).toBeNull();
  expect(predict.below(tank, [{ h: 0, mgPerL: 2 }], 3.5, 'early', 1, 24)).toBe(1);
});

it('stays within the tables', () => {
  expect(predict.at(tank, [], 400).early).toBeCloseTo(tank.bare.early.falling.at(-1) ?? 0, 5);
  expect(predict.at(tank, [{ h: 0, mgPerL: 12 }], 0).early).toBeLessThanOrEqual(12);
});
