import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { House, HouseRow } from '../api/types';
import { clockTime } from '../lib/time';

const HEIGHT = 64;
const FOOT = 8;

/** Twenty-four hours of one tank in a row of many: pH against its goal range, the lamps as a strip beneath. */
export function LastDayDrawing({
  row,
  house,
  goal,
  zone,
  width,
}: {
  row: HouseRow;
  house: Pick<House, 'from' | 'now'>;
  goal: { troughAtLeast: number; peakAtMost: number };
  zone: string;
  width: number;
}) {
  const x = scaleLinear()
    .domain([Date.parse(house.from), Date.parse(house.now)])
    .range([0, width]);
  const shown = row.curve.flat().map((p) => p.ph);
  const y = scaleLinear()
    .domain([
      Math.min(goal.troughAtLeast - 0.15, ...shown) - 0.03,
      Math.max(goal.troughAtLeast + 0.25, ...shown) + 0.03,
    ])
    .range([HEIGHT - FOOT - 6, 2]);
  const at = (instant: string) => x(Date.parse(instant));
  const curve = line<{ at: string; ph: number }>()
    .x((p) => at(p.at))
    .y((p) => y(p.ph));
  const top = Math.max(0, y(goal.peakAtMost));
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={
        row.low
          ? `pH of the last 24 hours: lowest ${row.low.ph.toFixed(2)} at ${clockTime(row.low.at, zone)}.`
          : 'No pH in the last 24 hours.'
      }
      className="block"
    >
      <rect
        x={0}
        y={top}
        width={width}
        height={y(goal.troughAtLeast) - top}
        fill="var(--accent)"
        fillOpacity={0.08}
      />
      <rect
        x={0}
        y={HEIGHT - FOOT}
        width={width}
        height={FOOT - 2}
        rx={3}
        fill="var(--night-strip)"
      />
      {row.lit.map((lit) => (
        <rect
          key={lit.from}
          x={at(lit.from)}
          y={HEIGHT - FOOT}
          width={at(lit.to) - at(lit.from)}
          height={FOOT - 2}
          fill="var(--day-strip)"
        />
      ))}
      <g className="text-ink">
        {row.curve.map((stretch) =>
          stretch.length > 1 ? (
            <path
              key={stretch[0]?.at}
              d={curve(stretch) ?? ''}
              fill="none"
              stroke="currentColor"
              strokeWidth={2}
              strokeLinejoin="round"
            />
          ) : (
            stretch.map((p) => (
              <circle key={p.at} cx={at(p.at)} cy={y(p.ph)} r={3} fill="currentColor" />
            ))
          ),
        )}
      </g>
    </svg>
  );
}
