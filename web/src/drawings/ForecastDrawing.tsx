import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { memo } from 'react';
import type { Bench, Forecast as WholeForecast } from '../api/types';
import { tickDigits } from '../lib/number';
import { weekdayAndTime } from '../lib/time';
import { HatchPattern } from './Hatch';

const LEFT = 46;
const RIGHT = 14;
const PH_TOP = 14;
const PH_HEIGHT = 240;
const O2_HEIGHT = 90;
const GAP = 30;
const BOTTOM = 26;
const HEIGHT = PH_TOP + PH_HEIGHT + GAP + O2_HEIGHT + BOTTOM;

/** What is drawn of a forecast. */
type Forecast = Pick<
  WholeForecast,
  'at' | 'ph' | 'oxygenMgPerL' | 'troughPh' | 'peakPh' | 'lowestOxygenMgPerL'
>;

/**
 * The days ahead: the current setup as a ghost, the remedies as a line in a hatched band, which is what tanks that agree
 * with the log differ in. Below, its oxygen.
 */
export const ForecastDrawing = memo(function ForecastDrawing({
  now,
  then,
  lit,
  band,
  zone,
  width,
}: {
  now: Forecast;
  then: Forecast | null;
  lit: Bench['lit'];
  band: { troughAtLeast: number; peakAtMost: number };
  zone: string;
  width: number;
}) {
  const from = now.at[0] ?? 0;
  const to = now.at.at(-1) ?? 1;
  const x = scaleLinear()
    .domain([from, to])
    .range([LEFT, width - RIGHT]);
  const shown = then ? [now, then] : [now];
  const ph = scale(
    shown.flatMap((f) => [...f.ph.low, ...f.ph.high]).concat(band.troughAtLeast),
    0.05,
    PH_TOP,
    PH_HEIGHT,
  );
  const oxygen = scale(
    shown.flatMap((f) => [...f.oxygenMgPerL.low, ...f.oxygenMgPerL.high]),
    0.3,
    PH_TOP + PH_HEIGHT + GAP,
    O2_HEIGHT,
  );
  const moment = (instant: string) => x(Math.min(to, Math.max(from, Date.parse(instant) / 1000)));
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={inWords(now, then)}
      className="block"
    >
      <defs>
        <HatchPattern id="forecast-band" colour="var(--accent)" />
        <HatchPattern id="forecast-oxygen" colour="var(--o2)" />
      </defs>
      {[
        { top: PH_TOP, height: PH_HEIGHT },
        { top: PH_TOP + PH_HEIGHT + GAP, height: O2_HEIGHT },
      ].map(({ top, height }) => (
        <g key={top}>
          <rect x={LEFT} y={top} width={width - LEFT - RIGHT} height={height} fill="var(--dark)" />
          {lit.map((lamp) => (
            <rect
              key={lamp.from}
              x={moment(lamp.from)}
              y={top}
              width={Math.max(0, moment(lamp.to) - moment(lamp.from))}
              height={height}
              fill="var(--lit)"
            />
          ))}
        </g>
      ))}
      <Ticks y={ph} count={6} />
      <Ticks y={oxygen} count={3} />
      <text x={LEFT + 6} y={PH_TOP + 16} className="fill-ink text-sm font-semibold">
        pH
      </text>
      <text x={LEFT} y={PH_TOP + PH_HEIGHT + GAP - 7} className="fill-o2 text-sm font-semibold">
        oxygen, mg/L
      </text>
      {[band.troughAtLeast, band.peakAtMost]
        .filter((v) => v >= (ph.domain()[0] ?? 0) && v <= (ph.domain()[1] ?? 14))
        .map((v) => (
          <line
            key={v}
            x1={LEFT}
            x2={width - RIGHT}
            y1={ph(v)}
            y2={ph(v)}
            stroke="var(--ink)"
            strokeDasharray="1 4"
          />
        ))}
      <Curve at={now.at} values={now.ph.value} x={x} y={ph} ghost ink="var(--ink)" />
      <Curve at={now.at} values={now.oxygenMgPerL.value} x={x} y={oxygen} ghost ink="var(--o2)" />
      {then && (
        <>
          <Spread at={then.at} band={then.ph} x={x} y={ph} fill="url(#forecast-band)" />
          <Curve at={then.at} values={then.ph.value} x={x} y={ph} ink="var(--accent)" />
          <Spread
            at={then.at}
            band={then.oxygenMgPerL}
            x={x}
            y={oxygen}
            fill="url(#forecast-oxygen)"
          />
          <Curve at={then.at} values={then.oxygenMgPerL.value} x={x} y={oxygen} ink="var(--o2)" />
        </>
      )}
      {(width < 560 ? [0, 2, 4] : [0, 1, 2, 3, 4]).map((i) => {
        const at = from + ((to - from) * i) / 4;
        return (
          <text
            key={i}
            x={x(at)}
            y={HEIGHT - 8}
            textAnchor={i === 0 ? 'start' : i === 4 ? 'end' : 'middle'}
            className="fill-soft text-sm"
          >
            {weekdayAndTime(new Date(Math.round(at / 3600) * 3_600_000).toISOString(), zone)}
          </text>
        );
      })}
    </svg>
  );
});

type Scale = ReturnType<typeof scaleLinear<number, number>>;

function scale(values: number[], spare: number, top: number, height: number): Scale {
  return scaleLinear()
    .domain([Math.min(...values) - spare, Math.max(...values) + spare])
    .range([top + height, top]);
}

function Ticks({ y, count }: { y: Scale; count: number }) {
  const ticks = y.ticks(count);
  const digits = tickDigits(ticks);
  return ticks.map((t) => (
    <text key={t} x={LEFT - 8} y={y(t) + 5} textAnchor="end" className="fill-soft text-sm">
      {t.toFixed(digits)}
    </text>
  ));
}

function Curve({
  at,
  values,
  x,
  y,
  ink,
  ghost = false,
}: {
  at: number[];
  values: number[];
  x: Scale;
  y: Scale;
  ink: string;
  ghost?: boolean;
}) {
  const path = line<number>()
    .x((_, i) => x(at[i] ?? 0))
    .y((v) => y(v));
  return (
    <path
      d={path(values) ?? ''}
      fill="none"
      stroke={ink}
      strokeWidth={ghost ? 1.6 : 2.4}
      strokeOpacity={ghost ? 0.75 : 1}
      strokeDasharray={ghost ? '6 4' : undefined}
    />
  );
}

function Spread({
  at,
  band,
  x,
  y,
  fill,
}: {
  at: number[];
  band: Forecast['ph'];
  x: Scale;
  y: Scale;
  fill: string;
}) {
  const path = area<number>()
    .x((_, i) => x(at[i] ?? 0))
    .y0((v) => y(v))
    .y1((_, i) => y(band.high[i] ?? 0));
  return <path d={path(band.low) ?? ''} fill={fill} />;
}

function inWords(now: Forecast, then: Forecast | null): string {
  const inWords = (f: Forecast) =>
    `daily low ${f.troughPh.value.toFixed(2)}, daily high ${f.peakPh.value.toFixed(2)}, lowest oxygen ${f.lowestOxygenMgPerL.value.toFixed(1)} mg/L`;
  return `Forecast. With the current setup: ${inWords(now)}.${then ? ` With the changes, once settled: ${inWords(then)}.` : ''}`;
}
