import type { Unknown } from '../api/types';
import { HALO } from './halo';
import { Hairline } from './Hairline';
import { HatchPattern } from './Hatch';

const ROW = 40;
const TOP = 26;
const TRACK_LEFT = 232;
const TEXT_RIGHT = 276;
/** How far a track goes, in halves of the band before the log. */
const REACH = 1.5;

const FACTORS: readonly Unknown['unknown'][] = [
  'RESPIRATION',
  'PHOTOSYNTHESIS',
  'SURFACES',
  'SKIMMER',
  'ROOM_EXCESS',
  'AIR_CHANGES',
  'USE',
];

/** Shares by their odds: so the log learns of them. */
function scaleOf(unknown: Unknown['unknown']): (value: number) => number {
  if (unknown === 'INTAKE') return (share) => Math.log(share / (1 - share));
  return FACTORS.includes(unknown) ? Math.log : (v) => v;
}

/** Where a value stands: 0 as expected, ±1 at the ends of the band before the log. */
export function standing(value: number, unknown: Unknown): number {
  const { before } = unknown;
  const scale = scaleOf(unknown.unknown);
  const half = (scale(before.high) - scale(before.low)) / 2;
  return Math.max(-REACH, Math.min(REACH, (scale(value) - scale(before.value)) / half));
}

/** Each unknown on a line of its own: the band before the log as a hairline, the band after it as a bar. */
export function KnownDrawing({
  unknowns,
  says,
  width,
}: {
  unknowns: readonly Unknown[];
  /** The band after the log in words, and how it is known. */
  says: (unknown: Unknown) => { range: string; how: string };
  width: number;
}) {
  const narrow = width < 640;
  const row = narrow ? ROW + 30 : ROW;
  const left = narrow ? 8 : TRACK_LEFT;
  const right = narrow ? width - 8 : width - TEXT_RIGHT;
  const x = (standingAt: number) => left + ((standingAt + REACH) / (2 * REACH)) * (right - left);
  const height = TOP + unknowns.length * row + 4;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`What the model knows: ${unknowns.map((u) => `${u.name} ${says(u).range}, ${says(u).how}`).join('; ')}.`}
      className="block"
    >
      <defs>
        <HatchPattern id="known-open" colour="var(--ink)" />
      </defs>
      <line
        x1={x(0)}
        x2={x(0)}
        y1={TOP - 6}
        y2={height - 4}
        stroke="var(--soft)"
        strokeDasharray="2 4"
      />
      <text x={x(0)} y={TOP - 12} textAnchor="middle" className="fill-soft text-sm">
        as expected
      </text>
      {unknowns.map((unknown, i) => {
        const middle = TOP + i * row + (narrow ? 52 : ROW / 2);
        const said = says(unknown);
        const low = x(standing(unknown.after.low, unknown));
        const high = x(standing(unknown.after.high, unknown));
        return (
          <g key={unknown.unknown}>
            <Hairline from={x(-1)} to={x(1)} y={middle} />
            <rect
              x={low}
              y={middle - 6}
              width={Math.max(3, high - low)}
              height="12"
              fill={unknown.learnt ? 'var(--accent)' : 'url(#known-open)'}
              fillOpacity={unknown.learnt ? 0.55 : 1}
            />
            <circle
              cx={x(standing(unknown.after.value, unknown))}
              cy={middle}
              r="5"
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth="2"
            />
            <text
              x={0}
              y={narrow ? middle - 32 : middle + 5}
              className="fill-ink text-sm md:text-base"
            >
              {unknown.name}
            </text>
            <text
              {...HALO}
              x={width}
              y={narrow ? middle - 14 : middle + 5}
              textAnchor="end"
              className="fill-ink text-sm md:text-base"
            >
              {said.range}
              <tspan className="fill-soft"> · {said.how}</tspan>
            </text>
          </g>
        );
      })}
    </svg>
  );
}
