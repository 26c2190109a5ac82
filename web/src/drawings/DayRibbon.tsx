import { scaleLinear } from 'd3-scale';
import { area, curveBasis, line } from 'd3-shape';
import type { CurvePoint, Day, TankDescription } from '../api/types';
import { tickDigits } from '../lib/number';
import { clockTime, endOfDay } from '../lib/time';
import { METHOD } from '../lib/units';
import { MarkShape, markOf } from '../parts/Mark';
import { extreme, type Ahead, type Expected } from '../lib/expected';
import { HALO } from './halo';
import { HatchPattern } from './Hatch';

const HEIGHT = 300;
export const DAY_RIBBON_HEIGHT = HEIGHT;
const LEFT = 40;
const RIGHT = 12;
const TOP = 26;
const BOTTOM = 44;
/** The lamps, as a strip under the axis. */
const STRIP = 8;
/** From this width on there is room for words beside the curve. */
/** Hours between two ticks, and how wide a tick's time is. */
const EVERY_H = [3, 6, 9];
const TICK_WIDE = 58;
/** As high and as wide as the flag of a high or a low is. */
const FLAG = 34;
const FLAG_WIDE = 300;
const WIDE = 560;
/** What was usual stays visible through it. */
const THIN_HALO = { ...HALO, strokeOpacity: 0.75 };

