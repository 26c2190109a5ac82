import { expect, it } from 'vitest';
import type { Staircase } from '../api/types';
import { layoutStaircase } from './staircaseLayout';

const level = (value: number, balancePhNbs = 8) => ({
  ppm: { value, low: value - 50, high: value + 50 },
  balancePhNbs,
});

const BARE: Staircase = {
  at: '2026-11-12T08:55:00Z',
  dark: true,
  outdoor: level(420),
  settlingHours: { value: 12, low: 7, high: 20 },
  inputs: [],
  missing: [],
  doubts: [],
  verdict: {
    kind: 'TOO_CLOSE',
    headline: '',
    because: '',
    next: '',
    step: 'CHECK_PROBE',
    urgency: 'NONE',
    cautions: [],
  },
  working: [],
  extrapolated: false,
};

it('climbs from outdoors over the room to the water, in proportion', () => {
  const { steps, floor } = layoutStaircase({ ...BARE, room: level(840), water: level(1260) }, 900);
  expect(steps.map((s) => s.key)).toEqual(['outdoor', 'room', 'water']);
  const heights = steps.map((s) => floor - s.y);
  expect(heights[1]).toBeCloseTo(2 * (heights[0] ?? 0));
  expect(heights[2]).toBeCloseTo(3 * (heights[0] ?? 0));
});

it('goes down where the tank takes CO2 up', () => {
  const { steps } = layoutStaircase({ ...BARE, room: level(2000), water: level(1500) }, 900);
  expect(steps[2]?.y).toBeGreaterThan(steps[1]?.y ?? 0);
});

it('shows an unmeasured room as a band to be expected, never as a level', () => {
  const { steps } = layoutStaircase(
    { ...BARE, roomExpectedPpm: { value: 1000, low: 700, high: 1500 }, water: level(1300) },
    900,
  );
  expect(steps.map((s) => s.expected)).toEqual([false, true, false]);
});

it('leaves out what is neither measured nor to be expected', () => {
  expect(layoutStaircase(BARE, 900).steps.map((s) => s.key)).toEqual(['outdoor']);
});

it('stays inside its frame with every band', () => {
  const { steps, height } = layoutStaircase({ ...BARE, room: level(830), water: level(9000) }, 390);
  for (const step of steps) {
    expect(step.bandTop).toBeGreaterThan(0);
    expect(step.y).toBeLessThan(height);
    expect(step.x + step.width).toBeLessThanOrEqual(390.01);
  }
});
