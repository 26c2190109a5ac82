import { scaleLinear } from 'd3-scale';
import type { Estimate, Staircase } from '../api/types';

export interface Step {
  key: 'outdoor' | 'room' | 'water';
  name: string;
  x: number;
  width: number;
  /** Height of the step's top. */
  y: number;
  bandTop: number;
  bandBottom: number;
  ppm: Estimate;
  balancePh: number | undefined;
  /** A step that was not measured but is to be expected has a band and no top. */
  expected: boolean;
}

export interface Layout {
  height: number;
  floor: number;
  steps: Step[];
  intakeY: number | undefined;
}

const TOP = 78;
const BOTTOM = 14;

/** Where everything of the staircase stands, for a given width. Levels are drawn from zero, so heights compare. */
export function layoutStaircase(staircase: Staircase, width: number): Layout {
  const height = width < 560 ? 400 : 380;
  const floor = height - BOTTOM;
  const expected = staircase.room ? undefined : staircase.roomExpectedPpm;
  const candidates = [
    { key: 'outdoor', name: 'outdoors', level: staircase.outdoor, band: staircase.outdoor.ppm },
    {
      key: 'room',
      name: 'room',
      level: staircase.room,
      band: staircase.room?.ppm ?? expected,
    },
    { key: 'water', name: 'water', level: staircase.water, band: staircase.water?.ppm },
  ] as const;
  const present = candidates.flatMap((c) => (c.band ? [{ ...c, ppm: c.band }] : []));
  const tallest = Math.max(...present.map((c) => c.ppm.high), staircase.intake?.ppm.high ?? 0);
  const y = scaleLinear().domain([0, tallest]).range([floor, TOP]);
  const column = width / present.length;
  return {
    height,
    floor,
    intakeY: staircase.intake && y(staircase.intake.ppm.value),
    steps: present.map((c, i) => ({
      key: c.key,
      name: c.name,
      x: i * column,
      width: column,
      y: y(c.ppm.value),
      bandTop: y(c.ppm.high),
      bandBottom: y(Math.max(0, c.ppm.low)),
      ppm: c.ppm,
      balancePh: c.level?.balancePhNbs,
      expected: c.level === undefined,
    })),
  };
}
