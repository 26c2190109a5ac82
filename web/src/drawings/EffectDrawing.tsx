import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { EffectFound, HalfHourOfDay, TankDescription } from '../api/types';
import { signed } from '../lib/number';
import { Hairline } from './Hairline';
import { HatchPattern } from './Hatch';
import { Scale } from './Scale';

const HEIGHT = 150;
const LEFT = 40;
const TOP = 8;
const BOTTOM = 22;
const GAP = 18;
const DAY_MINUTES = 1440;
export const BEFORE_AFTER_HEIGHT = TOP + HEIGHT + BOTTOM;

const minutes = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));

/** Two days by the clock, before and after: the middle of the days as a line, nine in ten of them as a band. */
export function BeforeAfterDrawing({
  found,
  light,
  width,
}: {
  found: EffectFound;
  light: TankDescription['light'];
  width: number;
}) {
  const all = [...found.before, ...found.after];
  const each = (width - LEFT - GAP) / 2;
  const y = scaleLinear()
    .domain([Math.min(...all.map((h) => h.low)) - 0.02, Math.max(...all.map((h) => h.high)) + 0.02])
    .range([TOP + HEIGHT, TOP]);
  const ticks = y.ticks(4);
  return (
    <svg
      width={width}
      height={BEFORE_AFTER_HEIGHT}
      viewBox={`0 0 ${width} ${BEFORE_AFTER_HEIGHT}`}
      role="img"
      aria-label={`An average day before and after: low ${found.effect.trough.before.toFixed(2)} and ${found.effect.trough.after.toFixed(2)}, high ${found.effect.peak.before.toFixed(2)} and ${found.effect.peak.after.toFixed(2)}.`}
      className="block"
    >
      <Ribbon days={found.before} name="before" left={LEFT} width={each} y={y} light={light} />
      <Ribbon
        days={found.after}
        name="after"
        left={LEFT + each + GAP}
        width={each}
        y={y}
        light={light}
      />
      <Scale ticks={ticks} y={y} left={LEFT} />
    </svg>
  );
}

function Ribbon({
  days,
  name,
  left,
  width,
  y,
  light,
}: {
  days: readonly HalfHourOfDay[];
  name: string;
  left: number;
  width: number;
  y: (ph: number) => number;
  light: TankDescription['light'];
}) {
  const x = scaleLinear()
    .domain([0, DAY_MINUTES])
    .range([left, left + width]);
  const on = minutes(light.on);
  const off = minutes(light.off);
  const lit = on < off ? [[on, off] as const] : [[0, off] as const, [on, DAY_MINUTES] as const];
  const band = area<HalfHourOfDay>()
    .x((h) => x(h.minuteOfDay))
    .y0((h) => y(h.low))
    .y1((h) => y(h.high));
  const middle = line<HalfHourOfDay>()
    .x((h) => x(h.minuteOfDay))
    .y((h) => y(h.median));
  return (
    <g>
      <rect x={left} y={TOP} width={width} height={HEIGHT} fill="var(--dark)" fillOpacity="0.6" />
      {lit.map(([from, until]) => (
        <rect
          key={from}
          x={x(from)}
          y={TOP}
          width={x(until) - x(from)}
          height={HEIGHT}
          fill="var(--lit)"
          fillOpacity="0.7"
        />
      ))}
      <path d={band([...days]) ?? ''} fill="var(--ink)" fillOpacity="0.16" />
      <path d={middle([...days]) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="2" />
      {[0, 6, 12, 18].map((hour) => (
        <text
          key={hour}
          x={x(hour * 60)}
          y={TOP + HEIGHT + 16}
          textAnchor={hour === 0 ? 'start' : 'middle'}
          className="fill-soft text-sm"
        >
          {hour === 0 ? name : `${hour}:00`}
        </text>
      ))}
    </g>
  );
}

const ROW = 46;
const BAR = 14;
const FIGURE = 118;
const ROWS = 4;
export const WORTH_HEIGHT = ROWS * ROW;

/** One bar each: the trough's change as it was read, what of it is explained, what is left, what is possible here. */
export function WorthDrawing({
  found,
  says,
  width,
}: {
  found: EffectFound;
  /** All of it in a sentence. */
  says: string;
  width: number;
}) {
  const { raw, explained, left } = found.effect.trough;
  const low = left.low ?? left.value;
  const high = left.high ?? left.value;
  const values = [
    0,
    raw,
    explained,
    low,
    high,
    found.possible?.low ?? 0,
    found.possible?.high ?? 0,
  ];
  const x = scaleLinear()
    .domain([Math.min(...values) - 0.005, Math.max(...values) + 0.005])
    .range([2, width - FIGURE]);
  const rows = [
    {
      name: 'change of the daily low',
      from: 0,
      to: raw,
      figure: signed(raw, 2),
      fill: 'var(--ink)',
    },
    {
      name: found.effect.explained ? 'explained by other causes' : 'no other cause found',
      from: raw,
      to: raw - explained,
      figure: signed(explained, 2),
      fill: 'var(--soft)',
    },
    {
      name: 'left for this change',
      from: 0,
      to: left.value,
      figure:
        left.low === undefined ? signed(left.value, 2) : `${signed(low, 2)} to ${signed(high, 2)}`,
      fill: left.value >= 0 ? 'var(--accent)' : 'var(--co2)',
    },
    {
      name: 'expected',
      from: found.possible?.low ?? 0,
      to: found.possible?.high ?? 0,
      figure: found.possible
        ? `${signed(found.possible.low, 2)} to ${signed(found.possible.high, 2)}`
        : 'not enough data',
      fill: 'url(#possible)',
    },
  ];
  return (
    <svg
      width={width}
      height={WORTH_HEIGHT}
      viewBox={`0 0 ${width} ${WORTH_HEIGHT}`}
      role="img"
      aria-label={says}
      className="block"
    >
      <defs>
        <HatchPattern id="possible" colour="var(--accent)" />
      </defs>
      <line x1={x(0)} x2={x(0)} y1={0} y2={WORTH_HEIGHT} stroke="var(--hairline)" />
      {rows.map((row, i) => (
        <g key={row.name}>
          <text x={2} y={i * ROW + 14} className="fill-soft text-sm">
            {row.name}
          </text>
          <rect
            x={Math.min(x(row.from), x(row.to))}
            y={i * ROW + 22}
            width={Math.max(2, Math.abs(x(row.to) - x(row.from)))}
            height={BAR}
            fill={row.fill}
            fillOpacity={row.fill === 'var(--ink)' ? 0.85 : 1}
          />
          <text
            x={width}
            y={i * ROW + 34}
            textAnchor="end"
            className="fill-ink text-base font-semibold"
          >
            {row.figure}
          </text>
        </g>
      ))}
      {left.low !== undefined && (
        <Hairline from={x(low)} to={x(high)} y={2 * ROW + 29} colour="var(--ink)" />
      )}
    </svg>
  );
}
