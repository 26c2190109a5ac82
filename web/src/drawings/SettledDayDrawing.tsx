import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useId } from 'react';
import type { Forecast as WholeForecast } from '../api/types';
import { HatchPattern } from './Hatch';

type Forecast = Pick<WholeForecast, 'at' | 'ph' | 'troughPh' | 'peakPh'>;

export const SETTLED_DAY = { width: 176, height: 92 };
const EDGE = 6;
const DAY_S = 86_400;

/** The last day of what is drawn of a forecast, when it has settled. */
function lastDay({ at, ph }: Forecast) {
  const from = (at.at(-1) ?? 0) - DAY_S;
  return at.flatMap((t, i) =>
    t < from ? [] : [{ t, low: ph.low[i] ?? 0, likely: ph.value[i] ?? 0, high: ph.high[i] ?? 0 }],
  );
}

/** Lowest and highest of several forecasts' settled days, so that all are drawn on one scale. */
export const scaleOfDays = (forecasts: readonly Forecast[], goal: number): [number, number] => {
  const all = forecasts.flatMap((f) => lastDay(f).flatMap((p) => [p.low, p.high]));
  return [Math.min(goal, ...all), Math.max(goal, ...all)];
};

/** A settled day of one set, small, to be laid beside others on the same scale; dotted the goal for the low. */
export function SettledDayDrawing({
  forecast,
  scale,
  goal,
  name,
}: {
  forecast: Forecast;
  scale: [number, number];
  goal: number;
  name: string;
}) {
  const hatch = useId();
  const { width, height } = SETTLED_DAY;
  const day = lastDay(forecast);
  const x = scaleLinear()
    .domain([day[0]?.t ?? 0, day.at(-1)?.t ?? 1])
    .range([0, width]);
  const y = scaleLinear()
    .domain(scale)
    .range([height - EDGE, EDGE]);
  const band = area<(typeof day)[number]>()
    .x((p) => x(p.t))
    .y0((p) => y(p.low))
    .y1((p) => y(p.high));
  const likely = line<(typeof day)[number]>()
    .x((p) => x(p.t))
    .y((p) => y(p.likely));
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Settled day with ${name}: low ${forecast.troughPh.value.toFixed(2)}, high ${forecast.peakPh.value.toFixed(2)}.`}
      className="block border-b"
    >
      <HatchPattern id={hatch} colour="var(--accent)" />
      <line x1={0} x2={width} y1={y(goal)} y2={y(goal)} stroke="var(--ink)" strokeDasharray="1 4" />
      <path d={band(day) ?? ''} fill={`url(#${hatch})`} />
      <path d={likely(day) ?? ''} fill="none" stroke="var(--accent)" strokeWidth={2.2} />
    </svg>
  );
}
