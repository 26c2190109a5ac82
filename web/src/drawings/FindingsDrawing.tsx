import type { Finding } from '../api/types';
import { Hairline } from './Hairline';
import { HALO } from './halo';

const ROW = 44;
const TRACK_LEFT = 264;
/** As long as “7.76 to 8.00 mg/L · 20 % narrower, 44 % promised” is. */
const TEXT_RIGHT = 380;
/** How far a track goes, in halves of the band before. */
const REACH = 1.3;

type Band = NonNullable<Finding['before']>;

/** Where a value stands on its track: ±1 at the ends of the band before. */
export function onTrack(value: number, before: Band): number {
  const half = (before.high - before.low) / 2;
  const middle = (before.high + before.low) / 2;
  return half === 0 ? 0 : Math.max(-REACH, Math.min(REACH, (value - middle) / half));
}

/** Each decision on a line of its own: its band when the experiment began as a hairline, the one after it as a bar. */
export function FindingsDrawing({
  findings,
  says,
  width,
}: {
  findings: readonly Finding[];
  /** What to read beside a line. */
  says: (finding: Finding) => { now: string; narrower: string };
  width: number;
}) {
  const narrow = width < 840;
  const row = narrow ? ROW + 34 : ROW;
  const left = narrow ? 8 : TRACK_LEFT;
  const right = narrow ? width - 8 : width - TEXT_RIGHT;
  const x = (at: number) => left + ((at + REACH) / (2 * REACH)) * (right - left);
  const lines = findings.flatMap((t) => (t.before ? [{ ...t, before: t.before }] : []));
  const height = lines.length * row + 8;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`What it showed: ${lines.map((t) => `${t.name} ${says(t).now}, ${says(t).narrower}`).join('; ')}.`}
      className="block"
    >
      {lines.map((t, i) => {
        const middle = i * row + (narrow ? 58 : ROW / 2);
        const said = says(t);
        return (
          <g key={t.decision}>
            <Hairline from={x(-1)} to={x(1)} y={middle} />
            {t.after && (
              <rect
                x={x(onTrack(t.after.low, t.before))}
                y={middle - 6}
                width={Math.max(
                  3,
                  x(onTrack(t.after.high, t.before)) - x(onTrack(t.after.low, t.before)),
                )}
                height="12"
                fill="var(--accent)"
                fillOpacity="0.55"
              />
            )}
            <text x={0} y={narrow ? middle - 40 : middle + 5} className="fill-ink text-base">
              {t.name}
            </text>
            <text
              {...HALO}
              x={narrow ? 0 : width}
              y={narrow ? middle - 20 : middle + 5}
              textAnchor={narrow ? 'start' : 'end'}
              className="fill-ink text-base"
            >
              {said.now}
              <tspan className="fill-soft"> · {said.narrower}</tspan>
            </text>
          </g>
        );
      })}
    </svg>
  );
}
