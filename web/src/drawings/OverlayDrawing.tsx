import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { HALO } from './halo';
import { Scale } from './Scale';

const HEIGHT = 150;
const LEFT = 48;
const RIGHT = 12;
const TOP = 18;
const BOTTOM = 24;
const EVERY_HOURS = [6, 12, 24, 48];
const MOST_TICKS = 8;

export interface Overlaid {
  name: string;
  points: readonly { hours: number; by: number }[];
}

/** Courses laid over each other from one moment on, the first one in ink; hours across. */
export function OverlayDrawing({
  courses,
  from,
  until,
  says,
  width,
}: {
  /** At least one. */
  courses: readonly Overlaid[];
  /** Hours that are shown; 0 is the moment itself. */
  from: number;
  until: number;
  says: string;
  width: number;
}) {
  const inside = courses.map((c) => ({
    ...c,
    points: c.points.filter((p) => p.hours >= from && p.hours <= until),
  }));
  const values = [0, ...inside.flatMap((c) => c.points.map((p) => p.by))];
  const height = TOP + HEIGHT + BOTTOM;
  const x = scaleLinear()
    .domain([from, until])
    .range([LEFT, width - RIGHT]);
  const y = scaleLinear()
    .domain([Math.min(...values), Math.max(...values)])
    .nice(4)
    .range([TOP + HEIGHT, TOP]);
  const path = line<{ hours: number; by: number }>()
    .x((p) => x(p.hours))
    .y((p) => y(p.by));
  const every = EVERY_HOURS.find((h) => (until - from) / h <= MOST_TICKS) ?? 96;
  const first = Math.ceil(from / every);
  const ticks = Array.from(
    { length: Math.floor(until / every) - first + 1 },
    (_, i) => (first + i) * every,
  );
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
      <line x1={LEFT} x2={width - RIGHT} y1={y(0)} y2={y(0)} stroke="var(--soft)" />
      <line x1={x(0)} x2={x(0)} y1={TOP} y2={TOP + HEIGHT} stroke="var(--accent)" strokeWidth="2" />
      {[...inside].reverse().map((c) => {
        const newest = c.name === courses[0]?.name;
        const end = c.points.at(-1);
        return (
          <g key={c.name}>
            <path
              d={path([...c.points]) ?? ''}
              fill="none"
              stroke={newest ? 'var(--ink)' : 'var(--soft)'}
              strokeWidth={newest ? 2.2 : 1.4}
              strokeDasharray={newest ? undefined : '5 3'}
            />
            {end && courses.length > 1 && (
              <text
                {...HALO}
                x={x(end.hours) - 4}
                y={y(end.by) - 6}
                textAnchor="end"
                className={`text-sm ${newest ? 'fill-ink' : 'fill-soft'}`}
              >
                {c.name}
              </text>
            )}
          </g>
        );
      })}
      {ticks.map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={height - 6}
          textAnchor="middle"
          className="fill-soft text-sm"
        >
          {tick === 0 ? '0 h' : `${tick < 0 ? '−' : ''}${Math.abs(tick)}`}
        </text>
      ))}
    </svg>
  );
}
