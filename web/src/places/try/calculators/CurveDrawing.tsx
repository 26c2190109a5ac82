import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

const WIDTH = 420;
const HEIGHT = 190;
const EDGE = { left: 44, right: 12, top: 10, bottom: 34 };

/** One curve of a sum, with the given point on it. */
export function CurveDrawing({
  points,
  at,
  x: xName,
  y: yName,
  top,
}: {
  points: { x: number; y: number }[];
  at: { x: number; y: number };
  x: string;
  y: string;
  top: number;
}) {
  const x = scaleLinear()
    .domain([0, points.at(-1)?.x ?? 1])
    .range([EDGE.left, WIDTH - EDGE.right]);
  const y = scaleLinear()
    .domain([0, top])
    .range([HEIGHT - EDGE.bottom, EDGE.top]);
  const path = line<{ x: number; y: number }>()
    .x((p) => x(p.x))
    .y((p) => y(p.y));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-[26rem] pt-4"
      role="img"
      aria-label={`${yName} over ${xName}: ${at.y.toFixed(2)} at ${at.x}.`}
    >
      {y.ticks(4).map((t) => (
        <g key={t}>
          <line
            x1={EDGE.left}
            x2={WIDTH - EDGE.right}
            y1={y(t)}
            y2={y(t)}
            stroke="var(--hairline)"
          />
          <text x={EDGE.left - 6} y={y(t) + 4} textAnchor="end" className="fill-soft text-sm">
            {t}
          </text>
        </g>
      ))}
      {x.ticks(5).map((t) => (
        <text key={t} x={x(t)} y={HEIGHT - 18} textAnchor="middle" className="fill-soft text-sm">
          {t}
        </text>
      ))}
      <text x={WIDTH - EDGE.right} y={HEIGHT - 3} textAnchor="end" className="fill-soft text-sm">
        {yName} over {xName}
      </text>
      <path d={path(points) ?? ''} fill="none" stroke="var(--accent)" strokeWidth="2.2" />
      {at.x <= (points.at(-1)?.x ?? 0) && (
        <circle
          cx={x(at.x)}
          cy={y(Math.min(top, at.y))}
          r="5"
          fill="var(--paper)"
          stroke="var(--accent)"
          strokeWidth="2.2"
        />
      )}
    </svg>
  );
}
