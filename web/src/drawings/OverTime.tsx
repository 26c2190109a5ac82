import { scaleLinear, scaleUtc } from 'd3-scale';
import type { ReactNode } from 'react';
import { Scale } from './Scale';
import { TimeTicks } from './TimeTicks';
import { shortDay } from '../lib/time';

const HEIGHT = 125;
const LEFT = 44;
const RIGHT = 12;
const TOP = 10;
const BOTTOM = 24;

/** Where a drawing's inside lies. */
export interface Inside {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** A small drawing of weeks or months: its numbers at the left, its days below, what is drawn between them from outside. */
export function OverTime({
  times,
  values,
  says,
  width,
  children,
}: {
  /** Milliseconds of all that is drawn; at least one. */
  times: readonly number[];
  values: readonly number[];
  /** All of it in a sentence. */
  says: string;
  width: number;
  children: (x: (ms: number) => number, y: (value: number) => number, inside: Inside) => ReactNode;
}) {
  const height = TOP + HEIGHT + BOTTOM;
  const x = scaleUtc()
    .domain([Math.min(...times), Math.max(...times)])
    .range([LEFT + 4, width - RIGHT]);
  const y = scaleLinear()
    .domain([Math.min(...values), Math.max(...values)])
    .nice(4)
    .range([TOP + HEIGHT, TOP]);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={says}
      className="block"
    >
      <Scale ticks={y.ticks(4)} y={y} left={LEFT} right={width - RIGHT} decimals={0} />
      {children(x, y, { left: LEFT, right: width - RIGHT, top: TOP, bottom: TOP + HEIGHT })}
      <TimeTicks
        width={width}
        ticks={x.ticks(width < 500 ? 3 : 6)}
        x={x}
        y={height - 6}
        says={(tick) => shortDay(tick, 'UTC')}
      />
    </svg>
  );
}
