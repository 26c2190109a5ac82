import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import type { Delivered, LineNote } from '../api/types';
import { plainDay, shortDay } from '../lib/time';
import { Scale } from './Scale';
import { TimeTicks } from './TimeTicks';

const HEIGHT = 170;
const LEFT = 52;
const RIGHT = 12;
const TOP = 10;
const BOTTOM = 24;
/** Half a triangle: none may lie on the scale's numbers. */
const MARK = 7;
const DAY_MS = 86_400_000;
/** As a healthy pump may stray. */
const TOLERANCE = 0.05;

type Levelled = LineNote & { ml: number };

/**
 * What a reservoir held: each level as it was read, the line through those of each filling, hatched as a healthy line would
 * have fallen, and what was filled in and changed.
 */
export function ReservoirDrawing({
  notes,
  runs,
  vesselMl,
  from,
  until,
  width,
}: {
  notes: readonly LineNote[];
  runs: readonly Delivered[];
  vesselMl: number;
  /** Milliseconds. */
  from: number;
  until: number;
  width: number;
}) {
  const height = TOP + HEIGHT + BOTTOM;
  const x = scaleUtc()
    .domain([from, Math.max(until, from + DAY_MS)])
    .range([LEFT + MARK, width - RIGHT - MARK]);
  const y = scaleLinear()
    .domain([0, vesselMl])
    .range([TOP + HEIGHT, TOP]);
  const at = (moment: string) => x(Date.parse(moment));
  const seen = notes.filter((n) => Date.parse(n.at) >= from);
  const levels = seen.filter((n): n is Levelled => n.ml !== undefined && n.askedMl === undefined);
  const shown = runs.filter((run) => Date.parse(run.until) >= from);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Levels of the reservoir: ${shown.map(inWords).join('; ') || 'not enough yet'}.`}
      className="block"
    >
      <defs>
        <clipPath id="reservoir-inside">
          <rect x={LEFT - 6} y={0} width={width - LEFT - RIGHT + 12} height={TOP + HEIGHT} />
        </clipPath>
      </defs>
      <Scale ticks={y.ticks(4)} y={y} left={LEFT} right={width - RIGHT} decimals={0} />
      <g clipPath="url(#reservoir-inside)">
        {shown.map((run) => (
          <Run key={run.from} run={run} at={at} y={y} />
        ))}
        {seen
          .filter((n) => n.kind === 'CHANGED' || n.kind === 'BUBBLES')
          .map((n) => (
            <line
              key={n.id}
              x1={at(n.at)}
              x2={at(n.at)}
              y1={TOP}
              y2={TOP + HEIGHT}
              stroke={n.kind === 'CHANGED' ? 'var(--accent)' : 'var(--soft)'}
              strokeWidth="1.6"
              strokeDasharray="3 3"
            />
          ))}
        {levels.map((n) =>
          n.kind === 'FILLED' ? (
            <path
              key={n.id}
              d={`M${at(n.at) - 6} ${y(n.ml) + 8} l6 -8 l6 8 Z`}
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth="1.6"
            />
          ) : (
            <circle key={n.id} cx={at(n.at)} cy={y(n.ml)} r="3" fill="var(--ink)" />
          ),
        )}
      </g>
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

/** As a healthy line would have fallen from its first level, and the line that its levels show. */
function Run({
  run,
  at,
  y,
}: {
  run: Delivered;
  at: (moment: string) => number;
  y: (ml: number) => number;
}) {
  const start = run.levels[0]?.ml ?? 0;
  const x = { from: at(run.from), until: at(run.until) };
  const end = (share: number) => start - share * run.plannedMl;
  const straight = line();
  return (
    <g>
      <path
        d={`M${x.from} ${y(start)} L${x.until} ${y(end(1 - TOLERANCE))} L${x.until} ${y(end(1 + TOLERANCE))} Z`}
        fill="var(--accent)"
        fillOpacity="0.25"
      />
      <path
        d={
          straight([
            [x.from, y(start)],
            [x.until, y(end(run.share.value))],
          ]) ?? ''
        }
        fill="none"
        stroke={run.fallsShort || run.tooMuch ? 'var(--co2)' : 'var(--ink)'}
        strokeWidth="2"
      />
    </g>
  );
}

const inWords = (run: Delivered) =>
  `${plainDay(run.from.slice(0, 10))} to ${plainDay(run.until.slice(0, 10))}, ${Math.round(100 * run.share.value)} % of the plan`;
