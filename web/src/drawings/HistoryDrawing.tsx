import { scaleLinear, scaleUtc } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { Ref } from 'react';
import type { History, Units } from '../api/types';
import { tickDigits } from '../lib/number';
import { clockOffset, clockTime, mediumDay, shortDay } from '../lib/time';
import { MarkShape, markOf } from '../parts/Mark';
import { HatchPattern } from './Hatch';
import { LABEL_ROWS, LEFT, layOut, placeLabels, RIGHT, type Panel } from './historyLayout';
import { HALO } from './halo';

const FONT = { fontFamily: "'Atkinson Hyperlegible Next', sans-serif", fontSize: 14 } as const;
/** Lines run on so far beyond the edges that none seems to end there, pixels. */
const EDGE = 40;
/** Up to so many days the curve tells more than the days' bars. */
const CURVE_DAYS = 25;

export interface Pointed {
  at: number;
  /** What stands there, a line a panel. */
  words: string[];
}

/** Days with a name, milliseconds. */
export interface MarkedDays {
  name: string;
  from: number;
  to: number;
}

/**
 * Months on one axis: pH with the days' troughs and peaks, CO2, temperature, oxygen, tests, flags, and lanes for light
 * and people. Everything it needs for standing alone as a picture is in its attributes.
 */
export function HistoryDrawing({
  history,
  from,
  to,
  width,
  zone,
  band,
  units,
  pointed,
  chapters,
  windows = [],
  ref,
}: {
  history: History;
  from: number;
  to: number;
  width: number;
  zone: string;
  band: { troughAtLeast: number; peakAtMost: number };
  units: Units;
  pointed: Pointed | null;
  /** When the tank became another one by its description. */
  chapters: readonly number[];
  /** Days that are compared. */
  windows?: readonly MarkedDays[];
  ref?: Ref<SVGSVGElement>;
}) {
  const layout = layOut(history, from, to, units);
  const x = scaleLinear()
    .domain([from, to])
    .range([LEFT, width - RIGHT]);
  const flags = history.events
    .map((e) => ({ id: e.id, x: x(Date.parse(e.at)), words: e.title }))
    .filter((f) => f.x >= LEFT && f.x <= width - RIGHT);
  const rows = placeLabels(flags, width);
  const days = (to - from) / 86_400_000;
  return (
    <svg
      ref={ref}
      width={width}
      height={layout.height}
      viewBox={`0 0 ${width} ${layout.height}`}
      role="img"
      aria-label={inWords(history, zone)}
      className="block touch-none select-none"
      {...FONT}
    >
      <defs>
        <clipPath id="history-inside">
          <rect x={LEFT} y={0} width={width - LEFT - RIGHT} height={layout.height} />
        </clipPath>
        <HatchPattern id="history-people" colour="var(--co2)" />
      </defs>
      <rect x={0} y={0} width={width} height={layout.height} fill="var(--paper)" />
      <g clipPath="url(#history-inside)">
        {windows.map((w) => (
          <rect
            key={w.name}
            x={x(w.from)}
            y={layout.panels[0]?.top ?? 0}
            width={Math.max(1, x(w.to) - x(w.from))}
            height={layout.axis - (layout.panels[0]?.top ?? 0)}
            fill="var(--accent)"
            fillOpacity="0.14"
            stroke="var(--accent)"
          />
        ))}
      </g>
      {layout.panels.map((panel) => (
        <PanelDrawing
          key={panel.key}
          panel={panel}
          history={history}
          x={x}
          width={width}
          band={band}
          curve={days <= CURVE_DAYS}
        />
      ))}
      <g clipPath="url(#history-inside)">
        {layout.lanes.light !== null && (
          <rect x={LEFT} y={layout.lanes.light} width={width} height={14} fill="var(--dark)" />
        )}
        {history.lit.map((s) => (
          <rect
            key={s.from}
            x={x(Date.parse(s.from))}
            y={layout.lanes.light ?? 0}
            width={x(Date.parse(s.to)) - x(Date.parse(s.from))}
            height={14}
            fill="var(--lit)"
          />
        ))}
        {history.occupied.map((s) => (
          <rect
            key={s.from}
            x={x(Date.parse(s.from))}
            y={layout.lanes.people ?? 0}
            width={x(Date.parse(s.to)) - x(Date.parse(s.from))}
            height={14}
            fill="url(#history-people)"
          />
        ))}
      </g>
      <g clipPath="url(#history-inside)">
        {layout.stood.map((s) => (
          <Stood
            key={s.id}
            event={history.events.find((e) => e.id === s.id)}
            y={s.y}
            x={x}
            width={width}
          />
        ))}
        {chapters.map((at) => (
          <line
            key={at}
            x1={x(at)}
            x2={x(at)}
            y1={layout.panels[0]?.top ?? 0}
            y2={layout.axis}
            stroke="var(--accent)"
            strokeWidth={2}
          />
        ))}
      </g>
      {layout.stood.length > 0 && <LaneName y={layout.stood[0]?.y ?? 0} words="active" />}
      {layout.lanes.light !== null && <LaneName y={layout.lanes.light} words="light" />}
      {layout.lanes.people !== null && <LaneName y={layout.lanes.people} words="people" />}
      <Axis from={from} to={to} y={layout.axis} width={width} zone={zone} />
      {flags.map((flag, i) => {
        const row = rows[i] ?? null;
        const y = 20 + (row ?? LABEL_ROWS) * 18;
        return (
          <g key={flag.id} fill="none" stroke="var(--ink)">
            <line
              x1={flag.x}
              x2={flag.x}
              y1={y - 12}
              y2={layout.axis}
              strokeWidth={1}
              strokeOpacity={0.45}
              strokeDasharray="2 3"
            />
            <path d={`M${flag.x} ${y - 13} l9 4 l-9 4 Z`} fill="var(--ink)" stroke="none" />
            {row !== null && (
              <text x={flag.x + 13} y={y - 4} fill="var(--ink)" stroke="none">
                {flag.words}
              </text>
            )}
          </g>
        );
      })}
      {pointed && x(pointed.at) >= LEFT && (
        <line
          x1={x(pointed.at)}
          x2={x(pointed.at)}
          y1={0}
          y2={layout.axis}
          stroke="var(--accent)"
          strokeWidth={1.5}
        />
      )}
    </svg>
  );
}

