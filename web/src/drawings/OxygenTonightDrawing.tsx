import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { clockTime } from '../lib/time';
import type { Expected } from '../lib/expected';
import { HatchPattern } from './Hatch';

const HEIGHT = 120;
const TOP = 10;
const FLOOR = HEIGHT - 24;

/** Oxygen expected through the night, above the line of danger. */
export function OxygenTonightDrawing({
  points,
  danger,
  zone,
  width,
}: {
  points: readonly Expected[];
  danger: number;
  zone: string;
  width: number;
}) {
  const first = points[0]?.at ?? 0;
  const last = points.at(-1)?.at ?? 1;
  const x = scaleLinear().domain([first, last]).range([0, width]);
  const y = scaleLinear()
    .domain([
      Math.min(danger, ...points.map((p) => p.low)) - 1,
      Math.max(...points.map((p) => p.high)) + 0.5,
    ])
    .range([FLOOR, TOP]);
  const band = area<Expected>()
    .x((p) => x(p.at))
    .y0((p) => y(p.low))
    .y1((p) => y(p.high));
  const middle = line<Expected>()
    .x((p) => x(p.at))
    .y((p) => y((p.low + p.high) / 2));
  const text = (at: number) => clockTime(new Date(at).toISOString(), zone);
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`Oxygen expected until ${text(last)}: lowest ${Math.min(...points.map((p) => p.low)).toFixed(1)} mg/L. Danger below ${danger.toFixed(1)}.`}
      className="block"
    >
      <defs>
        <HatchPattern id="hatch-o2-tonight" colour="var(--o2)" />
      </defs>
      <rect
        x={0}
        y={y(danger)}
        width={width}
        height={FLOOR - y(danger)}
        fill="var(--danger)"
        fillOpacity={0.1}
      />
      <text x={width - 6} y={y(danger) + 16} textAnchor="end" className="fill-danger text-sm">
        danger {danger.toFixed(1)}
      </text>
      <path d={band(points) ?? ''} fill="url(#hatch-o2-tonight)" />
      <path d={middle(points) ?? ''} fill="none" stroke="var(--o2)" strokeWidth={2.5} />
      <text x={0} y={HEIGHT - 5} className="fill-soft text-sm">
        {text(first)}
      </text>
      <text x={width} y={HEIGHT - 5} textAnchor="end" className="fill-soft text-sm">
        {text(last)}
      </text>
    </svg>
  );
}