/** Twenty-four hours across: light and dark behind, what was usual, the day's pH, its trough and peak, what was done. */
export function DayRibbon({
  day,
  ahead,
  until = Date.parse(day.end),
  band,
  zone,
  width,
}: {
  day: Day;
  /** What is expected from now on; nothing until it is computed. */
  ahead?: Ahead;
  /** Where the axis ends, milliseconds: on the running day tomorrow morning. */
  until?: number;
  band: TankDescription['band'];
  zone: string;
  width: number;
}) {
  const start = Date.parse(day.start);
  const end = Date.parse(day.end);
  const x = scaleLinear()
    .domain([start, until])
    .range([LEFT, width - RIGHT]);
  const shown = day.stretches.flat().map((p) => p.ph);
  const all = [
    ...shown,
    ...day.usual.flatMap((u) => [u.low, u.high]),
    ...(ahead?.ph.flatMap((p) => [p.low, p.high]) ?? []),
    band.troughAtLeast,
    band.peakAtMost,
  ];
  const y = scaleLinear()
    .domain([Math.min(...all) - 0.06, Math.max(...all) + 0.04])
    .nice(6)
    .range([HEIGHT - BOTTOM, TOP]);
  const ticks = y.ticks(6);
  const digits = tickDigits(ticks);
  const at = (instant: string) => x(Date.parse(instant));
  const ofMinute = (minute: number) => x(start + ((end - start) * minute) / 1440);
  // What began before this day stands at its edge, and what lasts has its line.
  const flags = day.events.map((event) => ({
    event,
    left: Math.max(x(start), at(event.at)),
    right: event.until === undefined ? undefined : Math.min(x(end), at(event.until)),
  }));
  const curve = line<CurvePoint>()
    .x((p) => at(p.at))
    .y((p) => y(p.ph));
  const usual = area<Day['usual'][number]>()
    .x((u) => ofMinute(u.minuteOfDay))
    .y0((u) => y(u.low))
    .y1((u) => y(u.high))
    .curve(curveBasis);
  const now = Date.parse(day.now);
  const hourPx = ((width - LEFT - RIGHT) * 3_600_000) / (until - start);
  const every = EVERY_H.find((h) => h * hourPx >= TICK_WIDE) ?? 12;
  const step = ((end - start) / 24) * every;
  const hours = Array.from(
    { length: Math.floor((until - start) / step) + 1 },
    (_, i) => start + i * step,
  );
  const lit = [
    ...day.lit,
    ...(ahead?.lit.filter((on) => Date.parse(on.from) >= end && Date.parse(on.from) < until) ?? []),
  ];
  const expected = area<Expected>()
    .x((p) => x(p.at))
    .y0((p) => y(p.low))
    .y1((p) => y(p.high));
  const next = ahead && nextExtremes(ahead.ph, end);
  const rampWidth = x(start + day.rampMinutes * 60_000) - LEFT;
  /** Whether the flag of the day's high so far stands where an expected high is named. */
  const besidePeak = (point: Expected) =>
    day.peak !== undefined &&
    Math.abs(x(Date.parse(day.peak.at)) - x(point.at)) < FLAG_WIDE &&
    Math.abs(y(day.peak.ph) - y(point.high)) < FLAG;
  const soFar = now < end ? ' so far' : ' read';
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={inWords(day, zone)}
      className="block"
    >
      <defs>
        <HatchPattern id="hatch-expected" colour="var(--ink)" />
      </defs>
      <rect
        x={LEFT}
        y={y(band.peakAtMost)}
        width={width - LEFT - RIGHT}
        height={y(band.troughAtLeast) - y(band.peakAtMost)}
        fill="var(--accent)"
        fillOpacity={0.07}
      />
      <rect
        x={LEFT}
        y={HEIGHT - BOTTOM + 4}
        width={width - LEFT - RIGHT}
        height={STRIP}
        fill="var(--night-strip)"
      />
      {lit.map((on) => (
        <path
          key={on.from}
          d={brightness(at(on.from), Math.min(at(on.to), width - RIGHT), on, rampWidth)}
          fill="var(--day-strip)"
        />
      ))}
      {ticks.map((tick) => (
        <text
          key={tick}
          x={LEFT - 8}
          y={y(tick) + 5}
          textAnchor="end"
          className="fill-soft text-sm"
        >
          {tick.toFixed(digits)}
        </text>
      ))}
      {hours.map((hour) => (
        <text
          key={hour}
          x={x(hour)}
          y={HEIGHT - 8}
          textAnchor={x(hour) > width - RIGHT - 20 ? 'end' : 'middle'}
          className="fill-soft text-sm"
        >
          {hour === end && until === end
            ? endOfDay()
            : clockTime(new Date(hour).toISOString(), zone)}
        </text>
      ))}
      <path d={usual(day.usual) ?? ''} fill="var(--ink)" fillOpacity={0.14} />
      {ahead && <path d={expected(ahead.ph) ?? ''} fill="url(#hatch-expected)" />}
      {width >= WIDE &&
        next?.map(({ name, point, above }) => (
          <text
            key={name}
            x={Math.min(x(point.at), width - RIGHT - 4)}
            y={above ? y(point.high) - 8 - (besidePeak(point) ? FLAG : 0) : y(point.low) + 18}
            textAnchor={x(point.at) > width - 130 ? 'end' : 'middle'}
            className="fill-soft text-sm"
            {...HALO}
          >
            {name} {point.low.toFixed(2)}–{point.high.toFixed(2)}
          </text>
        ))}
      {[band.troughAtLeast, band.peakAtMost].map((ph) => (
        <line
          key={ph}
          x1={LEFT}
          x2={width - RIGHT}
          y1={y(ph)}
          y2={y(ph)}
          stroke="var(--ink)"
          strokeDasharray="1 4"
        />
      ))}
      <text
        x={width - RIGHT - 6}
        y={y(band.peakAtMost) + 16}
        textAnchor="end"
        className="fill-accent text-sm"
        {...THIN_HALO}
      >
        your goal {band.troughAtLeast.toFixed(2)}–{band.peakAtMost.toFixed(2)}
      </text>
      {now > start && now < end && (
        <g>
          <line
            x1={x(now)}
            x2={x(now)}
            y1={TOP}
            y2={HEIGHT - BOTTOM}
            stroke="var(--accent)"
            strokeWidth={2}
          />
          <text
            x={Math.max(x(now), LEFT + 40)}
            y={TOP - 8}
            textAnchor={x(now) > width - 80 ? 'end' : 'middle'}
            className="fill-accent text-sm font-semibold"
          >
            now {clockTime(day.now, zone)}
          </text>
        </g>
      )}
      <g className="text-ink">
        {day.stretches.map((stretch) =>
          stretch.length > 1 ? (
            <path
              key={stretch[0]?.at}
              d={curve(stretch) ?? ''}
              fill="none"
              stroke="currentColor"
              strokeWidth={2.2}
              strokeLinejoin="round"
            />
          ) : (
            stretch.map((p) => (
              <MarkShape key={p.at} kind={markOf(p.method)} x={at(p.at)} y={y(p.ph)} r={5} />
            ))
          ),
        )}
        {flags.map(({ event: e, left, right }) => (
          <g key={e.id}>
            <path
              d={`M${left} ${HEIGHT - BOTTOM} V${HEIGHT - BOTTOM - 26} l14 6 l-14 6`}
              fill="none"
              stroke="currentColor"
              strokeWidth={1.8}
            />
            {right !== undefined && (
              <path
                d={`M${left} ${HEIGHT - BOTTOM - 4} H${right}`}
                stroke="currentColor"
                strokeWidth={1.8}
              />
            )}
            <text
              x={left > width - 200 ? left - 6 : left + 18}
              y={HEIGHT - BOTTOM - 14}
              textAnchor={left > width - 200 ? 'end' : 'start'}
              className="fill-ink text-sm"
              {...THIN_HALO}
            >
              {e.title}
            </text>
          </g>
        ))}
        {day.peak && (
          <Flag
            point={day.peak}
            name={day.surrounded ? 'high' : `highest${soFar}`}
            above
            x={at(day.peak.at)}
            y={y(day.peak.ph)}
            zone={zone}
            width={width}
          />
        )}
        {day.trough && day.trough.at !== day.peak?.at && (
          <Flag
            point={day.trough}
            name={day.surrounded ? 'low' : `lowest${soFar}`}
            x={at(day.trough.at)}
            y={y(day.trough.ph)}
            zone={zone}
            width={width}
          />
        )}
      </g>
    </svg>
  );
}

