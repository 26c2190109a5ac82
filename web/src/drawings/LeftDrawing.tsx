import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import type { Left } from '../api/types';
import { TimeTicks } from './TimeTicks';
import { shortDay } from '../lib/time';

const LEFT = 46;
const TOP = 8;
const HEIGHT = 150;
const BOTTOM = 24;
const GAP_MS = 75 * 60 * 1000;
const LEAST_PH = 0.02;

/** Readings that follow each other without a gap. */
export function stretches(left: readonly Left[]): Left[][] {
  const all: Left[][] = [];
  let last = Number.NaN;
  for (const one of left) {
    const at = Date.parse(one.at);
    if (at - last <= GAP_MS) all.at(-1)?.push(one);
    else all.push([one]);
    last = at;
  }
  return all;
}

/** What the readings show more than the most probable tank, half hour by half hour. */
export function LeftDrawing({
  left,
  scatter,
  zone,
  width,
}: {
  left: readonly Left[];
  scatter: number;
  zone: string;
  width: number;
}) {
  const most = Math.max(LEAST_PH, ...left.map((one) => Math.abs(one.ph)));
  const height = TOP + HEIGHT + BOTTOM;
  const x = scaleTime()
    .domain([Date.parse(left[0]?.at ?? ''), Date.parse(left.at(-1)?.at ?? '')])
    .range([LEFT, width - 8]);
  const y = scaleLinear()
    .domain([-most, most])
    .range([TOP + HEIGHT, TOP]);
  const path = line<Left>()
    .x((one) => x(Date.parse(one.at)))
    .y((one) => y(one.ph));
  // A log of two days has several ticks a day; each day is named once.
  const days = x
    .ticks(width < 560 ? 3 : 7)
    .filter((tick, i, all) => shortDay(tick, zone) !== shortDay(all[i - 1] ?? 0, zone));
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Difference between your readings and the model: within ${most.toFixed(3)} pH.`}
      className="block"
    >
      <rect
        x={LEFT}
        width={Math.max(0, width - 8 - LEFT)}
        y={y(2 * scatter)}
        height={Math.max(0, y(-2 * scatter) - y(2 * scatter))}
        fill="var(--hairline)"
        fillOpacity="0.5"
      />
      <line x1={LEFT} x2={width - 8} y1={y(0)} y2={y(0)} stroke="var(--soft)" />
      {stretches(left).map((stretch) => (
        <path
          key={stretch[0]?.at}
          d={path(stretch) ?? undefined}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.3"
        />
      ))}
      {y.ticks(4).map((tick) => (
        <text
          key={tick}
          x={LEFT - 6}
          y={y(tick) + 4}
          textAnchor="end"
          className="fill-soft text-sm"
        >
          {tick === 0 ? '0' : tick.toFixed(2).replace('-', '−')}
        </text>
      ))}
      <TimeTicks
        width={width}
        ticks={days}
        x={x}
        y={height - 6}
        says={(tick) => shortDay(tick, zone)}
      />
    </svg>
  );
}
