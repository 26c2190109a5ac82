import { expect, it } from 'vitest';
import type { TankClock } from '../../api/types';
import { forWhich, houseSteps } from './houseSteps';

const step = (id: string, atH: number, how = 'so', state = 'OPEN', kitId?: string) => ({
  step: { id, atH, what: `Do ${id}`, why: '', how },
  state,
  kitId,
});
const tank = (name: string, ...steps: ReturnType<typeof step>[]) =>
  ({ tankId: name, name, steps, after: [] }) as unknown as TankClock;

const read = (tanks: TankClock[]) =>
  houseSteps(tanks, 'steps').map((s) => `${s.listed.step.what}: ${forWhich(s)}`);

it('says once what is the same for every tank, and apart what is not', () => {
  const tanks = [
    tank('a', step('look', 0), step('pour', 0, '4 buckets'), step('feed', 0)),
    tank('b', step('look', 0), step('pour', 0, '9 buckets'), step('feed', 0)),
  ];
  expect(read(tanks)).toEqual([
    'Do look: every tank',
    'Do pour: a',
    'Do pour: b',
    'Do feed: every tank',
  ]);
});

it('keeps to the order in which things are due, then to that of the tanks', () => {
  const tanks = [
    tank('urgent', step('look', 0), step('later', 5)),
    tank('calm', step('look', 0), step('soon', 1)),
  ];
  expect(read(tanks)).toEqual(['Do look: every tank', 'Do soon: calm', 'Do later: urgent']);
});

it('has a thing that is started at each of its tanks by itself', () => {
  const tanks = [
    tank('a', step('air', 0, 'so', 'OPEN', 'pump')),
    tank('b', step('air', 0, 'so', 'OPEN', 'pump')),
  ];
  expect(read(tanks)).toHaveLength(2);
});

it('stays open until it is done for the last tank', () => {
  const tanks = ['a', 'b', 'c', 'd', 'e'].map((name) =>
    tank(name, step('look', 0, 'so', name === 'a' ? 'DONE' : 'OPEN')),
  );
  const [look] = houseSteps(tanks, 'steps');
  expect(look?.listed.state).toBe('OPEN');
  expect(look && forWhich(look)).toBe('b, c, d and 1 more');
  const done = houseSteps([tank('a', step('look', 0, 'so', 'DONE'))], 'steps')[0];
  expect(done?.listed.state).toBe('DONE');
});
