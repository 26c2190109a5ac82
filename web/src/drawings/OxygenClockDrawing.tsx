import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { OxygenCourse } from '../api/types';
import { HatchPattern } from './Hatch';

const HEIGHT = 250;
const EDGE = { left: 34, right: 12, top: 12, bottom: 30 };
type Point = OxygenCourse['points'][number];

/** Hours since the power failed against predicted oxygen: early to late as a hatched band, the rungs, and now. */
export function OxygenClockDrawing({
  id,
  course,
  lines,
  nowH,
  readings,
  width,
}: {
  id: string;
  course: OxygenCourse;
  lines: { caution: number; danger: number; loss: number };
  nowH: number | undefined;
  readings: { h: number; mgPerL: number }[];
  width: number;
}) {
  const span = Math.min(
    course.points.at(-1)?.hours ?? 1,
    Math.max(8, (nowH ?? 0) + 4, (course.loss.likely ?? course.danger.late ?? 12) * 1.15),
  );
  const points = course.points.filter((p) => p.hours <= span);
  const x = scaleLinear()
    .domain([0, span])
    .range([EDGE.left, width - EDGE.right]);
  const y = scaleLinear()
    .domain([0, Math.max(8, ...points.map((p) => p.late))])
    .range([HEIGHT - EDGE.bottom, EDGE.top]);
  const band = area<Point>()
    .x((p) => x(p.hours))
    .y0((p) => y(p.early))
    .y1((p) => y(p.late));
  const likely = line<Point>()
    .x((p) => x(p.hours))
    .y((p) => y(p.likely));
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={inWords(course)}
      className="block"
    >
      <defs>
        <HatchPattern id={`clock-${id}`} colour="var(--o2)" />
      </defs>
      {(['caution', 'danger', 'loss'] as const).map((rung) => (
        <g key={rung}>
          <line
            x1={EDGE.left}
            x2={width - EDGE.right}
            y1={y(lines[rung])}
            y2={y(lines[rung])}
            stroke={rung === 'caution' ? 'var(--ink)' : 'var(--danger)'}
            strokeDasharray={rung === 'loss' ? undefined : '6 5'}
          />
          <text
            x={width - EDGE.right}
            y={y(lines[rung]) - 4}
            textAnchor="end"
            className={`text-sm ${rung === 'caution' ? 'fill-ink' : 'fill-danger'}`}
          >
            {rung} {lines[rung]}
          </text>
        </g>
      ))}
      <path d={band(points) ?? ''} fill={`url(#clock-${id})`} />
      <path d={likely(points) ?? ''} fill="none" stroke="var(--o2)" strokeWidth="2.6" />
      {readings.map((r) => (
        <circle key={r.h} cx={x(r.h)} cy={y(r.mgPerL)} r="5.5" fill="var(--ink)" />
      ))}
      {nowH !== undefined && nowH <= span && (
        <line
          x1={x(nowH)}
          x2={x(nowH)}
          y1={EDGE.top}
          y2={HEIGHT - EDGE.bottom}
          stroke="var(--accent)"
          strokeWidth="2.5"
        />
      )}
      {y.ticks(4).map((tick) => (
        <text
          key={tick}
          x={EDGE.left - 7}
          y={y(tick) + 5}
          textAnchor="end"
          className="fill-soft text-sm"
        >
          {tick}
        </text>
      ))}
      {x.ticks(width < 500 ? 4 : 8).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={HEIGHT - 10}
          textAnchor="middle"
          className="fill-soft text-sm"
        >
          {tick} h
        </text>
      ))}
    </svg>
  );
}

const hours = (h: number | undefined) =>
  h === undefined ? 'not within these hours' : `${h.toFixed(1)} h`;

const inWords = (course: OxygenCourse) =>
  `Predicted oxygen. Danger: earliest ${hours(course.danger.early)}, likely ${hours(course.danger.likely)}, latest ${hours(course.danger.late)}.`;
