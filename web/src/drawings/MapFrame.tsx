import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import type { ReactNode } from 'react';
import type { CarbonateMap, TankDescription, Units } from '../api/types';
import { ALKALINITY, alkalinityFromMeq } from '../lib/units';

export const PH_MIN = 7.4;
export const PH_MAX = 8.8;
const HEIGHT = 380;
export const LEFT = 44;
const RIGHT = 84;
const TOP = 14;
const BOTTOM = 44;
const OUTDOOR_PPM = 420;

/** Where things stand on the map. */
export interface OnMap {
  x: (meqPerL: number) => number;
  y: (ph: number) => number;
}

/** Alkalinity across, pH up, lines of equal CO2, and the wanted band; what stands on it is drawn by its user. */
export function MapFrame({
  map,
  band,
  unit,
  width,
  words,
  children,
}: {
  map: CarbonateMap;
  band: TankDescription['band'];
  unit: Units['alkalinity'];
  width: number;
  words: string;
  children: (on: OnMap) => ReactNode;
}) {
  const points = map.lines[0]?.points ?? [];
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return null;
  const x = scaleLinear()
    .domain([
      alkalinityFromMeq(first.alkalinityMeqPerL, unit),
      alkalinityFromMeq(last.alkalinityMeqPerL, unit),
    ])
    .range([LEFT, width - RIGHT]);
  const y = scaleLinear()
    .domain([PH_MIN, PH_MAX])
    .range([HEIGHT - BOTTOM, TOP]);
  const at = (meq: number) => x(alkalinityFromMeq(meq, unit));
  const path = line<{ alkalinityMeqPerL: number; phNbs: number }>()
    .x((p) => at(p.alkalinityMeqPerL))
    .y((p) => y(p.phNbs))
    .curve(curveMonotoneX);
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={words}
      className="block"
    >
      <clipPath id="map-frame">
        <rect x={LEFT} y={TOP} width={width - LEFT - RIGHT} height={HEIGHT - TOP - BOTTOM} />
      </clipPath>
      {y.ticks(7).map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--hairline)" />
          <text x={LEFT - 8} y={y(tick) + 5} textAnchor="end" className="fill-soft text-sm">
            {tick.toFixed(1)}
          </text>
        </g>
      ))}
      {x.ticks(width < 560 ? 4 : 7).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={HEIGHT - BOTTOM + 20}
          textAnchor="middle"
          className="fill-soft text-sm"
        >
          {tick}
        </text>
      ))}
      <text
        x={width - RIGHT}
        y={HEIGHT - 6}
        textAnchor="end"
        className="fill-alk text-sm font-semibold"
      >
        alkalinity, {ALKALINITY[unit].label} →
      </text>
      <text x={LEFT + 6} y={TOP + 12} className="fill-ink text-sm font-semibold">
        ↑ pH
      </text>
      <g clipPath="url(#map-frame)">
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
        {map.lines.map((l) => (
          <path
            key={l.ppm}
            d={path(l.points) ?? ''}
            fill="none"
            stroke="var(--co2)"
            strokeWidth={l.ppm === OUTDOOR_PPM ? 2.5 : 1}
            strokeOpacity={l.ppm === OUTDOOR_PPM ? 1 : 0.65}
          />
        ))}
      </g>
      {map.lines.map((l) => {
        const end = l.points.at(-1);
        return (
          end &&
          end.phNbs > PH_MIN &&
          end.phNbs < PH_MAX && (
            <text
              key={l.ppm}
              x={width - RIGHT + 6}
              y={y(end.phNbs) + 5}
              className="fill-co2 text-sm"
            >
              {l.ppm} ppm
            </text>
          )
        );
      })}
      {children({ x: at, y })}
    </svg>
  );
}
