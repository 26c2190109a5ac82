import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { HALO } from './halo';
import { HatchPattern } from './Hatch';

/** Of one night: until oxygen is dangerous, hours; nothing where it is not within what was looked at. */
export interface NightBar {
  name: string;
  early?: number;
  late?: number;
  /** The same in words. */
  said: string;
}

/** Where the drawing ends; what lasts longer reaches its edge. */
const SHOWN_H = 24;
const TICKS = [0, 4, 8, 12, 16, 20, 24];
const TOP = 24;
const ROW = 34;
const NARROW = 560;
const NARROW_ROW = 50;
const NAMES = 216;
const SAID = 130;
const BAR = 12;

const rowOf = (narrow: boolean) => (narrow ? NARROW_ROW : ROW);

export const nightsHeight = (rows: number, width: number) => TOP + rows * rowOf(width < NARROW) + 4;

/** Hours until danger as bars, the sure part solid, against the length of an outage. */
export function NightsDrawing({
  nights,
  outageH,
  width,
}: {
  nights: readonly NightBar[];
  outageH: number;
  width: number;
}) {
  const hatch = useId();
  const narrow = width < NARROW;
  const row = rowOf(narrow);
  const height = nightsHeight(nights.length, width);
  const x = scaleLinear()
    .domain([0, SHOWN_H])
    .range(narrow ? [4, width - 14] : [NAMES, width - SAID])
    .clamp(true);
  const barY = (i: number) => TOP + i * row + (narrow ? 26 : 10);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Hours until oxygen may be dangerous. ${nights.map((n) => `${n.name}: ${n.said}`).join('. ')}.`}
      className="block"
    >
      <HatchPattern id={hatch} colour="var(--o2)" />
      {TICKS.filter((t) => !narrow || t % 8 === 0).map((t) => (
        <g key={t}>
          <line x1={x(t)} x2={x(t)} y1={TOP} y2={height} stroke="var(--hairline)" />
          {Math.abs(t - outageH) > 2.5 && (
            <text x={x(t)} y={14} textAnchor="middle" className="fill-soft text-sm">
              {t === SHOWN_H ? `${t} h` : t}
            </text>
          )}
        </g>
      ))}
      {nights.map((n, i) => {
        const early = x(n.early ?? SHOWN_H);
        const late = x(n.late ?? SHOWN_H);
        const short = n.early !== undefined && n.early < outageH;
        return (
          <g key={n.name}>
            <text
              x={narrow ? 4 : 0}
              y={narrow ? barY(i) - 8 : barY(i) + 11}
              className="fill-ink text-base"
            >
              {n.name}
            </text>
            <rect x={x(0)} y={barY(i)} width={early - x(0)} height={BAR} rx={2} fill="var(--o2)" />
            {late > early && (
              <rect
                x={early}
                y={barY(i)}
                width={late - early}
                height={BAR}
                fill={`url(#${hatch})`}
                stroke="var(--o2)"
                strokeOpacity={0.6}
              />
            )}
            <text
              {...HALO}
              x={width - 2}
              y={narrow ? barY(i) - 8 : barY(i) + 11}
              textAnchor="end"
              className={`text-base font-semibold ${short ? 'fill-danger' : 'fill-ink'}`}
            >
              {short && '✕ '}
              {n.said}
            </text>
          </g>
        );
      })}
      {outageH <= SHOWN_H && (
        <>
          {nights.map((n, i) => (
            <line
              key={n.name}
              x1={x(outageH)}
              x2={x(outageH)}
              y1={barY(i) - 5}
              y2={barY(i) + BAR + 5}
              stroke="var(--ink)"
              strokeWidth={2}
            />
          ))}
          <text
            {...HALO}
            x={Math.min(x(outageH), x(SHOWN_H) - 20)}
            y={14}
            textAnchor="middle"
            className="fill-ink text-sm font-semibold"
          >
            {outageH} h outage
          </text>
        </>
      )}
    </svg>
  );
}