/** The high that is still to come today, and tomorrow's low, where they are not the edge of what is drawn. */
function nextExtremes(points: readonly Expected[], midnight: number) {
  const today = extreme(
    points.filter((p) => p.at < midnight),
    'high',
  );
  const tomorrow = extreme(
    points.filter((p) => p.at >= midnight),
    'low',
  );
  return [
    ...(today && today !== points[0] ? [{ name: 'expected high', point: today, above: true }] : []),
    ...(tomorrow ? [{ name: 'tomorrow', point: tomorrow, above: false }] : []),
  ];
}

/** The lamps on the strip: its sides lean by their ramps. */
function brightness(
  from: number,
  to: number,
  lit: { comesUp: boolean; goesDown: boolean },
  ramp: number,
): string {
  const top = HEIGHT - BOTTOM + 4;
  const bottom = top + STRIP;
  const up = lit.comesUp ? Math.min(ramp, (to - from) / 2) : 0;
  const down = lit.goesDown ? Math.min(ramp, (to - from) / 2) : 0;
  return `M${from} ${bottom} L${from + up} ${top} L${to - down} ${top} L${to} ${bottom} Z`;
}

function Flag({
  point,
  name,
  x,
  y,
  zone,
  width,
  above = false,
}: {
  point: CurvePoint;
  name: string;
  x: number;
  y: number;
  zone: string;
  width: number;
  above?: boolean;
}) {
  // As long as its words are: without the method on narrow windows.
  const left = x > width - (width >= WIDE ? 240 : 165);
  return (
    <g>
      <MarkShape kind={markOf(point.method)} x={x} y={y} r={5.5} />
      <text
        x={left ? x - 10 : x + 10}
        y={above ? y - 10 : y + 24}
        textAnchor={left ? 'end' : 'start'}
        className="fill-ink"
        {...THIN_HALO}
      >
        <tspan className="text-2xl font-bold">{point.ph.toFixed(2)}</tspan>
        <tspan dx={6} className="text-sm">
          {name}, {clockTime(point.at, zone)}
          {width >= WIDE && ` · ${METHOD[point.method].split(',')[0]}`}
        </tspan>
      </text>
    </g>
  );
}

function inWords(day: Day, zone: string): string {
  if (!day.trough || !day.peak) return `pH on ${day.day}: no reading.`;
  return `pH on ${day.day}: low ${day.trough.ph.toFixed(2)} at ${clockTime(day.trough.at, zone)}, high ${day.peak.ph.toFixed(2)} at ${clockTime(day.peak.at, zone)}.`;
}
