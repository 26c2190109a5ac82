import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import type { EffectTrial } from '../api/types';
import { signedRange } from '../lib/number';
import { clockTime } from '../lib/time';
import { HatchPattern } from './Hatch';
import { Scale } from './Scale';
import { TimeTicks } from './TimeTicks';

const HEIGHT = 150;
const LEFT = 48;
const END = 44;
const TOP = 10;
const BOTTOM = 24;
const BAR = 8;
export const TRIAL_HEIGHT = TOP + HEIGHT + BOTTOM;

type HalfHour = EffectTrial['hours']['halfHours'][number];

/** What a change did hour by hour, the rise that lies closest to it, and where that would end beside what is possible. */
export function TrialDrawing({
  hours,
  zone,
  width,
}: {
  hours: EffectTrial['hours'];
  zone: string;
  width: number;
}) {
  const { left, possible } = hours;
  const low = left.low ?? left.value;
  const high = left.high ?? left.value;
  const x = scaleUtc()
    .domain([Date.parse(hours.from), Date.parse(hours.until)])
    .range([LEFT, width - END]);
  const values = [
    0,
    low,
    high,
    possible?.low ?? 0,
    possible?.high ?? 0,
    ...hours.halfHours.map((h) => h.moved),
  ];
  const y = scaleLinear()
    .domain([Math.min(...values), Math.max(...values)])
    .nice(4)
    .range([TOP + HEIGHT, TOP]);
  const rises = line<HalfHour>()
    .x((h) => x(Date.parse(h.at)))
    .y((h) => y(h.rises));
  const bar = (from: number, to: number) => ({
    y: y(Math.max(from, to)),
    height: Math.max(2, Math.abs(y(from) - y(to))),
  });
  return (
    <svg
      width={width}
      height={TRIAL_HEIGHT}
      viewBox={`0 0 ${width} ${TRIAL_HEIGHT}`}
      role="img"
      aria-label={`Hour by hour: expected to end at ${signedRange({ value: left.value, low, high })}. Possible: ${possible ? signedRange(possible) : 'unknown'}.`}
      className="block"
    >
      <defs>
        <HatchPattern id="possible-in-hours" colour="var(--accent)" />
      </defs>
      <Scale ticks={y.ticks(4)} y={y} left={LEFT} right={width - END} />
      <line x1={LEFT} x2={width - END} y1={y(0)} y2={y(0)} stroke="var(--soft)" />
      {hours.halfHours.map((h) => (
        <circle key={h.at} cx={x(Date.parse(h.at))} cy={y(h.moved)} r="2" fill="var(--ink)" />
      ))}
      <path
        d={rises(hours.halfHours) ?? ''}
        fill="none"
        stroke={left.value >= 0 ? 'var(--accent)' : 'var(--co2)'}
        strokeWidth="2"
      />
      <rect
        x={width - END + 6}
        width={BAR}
        {...bar(low, high)}
        fill={left.value >= 0 ? 'var(--accent)' : 'var(--co2)'}
      />
      {possible && (
        <rect
          x={width - END + 6 + 2 * BAR}
          width={BAR}
          {...bar(possible.low, possible.high)}
          fill="url(#possible-in-hours)"
          stroke="var(--accent)"
        />
      )}
      <TimeTicks
        width={width}
        ticks={x.ticks(width < 500 ? 3 : 6)}
        x={x}
        y={TRIAL_HEIGHT - 6}
        says={(tick) => clockTime(tick.toISOString(), zone)}
      />
    </svg>
  );
}