/** From when to when something was on the tank; what still is runs on to the edge. */
function Stood({
  event,
  y,
  x,
  width,
}: {
  event: History['events'][number] | undefined;
  y: number;
  x: (ms: number) => number;
  width: number;
}) {
  if (!event) return null;
  const from = Math.max(x(Date.parse(event.at)), LEFT - EDGE);
  const to = event.until ? x(Date.parse(event.until)) : width + EDGE;
  const words = event.did.join(', ');
  const shown = Math.max(from, LEFT);
  return (
    <g>
      <rect
        x={from}
        y={y + 1}
        width={Math.max(2, to - from)}
        height={16}
        fill="var(--accent)"
        fillOpacity={0.18}
        stroke="var(--accent)"
      />
      {Math.min(to, width - RIGHT) - shown > words.length * 7 + 8 && (
        <text x={shown + 5} y={y + 14} fill="var(--ink)" fontSize={13}>
          {words}
        </text>
      )}
    </g>
  );
}

function LaneName({ y, words }: { y: number; words: string }) {
  return (
    <text x={LEFT - 8} y={y + 12} textAnchor="end" fill="var(--soft)" fontSize={12}>
      {words}
    </text>
  );
}

function PanelDrawing({
  panel,
  history,
  x,
  width,
  band,
  curve,
}: {
  panel: Panel;
  history: History;
  x: (ms: number) => number;
  width: number;
  band: { troughAtLeast: number; peakAtMost: number };
  curve: boolean;
}) {
  const y = scaleLinear()
    .domain(panel.domain)
    .range([panel.top + panel.height, panel.top]);
  const ph = panel.key === 'ph';
  const ticks = y.ticks(panel.height > 100 ? 5 : 2);
  const digits = tickDigits(ticks, panel.digits);
  return (
    <g>
      {ticks.map((t) => (
        <g key={t}>
          <line x1={LEFT} x2={width - RIGHT} y1={y(t)} y2={y(t)} stroke="var(--hairline)" />
          <text x={LEFT - 8} y={y(t) + 5} textAnchor="end" fill="var(--soft)">
            {t.toFixed(digits)}
          </text>
        </g>
      ))}
      <g clipPath="url(#history-inside)">
        {ph &&
          [band.troughAtLeast, band.peakAtMost].map((v) => (
            <line
              key={v}
              x1={LEFT}
              x2={width - RIGHT}
              y1={y(v)}
              y2={y(v)}
              stroke="var(--ink)"
              strokeDasharray="1 4"
              visibility={v > panel.domain[0] && v < panel.domain[1] ? 'visible' : 'hidden'}
            />
          ))}
        {ph && !curve && <DayBars history={history} x={x} y={y} />}
        {(curve || !ph) &&
          panel.tracks.map((track, i) => (
            <g key={track.place} color={panel.ink} opacity={i === 0 ? 1 : 0.55}>
              {track.stretches.map((s) => (
                <StretchDrawing key={s.at[0]} stretch={s} x={x} y={y} width={width} />
              ))}
              {track.marks.map((m) => (
                <MarkShape
                  key={m.at + m.method}
                  kind={markOf(m.method)}
                  x={x(Date.parse(m.at))}
                  y={y(m.value)}
                  r={4}
                />
              ))}
            </g>
          ))}
      </g>
      <text x={LEFT + 6} y={panel.top - 3} fill={panel.ink} fontWeight={600} {...HALO}>
        {panel.label}
      </text>
    </g>
  );
}

/** A line where lowest and highest meet, a band where a point stands for many readings. */
function StretchDrawing({
  stretch,
  x,
  y,
  width,
}: {
  stretch: History['tracks'][number]['stretches'][number];
  x: (ms: number) => number;
  y: (value: number) => number;
  width: number;
}) {
  // What is fetched beyond the edges for panning is not drawn.
  const points = stretch.at.flatMap((second, i) => {
    const at = x(second * 1000);
    return at < LEFT - EDGE || at > width + EDGE
      ? []
      : [{ x: at, low: y(stretch.low[i] ?? 0), high: y(stretch.high[i] ?? 0) }];
  });
  const spread = area<(typeof points)[number]>()
    .x((p) => p.x)
    .y0((p) => p.low)
    .y1((p) => p.high);
  const middle = line<(typeof points)[number]>()
    .x((p) => p.x)
    .y((p) => (p.low + p.high) / 2);
  return (
    <>
      <path
        d={spread(points) ?? ''}
        fill="currentColor"
        fillOpacity={0.3}
        stroke="currentColor"
        strokeWidth={0.5}
      />
      <path d={middle(points) ?? ''} fill="none" stroke="currentColor" strokeWidth={1.6} />
    </>
  );
}

/** Each day from its trough to its peak; thin where the day was not logged closely enough. */
function DayBars({
  history,
  x,
  y,
}: {
  history: History;
  x: (ms: number) => number;
  y: (value: number) => number;
}) {
  const wide = Math.max(1.2, Math.min(9, (x(86_400_000) - x(0)) * 0.55));
  return (
    <>
      {history.days.map((d) => {
        const at = x(Date.parse(`${d.day}T12:00:00Z`));
        return (
          <line
            key={d.day}
            x1={at}
            x2={at}
            y1={y(d.trough)}
            y2={y(d.peak)}
            stroke="var(--ink)"
            strokeWidth={d.whole ? wide : 1}
            strokeOpacity={d.whole ? 0.75 : 0.4}
          />
        );
      })}
    </>
  );
}

function Axis({
  from,
  to,
  y,
  width,
  zone,
}: {
  from: number;
  to: number;
  y: number;
  width: number;
  zone: string;
}) {
  // Ticks stand at the home's round hours and midnights: the scale is shifted by the zone's offset.
  const shift = clockOffset((from + to) / 2, zone);
  const scale = scaleUtc()
    .domain([new Date(from + shift), new Date(to + shift)])
    .range([LEFT, width - RIGHT]);
  const format = scale.tickFormat();
  return (
    <g fill="var(--soft)">
      {scale.ticks(Math.max(2, Math.floor(width / 130))).map((t) => (
        <g key={t.getTime()}>
          <line x1={scale(t)} x2={scale(t)} y1={y - 4} y2={y + 2} stroke="var(--soft)" />
          <text
            x={scale(t)}
            y={y + 18}
            textAnchor={scale(t) < LEFT + 20 ? 'start' : scale(t) > width - 50 ? 'end' : 'middle'}
          >
            {tickWords(t, format(t))}
          </text>
        </g>
      ))}
    </g>
  );
}

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', timeZone: 'UTC' });

function tickWords(t: Date, finest: string): string {
  if (t.getUTCHours() + t.getUTCMinutes() > 0) return clockTime(t.toISOString(), 'UTC');
  if (/^\d{4}$/.test(finest)) return finest;
  return t.getUTCDate() === 1 ? MONTH.format(t) : shortDay(t, 'UTC');
}

function inWords(history: History, zone: string): string {
  const day = (t: string) => mediumDay(new Date(t), zone);
  const whole = history.days.filter((d) => d.whole);
  const lowest = whole.reduce<(typeof whole)[number] | null>(
    (best, d) => (best === null || d.trough < best.trough ? d : best),
    null,
  );
  return (
    `The log from ${day(history.from)} to ${day(history.to)}` +
    (lowest ? `; lowest daily low ${lowest.trough.toFixed(2)} on ${day(lowest.troughAt)}.` : '.')
  );
}
